/** What a week shows of whom: whose sessions, of which crew or person, and what clashes among them. Pure. */
import type { OwnWeek, OwnWeekEntry } from "@kind-grip/core/api";
import { isHere, type Person } from "@kind-grip/core/crew";
import { leaderClashes, type LeaderClash } from "@kind-grip/core/dayplan";

export interface WeekFilter {
  /** Null for everybody's. */
  leaderId: string | null;
  crewId: string | null;
  personId: string | null;
  /** Of that person, once it is known: on days they are not in the crew nothing is theirs. */
  days?: Pick<Person, "startedOn" | "leftOn">;
}

/** Of all places in the week, shown or not: a time is told alike whatever is looked at. */
export const zonesOf = ({ entries }: OwnWeek): string[] => [...new Set(entries.map(({ timeZone }) => timeZone))];

export function shownEntries({ entries }: OwnWeek, { leaderId, crewId, personId, days }: WeekFilter): OwnWeekEntry[] {
  return entries.filter(
    (each) =>
      (leaderId === null || each.leaderId === leaderId) &&
      (crewId === null || each.crewId === crewId) &&
      (personId === null || !each.groupPeople || each.groupPeople.includes(personId)) &&
      (!days || isHere(days, each.date)),
  );
}

/** Of what is still to be led: how somebody managed two at once last week is over. */
export function clashesOfWeek({ entries, ways }: OwnWeek, now: number): LeaderClash[] {
  const ahead = entries.filter(({ runId, startsAt, totalSec }) => runId === null && Date.parse(startsAt) + totalSec * 1000 > now);
  const sessions = ahead.map(({ placementId, leaderId, place, startsAt, totalSec }) => {
    const startMs = Date.parse(startsAt);
    return { id: placementId, leaderId, place, startMs, endMs: startMs + totalSec * 1000 };
  });
  return leaderClashes(sessions, ways);
}

/** Past by more than half an hour and not led. */
export function isUnled({ startsAt, totalSec, runId }: OwnWeekEntry, now: number): boolean {
  return runId === null && Date.parse(startsAt) + totalSec * 1000 + UNLED_AFTER_MS < now;
}

const UNLED_AFTER_MS = 30 * 60_000;

/** Places of the crews, two by two: what ways can be entered. */
export function pairsOfPlaces(entries: readonly OwnWeekEntry[]): [string, string][] {
  const places = [...new Set(entries.map(({ place }) => place.trim()))].sort((a, b) => a.localeCompare(b));
  return places.flatMap((a, i) => places.slice(i + 1).map((b): [string, string] => [a, b]));
}
