import { SHIPPED_LIBRARY, DEFAULT_STYLE, newItem } from "../library";
import { sampleId, sampleSession } from "../session/sample";
import type { Item } from "../session";
import { loadRises, type LoadedRun } from ".";

const WEEKS = ["2026-03-02", "2026-03-09", "2026-03-16", "2026-03-23"];
const dose = (reps: number): Item["dose"] => ({
  kind: "reps",
  sets: 2,
  reps,
  tempo: { outSec: 3, endPauseSec: 0, backSec: 3, startPauseSec: 1 },
  restSec: 30,
});
const lift = (loadKg: number | null, reps = 10): Item => ({
  ...newItem(SHIPPED_LIBRARY.get("lift-palm-down"), DEFAULT_STYLE, sampleId()),
  formId: "load",
  dose: dose(reps),
  loadKg,
});
const REGIONS = SHIPPED_LIBRARY.tensionRegions("lift-palm-down");
const run = (day: string, item: Item, change: Partial<LoadedRun> = {}): LoadedRun => ({
  day,
  session: sampleSession([item], { slot: "postShift" }),
  items: [{ itemId: item.id, status: "done", plannedSec: 100, doneSec: 100 }],
  people: [{ personId: "ann", present: true, effort: 4, leftOut: [] }],
  ...change,
});
/** One run a week, with these items. */
const byWeek = (...items: Item[]) => items.map((item, i) => run(WEEKS[i]!, item));

it("torque × seconds under tension: 120 s at 1.5 kg, 8 cm from the wrist, are 141.3 N·m·s a side", () => {
  const [first] = loadRises(SHIPPED_LIBRARY, byWeek(lift(1), lift(1), lift(1.5)), WEEKS.slice(0, 3));
  expect(first).toMatchObject({ kind: "torque", weekStart: "2026-03-16" });
  expect(first!.after).toBeCloseTo(120 * 1.5 * 9.81 * 0.08, 9);
  expect(first!.rise).toBeCloseTo(0.5, 9);
  expect(loadRises(SHIPPED_LIBRARY, byWeek(lift(1), lift(1), lift(1.5)), WEEKS.slice(0, 3)).map(({ region }) => region)).toEqual(
    [...REGIONS].sort(),
  );
});

it("without a load, seconds under tension × effort", () => {
  const [first] = loadRises(SHIPPED_LIBRARY, byWeek(lift(null), lift(null), lift(null, 12)), WEEKS.slice(0, 3));
  expect(first).toMatchObject({ kind: "effort" });
  expect(first!.after).toBeCloseTo((2 * 12 * 6 * 4) / 10, 9);
});

it.each([
  ["a tenth is not named", 1, 1.1, 0],
  ["a little more is", 1, 1.11, REGIONS.length],
  ["less is not", 1.5, 1, 0],
])("%s", (_, before, after, count) =>
  expect(loadRises(SHIPPED_LIBRARY, byWeek(lift(1), lift(before), lift(after)), WEEKS.slice(0, 3))).toHaveLength(count),
);

it("what rises in the first two weeks is what was planned", () => {
  expect(loadRises(SHIPPED_LIBRARY, byWeek(lift(0.5), lift(2)), WEEKS.slice(0, 2))).toEqual([]);
  // Weeks looked at may begin long after the crew did.
  expect(loadRises(SHIPPED_LIBRARY, byWeek(lift(0.5), lift(2)), WEEKS.slice(0, 2), "2026-01-05")).toHaveLength(REGIONS.length);
});

describe("a rise is seen", () => {
  const held = (holdSec: number): Item => ({ ...lift(2), dose: { kind: "holds", reps: 1, holdSec, restSec: 10 } });
  it("of longer loaded holds", () => {
    expect(loadRises(SHIPPED_LIBRARY, byWeek(held(20), held(20), held(60)), WEEKS.slice(0, 3))[0]).toMatchObject({
      kind: "torque",
      rise: expect.closeTo(2, 9) as number,
    });
  });
  it("from nothing to 5 kg, and not from nothing to a first load", () => {
    const to = (kg: number) => loadRises(SHIPPED_LIBRARY, byWeek(lift(null), lift(null), lift(kg)), WEEKS.slice(0, 3));
    expect(to(5)[0]).toMatchObject({ kind: "torque", rise: null, before: 0, againstWeek: null });
    expect(to(1.5)).toEqual([]);
    expect(to(1.6)).toHaveLength(REGIONS.length);
  });
  it("after a week off, against the last week that had any", () => {
    const item = lift(1);
    const five = Array.from({ length: 5 }, (_, i) => run(`2026-03-${23 + i}`, item));
    const [first] = loadRises(SHIPPED_LIBRARY, [run(WEEKS[0]!, item), run(WEEKS[1]!, item), ...five], WEEKS);
    expect(first).toMatchObject({ weekStart: WEEKS[3], againstWeek: WEEKS[1], rise: 4 });
  });
});

it("counts people who took part: twice as many of them are no rise, and who is absent or leaves it out carries nothing", () => {
  const two = (item: Item, change: object = {}) =>
    ["ann", "ben"].map((personId) => ({
      personId,
      present: true,
      effort: 4,
      leftOut: [] as string[],
      ...(personId === "ben" ? change : {}),
      item,
    }));
  const item = lift(1);
  const week = (people: LoadedRun["people"]) => [...byWeek(item, item), run(WEEKS[2]!, item, { people })];
  expect(loadRises(SHIPPED_LIBRARY, week(two(item)), WEEKS.slice(0, 3))).toEqual([]);
  expect(loadRises(SHIPPED_LIBRARY, week(two(item, { present: false })), WEEKS.slice(0, 3))).toEqual([]);
  // Ben took part and left it out: the mean falls.
  expect(loadRises(SHIPPED_LIBRARY, [...week(two(item, { leftOut: [item.id] })), run(WEEKS[3]!, item)], WEEKS)[0]).toMatchObject({
    weekStart: WEEKS[3],
    rise: 1,
  });
});

it("an own dose and load count for the person who has them, a part counts as a part, what was skipped does not", () => {
  const item = lift(1);
  const own: Item = { ...item, personal: { ann: { formId: item.formId, loadKg: 2 } } };
  expect(loadRises(SHIPPED_LIBRARY, [...byWeek(item, item), run(WEEKS[2]!, own)], WEEKS.slice(0, 3))[0]!.rise).toBeCloseTo(1, 9);
  const half = run(WEEKS[1]!, item, { items: [{ itemId: item.id, status: "part", plannedSec: 100, doneSec: 50 }] });
  expect(loadRises(SHIPPED_LIBRARY, [run(WEEKS[0]!, item), half, run(WEEKS[2]!, item)], WEEKS.slice(0, 3))[0]!.rise).toBeCloseTo(1, 9);
  const none = run(WEEKS[2]!, lift(9), { items: [{ itemId: item.id, status: "skipped", plannedSec: 100, doneSec: 0 }] });
  expect(loadRises(SHIPPED_LIBRARY, [...byWeek(item, item), none], WEEKS.slice(0, 3))).toEqual([]);
});

it("stretching is no load", () => {
  const stretch = (loadKg: number | null) => ({ ...newItem(SHIPPED_LIBRARY.get("palm-away"), DEFAULT_STYLE, sampleId()), loadKg });
  expect(loadRises(SHIPPED_LIBRARY, byWeek(stretch(null), stretch(null), { ...stretch(null), dose: dose(30) }), WEEKS.slice(0, 3))).toEqual(
    [],
  );
});
