/** A strain index as it is read; absurd answers do not break a drawing. */
import { fixedText } from "../base/measures";
export function strainText(index: number): string {
  return index < 1000 ? fixedText(index, 1) : "over 999";
}
