/** What of a standing plan does not work out on the calendar ahead, each with the smallest mend. Pure. */
import type { ShiftPattern, Shift } from "../calendar";
import type { Library } from "../library";
import { clashesOf, type Clash, type Placed } from "./clashes";
import { GRID_MIN } from "./placement";
import { SPACING } from "./rules";
import type { PlanGroup, Series, StandingPlan } from "./standing";

/** Why a series is nowhere any more. */
export type SeriesBreak = "noSuchShift" | "noSuchBreak" | "noSuchSession" | "emptyGroup";

export interface BrokenSeries {
  series: Series;
  why: SeriesBreak;
}

/** What a plan stands on: sessions there are, and who is in the crew or will be, also while they are held out. */
export interface StandsOn {
  sessionIds: ReadonlySet<string>;
  memberIds: ReadonlySet<string>;
}

/** Series that are to go on and are laid on no day, or for nobody: what they stand on is gone. @param today series that ended before are over */
export function brokenSeries({ groups, series }: StandingPlan, { shifts }: ShiftPattern, on: StandsOn, today: string): BrokenSeries[] {
  return series
    .filter(({ untilDate }) => untilDate === null || untilDate >= today)
    .flatMap((each): BrokenSeries[] => {
      const why = whyBroken(each, groups, shifts, on);
      return why ? [{ series: each, why }] : [];
    });
}

function whyBroken(
  { shift, at, sessionId, groupId }: Series,
  groups: readonly PlanGroup[],
  shifts: ShiftPattern["shifts"],
  { sessionIds, memberIds }: StandsOn,
): SeriesBreak | null {
  const kind = shifts.find(({ id }) => id === shift);
  if (!sessionIds.has(sessionId)) return "noSuchSession";
  if (!kind) return "noSuchShift";
  if (at.from === "break" && !kind.breaks[at.nr]) return "noSuchBreak";
  return groupId !== null && groups.find(({ id }) => id === groupId)?.people.every((id) => !memberIds.has(id)) ? "emptyGroup" : null;
}

/** People who are of no group while something goes on that is for groups only. */
export function withoutAGroup({ groups, series }: StandingPlan, people: readonly string[], today: string): string[] {
  const goesOn = series.some(({ groupId, untilDate }) => groupId !== null && (untilDate === null || untilDate >= today));
  const named = new Set(groups.flatMap((group) => group.people));
  return goesOn ? people.filter((id) => !named.has(id)) : [];
}

/** A day ahead on which sessions do not go together. */
export interface BrokenDay {
  clash: Clash;
  /** The placement to move or to take out. */
  placementId: string;
  /** The nearest moment at which nothing clashes; null where there is none on that shift: it is taken out. */
  startMs: number | null;
}

const minute = 60_000;
/** Days whose sessions can have to do with one another: a recovery of 20 h, three days of strengthening a week. */
const NEAR_MS = 8 * 24 * 60 * minute;

/**
 * Every clash that stops, from a day on, with the smallest mend: the later session on the nearest moment of its shift at which it clashes
 * with nothing and is no worse placed than it was, or off that day.
 * @param placed of all days that matter, in any order @param mayMove false for what was led or is past
 */
export function brokenDays(
  library: Library,
  placed: readonly Placed[],
  shifts: readonly Shift[],
  timeZone: string,
  fromDate: string,
  mayMove: (placementId: string) => boolean,
): BrokenDay[] {
  const all = clashesOf(library, placed, shifts, timeZone);
  return all
    .filter(({ weight, date }) => weight === "stop" && date >= fromDate)
    .flatMap((clash): BrokenDay[] => {
      const placementId = clash.placementIds.findLast(mayMove);
      const own = placed.find(({ id }) => id === placementId);
      if (!placementId || !own) return [];
      return [{ clash, placementId, startMs: MOVES.has(clash.kind) ? nearestFree(library, own, placed, shifts, timeZone) : null }];
    });
}

/** Clashes that another moment of the same shift can mend. */
const MOVES: ReadonlySet<Clash["kind"]> = new Set(["overlap", "sameKindTooClose", "strengthenTooClose"]);

function nearestFree(library: Library, own: Placed, placed: readonly Placed[], shifts: readonly Shift[], timeZone: string): number | null {
  const shift = shifts.find(
    ({ startMs, endMs }) => own.startMs >= startMs - SPACING.nearShiftMin * minute && own.startMs <= endMs + SPACING.nearShiftMin * minute,
  );
  if (!shift) return null;
  const near = placed.filter(({ id, startMs }) => id !== own.id && Math.abs(startMs - own.startMs) <= NEAR_MS);
  const around = shifts.filter(({ startMs }) => Math.abs(startMs - own.startMs) <= NEAR_MS);
  const lengthMs = own.endMs - own.startMs;
  const notes = (at: Placed) => {
    const about = clashesOf(library, [...near, at], around, timeZone).filter(({ placementIds }) => placementIds.includes(own.id));
    return about.some(({ weight }) => weight === "stop") ? Infinity : about.length;
  };
  const notesNow = clashesOf(library, [own], around, timeZone).filter(({ placementIds }) => placementIds.includes(own.id)).length;
  const most = Math.ceil((shift.endMs - shift.startMs) / (GRID_MIN * minute));
  for (let step = 1; step <= most; step++)
    for (const by of [step, -step]) {
      const startMs = own.startMs + by * GRID_MIN * minute;
      if (startMs < shift.startMs - SPACING.nearShiftMin * minute || startMs + lengthMs > shift.endMs + SPACING.nearShiftMin * minute)
        continue;
      if (notes({ ...own, startMs, endMs: startMs + lengthMs }) <= notesNow) return startMs;
    }
  return null;
}
