/** A plan laid on the calendar: series where their kind of shift is, with the days that differ, beside what was placed once. Pure. */
import {
  addDays,
  dateAt,
  daysBetween,
  minutesOfDay,
  momentAt,
  shiftsFrom,
  wallTime,
  workingDay,
  type Shift,
  type ShiftPattern,
} from "../calendar";
import type { SlotKind } from "../session";
import { onGrid, type Placement } from "./placement";
import type { Series, SeriesDays, SeriesPlace, StandingPlan } from "./standing";

/** The shifts of a crew, and the clock they go by. */
export interface CrewCalendar {
  shiftPattern: ShiftPattern;
  timeZone: string;
}

/** A placement as it comes to be on a day. */
export interface LaidPlacement extends Placement {
  /** Null for one that was placed once. */
  seriesId: string | null;
  /** The working day it is of. */
  date: string;
  /** Was led, or was past when its series changed: it stays as it is. */
  kept: boolean;
}

export interface PlanParts {
  standing: StandingPlan;
  /** Placed once. */
  placements: readonly Placement[];
  /** Of series, from before they changed; they stand instead of what is laid now. */
  kept: readonly Placement[];
}

const minute = 60_000;
const DAY_ZERO = "2000-01-01";
/** A hundred years of them. */
const MOST_DAYS = 36_525;

/**
 * Every placement of the days, oldest first: series laid on them, and all that is given as placed once or kept, whatever their days.
 * @param fromDate YYYY-MM-DD @param days how many
 */
export function layPlan(
  { standing, placements, kept }: PlanParts,
  calendar: CrewCalendar,
  fromDate: string,
  days: number,
): LaidPlacement[] {
  const { shiftPattern, timeZone } = calendar;
  const once = [...placements, ...kept];
  const keptIds = new Map(kept.map(({ id }) => [id, seriesOfLaid(standing.series, id)?.id ?? null]));
  const dayOf = workingDays(calendar);
  const known = new Set(once.map(({ id }) => id));
  const shifts = shiftsFrom(shiftPattern, timeZone, fromDate, days);
  const laid = shifts.flatMap((shift) => laySeries(standing, calendar, shift).filter(({ id }) => !known.has(id)));
  const all = [
    ...once.map((each) => ({
      ...each,
      seriesId: keptIds.get(each.id) ?? null,
      date: dayOf(Date.parse(each.startsAt)),
      kept: keptIds.has(each.id),
    })),
    ...laid,
  ];
  return all
    .map((each) => ({ each, atMs: Date.parse(each.startsAt) }))
    .sort((a, b) => a.atMs - b.atMs || (a.each.id < b.each.id ? -1 : 1))
    .map(({ each }) => each);
}

/** The working day of a moment; the shifts around each day are worked out once. */
function workingDays({ shiftPattern, timeZone }: CrewCalendar): (atMs: number) => string {
  const around = new Map<string, Shift[]>();
  return (atMs) => {
    const date = dateAt(atMs, timeZone);
    let shifts = around.get(date);
    if (!shifts) around.set(date, (shifts = shiftsFrom(shiftPattern, timeZone, addDays(date, -1), 3)));
    return workingDay(shifts, atMs, timeZone);
  };
}

function laySeries({ groups, series }: StandingPlan, calendar: CrewCalendar, shift: Shift): LaidPlacement[] {
  const day = dayNumber(shift.date);
  return series.flatMap((each) => {
    if (!isOn(each, calendar.shiftPattern, shift)) return [];
    const startsAt = startIn(each, calendar.timeZone, shift);
    const group = each.groupId === null ? null : groups.find(({ id }) => id === each.groupId);
    if (startsAt === null || group === undefined || group?.people.length === 0) return [];
    const { id, programId, sessionId } = each;
    const whom = { people: group && [...group.people], groupName: group && group.name };
    return [{ id: idOn(id, day), programId, sessionId, startsAt, ...whom, seriesId: id, date: shift.date, kept: false }];
  });
}

/** Whether a shift is one of those a series is on, a day it is taken out of among them. */
export function isOn({ shift: kind, fromDate, untilDate, only }: Series, pattern: ShiftPattern, { date, kind: { id } }: Shift): boolean {
  return id === kind && date >= fromDate && (untilDate === null || date <= untilDate) && (only === null || isOfDays(only, pattern, date));
}

function isOfDays({ by, days }: SeriesDays, { anchorDate, cycle }: ShiftPattern, date: string): boolean {
  return days.includes(by === "weekday" ? weekdayOf(date) : cycleDayOf(date, anchorDate, cycle.length));
}

/** 1 is Monday. */
export function weekdayOf(date: string): number {
  return ((new Date(`${date}T00:00:00Z`).getUTCDay() + 6) % 7) + 1;
}

