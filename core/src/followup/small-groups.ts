/**
 * Which crew figures may be shown: none drawn from fewer than five people, and none that by subtraction from the figure of the whole
 * would show fewer than five.
 */

/** A figure of fewer people is never shown to anybody but the trainer. */
export const FEWEST_PEOPLE = 5;

export interface Publishable<Part> {
  parts: Set<Part>;
  whole: boolean;
}

/**
 * Parts (e.g. weeks) of a whole (e.g. a block) that do not overlap. The whole minus the parts that are shown is a figure too: of the
 * parts that are not. It has to be drawn from nobody or from five and more; until it is, the smallest shown part is withheld as well.
 * @param people who stands behind each part's figure
 */
export function publishable<Part>(people: ReadonlyMap<Part, ReadonlySet<string>>, fewest = FEWEST_PEOPLE): Publishable<Part> {
  const filled = [...people].filter(([, who]) => who.size > 0);
  const everybody = union(filled.map(([, who]) => who));
  if (everybody.size < fewest) return { parts: new Set(), whole: false };
  const shown = filled.filter(([, who]) => who.size >= fewest).sort((a, b) => b[1].size - a[1].size);
  for (;;) {
    const hidden = union(filled.filter(([part]) => !shown.some(([each]) => each === part)).map(([, who]) => who));
    if (hidden.size === 0 || hidden.size >= fewest || shown.length === 0) break;
    shown.pop();
  }
  return { parts: new Set(shown.map(([part]) => part)), whole: true };
}

function union(sets: readonly ReadonlySet<string>[]): Set<string> {
  return new Set(sets.flatMap((set) => [...set]));
}
