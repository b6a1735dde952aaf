import { harderHand } from "../strain";
import { bookedParts, bookedSpans, bookedStrain, handMinutes, isLightDay, workAsBooked, type Booking } from ".";
import { booking, sampleTreatments } from "./booking.sample";

const work = sampleTreatments();
const [deep, calm] = work.treatments!;
const day = (...kinds: (typeof deep)[]): Booking[] =>
  kinds.map((kind, i) => booking(`${String(9 + i).padStart(2, "0")}:00`, { treatmentId: kind!.id }));

it("minutes of each task follow the bookings, longer ones in proportion, cancelled and unknown ones not", () => {
  const list = [...day(deep, deep, calm), booking("14:00"), booking("15:00", { treatmentId: deep!.id, cancelled: true })];
  list[0] = { ...list[0]!, lengthMin: 90 };
  expect(bookedParts(work, [list])).toEqual([
    { taskId: work.tasks[0]!.id, minutes: 100 },
    { taskId: work.tasks[1]!.id, minutes: 20 },
  ]);
  expect(bookedParts(work, [list, day(calm)])[0]!.minutes).toBe(50);
  expect(bookedParts(work, [])).toEqual([]);
});

it("a crew's work is the usual day, then each person's own", () => {
  const booked = workAsBooked(
    work,
    new Map([
      ["a", [day(deep, deep)]],
      ["b", [day(calm)]],
      ["c", []],
    ]),
  );
  expect(booked.days.map(({ personIds }) => personIds)).toEqual([[], ["a"], ["b"]]);
  expect(booked.days[0]!.parts.map(({ minutes }) => minutes)).toEqual([40, 10]);
  expect(harderHand(booked, booked.days[1]!).value).toBeGreaterThan(harderHand(booked, booked.days[2]!).value);
  expect(workAsBooked(work, new Map())).toBe(work);
});

it("more of a hard treatment is more strain for each of it", () => {
  const strain = (list: Booking[]) => bookedStrain(work, list).get(list[0]!.id)!;
  expect(strain(day(deep, deep, deep, deep)).hardest).toBeGreaterThan(strain(day(deep)).hardest);
  expect(strain(day(calm)).mean).toBeLessThan(strain(day(deep)).mean);
  // Forty of sixty minutes.
  expect(strain(day(deep)).mean).toBeCloseTo((strain(day(deep)).hardest * 40) / 60, 10);
});

it("what is not known counts as deep and hard", () => {
  const list = [...day(calm), booking("12:00")];
  expect(bookedSpans(work, list).map((each) => [each.deep, each.hard])).toEqual([
    [false, false],
    [true, true],
  ]);
});

describe("a light day", () => {
  // 120 hand minutes is usual.
  const usual = [day(deep, deep, deep), day(deep, deep, deep), day(deep, deep, deep)];
  it.each([
    [day(deep, deep), true],
    [day(deep, deep, calm), false],
  ])("%#: no more than three quarters of the usual", (list, light) => {
    expect(isLightDay(work, list, usual)).toBe(light);
  });
  it("on the threshold is light", () => {
    const list = [...day(deep, deep), booking("12:00", { treatmentId: calm!.id, lengthMin: 30 })];
    expect([handMinutes(work, list), isLightDay(work, list, usual)]).toEqual([90, true]);
  });
  it("is not said of whoever has too few days to know", () => {
    expect([isLightDay(work, day(calm), usual.slice(1)), isLightDay(work, day(calm), [...usual.slice(1), []])]).toEqual([false, false]);
  });
  it("half of the days are harder than the usual one, however many there are", () => {
    const uneven = [day(deep), day(deep, deep), day(deep, deep, deep), day(deep, deep, deep, deep)];
    // 40, 80, 120, 160: 100 is usual.
    expect(isLightDay(work, [...day(deep), booking("12:00", { treatmentId: deep!.id, lengthMin: 52 })], uneven)).toBe(true);
    expect(isLightDay(work, day(deep, deep), uneven)).toBe(false);
  });
});
