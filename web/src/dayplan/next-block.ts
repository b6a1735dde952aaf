/** A program that is in no plan while another of the crew is: the next block, offered in the place of the one before. Pure. */
import type { SessionOfProgram, StandingPlan } from "@kind-grip/core/dayplan";
import type { PlaceableSession } from "./placed";

export interface NextBlock {
  programId: string;
  /** Of the program that is in no plan yet. */
  name: string;
  /** Of the one that is. */
  instead: string;
  /** What comes in the place of each session; null where nothing does. */
  nextOf(session: SessionOfProgram): SessionOfProgram | null;
}

/**
 * Sessions belong together by name and kind, else as the only ones of their kind.
 * @param today series that ended before are over
 */
export function nextBlocks(sessions: readonly PlaceableSession[], { series }: StandingPlan, today: string): NextBlock[] {
  const going = new Set(series.filter(({ untilDate }) => untilDate === null || untilDate >= today).map(({ programId }) => programId));
  const programs = [...new Set(sessions.map(({ programId }) => programId))];
  const planned = programs.filter((id) => going.has(id));
  if (planned.length !== 1) return [];
  const before = sessions.filter(({ programId }) => programId === planned[0]);
  return programs
    .filter((id) => !series.some(({ programId }) => programId === id))
    .flatMap((id): NextBlock[] => {
      const after = sessions.filter(({ programId }) => programId === id);
      const pairs = before.flatMap((old) => {
        const next = counterpart(old, before, after);
        return next ? [[old.session.id, next.session.id] as const] : [];
      });
      if (pairs.length === 0) return [];
      const byOld = new Map(pairs);
      const nextOf = ({ sessionId }: SessionOfProgram) =>
        byOld.has(sessionId) ? { programId: id, sessionId: byOld.get(sessionId)! } : null;
      return [{ programId: id, name: after[0]!.programName, instead: before[0]!.programName, nextOf }];
    });
}

function counterpart(
  { session: { name, slot } }: PlaceableSession,
  before: readonly PlaceableSession[],
  after: readonly PlaceableSession[],
): PlaceableSession | undefined {
  const ofKind = (list: readonly PlaceableSession[]) => list.filter(({ session }) => session.slot === slot);
  const named = ofKind(after).find(({ session }) => session.name === name);
  return named ?? (ofKind(before).length === 1 && ofKind(after).length === 1 ? ofKind(after)[0] : undefined);
}
