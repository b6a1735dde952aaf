/** Rest between shifts: eleven hours on both sides, the seam of a cycle, days that differ, nights the clocks change. */
import fc from "fast-check";
import { LEAST_REST_MIN, patternPreset, shiftsFrom, shortTurnarounds, turnaroundsOf, type PatternPreset, type ShiftPattern } from ".";

const kind = (id: string, start: string, hours: number) => ({ id, name: id, start, lengthMin: hours * 60, breaks: [] });
const ANCHOR = "2026-03-02";
const pattern = (cycle: ShiftPattern["cycle"], more: Partial<ShiftPattern> = {}): ShiftPattern => ({
  anchorDate: ANCHOR,
  shifts: [kind("dawn", "04:30", 8), kind("night", "22:00", 8), kind("late", "14:00", 8)],
  cycle,
  ...more,
});
const said = (of: ShiftPattern) => turnaroundsOf(of).map(({ before, after, restMin }) => [before.date, after.date, restMin]);

it.each([
  ["a night into the dawn after it", pattern(["night", "dawn", null]), [["2026-03-02", "2026-03-03", -90]]],
  ["the seam of the cycle", pattern(["dawn", null, "night"]), [["2026-03-04", "2026-03-05", -90]]],
  ["a late one before a dawn", pattern(["late", "dawn", null]), [["2026-03-02", "2026-03-03", 390]]],
  ["the same pair again and again, once", pattern(["late", "dawn", null, "late", "dawn", null]), [["2026-03-02", "2026-03-03", 390]]],
  ["days off between", pattern(["night", null, "dawn"]), []],
  ["every day the same", pattern(["dawn"]), []],
  [
    "a swapped shift",
    pattern(["dawn", "dawn", "dawn", "dawn", "dawn", null, null], { otherDays: [{ date: "2026-06-02", shift: "night" }] }),
    [["2026-06-02", "2026-06-03", -90]],
  ],
  ["a holiday takes one away", pattern(["dawn"], { otherDays: [{ date: "2026-06-02", shift: null }] }), []],
] as const)("%s", (_, of, expected) => expect(said(of)).toEqual(expected));

it.each([
  [16, "sixteen hours leave eight", 480],
  [13.25, "a quarter of an hour too little", 645],
] as const)("every day %s h: %s", (hours, _, restMin) => {
  expect(turnaroundsOf({ ...pattern(["x"]), shifts: [kind("x", "05:00", hours)] })).toMatchObject([{ restMin }]);
  expect(turnaroundsOf({ ...pattern(["x"]), shifts: [kind("x", "05:00", 13)] })).toEqual([]);
});

it("what a new crew can start from leaves rest enough", () => {
  for (const preset of ["weekdays", "fourOnFourOff", "daysThenNights", "splitShift"] satisfies PatternPreset[])
    expect([preset, turnaroundsOf(patternPreset(preset, ANCHOR))]).toEqual([preset, []]);
});

it("by the clock of the world on the night it changes", () => {
  const shifts = shiftsFrom({ ...pattern(["x"]), shifts: [kind("x", "08:00", 13)] }, "Europe/Berlin", "2026-03-27", 4);
  expect(shortTurnarounds(shifts).map(({ after, restMin }) => [after.date, restMin])).toEqual([["2026-03-29", LEAST_REST_MIN - 60]]);
});

it("of any cycle: named are exactly the neighbours with less than it, in whatever order the shifts come", () => {
  const id = fc.constantFrom("dawn", "night", "late", null);
  fc.assert(
    fc.property(fc.array(id, { minLength: 1, maxLength: 14 }), (cycle) => {
      const shifts = shiftsFrom(pattern(cycle), "UTC", ANCHOR, 3 * cycle.length);
      const pairs = shifts.slice(1).map((after, i) => (after.startMs - shifts[i]!.endMs) / 60_000);
      expect(shortTurnarounds([...shifts].reverse()).map(({ restMin }) => restMin)).toEqual(pairs.filter((rest) => rest < LEAST_REST_MIN));
      const kinds = new Set(pairs.filter((rest) => rest < LEAST_REST_MIN));
      expect(new Set(turnaroundsOf(pattern(cycle)).map(({ restMin }) => restMin))).toEqual(kinds);
    }),
  );
});
