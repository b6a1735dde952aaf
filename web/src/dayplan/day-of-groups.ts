/** Groups of one or several crews for a day, and what is to be placed for them. Pure: the dialog asks it at every change. */
import { mapValues } from "es-toolkit";
import {
  dayProblem,
  formGroups,
  hardMoments,
  joined,
  mostWithKit,
  REACH_MIN,
  ribbonOf,
  type DayProblem,
  type Group,
} from "@kind-grip/core/dayplan";
import type { Library } from "@kind-grip/core/library";
import { RAISED_STRAIN } from "@kind-grip/core/strain";
import type { CrewDay } from "./crew-day";

export interface PlannedDay {
  day: CrewDay;
  mostOffJob: number;
  /** As many groups, where the trainer says so; null for as few as the job and the kit allow. */
  groupCount: number | null;
  /** Groups the crew keeps, to be taken as they are: whoever is in none is left out. Null to form them anew. */
  kept?: readonly Group[] | null;
}

export interface DayOfGroups {
  problem: DayProblem;
  /** The same with windows wider by so many minutes. */
  withReach(addMin: number): DayProblem;
  /** In the order of the problem's groups. `whole`: its crew has no other. */
  groups: (Group & { day: CrewDay; whole: boolean })[];
  /** Groups the first crew needs at least. */
  needed: number;
}

/** @param options times of a stretch break a shift, sessions led at once, nothing before a moment, request id → pinned start */
export function dayOfGroups(
  library: Library,
  days: readonly PlannedDay[],
  { breaks, leaders, notBeforeMs, pinned }: { breaks: number; leaders: number; notBeforeMs: number; pinned: ReadonlyMap<string, number> },
): DayOfGroups {
  const made = days.map(({ day, mostOffJob, groupCount, kept = null }) => {
    const inSessions = day.sessions.map(({ session }) => session);
    const ids = day.people.map(({ id }) => id);
    const least = formGroups(ids, inSessions, Math.min(mostOffJob, mostWithKit(library, inSessions, day.crew.kit)));
    const formed = groupCount === null ? least : formGroups(ids, inSessions, mostOffJob, groupCount);
    return { day, mostOffJob, least, groups: kept ? present(kept, ids) : formed };
  });
  const withReach = (addMin: number) =>
    joined(
      made.map(({ day, mostOffJob, groups }) => {
        const asked = dayProblem(
          library,
          day.shift,
          groups,
          day.sessions.map(({ session, lengthSec }) => ({
            session,
            lengthMs: lengthSec * 1000,
            times: session.slot === "break" ? breaks : 1,
          })),
          { mostOffJob, leaders },
          {
            notBeforeMs,
            hardFrom: (g) => hardMoments(ribbonOf(day.shift, day.partsOf(groups[g]!.people)), RAISED_STRAIN),
            pinned,
            reach: mapValues(REACH_MIN, (min) => min + addMin),
          },
        );
        return { ...asked, requests: asked.requests.filter((request) => !wasLed(request.sessionId, groups[request.group]!, day.kept)) };
      }),
      leaders,
    );
  return {
    problem: withReach(0),
    withReach,
    groups: made.flatMap(({ day, groups }) =>
      groups.map((group) => ({ ...group, day, whole: groups.length === 1 && group.people.length === day.people.length })),
    ),
    needed: made[0]!.least.length,
  };
}

/** Kept groups with those of them who are here. */
function present(kept: readonly Group[], ids: readonly string[]): Group[] {
  return kept
    .map(({ name, people }) => ({ name, people: people.filter((id) => ids.includes(id)) }))
    .filter(({ people }) => people.length > 0);
}

/** What was led for everybody of a group already is not asked of them again. */
function wasLed(sessionId: string, group: Group, kept: CrewDay["kept"]): boolean {
  const led = kept.filter((each) => each.sessionId === sessionId);
  return group.people.every((id) => led.some(({ people }) => !people || people.includes(id)));
}
