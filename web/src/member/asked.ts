/** What a phone asks now besides the morning's question: how hard a led session was, the check before a round, whether one is here. */
import { EFFORT_ASKED_HOURS, mayArrive } from "@kind-grip/core/run";
import type { SessionSlot } from "@kind-grip/core/session";
import type { MemberDay, MemberSession } from "@kind-grip/core/api";

export interface AskedEffort {
  placementId: string | null;
  runId: string | null;
  name: string;
  slot: SessionSlot;
}

const HOUR_MS = 3600_000;
/** So much later than planned a session may well end. */
const LATE_MS = 20 * 60_000;

/**
 * The led session of which nobody knows yet how hard it was for this person: one that is on record, or one they said they are here for
 * and that is over by now. The newest; null when there is none.
 * @param answered what was answered here and is not in the day yet @param nowMs the practice's time
 */
export function askedEffort(day: MemberDay, answered: readonly string[], nowMs: number): AskedEffort | null {
  const isSaid = (id: string | null) => id !== null && (day.said.includes(id) || answered.includes(`effort ${id}`));
  const recorded = day.efforts.filter(({ runId, placementId }) => !isSaid(runId) && !isSaid(placementId));
  const over = day.sessions.filter((entry) => {
    if (entry.placementId === null || !isCounted(day, answered, entry) || isSaid(entry.placementId)) return false;
    const endMs = Date.parse(entry.startsAt!) + entry.totalSec * 1000;
    // A run on record knows better whether they were there. One that began late is not over yet.
    return !entry.done && (entry.ended || endMs + LATE_MS <= nowMs) && nowMs - endMs < EFFORT_ASKED_HOURS * HOUR_MS;
  });
  const asked = [
    ...recorded.map((run) => ({ ...run, endMs: Date.parse(run.endedAt) })),
    ...over.map(({ placementId, startsAt, session: { name, slot } }) => ({
      placementId,
      runId: null,
      name,
      slot,
      endMs: Date.parse(startsAt!),
    })),
  ].sort((a, b) => b.endMs - a.endMs)[0];
  return asked ? { placementId: asked.placementId, runId: asked.runId, name: asked.name, slot: asked.slot } : null;
}

/** Whether they said that they are here for a session. */
export function isCounted(day: MemberDay, answered: readonly string[], { placementId }: MemberSession): boolean {
  return placementId !== null && (day.here.includes(placementId) || answered.includes(`here ${placementId}`));
}

/** Whether "I am here" is offered for a session now. */
export function offersArrival(entry: MemberSession, nowMs: number): boolean {
  // What is laid between bookings is done alone: nobody calls a roll.
  return entry.placementId !== null && !entry.booked && mayArrive(Date.parse(entry.startsAt!), nowMs);
}

/** The round whose check waits for an answer. */
export function askedCheck(day: MemberDay, answered: readonly string[]): MemberDay["selfCheck"] {
  return day.selfCheck && !answered.includes(`check ${day.selfCheck.id}`) ? day.selfCheck : null;
}
