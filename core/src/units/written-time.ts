/** Times of day, dates and weeks as somebody is used to reading them. */
import type { Measures } from "./measures";

/** @param hhmm `14:30` @returns the same, or `2:30 pm` */
export function timeOfDayText(hhmm: string, { clock }: Pick<Measures, "clock">): string {
  if (clock === "24h") return hhmm;
  const hour = Number(hhmm.slice(0, 2));
  return `${hour % 12 || 12}${hhmm.slice(2)} ${hour < 12 ? "am" : "pm"}`;
}

/**
 * A pattern of luxon's `toFormat`, written for day before month and a clock of 24 hours, in somebody's own order and clock.
 * @param pattern of `cccc`, `d`, `LLL`, `LLLL`, `yyyy`, `HH:mm` and what stands between them
 */
export function datePattern(pattern: string, { clock, dateOrder }: Pick<Measures, "clock" | "dateOrder">): string {
  const ofDay =
    dateOrder === "dayMonth"
      ? pattern
      : pattern.replace(/\bd (LLLL?)( yyyy)?/, (_, month: string, year = "") =>
          dateOrder === "monthDay" ? `${month} d${year}` : `${year.trim()}${year ? " " : ""}${month} d`,
        );
  return clock === "24h" ? ofDay : ofDay.replace(/HH:mm|HH|\bH\b/, (hours) => ({ "HH:mm": "h:mm a", HH: "h a" })[hours] ?? "h");
}
