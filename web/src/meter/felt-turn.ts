/** What a phone in the hand can feel of a figure; fetched only where something is counted, for it needs the skeleton. */
import { feltTurnOf, type Figure } from "@kind-grip/core/figure";

const known = new WeakMap<Figure, number | null>();

/** The same as feltTurnOf, worked out once for each figure. */
export function feltTurn(figure: Figure): number | null {
  const before = known.get(figure);
  if (before !== undefined) return before;
  const found = feltTurnOf(figure);
  known.set(figure, found);
  return found;
}
