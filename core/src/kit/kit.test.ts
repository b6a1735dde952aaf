import fc from "fast-check";
import { compilePerson, type Dose } from "../session";
import { sampleItem, sampleSession, sampleTimings } from "../session/sample";
import { HAND_OVER_SEC, shareKit, tapePlan } from ".";

const timings = sampleTimings(8, 3);
const sets = (count: number, workSec: number, restSec: number): Dose => ({ kind: "timed", sets: count, workSec, restSec });
const alone = (item: ReturnType<typeof sampleItem>) => compilePerson(sampleSession([item]), timings).totalSec;
const kinds = (...[item, people, pieces, substitutes]: [ReturnType<typeof sampleItem>, number, number, number?]) =>
  shareKit(item, timings, people, pieces, substitutes).map(({ kind }) => kind);

describe("kit for a group", () => {
  const item = sampleItem(sets(2, 30, 30), { sides: "inTurn" });
  it("enough pieces cost nothing; one fewer and somebody has to share", () => {
    expect(kinds(item, 6, 6)).toEqual(["enough"]);
    expect(kinds(item, 6, 5)).toEqual(["partners", "waves"]);
  });
  it("one in each hand counts two", () => {
    const both = sampleItem(sets(2, 30, 30), { sides: "together" });
    expect(kinds(both, 6, 12)).toEqual(["enough"]);
    expect(kinds(both, 6, 11)).not.toContain("enough");
  });
  it("partners work for up to two a piece; waves for any number", () => {
    expect(kinds(item, 10, 5)).toContain("partners");
    expect(kinds(item, 11, 5)).toEqual(["waves"]);
    expect(shareKit(item, timings, 11, 5)[0]).toMatchObject({ waves: 3, totalSec: 3 * alone(item) + 2 * HAND_OVER_SEC });
  });
  it("partners worked by hand: 2 × 30 s with 30 s rest, both hands together", () => {
    // A 30, over 5, B 30, over 5, A 30, over 5, B 30, ready 8: A rested 40 s of the 30 it needs
    const both = sampleItem(sets(2, 30, 30), { sides: "together" });
    const way = shareKit(both, timings, 4, 4).find(({ kind }) => kind === "partners")!;
    expect(way.totalSec).toBe(8 + 4 * 30 + 3 * HAND_OVER_SEC);
  });
  it("something of the same torque for the others costs nothing", () => {
    expect(kinds(item, 6, 4, 2)[0]).toBe("substitutes");
    expect(kinds(item, 6, 4, 1)).not.toContain("substitutes");
  });
  it("without any piece there is no way but substitutes", () => {
    expect(kinds(item, 6, 0)).toEqual([]);
    expect(kinds(item, 6, 0, 6)).toEqual(["substitutes"]);
  });
  it("a group of nobody is refused", () => expect(() => shareKit(item, timings, 0, 3)).toThrow(RangeError));
  it("more pieces never cost more, and nobody is quicker than with enough", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20 }), fc.integer({ min: 1, max: 20 }), (people, pieces) => {
        const best = (count: number) => shareKit(item, timings, people, count)[0]!.totalSec;
        expect(best(pieces + 1)).toBeLessThanOrEqual(best(pieces));
        expect(best(pieces)).toBeGreaterThanOrEqual(alone(item));
      }),
    );
  });
});

describe("the tape planner", () => {
  const measure = { roundThumbMm: 70, toAndRoundWristMm: 230, anchorMm: 100 };
  it("strip, strips a roll, rolls a month", () => {
    expect(tapePlan(measure, { lengthM: 5, widthMm: 50 }, 9, 3)).toEqual({
      halfMm: 300,
      stripMm: 700,
      halfWidthMm: 25,
      perRoll: 7,
      perMonth: 90,
      rollsPerMonth: 13,
    });
  });
  it("a strip that is a hair too long for one more is not counted", () => {
    expect(tapePlan(measure, { lengthM: 1.4, widthMm: 50 }, 1, 3).perRoll).toBe(2);
    expect(tapePlan({ ...measure, anchorMm: 100.5 }, { lengthM: 1.4, widthMm: 50 }, 1, 3).perRoll).toBe(1);
    expect(tapePlan(measure, { lengthM: 0.5, widthMm: 50 }, 1, 3).rollsPerMonth).toBe(Infinity);
  });
  it.each([0, 3.5, 4])("worn for %s days is refused", (days) => {
    expect(() => tapePlan(measure, { lengthM: 5, widthMm: 50 }, 1, days)).toThrow(RangeError);
  });
});
