/** What is wrong, or only worth knowing, about where sessions are placed. Pure: same plan, same clashes. */
import type { Library, Phase } from "../library";
import type { Session, ShiftSession } from "../session";
import { grouped } from "../units";
import { SPACING } from "./rules";
import { LEAST_REST_MIN, shortTurnarounds, workingDay, type Shift, type Span } from "../calendar";

/** A placed session with what the checks need to know of it. */
export interface Placed extends Span {
  id: string;
  session: ShiftSession;
  /** Who takes part; everybody when left out or null. */
  people?: readonly string[] | null;
}

export type ClashKind =
  | "overlap"
  | "outsideShift"
  | "notNearShift"
  | "longerThanBreak"
  | "sameKindTooClose"
  | "strengthenTooClose"
  | "tooManyGlides"
  | "tooMuchMobility"
  | "tooManyStrengthDays"
  | "workTooLong"
  | "restTooShort";

export interface Clash {
  kind: ClashKind;
  /** `stop`: a rule that protects people, or two things at once. `note`: allowed, worth knowing. */
  weight: "stop" | "note";
  /** Placements concerned, earlier first; none for a gap without any. */
  placementIds: string[];
  /** Day of the shift or of the placement. */
  date: string;
  /** Minutes found (below 0: by how much two shifts overlap), and the minutes or count the rule asks for. */
  found: number;
  limit: number;
  /** Regions two strengthening sessions share. */
  regions?: string[];
}

/** The clashes of a plan. `placed` may come in any order; the days before and after the week should be included for spacing. */
export function clashesOf(library: Library, placed: readonly Placed[], shifts: readonly Shift[], timeZone: string): Clash[] {
  const inOrder = [...placed].sort((a, b) => a.startMs - b.startMs || a.id.localeCompare(b.id));
  const dayOf = (span: Span) => workingDay(shifts, span.startMs, timeZone);
  return [
    ...overlaps(inOrder, dayOf),
    ...misplaced(inOrder, shifts, dayOf),
    ...shortRests(shifts),
    ...once(
      eachPersons(inOrder).flatMap((own) => [...spacing(library, own, dayOf), ...frequency(library, own, dayOf), ...longWork(own, shifts)]),
    ),
  ];
}

/** The plan as each person lives it: what is for everybody and for their groups. People with the same plan once. */
function eachPersons(inOrder: readonly Placed[]): Placed[][] {
  const named = [...new Set(inOrder.flatMap(({ people }) => people ?? []))];
  if (named.length === 0) return [[...inOrder]];
  const plans = named.map((id) => inOrder.filter(({ people }) => !people || people.includes(id)));
  return [...grouped(plans, (plan) => plan.map(({ id }) => id).join(" ")).values()].map(([plan]) => plan!);
}

function once(clashes: readonly Clash[]): Clash[] {
  return [...grouped(clashes, ({ kind, date, placementIds }) => [kind, date, ...placementIds].join(" ")).values()].map(([clash]) => clash!);
}

type DayOf = (span: Span) => string;
const minute = 60_000;
const nearMs = SPACING.nearShiftMin * minute;

function overlaps(inOrder: readonly Placed[], dayOf: DayOf): Clash[] {
  const clashes: Clash[] = [];
  inOrder.forEach((earlier, i) => {
    for (const later of inOrder.slice(i + 1)) {
      if (later.startMs >= earlier.endMs) break;
      clashes.push({
        kind: "overlap",
        weight: "stop",
        placementIds: [earlier.id, later.id],
        date: dayOf(earlier),
        found: minutesUp(earlier.endMs - later.startMs),
        limit: 0,
      });
    }
  });
  return clashes;
}

function misplaced(inOrder: readonly Placed[], shifts: readonly Shift[], dayOf: DayOf): Clash[] {
  return inOrder.flatMap((placed): Clash[] => {
    const date = dayOf(placed);
    const clash = (kind: ClashKind, found: number, limit: number): Clash[] => [
      { kind, weight: "note", placementIds: [placed.id], date, found, limit },
    ];
    const within = shifts.find((shift) => placed.startMs >= shift.startMs && placed.endMs <= shift.endMs);
    switch (placed.session.slot) {
      case "break": {
        if (!within || within.away.some((gap) => placed.startMs < gap.endMs && placed.endMs > gap.startMs))
          return clash("outsideShift", 0, 0);
        const pause = within.breaks.find((each) => placed.startMs >= each.startMs && placed.startMs < each.endMs);
        return pause && placed.endMs > pause.endMs
          ? clash("longerThanBreak", minutesUp(placed.endMs - placed.startMs), minutesUp(pause.endMs - pause.startMs))
          : [];
      }
      case "preShift": {
        const near = shifts.some((shift) => Math.abs(placed.startMs - shift.startMs) <= nearMs);
        return near ? [] : clash("notNearShift", 0, SPACING.nearShiftMin);
      }
      case "postShift": {
        const near = shifts.some(
          (shift) => Math.abs(placed.endMs - shift.endMs) <= nearMs || Math.abs(placed.startMs - shift.endMs) <= nearMs,
        );
        return near ? [] : clash("notNearShift", 0, SPACING.nearShiftMin);
      }
    }
  });
}

