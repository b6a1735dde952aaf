/** What is to be placed on one shift, or on those of several crews at once, and what it has to keep to. Made once; solved by first fit and by the 0/1 programme alike. */
import type { Library } from "../library";
import type { Session, ShiftSession, SlotKind } from "../session";
import type { Group } from "./groups";
import { GRID_MIN } from "./placement";
import { workingSpans } from "./ribbon";
import { SPACING } from "./rules";
import type { Shift, Span } from "../calendar";

const minute = 60_000;

/** One session of one group. */
export interface SessionRequest {
  id: string;
  group: number;
  /** Whose job stands still for it: a place in the list of jobs. */
  job: number;
  people: number;
  sessionId: string;
  slot: SlotKind;
  lengthMs: number;
  idealMs: number;
  /** Starts it may have, in order. One only when pinned. */
  starts: readonly number[];
  glides: boolean;
  /** Regions it strengthens. */
  strengthens: readonly string[];
}

/** The job of one crew, which has to keep running. */
export interface Job {
  breaks: readonly Span[];
  /** People off the job at the same moment, outside breaks. */
  mostOffJob: number;
}

export interface DayProblem {
  requests: readonly SessionRequest[];
  jobs: readonly Job[];
  /** Sessions that can be led at the same moment, of all crews together. */
  leaders: number;
}

/** Several crews' days as one: each job keeps running by itself, the leaders are shared. Ids of requests stay. */
export function joined(days: readonly DayProblem[], leaders: number): DayProblem {
  const requests: SessionRequest[] = [];
  const jobs: Job[] = [];
  let groups = 0;
  for (const day of days) {
    requests.push(...day.requests.map((request) => ({ ...request, group: request.group + groups, job: request.job + jobs.length })));
    jobs.push(...day.jobs);
    groups = Math.max(groups, ...requests.map(({ group }) => group + 1));
  }
  return { requests, jobs, leaders };
}

export interface WantedSession {
  session: ShiftSession;
  lengthMs: number;
  /** How often in the shift; only breaks more than once. */
  times: number;
}

/** How far from its ideal time a session may be, minutes. Practice rule; a pre-shift one has to be before the work has run long. */
export const REACH_MIN: Readonly<Record<SlotKind, number>> = { preShift: 60, break: 90, postShift: 60 };

/**
 * @param notBeforeMs nothing starts earlier: for planning the rest of a day
 * @param hardFrom moments from which the strain of a group, by its place in the list, is high: strengthening keeps clear of the hour before
 * @param pinned request id → start
 */
export function dayProblem(
  library: Library,
  shift: Shift,
  groups: readonly Group[],
  wanted: readonly WantedSession[],
  { mostOffJob, leaders }: { mostOffJob: number; leaders: number },
  { notBeforeMs = 0, hardFrom = () => [], pinned = new Map<string, number>(), reach = REACH_MIN as Record<SlotKind, number> } = {} as {
    notBeforeMs?: number;
    hardFrom?: (group: number) => readonly number[];
    pinned?: ReadonlyMap<string, number>;
    reach?: Readonly<Record<SlotKind, number>>;
  },
): DayProblem {
  const hard = groups.map((_, g) => hardFrom(g));
  const requests = groups.flatMap((group, g) =>
    wanted.flatMap(({ session, lengthMs, times }) =>
      Array.from({ length: times }, (_, n): SessionRequest => {
        const id = `${g}.${session.id}.${n}`;
        const idealMs = idealOf(session.slot, lengthMs, shift, n, times);
        const strengthens = strengthened(library, session);
        const pin = pinned.get(id);
        return {
          id,
          group: g,
          job: 0,
          people: group.people.length,
          sessionId: session.id,
          slot: session.slot,
          lengthMs,
          idealMs,
          starts:
            pin === undefined
              ? startsAround(session.slot, idealMs, reach[session.slot], shift, lengthMs).filter(
                  (at) =>
                    at >= notBeforeMs &&
                    (strengthens.length === 0 || !hard[g]!.some((from) => from > at && from - at - lengthMs < 60 * minute)),
                )
              : [pin],
          glides: session.items.some(({ movementId }) => library.find(movementId)?.phase === "glide"),
          strengthens,
        };
      }),
    ),
  );
  return { requests, jobs: [{ breaks: shift.breaks, mostOffJob }], leaders };
}

