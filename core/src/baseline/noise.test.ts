/** What counts as a change: the usual rules, and a practice's own noise in their place. */
import {
  changesBetween,
  countsFrom,
  differs,
  emptyRecord,
  findingsOf,
  isApart,
  isShort,
  USUAL_NOISE,
  type BaselineRecord,
  type OwnNoise,
} from ".";

const own = (change: Partial<OwnNoise>): OwnNoise => ({
  people: 12,
  standardError: 2,
  low: 1.4,
  high: 3.4,
  countsFrom: 6,
  countsFromShare: 0,
  firstOn: "2026-03-02",
  lastOn: "2026-03-09",
  ...change,
});

describe("between two rounds", () => {
  it.each([
    ["usual, an angle", USUAL_NOISE, "wristFlexion", 60, 10],
    ["usual, grip of a weak hand", USUAL_NOISE, "grip", 15, 6],
    ["usual, grip of a strong hand", USUAL_NOISE, "grip", 50, 10],
    ["usual, effort", USUAL_NOISE, "function", 5, 2],
    ["own, finer than usual", { wristFlexion: own({ countsFrom: 6 }) }, "wristFlexion", 60, 6],
    ["own, coarser than usual", { wristFlexion: own({ countsFrom: 14 }) }, "wristFlexion", 60, 14],
    ["another measure's is not taken", { palmUp: own({ countsFrom: 6 }) }, "wristFlexion", 60, 10],
    ["own grip, weak hand", { grip: own({ countsFrom: 3.4, countsFromShare: 0.12 }) }, "grip", 15, 3.4],
    ["own grip, strong hand", { grip: own({ countsFrom: 3.4, countsFromShare: 0.12 }) }, "grip", 50, 6],
    ["own effort", { function: own({ countsFrom: 3 }) }, "function", 5, 3],
  ] as const)("%s", (_, noise, measure, from, counts) => {
    expect(countsFrom(noise, measure, from)).toBeCloseTo(counts, 9);
    for (const way of [1, -1]) {
      expect(differs(noise, measure, from, from + way * counts)).toBe(true);
      expect(differs(noise, measure, from, from + way * (counts - 0.01))).toBe(false);
    }
  });
  it("verdicts follow, and say from when on it counts", () => {
    const at = (deg: number): BaselineRecord => {
      const record = structuredClone(emptyRecord());
      record.range.wristFlexion.left.active = deg;
      return record;
    };
    const verdict = (noise: Parameters<typeof changesBetween>[2]) =>
      changesBetween(at(60), at(67), noise).map((one) => [one.verdict, one.countsFrom]);
    expect(verdict(USUAL_NOISE)).toEqual([["noise", 10]]);
    expect(verdict({ wristFlexion: own({ countsFrom: 7 }) })).toEqual([["better", 7]]);
    expect(verdict({ wristFlexion: own({ countsFrom: 8 }) })).toEqual([["noise", 8]]);
  });
});

describe("within one sitting the own noise only raises the rules", () => {
  const withFlexion = (left: number, right: number, assistedLeft: number | null = null): BaselineRecord => {
    const record = structuredClone(emptyRecord());
    record.range.wristFlexion.left = { active: left, assisted: assistedLeft };
    record.range.wristFlexion.right.active = right;
    return record;
  };
  const kinds = (record: BaselineRecord, noise: Parameters<typeof findingsOf>[2]) =>
    findingsOf(record, null, noise).map(({ kind }) => kind);
  it("a fine practice finds nobody shorter, weaker or more uneven", () => {
    const fine = { wristFlexion: own({ standardError: 1, countsFrom: 3 }), grip: own({ countsFrom: 2, countsFromShare: 0.05 }) };
    for (const record of [withFlexion(78, 70), withFlexion(79, 69), withFlexion(60, 60, 74), withFlexion(60, 60, 75)])
      expect(kinds(record, fine)).toEqual(kinds(record, USUAL_NOISE));
  });
  it("a coarse one does not call noise a finding", () => {
    const coarse = { wristFlexion: own({ standardError: 7, countsFrom: 20 }) };
    expect(kinds(withFlexion(79, 60), USUAL_NOISE)).toEqual(["shortRange", "sideDifference"]);
    expect(kinds(withFlexion(79, 60), coarse)).toEqual(["shortRange"]);
    expect(kinds(withFlexion(79, 59), coarse)).toContain("sideDifference");
    expect(kinds(withFlexion(70, 70, 89), coarse)).not.toContain("rangeWithoutStrength");
    expect(kinds(withFlexion(70, 70, 90), coarse)).toContain("rangeWithoutStrength");
  });
  it("a range is short by more than a reading may be off", () => {
    // 15 % of 80° are 12°; a reading that is 7° off as a rule may be 13.7° off.
    const coarse = { wristFlexion: own({ standardError: 7 }) };
    expect([isShort(66.3, "wristFlexion", coarse), isShort(66.2, "wristFlexion", coarse)]).toEqual([false, true]);
    expect(isShort(68, "wristFlexion", USUAL_NOISE)).toBe(true);
  });
  it("under what a reading may be off, sides are too close to tell apart", () => {
    const coarse = { wristFlexion: own({ standardError: 4 }) };
    const noise = findingsOf(withFlexion(78, 71), null, coarse).filter(({ kind }) => kind === "noise");
    expect(noise).toEqual([{ kind: "noise", measure: "wristFlexion", left: 78, right: 71, underDeg: expect.closeTo(7.84, 9) }]);
  });
});

it("sittings say something of noise from the next day to four weeks apart", () => {
  const apart = (secondOn: string) => isApart("2026-03-02", secondOn);
  expect(["2026-03-02", "2026-03-03", "2026-03-30", "2026-03-31", "2026-02-27"].map(apart)).toEqual([false, true, true, false, false]);
});
