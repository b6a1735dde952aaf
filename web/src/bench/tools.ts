/** Tools to start from, with the measures they usually have: to be corrected with a tape and a scale. */
import type { KitKind } from "@kind-grip/core/library";
import { toolOf, type Tool } from "@kind-grip/core/load";
import { massText } from "../base/measures";
import { t } from "../base/words";

export const USUAL_TOOLS: readonly Tool[] = [
  { name: t("Rod"), kind: "lever", lengthM: 0.9, massKg: 0.45, headKg: 0 },
  { name: t("Hammer"), kind: "lever", lengthM: 0.33, massKg: 0.2, headKg: 0.5 },
  { name: t("Bar"), kind: "lever", lengthM: 1.2, massKg: 2, headKg: 0 },
  { name: t("Dumbbell"), kind: "weight", massKg: 1.5 },
  { name: t("Bottle"), kind: "weight", massKg: 1 },
];

/** A piece of a crew's kit as a tool with a name; kinds without a mass or a shape of their own are left out. */
export function toolFrom(kind: KitKind, massKg: number | null): Tool | undefined {
  return toolOf(kind, massKg, `${kind[0]!.toUpperCase()}${kind.slice(1)} ${massText(massKg ?? 0)}`);
}