export function cycleDayOf(date: string, anchorDate: string, length: number): number {
  return ((daysBetween(anchorDate, date) % length) + length) % length;
}

function startIn({ at, otherDays }: Series, timeZone: string, shift: Shift): string | null {
  const other = otherDays.find(({ date }) => date === shift.date);
  if (other) return other.startsAt;
  const startMs = momentIn(at, shift, timeZone);
  return startMs === null ? null : new Date(startMs).toISOString();
}

/** The moment of a place in a shift, on the grid; null for a break the shift does not have. */
export function momentIn(at: SeriesPlace, shift: Shift, timeZone: string): number | null {
  switch (at.from) {
    case "start":
      return onGrid(wallMoment(shift, at.min, timeZone));
    case "end":
      return onGrid(shift.endMs - at.min * minute);
    case "break": {
      const pause = breakOf(shift, at.nr, timeZone);
      return pause ? onGrid(pause.startMs + at.min * minute) : null;
    }
  }
}

/** So many minutes after the start of a shift by the clock on the wall. While that does not change, there is nothing to look up. */
function wallMoment({ date, kind, startMs, clockChangeMin }: Shift, afterMin: number, timeZone: string): number {
  const isWithin = clockChangeMin === 0 && afterMin >= 0 && afterMin <= kind.lengthMin;
  return isWithin ? startMs + afterMin * minute : momentAt(date, kind.start, afterMin, timeZone);
}

function breakOf(shift: Shift, nr: number, timeZone: string) {
  const { kind, breaks, away } = shift;
  const pause = kind.breaks[nr];
  if (!pause) return undefined;
  const fromMs = wallMoment(shift, pause.afterMin, timeZone);
  return [...breaks, ...away].sort((a, b) => a.startMs - b.startMs).find(({ startMs }) => startMs >= fromMs);
}

/**
 * The place of a moment in a shift, as what kind of session is meant: before work by the start, after work by the end, a stretch break by
 * the break it lies in.
 */
export function placeIn(shift: Shift, startMs: number, slot: SlotKind, timeZone: string): SeriesPlace {
  if (slot === "postShift") return { from: "end", min: Math.round((shift.endMs - startMs) / minute) };
  const pause = slot === "break" ? shift.breaks.find((each) => startMs >= each.startMs && startMs < each.endMs) : undefined;
  const nr = pause
    ? shift.kind.breaks.findLastIndex(({ afterMin }) => momentAt(shift.date, shift.kind.start, afterMin, timeZone) <= pause.startMs)
    : -1;
  if (pause && nr >= 0) return { from: "break", nr, min: Math.round((startMs - pause.startMs) / minute) };
  return { from: "start", min: wallMinutes(shift, startMs, timeZone) };
}

/** From the start of a shift to a moment, as the clock on the wall shows it. */
function wallMinutes({ date, kind }: Shift, atMs: number, timeZone: string): number {
  return daysBetween(date, dateAt(atMs, timeZone)) * 1440 + minutesOfDay(wallTime(atMs, timeZone)) - minutesOfDay(kind.start);
}

/** The id of what a series is on a day: its own, with the day written into the last 32 bits. */
export function laidId(seriesId: string, date: string): string {
  return idOn(seriesId, dayNumber(date));
}

function idOn(seriesId: string, day: number): string {
  const last = parseInt(seriesId.slice(-8), 16) ^ day;
  return seriesId.slice(0, -8) + (last >>> 0).toString(16).padStart(8, "0");
}

/** From 1: with none, the id would be that of the series. */
function dayNumber(date: string): number {
  return daysBetween(DAY_ZERO, date) + 1;
}

/** The series a laid placement is of. */
export function seriesOfLaid<S extends Pick<Series, "id">>(series: readonly S[], placementId: string): S | undefined {
  return series.find(({ id }) => id.slice(0, -8) === placementId.slice(0, -8) && id !== placementId);
}

/** The day a series' placement is of, by its id; undefined for an id that names none. */
function dateOfLaid(seriesId: string, placementId: string): string | undefined {
  const days = ((parseInt(seriesId.slice(-8), 16) ^ parseInt(placementId.slice(-8), 16)) >>> 0) - 1;
  return days >= 0 && days <= MOST_DAYS ? addDays(DAY_ZERO, days) : undefined;
}

/** What a series is on the day its placement's id names; undefined when it is not on that day (any more). */
export function laidById(standing: StandingPlan, calendar: CrewCalendar, placementId: string): LaidPlacement | undefined {
  const of = seriesOfLaid(standing.series, placementId);
  const date = of && dateOfLaid(of.id, placementId);
  if (!of || !date) return undefined;
  return shiftsFrom(calendar.shiftPattern, calendar.timeZone, date, 1)
    .flatMap((shift) => laySeries({ ...standing, series: [of] }, calendar, shift))
    .find(({ id }) => id === placementId);
}
