/** Placements with the session they place and how long the group takes for it. */
import type { Library } from "@kind-grip/core/library";
import type { Placed, Placement } from "@kind-grip/core/dayplan";
import { sessionWithin, type Participations } from "@kind-grip/core/safety";
import { compileGroup, isShiftSession, type ShiftSession } from "@kind-grip/core/session";
import type { ProgramEntry } from "@kind-grip/core/api";

export interface PlaceableSession {
  programId: string;
  programName: string;
  session: ShiftSession;
  lengthSec: number;
}

/** Sessions for a shift with at least one item, in the order of their programs. @param personIds who takes part: nobody who is held out */
export function placeableSessions(
  library: Library,
  programs: readonly ProgramEntry[],
  personIds: readonly string[],
  participations: Participations,
): PlaceableSession[] {
  return programs.flatMap(({ id, program }) =>
    program.sessions
      .filter(isShiftSession)
      .filter((session) => session.items.length > 0)
      .map((session) => ({ ...session, ...sessionWithin(library, session, participations), slot: session.slot }))
      .map((session) => ({
        programId: id,
        programName: program.name,
        session,
        lengthSec: compileGroup(session, library.timings, personIds).totalSec,
      })),
  );
}

/** Placements whose session is gone from its program are left out. */
export function placedOf(placements: readonly Placement[], sessions: readonly PlaceableSession[]): Placed[] {
  return placements.flatMap((placement) => {
    const found = sessions.find((each) => each.programId === placement.programId && each.session.id === placement.sessionId);
    const startMs = Date.parse(placement.startsAt);
    return found
      ? [{ id: placement.id, session: found.session, startMs, endMs: startMs + found.lengthSec * 1000, people: placement.people }]
      : [];
  });
}
