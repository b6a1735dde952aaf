import type { Change } from "@kind-grip/core/baseline";
import { t } from "../base/words";
import { MOTION_NAMES, changeText } from "./finding-text";

/** A change in one line: measure, hand, from, to, verdict. */
export function changeWords(change: Change): string {
  const name = change.measure === "grip" ? t("Grip") : change.measure === "function" ? t("Function test") : MOTION_NAMES[change.measure];
  return `${name} ${change.side === "left" ? "L" : "R"} ${changeText(change)}`;
}