/** Same slot kind, or glides after glides, or strengthening of a shared region, too close to each other. */
function spacing(library: Library, inOrder: readonly Placed[], dayOf: DayOf): Clash[] {
  const clashes: Clash[] = [];
  inOrder.forEach((earlier, i) => {
    for (const later of inOrder.slice(i + 1)) {
      const gap = (later.startMs - earlier.endMs) / minute;
      if (gap >= SPACING.strengthenSameRegionMin) break;
      if (gap < 0) continue;
      const pair = { placementIds: [earlier.id, later.id], date: dayOf(later), found: Math.floor(gap) };
      const shared = strengthened(library, earlier.session).filter((region) => strengthened(library, later.session).includes(region));
      if (shared.length > 0)
        clashes.push({ kind: "strengthenTooClose", weight: "stop", ...pair, limit: SPACING.strengthenSameRegionMin, regions: shared });
      const sameKind =
        earlier.session.slot === later.session.slot || (has(library, earlier.session, "glide") && has(library, later.session, "glide"));
      if (sameKind && gap < SPACING.sameKindMin)
        clashes.push({ kind: "sameKindTooClose", weight: "stop", ...pair, limit: SPACING.sameKindMin });
    }
  });
  return clashes;
}

function frequency(library: Library, inOrder: readonly Placed[], dayOf: DayOf): Clash[] {
  const clashes: Clash[] = [];
  const days = grouped(inOrder, dayOf);
  for (const [date, list] of days) {
    const over = (kind: ClashKind, phases: Phase[], limit: number) => {
      const found = list.filter((placed) => phases.some((phase) => has(library, placed.session, phase)));
      if (found.length > limit)
        clashes.push({ kind, weight: "stop", placementIds: found.map((placed) => placed.id), date, found: found.length, limit });
    };
    over("tooManyGlides", ["glide"], SPACING.glidesPerDay);
    over("tooMuchMobility", ["mobility", "stretch"], SPACING.mobilityPerDay);
  }
  const strength = [...days].filter(([, list]) => list.some((placed) => has(library, placed.session, "strengthen")));
  const byWeek = grouped(strength, ([date]) => weekOf(date));
  for (const week of byWeek.values()) {
    if (week.length <= SPACING.strengthenDaysPerWeek) continue;
    const placementIds = week.flatMap(([, list]) =>
      list.filter((placed) => has(library, placed.session, "strengthen")).map((placed) => placed.id),
    );
    clashes.push({
      kind: "tooManyStrengthDays",
      weight: "stop",
      placementIds,
      date: week.at(-1)![0],
      found: week.length,
      limit: SPACING.strengthenDaysPerWeek,
    });
  }
  return clashes;
}

/** Stretches of a shift with neither a break nor a session for too long. */
function longWork(inOrder: readonly Placed[], shifts: readonly Shift[]): Clash[] {
  return shifts.flatMap((shift) => {
    const relief: Span[] = [
      ...shift.breaks,
      ...shift.away,
      ...inOrder.filter((placed) => placed.endMs > shift.startMs && placed.startMs < shift.endMs),
    ].sort((a, b) => a.startMs - b.startMs);
    const clashes: Clash[] = [];
    let workFrom = shift.startMs;
    for (const pause of [...relief, { startMs: shift.endMs, endMs: shift.endMs }]) {
      const found = (pause.startMs - workFrom) / minute;
      if (found > SPACING.longestWorkMin)
        clashes.push({
          kind: "workTooLong",
          weight: "note",
          placementIds: [],
          date: shift.date,
          found: Math.floor(found),
          limit: SPACING.longestWorkMin,
        });
      workFrom = Math.max(workFrom, pause.endMs);
    }
    return clashes;
  });
}

/** Shifts that begin before there was rest enough since the last one. */
function shortRests(shifts: readonly Shift[]): Clash[] {
  return shortTurnarounds(shifts).map(({ after, restMin }) => ({
    kind: "restTooShort",
    weight: "note",
    placementIds: [],
    date: after.date,
    found: restMin,
    limit: LEAST_REST_MIN,
  }));
}

function has(library: Library, session: Session, phase: Phase): boolean {
  return session.items.some((item) => library.find(item.movementId)?.phase === phase);
}

function strengthened(library: Library, session: Session): string[] {
  return [
    ...new Set(
      session.items
        .filter((item) => library.find(item.movementId)?.phase === "strengthen")
        .flatMap((item) => library.tensionRegions(item.movementId)),
    ),
  ];
}

function weekOf(date: string): number {
  return Math.floor((Date.parse(`${date}T00:00:00Z`) / 86_400_000 + 3) / 7);
}

function minutesUp(ms: number): number {
  return Math.ceil(ms / minute);
}
