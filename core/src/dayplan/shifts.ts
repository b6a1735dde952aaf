/** Real shifts: a pattern laid on the calendar of a place, in moments of the world clock. */
import { DateTime, IANAZone } from "luxon";
import { LONGEST_BREAK_MIN, type ShiftKind, type ShiftPattern } from "./shift-pattern";

export interface Span {
  startMs: number;
  endMs: number;
}

export interface Shift extends Span {
  /** Day the shift starts on, at the crew's place. */
  date: string;
  kind: ShiftKind;
  breaks: Span[];
  /** Time between the parts of a split shift: nobody is there. */
  away: Span[];
  /** Minutes the clock change adds to (+) or takes from (−) the shift; 0 on ordinary days. */
  clockChangeMin: number;
}

/** Shifts that start on the `days` days from `fromDate` on, in order. */
export function shiftsFrom(pattern: ShiftPattern, timeZone: string, fromDate: string, days: number): Shift[] {
  const shifts: Shift[] = [];
  for (let i = 0; i < days; i++) {
    const date = addDays(fromDate, i);
    const kind = shiftKindOn(pattern, date);
    if (kind) shifts.push(shiftOn(kind, timeZone, date));
  }
  return shifts;
}

/** Monday of the week a day lies in. */
export function mondayOf(date: string): string {
  const weekday = (new Date(`${date}T00:00:00Z`).getUTCDay() + 6) % 7;
  return addDays(date, -weekday);
}

export function addDays(date: string, days: number): string {
  return dayOf(Date.parse(`${date}T00:00:00Z`) + days * 86_400_000);
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

function shiftKindOn(pattern: ShiftPattern, date: string): ShiftKind | undefined {
  const other = pattern.otherDays?.find((each) => each.date === date);
  if (other) return pattern.shifts.find((shift) => shift.id === other.shift);
  const day = Math.round((Date.parse(`${date}T00:00:00Z`) - Date.parse(`${pattern.anchorDate}T00:00:00Z`)) / 86_400_000);
  const length = pattern.cycle.length;
  const id = pattern.cycle[((day % length) + length) % length];
  return pattern.shifts.find((shift) => shift.id === id);
}

function shiftOn(kind: ShiftKind, timeZone: string, date: string): Shift {
  const at = (afterMin: number) => wallClock(date, kind.start, afterMin, timeZone);
  const startMs = at(0);
  const endMs = at(kind.lengthMin);
  const spans = (of: ShiftKind["breaks"]) =>
    of.map((pause) => ({ startMs: at(pause.afterMin), endMs: at(pause.afterMin + pause.lengthMin) }));
  return {
    date,
    kind,
    startMs,
    endMs,
    breaks: spans(kind.breaks.filter(({ lengthMin }) => lengthMin <= LONGEST_BREAK_MIN)),
    away: spans(kind.breaks.filter(({ lengthMin }) => lengthMin > LONGEST_BREAK_MIN)),
    clockChangeMin: Math.round((endMs - startMs) / 60_000) - kind.lengthMin,
  };
}

/** The moment the wall clock shows `start` plus `afterMin` minutes; a time the clocks skip moves on by the skipped hour. */
function wallClock(date: string, start: string, afterMin: number, timeZone: string): number {
  const wallMs = Date.parse(`${date}T${start}:00Z`) + afterMin * 60_000;
  // The offset is that of the moment looked for: guessed, and guessed again from there. Two that disagree lie on both sides of a skip.
  const first = offsetMs(wallMs, timeZone);
  const second = offsetMs(wallMs - first, timeZone);
  if (first === second) return wallMs - first;
  const third = offsetMs(wallMs - second, timeZone);
  return wallMs - (second === third ? second : Math.min(second, third));
}

/** How far a place is ahead of UTC at a moment, ms. Asking the runtime is slow, and shifts ask it by the thousand. */
function offsetMs(atMs: number, timeZone: string): number {
  // No zone changes its offset but on a quarter of an hour.
  const key = `${timeZone} ${Math.floor(atMs / 900_000)}`;
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
