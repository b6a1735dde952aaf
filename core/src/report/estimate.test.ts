import fc from "fast-check";
import { saidBy } from "../followup";
import { meanEstimate, rateChange } from "./estimate";

describe("the interval of a mean", () => {
  /** Worked by hand: mean 3, standard deviation 1.5811, t(4) = 2.7764: half width 1.9632. */
  it("is Student's, as in the tables", () => {
    expect(meanEstimate([1, 2, 3, 4, 5], [1e-4])).toEqual({ people: 5, mean: 3, low: 1.0368, high: 4.9632 });
  });
  it.each<[values: number[], said: string]>([
    [[1, 2, 3, 4, 5], "more"],
    [[-1, -2, -3, -4, -5], "less"],
    [[-1, 2, -3, 4, 5], "notYet"],
    [[0, 0, 0, 0, 0], "notYet"],
  ])("%p against no change says %p", (values, said) => expect(saidBy(meanEstimate(values, [0.01]), 0)).toBe(said));
  it("no one person moves an end by more than what it is rounded to", () => {
    const steps = [0.1, 0.2, 0.5, 1, 2, 5, 10, 50];
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -20, max: 20 }), { minLength: 5, maxLength: 20 }), (values) => {
        const exact = (list: number[]) => {
          const { low, mean, high } = meanEstimate(list, [1e-9]);
          return [low!, mean, high!];
        };
        const moves = values.flatMap((_, i) => {
          const without = exact(values.filter((__, at) => at !== i));
          return exact(values).map((end, at) => Math.abs(end - without[at]!));
        });
        const step = steps.find((each) => each >= Math.max(...moves) - 1e-7) ?? steps.at(-1)!;
        const { low, mean, high } = meanEstimate(values, steps);
        for (const [at, end] of [low!, mean, high!].entries()) {
          expect(Math.abs(end / step - Math.round(end / step))).toBeLessThan(1e-6);
          expect(Math.abs(end - exact(values)[at]!)).toBeLessThanOrEqual(step / 2 + 1e-6);
        }
      }),
      { numRuns: 60 },
    );
  });
  it("holds the true mean in 95 of 100 crews", () => {
    let seed = 7;
    const random = () => (seed = (seed * 1103515245 + 12345) % 2 ** 31) / 2 ** 31;
    const normal = () => Math.sqrt(-2 * Math.log(random() || 1e-9)) * Math.cos(2 * Math.PI * random());
    const held = Array.from({ length: 2000 }, () => {
      const { low, high } = meanEstimate(
        Array.from({ length: 8 }, () => 2 + 3 * normal()),
        [1e-9],
      );
      return low! <= 2 && high! >= 2;
    }).filter(Boolean).length;
    expect(held / 2000).toBeGreaterThan(0.935);
    expect(held / 2000).toBeLessThan(0.965);
  });
  it("is none of two", () => expect(() => meanEstimate([1, 2], [1])).toThrow(RangeError));
});

describe("how a rate changed", () => {
  const rate = (cases: number, personDays: number) => ({ cases, personDays });
  /** Clopper and Pearson for 3 of 10: 0.0667 to 0.6525; at equal times the ratio is p ÷ (1 − p). */
  it("has the exact ends", () => {
    const { ratio, low, high } = rateChange(rate(7, 1000), rate(3, 1000))!;
    expect(ratio).toBeCloseTo(3 / 7, 6);
    expect(low).toBeCloseTo(0.06674 / 0.93326, 3);
    expect(high!).toBeCloseTo(0.65245 / 0.34755, 3);
  });
  it("counts by days at work: twice the days, half the rate", () => {
    expect(rateChange(rate(6, 1000), rate(6, 2000))!.ratio).toBeCloseTo(0.5, 6);
  });
  it.each<[before: number, after: number, said: string]>([
    [7, 3, "notYet"],
    [20, 3, "less"],
    [3, 20, "more"],
    [0, 1, "notYet"],
    [0, 6, "more"],
    [6, 0, "less"],
    [3, 0, "notYet"],
  ])("%i cases before, %i after in as many days: %p", (before, after, said) => {
    expect(saidBy(rateChange(rate(before, 1000), rate(after, 1000))!, 1)).toBe(said);
  });
  it("has no upper end without a case before, and nothing to say without any or without days", () => {
    expect(rateChange(rate(0, 1000), rate(2, 1000))).toMatchObject({ ratio: null, high: null });
    expect(rateChange(rate(0, 1000), rate(0, 1000))).toBeNull();
    expect(rateChange(rate(2, 0), rate(1, 1000))).toBeNull();
  });
});
