import fc from "fast-check";
import { meanInterval, spreadInterval } from ".";

it("the mean of ten values with Student's interval, by hand", () => {
  // 1 … 10: mean 5.5, standard deviation 3.0277, t(9) 2.2622: ± 2.1659.
  const { mean, low, high } = meanInterval([1, 2, 3, 4, 5, 6, 7, 8, 9, 10]);
  expect([mean, low, high]).toEqual([5.5, expect.closeTo(3.3341, 3), expect.closeTo(7.6659, 3)]);
});

it("one value has no interval", () => {
  expect(() => meanInterval([3])).toThrow(RangeError);
});

it("values that do not scatter are known exactly; shifting all of them shifts everything", () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: -50, max: 50 }), { minLength: 2, maxLength: 30 }),
      fc.integer({ min: -20, max: 20 }),
      (values, by) => {
        const [one, other] = [meanInterval(values), meanInterval(values.map((value) => value + by))];
        expect(other.mean - one.mean).toBeCloseTo(by, 9);
        expect(other.high - other.low).toBeCloseTo(one.high - one.low, 9);
        expect(one.low).toBeLessThanOrEqual(one.mean + 1e-9);
      },
    ),
  );
  const { low, high } = meanInterval([4, 4, 4]);
  expect([low, high]).toEqual([4, 4]);
});

it("a standard deviation of ten is known from 0.70 to 1.75 of itself, by the table of χ²", () => {
  // χ² with 10 degrees: 3.247 and 20.483.
  const { low, high } = spreadInterval(2, 10);
  expect([low, high]).toEqual([expect.closeTo(2 * Math.sqrt(10 / 20.483), 3), expect.closeTo(2 * Math.sqrt(10 / 3.247), 3)]);
});
