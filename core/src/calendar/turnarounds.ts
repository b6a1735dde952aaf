/** The time off between one shift and the next, for a crew that works both. */
import type { ShiftPattern } from "./shift-pattern";
import { shiftsFrom, type Shift } from "./shifts";
import { addDays } from "./wall-clock";

/**
 * Rest between two shifts, minutes: a return after less costs sleep (Vedaa et al., Ergonomics 2016; 59: 1–14), and the hands have not
 * rested either. The same 11 hours as Directive 2003/88/EC, article 3; local law may ask for more.
 */
export const LEAST_REST_MIN = 11 * 60;

export interface Turnaround {
  before: Shift;
  after: Shift;
  /** Whole minutes between them; below 0 the second begins before the first has ended. */
  restMin: number;
}

const minute = 60_000;

/** Where a shift follows another after less than LEAST_REST_MIN. @param shifts of one crew, in any order */
export function shortTurnarounds(shifts: readonly Shift[]): Turnaround[] {
  const inOrder = [...shifts].sort((a, b) => a.startMs - b.startMs);
  return inOrder
    .slice(1)
    .map((after, i) => ({ before: inOrder[i]!, after, restMin: Math.floor((after.startMs - inOrder[i]!.endMs) / minute) }))
    .filter(({ restMin }) => restMin < LEAST_REST_MIN);
}

/**
 * Those of a pattern by the wall clock: of one turn of its cycle into the next, and around the days that differ from it. What repeats,
 * the same two kinds of shift with the same rest, once, where it comes first.
 */
export function turnaroundsOf(pattern: ShiftPattern): Turnaround[] {
  const turn = shiftsFrom({ ...pattern, otherDays: [] }, "UTC", pattern.anchorDate, pattern.cycle.length + 1);
  const short = [
    ...shortTurnarounds(turn),
    ...(pattern.otherDays ?? []).flatMap(({ date }) => shortTurnarounds(shiftsFrom(pattern, "UTC", addDays(date, -1), 3))),
  ];
  const once = new Map<string, Turnaround>();
  for (const each of short) {
    const key = `${each.before.kind.id} ${each.after.kind.id} ${each.restMin}`;
    if (!once.has(key)) once.set(key, each);
  }
  return [...once.values()];
}
