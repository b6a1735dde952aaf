/** Whose clock a time of day is by: said only where the places on a screen have different clocks. */
import { DateTime } from "luxon";
import { dateText, timeText } from "./dates";
import { t } from "./words";

/** What a place is called by in the names of time zones: the last part, in words. */
const cityOf = (timeZone: string) => timeZone.split("/").at(-1)!.replaceAll("_", " ");

const offset = (timeZone: string, atMs: number) => DateTime.fromMillis(atMs, { zone: timeZone }).offset;

/** Null where all of these places show the same time of day at that moment. */
export function clockPlace(timeZone: string, among: readonly string[], atMs: number): string | null {
  return among.some((each) => offset(each, atMs) !== offset(timeZone, atMs)) ? cityOf(timeZone) : null;
}

/** A time of day with the place it is told by, where others on the screen are told by other clocks. */
export function timeAmong(atMs: number, timeZone: string, among: readonly string[]): string {
  return [timeText(atMs, timeZone), clockPlace(timeZone, among, atMs)].filter(Boolean).join(" ");
}

/** What it is there now; null where all of these places show the same. */
export function nowThere(timeZone: string, among: readonly string[], atMs: number): string | null {
  const place = clockPlace(timeZone, among, atMs);
  if (place === null) return null;
  const there = DateTime.fromMillis(atMs, { zone: timeZone });
  return t("{{place}}: now {{day}}, {{time}}", { place, day: dateText(there, "ccc d LLL"), time: timeText(atMs, timeZone) });
}
