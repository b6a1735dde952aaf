/** Series found in placements that repeat: how plans from before there were series became some. */
import { addDays, dateAt, shiftOf, shiftsFrom, wallTime, type Shift } from "../calendar";
import type { SlotKind } from "../session";
import { grouped } from "../units";
import { cycleDayOf, isOn, momentIn, placeIn, weekdayOf, type CrewCalendar } from "./lay";
import type { Placement } from "./placement";
import type { PlanGroup, Series, SeriesDays, StandingPlan } from "./standing";

/** Repeats from which placements are a series. */
const LEAST_REPEATS = 3;
/** More days that differ than that for each that does not: no series. */
const MOST_DIFFERING = 1;

interface Found {
  placement: Placement;
  shift: Shift;
}

/**
 * Placements of the same session for the same people at the same wall time in the same kind of shift, three or more, as one series each
 * that ends with the last of them. Laid, they are the moments the placements were; everything else stays placed once.
 * @param slotOf what kind of session it is; null for one that is gone, which stays as it is
 * @param newId ids of series and groups
 */
export function seriesOf(
  placements: readonly Placement[],
  calendar: CrewCalendar,
  slotOf: (placement: Placement) => SlotKind | null,
  newId: () => string,
): { standing: StandingPlan; placements: Placement[] } {
  const { timeZone } = calendar;
  const found = placements.flatMap((placement): (Found & { key: string })[] => {
    const startMs = Date.parse(placement.startsAt);
    const shift = shiftOf(shiftsFrom(calendar.shiftPattern, timeZone, addDays(dateAt(startMs, timeZone), -1), 3), startMs);
    const slot = slotOf(placement);
    if (!shift || !slot) return [];
    const { programId, sessionId, people, groupName } = placement;
    return [
      { placement, shift, key: JSON.stringify([programId, sessionId, people, groupName, shift.kind.id, wallTime(startMs, timeZone)]) },
    ];
  });
  const groups = new Map<string, PlanGroup>();
  const series: Series[] = [];
  const taken = new Set<string>();
  for (const list of grouped(found, ({ key }) => key).values()) {
    const inOrder = [...grouped(list, ({ shift }) => shift.date).values()]
      .map(([first]) => first!)
      .sort((a, b) => (a.shift.date < b.shift.date ? -1 : 1));
    const made = inOrder.length >= LEAST_REPEATS ? repeated(inOrder, calendar, slotOf, newId) : null;
    const group = made ? groupOf(inOrder[0]!.placement, groups, newId) : undefined;
    if (!made || group === undefined) continue;
    series.push({ ...made, groupId: group?.id ?? null });
    for (const { placement } of inOrder) taken.add(placement.id);
  }
  return { standing: { groups: [...groups.values()], series }, placements: placements.filter(({ id }) => !taken.has(id)) };
}

/** Null when it would differ on more days than not. */
function repeated(
  inOrder: readonly Found[],
  calendar: CrewCalendar,
  slotOf: (placement: Placement) => SlotKind | null,
  newId: () => string,
): Series | null {
  const { shiftPattern, timeZone } = calendar;
  const { placement, shift } = inOrder[0]!;
  const [fromDate, untilDate] = [shift.date, inOrder.at(-1)!.shift.date];
  const dates = new Set(inOrder.map((each) => each.shift.date));
  const slot = slotOf(placement)!;
  const places = grouped(inOrder, (each) => JSON.stringify(placeIn(each.shift, Date.parse(each.placement.startsAt), slot, timeZone)));
  const at = [...places].reduce((most, each) => (each[1].length > most[1].length ? each : most))[0];
  const bare: Series = {
    id: newId(),
    programId: placement.programId,
    sessionId: placement.sessionId,
    shift: shift.kind.id,
    at: JSON.parse(at) as Series["at"],
    only: null,
    groupId: null,
    leaderId: null,
    fromDate,
    untilDate,
    otherDays: [],
  };
  const during = shiftsFrom(shiftPattern, timeZone, fromDate, daysUpTo(fromDate, untilDate));
  const choices = [
    null,
    onDays("weekday", [...dates].map(weekdayOf)),
    onDays(
      "cycleDay",
      [...dates].map((date) => cycleDayOf(date, shiftPattern.anchorDate, shiftPattern.cycle.length)),
    ),
  ];
  const wouldDiffer = (only: SeriesDays | null) => {
    const days = during.filter((each) => isOn({ ...bare, only }, shiftPattern, each));
    return days.filter(({ date }) => !dates.has(date)).map(({ date }) => ({ date, startsAt: null }));
  };
  const [only, out] = choices
    .map((choice) => [choice, wouldDiffer(choice)] as const)
    .reduce((best, each) => (each[1].length < best[1].length ? each : best));
  const moved = inOrder.flatMap((each) =>
    momentIn(bare.at, each.shift, timeZone) === Date.parse(each.placement.startsAt)
      ? []
      : [{ date: each.shift.date, startsAt: each.placement.startsAt }],
  );
  if (out.length + moved.length > inOrder.length * MOST_DIFFERING) return null;
  return { ...bare, only, otherDays: [...out, ...moved] };
}

function onDays(by: SeriesDays["by"], days: number[]): SeriesDays {
  return { by, days: [...new Set(days)].sort((a, b) => a - b) };
}

function daysUpTo(from: string, until: string): number {
  return Math.round((Date.parse(until) - Date.parse(from)) / 86_400_000) + 1;
}

/** Null for everybody; undefined where somebody is in another group already: a person is of one. */
function groupOf({ people, groupName }: Placement, groups: Map<string, PlanGroup>, newId: () => string): PlanGroup | null | undefined {
  if (!people) return null;
  const key = JSON.stringify([groupName, [...people].sort()]);
  const known = groups.get(key);
  if (known) return known;
  const others = new Set([...groups.values()].flatMap((group) => group.people));
  if (people.some((id) => others.has(id))) return undefined;
  const made: PlanGroup = { id: newId(), name: groupName ?? `Group ${groups.size + 1}`, people: [...people] };
  groups.set(key, made);
  return made;
}