/** Warm-ups at the start, last sessions so that they end with the shift, breaks in the breaks or so that the work between them is even. */
function idealOf(slot: SlotKind, lengthMs: number, shift: Shift, n: number, times: number): number {
  if (slot === "preShift") return shift.startMs;
  if (slot === "postShift") return shift.endMs - lengthMs;
  const even = afterWork(shift, (n + 1) / (times + 1));
  const near = shift.breaks
    .filter(({ startMs }) => workBefore(shift, startMs) >= SPACING.workBeforeBreakMin * minute)
    .sort((a, b) => Math.abs(a.startMs - even) - Math.abs(b.startMs - even))[0];
  if (near && Math.abs(near.startMs - even) <= 60 * minute) return near.startMs;
  const gap = shift.away.find(({ startMs, endMs }) => even + lengthMs > startMs && even < endMs);
  return gap ? gap.startMs - lengthMs : even;
}

/** The moment at which a share of the shift's work is done: time away and breaks are no work. */
function afterWork(shift: Shift, share: number): number {
  const spans = workingSpans(shift);
  let left = share * spans.reduce((sum, { startMs, endMs }) => sum + (endMs - startMs), 0);
  for (const { startMs, endMs } of spans) {
    if (left <= endMs - startMs) return startMs + left;
    left -= endMs - startMs;
  }
  return shift.endMs;
}

/** Work since the shift began or people came back from hours away, up to a moment, ms. */
function workBefore(shift: Shift, atMs: number): number {
  const backMs = Math.max(shift.startMs, ...shift.away.map(({ endMs }) => endMs).filter((endMs) => endMs <= atMs));
  return workingSpans(shift).reduce((sum, { startMs, endMs }) => sum + Math.max(0, Math.min(endMs, atMs) - Math.max(startMs, backMs)), 0);
}

/** A stretch break follows work: none is due in the first minutes of a shift, or after hours away. */
function startsAround(slot: SlotKind, idealMs: number, reachMin: number, shift: Shift, lengthMs: number): number[] {
  const grid = GRID_MIN * minute;
  const from = Math.ceil(Math.max(shift.startMs, idealMs - reachMin * minute) / grid) * grid;
  const until = Math.min(shift.endMs - lengthMs, idealMs + reachMin * minute);
  const starts: number[] = [];
  for (let at = from; at <= until; at += grid)
    if (
      !shift.away.some((gap) => at < gap.endMs && at + lengthMs > gap.startMs) &&
      (slot !== "break" || workBefore(shift, at) >= SPACING.workBeforeBreakMin * minute)
    )
      starts.push(at);
  return starts;
}

function strengthened(library: Library, session: Session): string[] {
  return [
    ...new Set(
      session.items
        .filter(({ movementId }) => library.find(movementId)?.phase === "strengthen")
        .flatMap(({ movementId }) => library.tensionRegions(movementId)),
    ),
  ];
}

/** Whether two sessions of one group may not start at these moments. */
export function tooClose(a: SessionRequest, aAt: number, b: SessionRequest, bAt: number): boolean {
  const [first, firstAt, second, secondAt] = aAt <= bAt ? [a, aAt, b, bAt] : [b, bAt, a, aAt];
  const gapMin = (secondAt - firstAt - first.lengthMs) / minute;
  if (gapMin < 0) return true;
  if (first.strengthens.some((region) => second.strengthens.includes(region)) && gapMin < SPACING.strengthenSameRegionMin) return true;
  return (first.slot === second.slot || (first.glides && second.glides)) && gapMin < SPACING.sameKindMin;
}

/** What a start costs: work lost counts more than distance from the ideal, both by person and minute. Planning figures of this practice. */
export const COST = { lostMin: 3, apartMin: 1, unplaced: 100_000 } as const;

export function costOf({ people, lengthMs, idealMs }: SessionRequest, at: number, breaks: readonly Span[]): number {
  const inBreak = breaks.reduce((sum, pause) => sum + Math.max(0, Math.min(at + lengthMs, pause.endMs) - Math.max(at, pause.startMs)), 0);
  return people * (COST.lostMin * ((lengthMs - inBreak) / minute) + COST.apartMin * (Math.abs(at - idealMs) / minute));
}

/** The 5-minute cells a session lies in, as starts. */
export function cellsOf({ lengthMs }: Pick<SessionRequest, "lengthMs">, at: number): number[] {
  const grid = GRID_MIN * minute;
  return Array.from({ length: Math.max(1, Math.ceil(lengthMs / grid)) }, (_, i) => at + i * grid);
}

/** Whether all of a session that lies in a cell is in a break: one that runs out of its break by a minute stops the job in that cell. */
export function isInBreak(cell: number, sessionEndMs: number, breaks: readonly Span[]): boolean {
  const until = Math.min(cell + GRID_MIN * minute, sessionEndMs);
  return breaks.some((pause) => cell >= pause.startMs && until <= pause.endMs);
}
