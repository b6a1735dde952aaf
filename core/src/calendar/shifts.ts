/** Real shifts: a pattern laid on the calendar of a place, in moments of the world clock. */
import { LONGEST_BREAK_MIN, type ShiftKind, type ShiftPattern } from "./shift-pattern";
import { addDays, dateAt, daysBetween, momentAt } from "./wall-clock";

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

const minute = 60_000;

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

/** How far before its start or after its end a moment still belongs to a shift, minutes. */
export const SHIFT_REACH_MIN = 120;

/**
 * The shift a moment belongs to: the one it lies in, or else the nearest that is not further than SHIFT_REACH_MIN away; of two equally
 * near the one about to begin. The only rule there is for this.
 * @param shifts in any order, those of the days around
 */
export function shiftOf<S extends Span>(shifts: readonly S[], atMs: number): S | undefined {
  const within = shifts.find(({ startMs, endMs }) => startMs <= atMs && atMs < endMs);
  if (within) return within;
  const away = ({ startMs, endMs }: S) => (atMs < startMs ? startMs - atMs : atMs - endMs);
  return shifts.filter((shift) => away(shift) <= SHIFT_REACH_MIN * minute).sort((a, b) => away(a) - away(b) || b.startMs - a.startMs)[0];
}

/** The working day a moment belongs to: that of its shift, or else the day it is at the place. */
export function workingDay(shifts: readonly (Span & { date: string })[], atMs: number, timeZone: string): string {
  return shiftOf(shifts, atMs)?.date ?? dateAt(atMs, timeZone);
}

/** The working day a moment belongs to by a pattern; after midnight in a night shift the day it began on. */
export function workingDayAt(pattern: ShiftPattern, timeZone: string, atMs: number): string {
  return workingDay(shiftsAround(pattern, timeZone, atMs), atMs, timeZone);
}

/** The shifts that a moment can belong to: those of its day, the day before and the day after. */
export function shiftsAround(pattern: ShiftPattern, timeZone: string, atMs: number): Shift[] {
  return shiftsFrom(pattern, timeZone, addDays(dateAt(atMs, timeZone), -1), 3);
}

function shiftKindOn(pattern: ShiftPattern, date: string): ShiftKind | undefined {
  const other = pattern.otherDays?.find((each) => each.date === date);
  if (other) return pattern.shifts.find((shift) => shift.id === other.shift);
  const length = pattern.cycle.length;
  const id = pattern.cycle[((daysBetween(pattern.anchorDate, date) % length) + length) % length];
  return pattern.shifts.find((shift) => shift.id === id);
}

function shiftOn(kind: ShiftKind, timeZone: string, date: string): Shift {
  const at = (afterMin: number) => momentAt(date, kind.start, afterMin, timeZone);
  const startMs = at(0);
  const endMs = endOf(kind, startMs, at(kind.lengthMin));
  const pauses = pausesOf(kind, at, startMs, endMs);
  return {
    date,
    kind,
    startMs,
    endMs,
    breaks: pauses.filter(({ isAway }) => !isAway).map(({ span }) => span),
    away: pauses.filter(({ isAway }) => isAway).map(({ span }) => span),
    clockChangeMin: Math.round((endMs - startMs) / minute) - kind.lengthMin,
  };
}

/** By the wall clock; a shift that the clocks skip half of or more keeps its real length. */
function endOf({ lengthMin }: ShiftKind, startMs: number, wallEndMs: number): number {
  return wallEndMs - startMs > (lengthMin * minute) / 2 ? wallEndMs : startMs + lengthMin * minute;
}

/**
 * A break begins by the wall clock and keeps its real length when the clocks change; whoever is away in a split shift comes back by the
 * wall clock. None overlaps the one before, none reaches over the end.
 */
function pausesOf(kind: ShiftKind, at: (afterMin: number) => number, startMs: number, endMs: number): { isAway: boolean; span: Span }[] {
  let free = startMs;
  return kind.breaks.flatMap(({ afterMin, lengthMin }) => {
    const isAway = lengthMin > LONGEST_BREAK_MIN;
    const from = Math.max(free, at(afterMin));
    const until = Math.min(endMs, isAway ? Math.max(from, at(afterMin + lengthMin)) : from + lengthMin * minute);
    if (until <= from) return [];
    free = until;
    return [{ isAway, span: { startMs: from, endMs: until } }];
  });
}
