/** When people are reminded: so long before a session as they want it, and not while they are off and may be asleep. Pure. */
import type { Shift } from "../calendar";

/** Minutes before a session that can be chosen. */
export const REMIND_MINUTES = [10, 20, 30, 60] as const;

/**
 * From so long before a shift until its end, and before a session they come to on a day off, somebody may be written to, minutes; the rest
 * of the day and night is theirs. Practice rule.
 */
export const AWAKE_BEFORE_MIN = 120;

const minute = 60_000;

/**
 * The first moment from `atMs` on that is not in quiet hours, but never after the session has begun.
 * @param shifts of the days around `atMs`, in any order; those far ahead may be missing @param startMs of the session
 */
export function quietUntil(shifts: readonly Shift[], startMs: number, atMs: number): number {
  const awakeFor = (fromMs: number, untilMs: number) => ({ fromMs: fromMs - AWAKE_BEFORE_MIN * minute, untilMs });
  // Without a shift near it, it is the session they are up for: held until it begins, a reminder would be none.
  const openings = [...shifts.map((shift) => awakeFor(shift.startMs, shift.endMs)), awakeFor(startMs, startMs)];
  if (openings.some(({ fromMs, untilMs }) => fromMs <= atMs && atMs < untilMs)) return atMs;
  const next = Math.min(...openings.flatMap(({ fromMs }) => (fromMs > atMs ? [fromMs] : [])));
  return Math.max(atMs, Math.min(next, startMs));
}
