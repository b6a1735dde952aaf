import { fixedText } from "../base/measures";
import { t } from "../base/words";

/** How near an answer is to the best there is, in words. */
export function nearnessText(gap: number): string {
  if (!Number.isFinite(gap)) return t("The best found in the time there is; how near it is to the best of all is not known");
  if (gap < 0.0005) return t("Proven best");
  return t("Within {{gap}} % of the best there is", { gap: fixedText(Math.ceil(gap * 1000) / 10, 1) });
}
