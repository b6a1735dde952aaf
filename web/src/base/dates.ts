/** Dates and times of day as whoever looks at the screen is used to. */
import { DateTime } from "luxon";
import { wallTime } from "@kind-grip/core/calendar";
import { datePattern, timeOfDayText } from "@kind-grip/core/units";
import { MEASURES } from "./measures";

/** @param pattern of luxon, written for day before month and 24 hours */
export function dateText(at: DateTime, pattern: string): string {
  // Halves of the day as in times by themselves.
  return at.toFormat(datePattern(pattern, MEASURES)).replace(/\b[AP]M\b/g, (half) => half.toLowerCase());
}

/** The time of day at a moment, where it is. */
export function timeText(atMs: number, timeZone: string): string {
  return timeOfDayText(wallTime(atMs, timeZone), MEASURES);
}

/** Day, month and year. @param date ISO */
export function wholeDayText(date: string): string {
  return dateText(DateTime.fromISO(date), "d LLL yyyy");
}

/** Days along a chart's axis, as d3 writes them. */
export const DAY_TICKS = MEASURES.dateOrder === "dayMonth" ? "%-d %b" : "%b %-d";
