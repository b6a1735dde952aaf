/** What a trainer does to a plan, each as a change of the whole of it: same plan, same act, same plan afterwards. */
import { addDays, shiftsFrom, type Shift } from "../calendar";
import { isOn, momentIn, placeIn, type CrewCalendar, type LaidPlacement } from "./lay";
import type { SlotKind } from "../session";
import type { Placement } from "./placement";
import type { PlanGroup, Series, SeriesDays, SeriesPlace, StandingPlan } from "./standing";

/** A week as it is edited: what was placed once in it, and the crew's standing plan. */
export interface WeekPlanned {
  standing: StandingPlan;
  placements: readonly Placement[];
}

type Plan = WeekPlanned;

const withSeries = (plan: Plan, series: Series[]): Plan => ({ ...plan, standing: { ...plan.standing, series } });
const withGroups = (plan: Plan, groups: PlanGroup[]): Plan => ({ ...plan, standing: { ...plan.standing, groups } });
const eachSeries = (plan: Plan, change: (series: Series) => readonly Series[]): Plan =>
  withSeries(plan, plan.standing.series.flatMap(change));

/** Placed once, for everybody or for who is named. */
export function placedOnce(plan: Plan, ...placements: Placement[]): Plan {
  return { ...plan, placements: [...plan.placements, ...placements] };
}

/**
 * Adds a series. What was placed once at the moments it now has, the same session for the same people, is that series' from then on.
 * @param led ids of placements that were led: they stay
 */
export function placedEvery(plan: Plan, series: Series, calendar: CrewCalendar, led: ReadonlySet<string> = new Set()): Plan {
  const isItsOwn = (each: Placement) =>
    !led.has(each.id) &&
    each.sessionId === series.sessionId &&
    each.programId === series.programId &&
    isAt(series, calendar, each.startsAt);
  const same = (each: Placement) =>
    samePeople(
      each,
      plan.standing.groups.find(({ id }) => id === series.groupId),
    );
  return {
    placements: plan.placements.filter((each) => !isItsOwn(each) || !same(each)),
    standing: { ...plan.standing, series: [...plan.standing.series, series] },
  };
}

function samePeople({ people }: Placement, group: PlanGroup | undefined): boolean {
  if (!people || !group) return !people && !group;
  return people.length === group.people.length && people.every((id) => group.people.includes(id));
}

function isAt(series: Series, { shiftPattern, timeZone }: CrewCalendar, startsAt: string): boolean {
  const atMs = Date.parse(startsAt);
  return shiftsFrom(shiftPattern, timeZone, addDays(startsAt.slice(0, 10), -2), 4).some(
    (shift) => isOn(series, shiftPattern, shift) && momentIn(series.at, shift, timeZone) === atMs,
  );
}

/** Another moment on that day only. */
export function movedOnce(plan: Plan, laid: LaidPlacement, startsAt: string): Plan {
  if (laid.kept) return plan;
  if (laid.seriesId === null)
    return { ...plan, placements: plan.placements.map((each) => (each.id === laid.id ? { ...each, startsAt } : each)) };
  return eachSeries(plan, (each) => [each.id === laid.seriesId ? differing(each, laid.date, startsAt) : each]);
}

function differing(series: Series, date: string, startsAt: string | null): Series {
  return { ...series, otherDays: [...series.otherDays.filter((day) => day.date !== date), { date, startsAt }] };
}

/** As the series has it again on that day. */
export function likeTheOthers(plan: Plan, laid: LaidPlacement): Plan {
  return eachSeries(plan, (each) =>
    each.id === laid.seriesId ? [{ ...each, otherDays: each.otherDays.filter(({ date }) => date !== laid.date) }] : [each],
  );
}

/** Not on that day. */
export function takenOutOnce(plan: Plan, ...laid: LaidPlacement[]): Plan {
  return laid.reduce((before, each) => {
    if (each.kept) return before;
    if (each.seriesId === null) return { ...before, placements: before.placements.filter(({ id }) => id !== each.id) };
    return eachSeries(before, (series) => [series.id === each.seriesId ? differing(series, each.date, null) : series]);
  }, plan);
}

/**
 * Changes a series from a day on. What it was before that day stays as it was; days that differ from then on go with it, but for those
 * `change` says otherwise of.
 * @param newId of the series from that day on, where there are days before it
 */
export function changedFrom(plan: Plan, seriesId: string, date: string, newId: string, change: (series: Series) => Series): Plan {
  return eachSeries(plan, (each) => {
    if (each.id !== seriesId) return [each];
    const before = endedBefore(each, date);
    const later = change({
      ...each,
      fromDate: each.fromDate > date ? each.fromDate : date,
      otherDays: each.otherDays.filter((day) => day.date >= date),
    });
    return before ? [before, { ...later, id: newId }] : [later];
  });
}

/** Another place in every such shift from that day on, that day too. */
export function movedEvery(plan: Plan, laid: LaidPlacement, at: SeriesPlace, newId: string): Plan {
  if (laid.seriesId === null) return plan;
  return changedFrom(plan, laid.seriesId, laid.date, newId, (series) => ({
    ...series,
    at,
    otherDays: series.otherDays.filter(({ date }) => date !== laid.date),
  }));
}

/** On other days from that day on. */
export function onlyOn(plan: Plan, laid: LaidPlacement, only: SeriesDays | null, newId: string): Plan {
  if (laid.seriesId === null) return plan;
  return changedFrom(plan, laid.seriesId, laid.date, newId, (series) => ({ ...series, only }));
}

/** Not from that day on. */
export function takenOutEvery(plan: Plan, { seriesId, date }: LaidPlacement): Plan {
  return eachSeries(plan, (each) => (each.id === seriesId ? listed(endedBefore(each, date)) : [each]));
}

