/** The main hand of somebody in a list; null when it is not known. */
import type { MainHand } from "@kind-grip/core/baseline";
import type { PersonEntry } from "@kind-grip/core/api";

export function mainHandOf(people: readonly PersonEntry[], personId: string): MainHand {
  return people.find(({ id }) => id === personId)?.handedness ?? null;
}
