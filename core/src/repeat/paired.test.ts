/** Paired differences over weeks: said when they tell something, said when they do not. */
import { USUAL_NOISE } from "../baseline";
import { chance } from "../observe/workers.sample";
import type { QuickResult } from "../quicktest";
import { crewAnswer, LEAST_PAIRS, pairedAnswer } from ".";

const lid = (before: number, after: number | null): QuickResult => ({ test: "twistLid", before, after });
const answer = (...results: QuickResult[]) => pairedAnswer("twistLid", results, USUAL_NOISE);

it("four pairs are too few, five are enough; what lacks one of the two is none", () => {
  const pairs = [lid(5, 4), lid(5, 4), lid(6, 4), lid(5, 5), lid(4, null)];
  expect(answer(...pairs)).toEqual({ pairs: 4, gain: null, verdict: "tooFew", noise: 2 });
  expect(answer(...pairs, lid(6, 4))).toMatchObject({ pairs: LEAST_PAIRS, verdict: "better" });
});

it("the mean and its interval, by hand: 1, 1, 2, 0, 2", () => {
  // Mean 1.2, standard deviation 0.8367, t(4) 2.7764: ± 1.0389.
  const { gain } = answer(lid(5, 4), lid(5, 4), lid(6, 4), lid(5, 5), lid(6, 4));
  expect([gain!.mean, gain!.low, gain!.high]).toEqual([expect.closeTo(1.2, 9), expect.closeTo(0.1611, 3), expect.closeTo(2.2389, 3)]);
});

it("an interval that holds nought tells nothing; one that lies below it says worse", () => {
  expect(answer(lid(5, 4), lid(5, 6), lid(5, 5), lid(5, 4), lid(5, 6)).verdict).toBe("same");
  expect(answer(...[4, 5, 4, 5, 4, 5].map((before) => lid(before, before + 2))).verdict).toBe("worse");
});

it("the same difference every time is known exactly", () => {
  expect(answer(...Array.from({ length: 6 }, () => lid(5, 4)))).toMatchObject({ verdict: "better", gain: { mean: 1, low: 1, high: 1 } });
  expect(answer(...Array.from({ length: 6 }, () => lid(5, 5))).verdict).toBe("same");
});

it("where nothing changes at most one in fifteen of 1,000 people is told that something does", () => {
  const random = chance(3);
  const told = Array.from({ length: 1000 }, () =>
    answer(...Array.from({ length: 12 }, () => lid(3 + Math.round(random() * 3), 3 + Math.round(random() * 3)))),
  ).filter(({ verdict }) => verdict !== "same").length;
  expect(told).toBeLessThan(67);
  expect(told).toBeGreaterThan(20);
});

describe("a crew", () => {
  const person = (personId: string, gain: number, times: number) =>
    Array.from({ length: times }, (_, i) => ({ personId, ...lid(6, 6 - gain + (i % 2)) }));
  it("is its people, each once: whoever was there a hundred times counts as much as who was there five times", () => {
    const results = [person("often", 3, 100), ...["a", "b", "c", "d"].map((id) => person(id, 1, 6))].flat();
    const { pairs, gain } = crewAnswer("twistLid", results, USUAL_NOISE);
    expect(pairs).toBe(5);
    // 2.5 and four times 0.5.
    expect(gain!.mean).toBeCloseTo((2.5 + 4 * 0.5) / 5, 9);
  });
  it("of four people with enough pairs says nothing", () => {
    const results = [...["a", "b", "c", "d"].map((id) => person(id, 1, 6)), person("seldom", 1, 4)].flat();
    expect(crewAnswer("twistLid", results, USUAL_NOISE)).toMatchObject({ pairs: 4, verdict: "tooFew" });
  });
});
