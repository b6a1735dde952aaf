/** Everything planning a day needs of a crew, gathered once: its shift, sessions, people, work, and what is placed already. */
import { isHere } from "@kind-grip/core/crew";
import { addDays, mondayOf, shiftOf, shiftsFrom, type Shift } from "@kind-grip/core/calendar";
import { layPlan, type LaidPlacement, type Placement, type RibbonPart } from "@kind-grip/core/dayplan";
import { notHeldOut } from "@kind-grip/core/safety";
import type { Library } from "@kind-grip/core/library";
import type { CrewEntry, PersonEntry, WeekPlanEntry } from "@kind-grip/core/api";
import { todayApi } from "../today/api";
import { dayPlanApi } from "./api";
import { safetyApi } from "../safety/api";
import { workApi, workDone } from "../work/api";
import { crewApi } from "../crew/api";
import { programApi } from "../program/api";
import type { AppDispatch } from "../base/store";
import { participationsFrom } from "../safety/use-participations";
import { placeableSessions, type PlaceableSession } from "./placed";
import { ribbonParts } from "./work-ribbon";

export interface CrewDay {
  crew: CrewEntry;
  shift: Shift;
  sessions: readonly PlaceableSession[];
  people: readonly PersonEntry[];
  /** What some people's hands do along the shift. */
  partsOf(personIds: readonly string[]): readonly RibbonPart[];
  /** Led already: they stay. */
  kept: readonly Placement[];
}

/** A crew's day read from the server, with its week as it is stored. */
export interface OtherDay extends CrewDay {
  week: WeekPlanEntry;
}

/** Shifts of other crews on a day that meet a shift: planning them together is worth something. */
export function meeting(crews: readonly CrewEntry[], own: CrewEntry, shift: Shift): { crew: CrewEntry; shift: Shift }[] {
  return crews.flatMap((crew) => {
    if (crew.id === own.id) return [];
    const theirs = shiftsFrom(crew.shiftPattern, crew.timeZone, shift.date, 1)[0];
    return theirs && theirs.startMs < shift.endMs && theirs.endMs > shift.startMs ? [{ crew, shift: theirs }] : [];
  });
}

/**
 * @param anew what is known already is asked for again
 * @throws whatever the server says when it cannot be read
 */
export async function readCrewDay(
  library: Library,
  dispatch: AppDispatch,
  crew: CrewEntry,
  shift: Shift,
  { anew }: { anew: boolean },
): Promise<OtherDay> {
  const fresh = { forceRefetch: anew, subscribe: false } as const;
  const [programList, everybody, itsWork, may, week, todays] = await Promise.all([
    dispatch(programApi.endpoints.programs.initiate(crew.id, fresh)).unwrap(),
    dispatch(crewApi.endpoints.people.initiate(crew.id, fresh)).unwrap(),
    dispatch(workApi.endpoints.work.initiate(crew.id, fresh)).unwrap(),
    dispatch(safetyApi.endpoints.participation.initiate(crew.id, fresh)).unwrap(),
    dispatch(dayPlanApi.endpoints.weekPlan.initiate({ crewId: crew.id, weekStart: mondayOf(shift.date) }, fresh)).unwrap(),
    dispatch(todayApi.endpoints.today.initiate(undefined, fresh)).unwrap(),
  ]);
  const participations = participationsFrom(may);
  const here = notHeldOut(
    everybody.filter((person) => isHere(person, shift.date)),
    participations,
  );
  const placed = inShift(laidOf(week, crew, shift), crew, shift);
  const led = new Set(todays.entries.flatMap(({ runId, placementId }) => (runId ? [placementId] : [])));
  return {
    crew,
    shift,
    sessions: meantFor(
      placed,
      placeableSessions(
        library,
        programList,
        here.map(({ id }) => id),
        participations,
      ),
    ),
    people: here,
    partsOf: (personIds) => ribbonParts(workDone(itsWork), personIds),
    kept: placed.filter(({ id }) => led.has(id)),
    week,
  };
}

/** What a day is meant to have: the sessions placed on it already, or all when nothing is. */
export function meantFor(placed: readonly Placement[], sessions: readonly PlaceableSession[]): PlaceableSession[] {
  const on = sessions.filter(({ session }) => placed.some(({ sessionId }) => sessionId === session.id));
  return on.length > 0 ? on : [...sessions];
}

/** What a stored week comes to around a shift. */
export function laidOf({ standing, placements, kept }: WeekPlanEntry, crew: CrewEntry, { date }: Shift): LaidPlacement[] {
  return layPlan({ standing, placements, kept }, crew, addDays(date, -1), 3);
}

/** The placements that belong to a shift of a crew. */
export function inShift<P extends Placement>(
  placements: readonly P[],
  { shiftPattern, timeZone }: Pick<CrewEntry, "shiftPattern" | "timeZone">,
  { date, startMs }: Shift,
): P[] {
  const around = shiftsFrom(shiftPattern, timeZone, addDays(date, -1), 3);
  return placements.filter(({ startsAt }) => shiftOf(around, Date.parse(startsAt))?.startMs === startMs);
}
