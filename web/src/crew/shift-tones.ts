/** How kinds of shift and days of the week stand in a shift pattern. */
import { t } from "../base/words";

/** By the place of a kind of shift in its pattern. */
export const SHIFT_TONES = ["primary.main", "hand.left", "warm.dark", "text.secondary", "hand.right", "text.primary"];
export const WEEKDAYS = [t("Mon"), t("Tue"), t("Wed"), t("Thu"), t("Fri"), t("Sat"), t("Sun")];

/** @param date YYYY-MM-DD @returns its place in WEEKDAYS */
export function mondayFirst(date: string): number {
  return (new Date(`${date}T00:00:00Z`).getUTCDay() + 6) % 7;
}
