import type { Change } from "@kind-grip/core/baseline";
import { changeText, measureName } from "./finding-text";

/** A change in one line: measure, hand, from, to, verdict. */
export function changeWords(change: Change): string {
  return `${measureName(change.measure)} ${change.side === "left" ? "L" : "R"} ${changeText(change)}`;
}
