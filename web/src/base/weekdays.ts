/** Days of the week in short, from Monday on. */
import { t } from "./words";

export const WEEKDAYS = [t("Mon"), t("Tue"), t("Wed"), t("Thu"), t("Fri"), t("Sat"), t("Sun")];

/** @param date YYYY-MM-DD @returns its place in WEEKDAYS */
export function mondayFirst(date: string): number {
  return (new Date(`${date}T00:00:00Z`).getUTCDay() + 6) % 7;
}

/** @param date YYYY-MM-DD */
export function weekdayText(date: string): string {
  return WEEKDAYS[mondayFirst(date)]!;
}
