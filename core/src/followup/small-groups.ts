/**
 * Whose figures may be told together: never fewer than five people, and never two sets, over all that was ever given out, that differ by
 * some but fewer than five. Otherwise whoever keeps both could subtract one from the other.
 */

/** A figure of fewer people is never shown to anybody but the trainer. */
export const FEWEST_PEOPLE = 5;

/**
 * The largest set that was found to be readable beside the earlier ones; some people are left out of it where their coming or going would
 * show them. Deterministic: the same people, the same set.
 * @param people who could stand behind the figure @param earlier who stood behind the same figure before
 * @returns null when there is none
 */
export function readableSet(people: Iterable<string>, earlier: readonly ReadonlySet<string>[], fewest = FEWEST_PEOPLE): Set<string> | null {
  const all = new Set(people);
  for (const candidate of [all, ...earlier.filter((set) => [...set].every((id) => all.has(id))).sort((a, b) => b.size - a.size)])
    if (isReadable(candidate, earlier, fewest)) return new Set(candidate);
  const set = new Set(all);
  // Taking out people who were in a set that is too near moves away from it; which of them is taken is the same each time.
  while (set.size >= fewest) {
    const near = earlier.filter((each) => isTooNear(set, each, fewest));
    if (near.length === 0) return set;
    const nearness = (id: string) => near.filter((each) => each.has(id)).length;
    const elsewhere = (id: string) => earlier.filter((each) => !each.has(id)).length;
    const [out] = [...set].sort((a, b) => nearness(b) - nearness(a) || elsewhere(a) - elsewhere(b) || a.localeCompare(b));
    set.delete(out!);
  }
  return null;
}

/** Whether a set is large enough and, beside each earlier one, the same or different by enough people. */
export function isReadable(set: ReadonlySet<string>, earlier: readonly ReadonlySet<string>[], fewest = FEWEST_PEOPLE): boolean {
  return set.size >= fewest && !earlier.some((each) => isTooNear(set, each, fewest));
}

function isTooNear(a: ReadonlySet<string>, b: ReadonlySet<string>, fewest: number): boolean {
  const apart = [...a].filter((id) => !b.has(id)).length + [...b].filter((id) => !a.has(id)).length;
  return apart > 0 && apart < fewest;
}

/**
 * A mean, rounded so that no one person moves it by more than one step of what can be read.
 * @param parts each person's sum and weight: the mean is all sums ÷ all weights
 * @param steps what may be rounded to, smallest first
 */
export function roundedMean(parts: readonly { sum: number; weight: number }[], steps: readonly number[]): number {
  const mean = total(parts, (part) => part.sum) / total(parts, (part) => part.weight);
  const step = roundingStep(parts, steps);
  // Through whole numbers of steps, so that nothing like 0.30000000000000004 is told.
  return Number((Math.round(mean / step) * step).toPrecision(12));
}

/** The finest step by which no one person moves the mean further; the coarsest when there is none. */
export function roundingStep(parts: readonly { sum: number; weight: number }[], steps: readonly number[]): number {
  const [sum, weight] = [total(parts, (part) => part.sum), total(parts, (part) => part.weight)];
  const moves = parts.map((part) => (weight > part.weight ? Math.abs(sum / weight - (sum - part.sum) / (weight - part.weight)) : 0));
  return steps.find((each) => each >= Math.max(0, ...moves)) ?? steps.at(-1)!;
}

function total<Row>(rows: readonly Row[], of: (row: Row) => number): number {
  return rows.reduce((sum, row) => sum + of(row), 0);
}
