/**
 * Several kinds of effort in one task (composite), several tasks in one shift (cumulative).
 * Source: Garg A, Moore JS, Kapellusch JM. The Composite Strain Index (COSI) and Cumulative Strain Index (CUSI):
 * methodologies for quantifying biomechanical stressors for complex tasks and job rotation using the Revised Strain Index.
 * Ergonomics 2017; 60(8): 1033–1041.
 */
import { hoursMultiplier, rateMultiplier } from "./multipliers";

export interface Added<T> {
  of: T;
  /** Its own index, as if it were alone. */
  index: number;
  /** What it adds to the whole; the first, the largest, adds all of its own index. */
  adds: number;
}

export interface Combined<T> {
  value: number;
  /** Largest first. */
  parts: Added<T>[];
}

/** @param efforts each with its RSI and its efforts a minute. Their order does not matter. No efforts: 0. */
export function compositeStrain<T extends { index: number; perMin: number }>(efforts: readonly T[]): Combined<T> {
  return combine(
    efforts,
    (each) => each.perMin,
    (sum) => rateMultiplier(sum),
  );
}

/** @param tasks each with its index over its own hours, and those hours. Their order does not matter. No tasks: 0. */
export function cumulativeStrain<T extends { index: number; hours: number }>(tasks: readonly T[]): Combined<T> {
  return combine(
    tasks,
    (each) => each.hours,
    (sum) => hoursMultiplier(sum),
  );
}

/** S₁ + Σ (Sᵢ / M(xᵢ)) · (M(x₁ + … + xᵢ) − M(x₁ + … + xᵢ₋₁)). */
function combine<T extends { index: number }>(
  list: readonly T[],
  amount: (each: T) => number,
  multiplier: (sum: number) => number,
): Combined<T> {
  let before = 0;
  const parts = [...list]
    .sort((a, b) => b.index - a.index || amount(b) - amount(a))
    .map((of, i): Added<T> => {
      const after = before + amount(of);
      const adds = i === 0 ? of.index : (of.index / multiplier(amount(of))) * (multiplier(after) - multiplier(before));
      before = after;
      return { of, index: of.index, adds };
    });
  return { value: parts.reduce((sum, { adds }) => sum + adds, 0), parts };
}
