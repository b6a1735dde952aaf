import jstat from "jstat";

/** Every interval of the product. */
export const CONFIDENCE = 0.95;
const TAIL = (1 - CONFIDENCE) / 2;

export interface Interval {
  mean: number;
  low: number;
  high: number;
}

/**
 * The mean of some values and its 95 % interval by Student's t: Student. The probable error of a mean. Biometrika 1908; 6(1): 1–25.
 * @param values at least two, independent @returns in their unit
 * @throws RangeError for fewer than two
 */
export function meanInterval(values: readonly number[]): Interval {
  const n = values.length;
  if (n < 2) throw new RangeError(`an interval needs two values, not ${n}`);
  const mean = values.reduce((sum, value) => sum + value, 0) / n;
  const variance = values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (n - 1);
  const half = jstat.studentt.inv(1 - TAIL, n - 1) * Math.sqrt(variance / n);
  return { mean, low: mean - half, high: mean + half };
}

/**
 * Where a standard deviation lies with 95 % confidence, by the χ² distribution of its square.
 * @param spread as estimated @param degrees of freedom it was estimated with, at least 1
 */
export function spreadInterval(spread: number, degrees: number): { low: number; high: number } {
  const end = (p: number) => spread * Math.sqrt(degrees / jstat.chisquare.inv(p, degrees));
  return { low: end(1 - TAIL), high: end(TAIL) };
}
