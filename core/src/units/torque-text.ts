import { fixedText, type Measures } from "./measures";

/** Torque as shown on screen: two decimals are finer than any tool in a kit. */
export function torqueText(torqueNm: number, measures?: Measures): string {
  return `${fixedText(torqueNm, 2, measures)} N·m`;
}
