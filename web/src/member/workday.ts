/** Which day it is for whoever works at night: after midnight still the one the shift began on. */
import { dateAt, workingDay } from "@kind-grip/core/calendar";
import type { MemberDay } from "@kind-grip/core/api";

type Shifts = Pick<MemberDay, "shifts" | "crew">;

const spansOf = ({ shifts }: Shifts) =>
  shifts.map(({ date, startsAt, endsAt }) => ({ date, startMs: Date.parse(startsAt), endMs: Date.parse(endsAt) }));

/** The working day of a moment: of a session, and of the morning's question, which is not asked again before there was a night's rest. */
export function workdayAt(day: Shifts, atMs: number): string {
  return workingDay(spansOf(day), atMs, day.crew.timeZone);
}

/** What "today" is called on the page: the day of the shift that is on, the calendar's otherwise. */
export function todayAt(day: Shifts, atMs: number): string {
  const on = spansOf(day).find(({ startMs, endMs }) => startMs <= atMs && atMs < endMs);
  return on?.date ?? dateAt(atMs, day.crew.timeZone);
}
