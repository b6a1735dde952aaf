import { LoopClock } from "./loop-clock";

it("goes round by the clock, stands still when frozen, and starts over with a new length", () => {
  const clock = new LoopClock();
  clock.set(4, true, 1000);
  expect(clock.placeAt(3500)).toBe(2.5);
  expect(clock.placeAt(6000)).toBe(1);
  clock.set(4, false, 6000);
  expect(clock.placeAt(9000)).toBe(1);
  clock.set(4, true, 9000);
  expect(clock.placeAt(10_000)).toBe(2);
  clock.set(6, true, 10_000);
  expect(clock.placeAt(10_500)).toBe(0.5);
});
