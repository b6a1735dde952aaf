/** What a trainer asks of a day for groups, and the plan that answers it: every change plans the rest again round what is pinned. */
import { useMemo, useState } from "react";
import { v7 as uuid } from "uuid";
import type { CrewEntry, PersonEntry } from "@kind-grip/core/api";
import type { Shift } from "@kind-grip/core/calendar";
import { isHere } from "@kind-grip/core/crew";
import type { Placement, PlanGroup, SessionRequest } from "@kind-grip/core/dayplan";
import { useLibrary } from "../base/library";
import { meantFor, type CrewDay } from "./crew-day";
import { dayOfGroups } from "./day-of-groups";
import type { PlaceableSession } from "./placed";
import { useDayPlanner } from "./use-day-planner";
import { useJoinedCrews } from "./use-joined-crews";

export interface PlannedCrew {
  crew: CrewEntry;
  shifts: readonly Shift[];
  sessions: readonly PlaceableSession[];
  /** Who is in the crew or will be. */
  people: readonly PersonEntry[];
  /** Groups the crew keeps. */
  groups: readonly PlanGroup[];
  partsOf: CrewDay["partsOf"];
  now: number;
  today: string;
  placedOn(date: string): readonly Placement[];
  /** Placements of a day that were led already: they stay as they are. */
  keptOn(date: string): readonly Placement[];
}

/** How a day is to be planned; what changes it lets go of the pins, but for the leaders. */
export interface DayAsked {
  date: string;
  /** Ids of sessions that are left out. */
  left: ReadonlySet<string>;
  /** Stretch breaks a shift. */
  breaks: number;
  mostOffJob: number;
  leaders: number;
  /** Null for as few groups as the job and the kit allow. */
  groupCount: number | null;
  takesKept: boolean;
  fromNow: boolean;
}

export type PlanOfDay = ReturnType<typeof usePlanOfDay>;

export function usePlanOfDay({ crew, shifts, sessions, people, groups: keptGroups, partsOf, now, today, placedOn, keptOn }: PlannedCrew) {
  const library = useLibrary();
  /** Sessions that are not meant for a day as it is laid. */
  const notMeant = (on: string) => {
    const meant = meantFor(placedOn(on), sessions);
    return new Set(sessions.flatMap((each) => (meant.includes(each) ? [] : [each.session.id])));
  };
  const [asked, setAsked] = useState<DayAsked>(() => {
    const { date } = (shifts.find((shift) => shift.date >= today) ?? shifts[0])!;
    return {
      date,
      left: notMeant(date),
      breaks: 1,
      mostOffJob: crew.mostOffJob,
      leaders: 1,
      groupCount: null,
      takesKept: keptGroups.some((group) => group.people.length > 0),
      fromNow: true,
    };
  });
  const { date, left, breaks, mostOffJob, leaders, groupCount, takesKept, fromNow } = asked;
  const [pinned, setPinned] = useState<ReadonlyMap<string, number>>(new Map());
  const shift = shifts.find((each) => each.date === date)!;

  const there = useMemo(() => people.filter((person) => isHere(person, date)), [people, date]);

  const joined = useJoinedCrews();
  const { others } = joined;
  const begun = [shift, ...others.map((day) => day.shift)].some(({ startMs, endMs }) => startMs < now && now < endMs);
  // The same list as long as it says the same: the page works it out anew at every look.
  const keptNow = keptOn(date);
  const [kept, setKept] = useState(keptNow);
  if (keptNow.map(({ id }) => id).join() !== kept.map(({ id }) => id).join()) setKept(keptNow);

  // The moment matters to the minute only.
  const notBeforeMs = begun && fromNow ? Math.floor(now / 60_000) * 60_000 : 0;
  const { problem, withReach, groups, needed } = useMemo(() => {
    const own = { crew, shift, sessions: sessions.filter(({ session }) => !left.has(session.id)), people: there, partsOf, kept };
    return dayOfGroups(
      library,
      [
        { day: own, mostOffJob, groupCount, kept: takesKept ? keptGroups : null },
        ...others.map((day) => ({ day, mostOffJob: day.crew.mostOffJob, groupCount: null })),
      ],
      { breaks, leaders, notBeforeMs, pinned },
    );
  }, [
    crew,
    shift,
    sessions,
    there,
    partsOf,
    kept,
    library,
    mostOffJob,
    groupCount,
    others,
    breaks,
    leaders,
    notBeforeMs,
    pinned,
    left,
    takesKept,
    keptGroups,
  ]);
  const planned = useDayPlanner(problem, withReach);
  const { plan } = planned;

  const letGo = () => setPinned(new Map());
  const ask = (change: Partial<DayAsked>) => {
    setAsked({ ...asked, ...change });
    if (!("leaders" in change) && !("fromNow" in change)) letGo();
  };
  return {
    asked,
    ask,
    /** Another day: with its own sessions, by the crew alone. */
    askDay: (next: string) => {
      joined.leaveAll();
      ask({ date: next, left: notMeant(next) });
    },
    shift,
    /** Who is in the crew on that day. */
    there,
    /** Of those whoever is in none of the kept groups: nothing is planned for them. */
    ungrouped: there.filter(({ id }) => !groups.some(({ day, people: inGroup }) => day.crew.id === crew.id && inGroup.includes(id))),
    begun,
    kept,
    joined,
    problem,
    groups,
    needed,
    ...planned,
    pinned,
    letGo,
    pin: (request: SessionRequest, at: number) => setPinned(new Map(pinned).set(request.id, at)),
    togglePin: (request: SessionRequest) => {
      const next = new Map(pinned);
      if (next.has(request.id)) next.delete(request.id);
      else if (plan.has(request.id)) next.set(request.id, plan.get(request.id)!);
      setPinned(next);
    },
    /** What the plan places for one of the crews. */
    placementsOf: (crewId: string) =>
      problem.requests.flatMap((request): Placement[] => {
        const at = plan.get(request.id);
        const { day, name, people: inGroup, whole } = groups[request.group]!;
        if (at === undefined || day.crew.id !== crewId) return [];
        return [
          {
            id: uuid(),
            programId: day.sessions.find(({ session }) => session.id === request.sessionId)!.programId,
            sessionId: request.sessionId,
            startsAt: new Date(at).toISOString(),
            people: whole ? null : inGroup,
            groupName: whole ? null : name,
          },
        ];
      }),
  };
}
