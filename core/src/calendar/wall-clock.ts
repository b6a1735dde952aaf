/** Days and wall clocks of a place, in moments of the world clock. */
import { DateTime, IANAZone } from "luxon";

const DAY_MS = 86_400_000;
/** No zone changes its offset but on a quarter of an hour. */
const QUARTER_MS = 900_000;

/** Monday of the week a day lies in. */
export function mondayOf(date: string): string {
  const weekday = (new Date(`${date}T00:00:00Z`).getUTCDay() + 6) % 7;
  return addDays(date, -weekday);
}

/** Days from the first of a week back to the Monday after it. */
const BEFORE_MONDAY = { monday: 0, sunday: 1, saturday: 2 } as const;

/** The first day of the week that a date is in, for whoever begins weeks on that day. */
export function firstOfWeek(date: string, { weekStart }: { weekStart: keyof typeof BEFORE_MONDAY }): string {
  const before = BEFORE_MONDAY[weekStart];
  return addDays(mondayOf(addDays(date, before)), -before);
}

export function addDays(date: string, days: number): string {
  return dayOf(Date.parse(`${date}T00:00:00Z`) + days * DAY_MS);
}

/** Whole days from one day to another; negative when the second is earlier. */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / DAY_MS);
}

/** The day it is at a place at a moment. */
export function dateAt(atMs: number, timeZone: string): string {
  return dayOf(atMs + offsetMs(atMs, timeZone));
}

/** `HH:MM` on the wall at a place. */
export function wallTime(atMs: number, timeZone: string): string {
  return DateTime.fromMillis(atMs, { zone: timeZone }).toFormat("HH:mm");
}

/** Whether the runtime knows a zone by this name. */
export function isTimeZone(name: string): boolean {
  return (DateTime.local({ zone: name }).isValid && name.includes("/")) || name === "UTC";
}

/**
 * The moment the wall clock of a place shows `time` plus `afterMin` minutes, counted from `date`. A wall time that comes twice is the
 * first of the two; one that the clocks skip is the moment after the gap.
 * @param date YYYY-MM-DD @param time HH:MM @returns ms since 1970, UTC
 */
export function momentAt(date: string, time: string, afterMin: number, timeZone: string): number {
  const wallMs = Date.parse(`${date}T${time}:00Z`) + afterMin * 60_000;
  // A day on either side is past any change: every moment that shows this wall time has one of the two offsets.
  const [before, after] = [offsetMs(wallMs - DAY_MS, timeZone), offsetMs(wallMs + DAY_MS, timeZone)];
  if (before === after) return wallMs - before;
  const shown = [wallMs - before, wallMs - after].filter((atMs) => atMs + offsetMs(atMs, timeZone) === wallMs);
  if (shown.length > 0) return Math.min(...shown);
  return changeBetween(wallMs - after, wallMs - before, timeZone);
}

/** The moment the clocks change after `fromMs` and not after `toMs`; a gap is known to lie between them. */
function changeBetween(fromMs: number, toMs: number, timeZone: string): number {
  let [low, high] = [Math.floor(fromMs / QUARTER_MS), Math.ceil(toMs / QUARTER_MS)];
  const was = offsetMs(low * QUARTER_MS, timeZone);
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (offsetMs(middle * QUARTER_MS, timeZone) === was) low = middle;
    else high = middle;
  }
  return high * QUARTER_MS;
}

/** How far a place is ahead of UTC at a moment, ms. Asking the runtime is slow, and shifts ask it by the thousand. */
function offsetMs(atMs: number, timeZone: string): number {
  const key = `${timeZone} ${Math.floor(atMs / QUARTER_MS)}`;
  let offset = offsets.get(key);
  if (offset === undefined) {
    offset = IANAZone.create(timeZone).offset(atMs) * 60_000;
    if (offsets.size >= OFFSETS_KEPT) offsets.clear();
    offsets.set(key, offset);
  }
  return offset;
}

const offsets = new Map<string, number>();
const OFFSETS_KEPT = 20_000;

function dayOf(utcMs: number): string {
  return new Date(utcMs).toISOString().slice(0, 10);
}
