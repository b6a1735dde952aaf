/**
 * Several kinds of effort in one task (composite), several tasks in one shift (cumulative).
 * Source: Garg A, Moore JS, Kapellusch JM. The Composite Strain Index (COSI) and Cumulative Strain Index (CUSI):
 * methodologies for quantifying biomechanical stressors for complex tasks and job rotation using the Revised Strain Index.
 * Ergonomics 2017; 60(8): 1033–1041.
 */
import { hoursMultiplier, rateMultiplier } from "./multipliers";
import { RAISED_STRAIN } from "./strain-index";

export interface Added<T> {
  of: T;
  /** Its own index, as if it were alone. */
  index: number;
  /** What it adds to the whole; the first, the largest, adds all of its own index. */
  adds: number;
}

export interface Combined<T> {
  /** The published figure. */
  value: number;
  /** Largest first. */
  parts: Added<T>[];
  /** The same in the order of index per multiplier, which never falls when work is added. */
  steady: number;
  /** What a verdict is taken by: the published figure, or the larger of the two where they fall on different sides of the threshold. */
  decisive: number;
  /** The two fall on different sides of the threshold. */
  disagree: boolean;
}

/** @param efforts each with its RSI and its efforts a minute. Their order does not matter. No efforts: 0. */
export function compositeStrain<T extends { index: number; perMin: number }>(efforts: readonly T[]): Combined<T> {
  return combine(
    efforts,
    (each) => each.perMin,
    (sum) => rateMultiplier(sum),
  );
}

/** A day has no more hours; what would go beyond is a contradiction that `workProblems` names. */
export const MOST_HOURS = 24;

/** @param tasks each with its index over its own hours, and those hours. Their order does not matter. No tasks: 0. */
export function cumulativeStrain<T extends { index: number; hours: number }>(tasks: readonly T[]): Combined<T> {
  return combine(
    tasks,
    (each) => each.hours,
    (sum) => hoursMultiplier(Math.min(MOST_HOURS, sum)),
  );
}

/**
 * S₁ + Σ (Sᵢ / M(xᵢ)) · (M(x₁ + … + xᵢ) − M(x₁ + … + xᵢ₋₁)). Published: largest index first. In that order more of an easier task can come
 * before a harder one and take its place on the curve, so that more work reads as less; by index per multiplier it cannot.
 */
function combine<T extends { index: number }>(
  list: readonly T[],
  amount: (each: T) => number,
  multiplier: (sum: number) => number,
): Combined<T> {
  const laid = (order: readonly T[]): Added<T>[] => {
    let before = 0;
    return order.map((of, i) => {
      const after = before + amount(of);
      const adds = i === 0 ? of.index : (of.index / multiplier(amount(of))) * (multiplier(after) - multiplier(before));
      before = after;
      return { of, index: of.index, adds };
    });
  };
  const total = (parts: readonly Added<T>[]) => parts.reduce((sum, { adds }) => sum + adds, 0);
  const each = (item: T) => item.index / multiplier(amount(item));
  const parts = laid([...list].sort((a, b) => b.index - a.index || amount(b) - amount(a)));
  const value = total(parts);
  const steady = total(laid([...list].sort((a, b) => each(b) - each(a) || amount(b) - amount(a))));
  const disagree = value > RAISED_STRAIN !== steady > RAISED_STRAIN;
  return { value, parts, steady, decisive: disagree ? Math.max(value, steady) : value, disagree };
}
