import { MOTION_NAMES, changeText, type Change } from "@kind-grip/core/baseline";

/** A change in one line: measure, hand, from, to, verdict. */
export function changeWords(change: Change): string {
  const name = change.measure === "grip" ? "Grip" : change.measure === "function" ? "Function test" : MOTION_NAMES[change.measure];
  return `${name} ${change.side === "left" ? "L" : "R"} ${changeText(change)}`;
}
