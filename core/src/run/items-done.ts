/** What of each item was really done, from the stretches that were played. */
import type { Session, Timeline } from "../session";
import type { RunItem } from "./record";
import { lighterThan } from "./short-version";

/** An item counts as done when at least this share of its work was played. */
export const DONE_SHARE = 0.9;

/**
 * One entry an item, in order. Playing a stretch twice counts once: it is the dose that matters.
 * @param written the session before it was made shorter; what is less than written is done in part at most
 */
export function itemsDone(
  session: Session,
  timeline: Timeline,
  played: readonly (readonly [number, number])[],
  written: Session = session,
): RunItem[] {
  const stretches = union(played);
  const lighter = lighterThan(session, written);
  return session.items.map((item) => {
    const work = timeline.segments.filter((segment) => segment.itemId === item.id && (segment.kind === "work" || segment.kind === "hold"));
    const plannedSec = sum(work.map((segment) => segment.leadSec));
    const doneSec = sum(work.map((segment) => overlap(stretches, segment.startSec, segment.startSec + segment.leadSec)));
    const share = plannedSec === 0 ? 0 : doneSec / plannedSec;
    return {
      itemId: item.id,
      movementId: item.movementId,
      formId: item.formId,
      plannedSec: round(plannedSec),
      doneSec: round(doneSec),
      status: share >= DONE_SHARE && !lighter.has(item.id) ? "done" : doneSec >= 1 ? "part" : "skipped",
    };
  });
}

function union(stretches: readonly (readonly [number, number])[]): [number, number][] {
  const merged: [number, number][] = [];
  for (const [from, to] of [...stretches].sort((a, b) => a[0] - b[0])) {
    const last = merged.at(-1);
    if (last && from <= last[1]) last[1] = Math.max(last[1], to);
    else merged.push([from, to]);
  }
  return merged;
}

function overlap(stretches: readonly (readonly [number, number])[], from: number, to: number): number {
  return sum(stretches.map(([start, stop]) => Math.max(0, Math.min(stop, to) - Math.max(start, from))));
}

function sum(list: readonly number[]): number {
  return list.reduce((total, each) => total + each, 0);
}

function round(sec: number): number {
  return Math.round(sec * 10) / 10;
}
