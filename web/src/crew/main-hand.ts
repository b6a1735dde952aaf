/** The main hand of somebody in a list; null when it is not known. */
import type { MainHand } from "@kind-grip/core/baseline";
import type { PersonEntry } from "@kind-grip/core/api";
import type { Handedness } from "@kind-grip/core/units";
import { t } from "../base/words";

export const HAND_NAMES: Record<Handedness, string> = { left: t("left"), right: t("right"), both: t("both hands") };

export function mainHandOf(people: readonly PersonEntry[], personId: string): MainHand {
  return people.find(({ id }) => id === personId)?.handedness ?? null;
}