/** @param untilDate its last day; null for as long as nobody ends it */
export function lasting(plan: Plan, seriesId: string, untilDate: string | null): Plan {
  return eachSeries(plan, (each) => {
    if (each.id !== seriesId) return [each];
    return untilDate !== null && untilDate < each.fromDate ? [] : [{ ...each, untilDate }];
  });
}

const listed = <T>(one: T | null): T[] => (one === null ? [] : [one]);

/** What is left of a series before a day; null when that is nothing. */
function endedBefore(series: Series, date: string): Series | null {
  const last = addDays(date, -1);
  if (series.fromDate > last) return null;
  const untilDate = series.untilDate !== null && series.untilDate < last ? series.untilDate : last;
  return { ...series, untilDate, otherDays: series.otherDays.filter((day) => day.date <= untilDate) };
}

/** A session of a program, as series name it. */
export interface SessionOfProgram {
  programId: string;
  sessionId: string;
}

/**
 * Series go on with the sessions of another program from a day on: a new block in the place of the one before.
 * @param nextOf what comes in the place of a session; null where nothing does, and it stays
 */
export function goingOnWith(
  plan: Plan,
  date: string,
  nextOf: (session: SessionOfProgram) => SessionOfProgram | null,
  newId: () => string,
): Plan {
  return plan.standing.series.reduce((before, series) => {
    const next = series.untilDate === null || series.untilDate >= date ? nextOf(series) : null;
    // Another leader may not have been shown the other session.
    return next ? changedFrom(before, series.id, date, newId(), (each) => ({ ...each, ...next, leaderId: null })) : before;
  }, plan);
}

/** A day as it was planned, instead of what was to be on it. @param onDay what is laid on it; what is kept or was led stays */
export function dayInstead(plan: Plan, onDay: readonly LaidPlacement[], led: ReadonlySet<string>, placements: readonly Placement[]): Plan {
  return placedOnce(takenOutOnce(plan, ...onDay.filter(({ id }) => !led.has(id))), ...placements);
}

/** A planned day as the pattern of its kind of shift from a day on: the series of that kind end before it. */
export function patternFrom(plan: Plan, shift: string, date: string, series: readonly Series[], groups: readonly PlanGroup[]): Plan {
  const before = eachSeries(plan, (each) => (each.shift === shift ? listed(endedBefore(each, date)) : [each]));
  const inUse = new Set([...before.standing.series, ...series].flatMap(({ groupId }) => groupId ?? []));
  const named = new Set(groups.flatMap(({ people }) => people));
  // A person is of one group: older groups give up whom the new ones name, and go when nothing is for them.
  const older = before.standing.groups
    .filter(({ id }) => !groups.some((group) => group.id === id))
    .map((group) => ({ ...group, people: group.people.filter((id) => !named.has(id)) }))
    .filter(({ id }) => inUse.has(id));
  return { ...before, standing: { groups: [...older, ...groups], series: [...before.standing.series, ...series] } };
}

/**
 * Copies what was placed once in another week: each to the same weekday of this one, as far into its shift. Series need no copying.
 * @param source as laid there @param shiftsThere and here, of the two weeks @param days from there to here
 * @returns the plan, and what found no shift
 */
export function copiedWeek(
  plan: Plan,
  source: readonly LaidPlacement[],
  shiftsThere: readonly Shift[],
  shiftsHere: readonly Shift[],
  days: number,
  newId: () => string,
  slotOf: (placement: Placement) => SlotKind,
  timeZone: string,
): { plan: Plan; left: LaidPlacement[] } {
  const left: LaidPlacement[] = [];
  const copies = source
    .filter(({ seriesId }) => seriesId === null)
    .flatMap((each): Placement[] => {
      const from = shiftsThere.find(({ date }) => date === each.date);
      const to = shiftsHere.find(({ date }) => date === addDays(each.date, days));
      const atMs = from && to && momentIn(placeIn(from, Date.parse(each.startsAt), slotOf(each), timeZone), to, timeZone);
      if (atMs === null || atMs === undefined) {
        left.push(each);
        return [];
      }
      const { programId, sessionId, people, groupName } = each;
      return [{ id: newId(), programId, sessionId, people, groupName, startsAt: new Date(atMs).toISOString() }];
    });
  const isThere = (copy: Placement) => plan.placements.some((each) => each.sessionId === copy.sessionId && each.startsAt === copy.startsAt);
  return { plan: placedOnce(plan, ...copies.filter((copy) => !isThere(copy))), left };
}

/** Everybody in the group that is named, or in none, and in no other. */
export function inGroup(plan: Plan, people: readonly string[], groupId: string | null): Plan {
  return withGroups(
    plan,
    plan.standing.groups.map((group) => {
      const others = group.people.filter((id) => !people.includes(id));
      return { ...group, people: group.id === groupId ? [...others, ...people] : others };
    }),
  );
}

export function withGroup(plan: Plan, group: PlanGroup): Plan {
  return withGroups(plan, [...plan.standing.groups, group]);
}

export function groupNamed(plan: Plan, groupId: string, name: string): Plan {
  return withGroups(
    plan,
    plan.standing.groups.map((group) => (group.id === groupId ? { ...group, name } : group)),
  );
}

/** A group goes with its series from a day on; while series of earlier days are for it, it stays without people. */
export function withoutGroup(plan: Plan, groupId: string, date: string): Plan {
  const before = eachSeries(plan, (each) => (each.groupId === groupId ? listed(endedBefore(each, date)) : [each]));
  const isNamed = before.standing.series.some((each) => each.groupId === groupId);
  return withGroups(
    before,
    before.standing.groups.flatMap((group) => (group.id !== groupId ? [group] : isNamed ? [{ ...group, people: [] }] : [])),
  );
}
