import { patternPreset, shiftsFrom } from "../calendar";
import { hardMoments, ribbonOf } from ".";

const shift = shiftsFrom(patternPreset("weekdays", "2026-03-02"), "UTC", "2026-03-24", 1)[0]!;
const at = (min: number) => shift.startMs + min * 60_000;

it("parts follow one another along the working time, breaks left out", () => {
  const pieces = ribbonOf(shift, [
    { name: "A", minutes: 200, strain: 4 },
    { name: "B", minutes: 60, strain: 14 },
  ]);
  expect(pieces.map(({ name, startMs, endMs }) => [name, (startMs - shift.startMs) / 60_000, (endMs - shift.startMs) / 60_000])).toEqual([
    ["A", 0, 150],
    ["A", 165, 215],
    ["B", 215, 275],
  ]);
});
it("what goes over the end is cut off, what is not filled stays empty", () => {
  expect(ribbonOf(shift, [{ name: "A", minutes: 900, strain: 1 }]).at(-1)!.endMs).toBe(shift.endMs);
  expect(ribbonOf(shift, [])).toEqual([]);
});
it("hard work is said where it begins, once", () => {
  const piece = (min: number, strain: number) => ({ name: "", startMs: at(min), endMs: at(min + 10), strain });
  expect(hardMoments([piece(0, 9), piece(10, 10.1), piece(20, 12), piece(30, 10), piece(40, 11)], 10)).toEqual([at(10), at(40)]);
});
