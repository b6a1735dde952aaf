/** Which sessions of a program are laid on days of bookings, and what each takes. */
import type { KitEntry } from "../crew";
import { mostWithKit } from "../dayplan";
import { RESET_PHASES, type Library, type Phase } from "../library";
import type { Program } from "../program";
import { compileGroup, type Session } from "../session";
import type { LaidKind, SessionShape } from "./lay";

export type BookingSessions = Partial<Record<LaidKind, Session>>;

function has(library: Library, session: Session, ...phases: Phase[]): boolean {
  return session.items.some(({ movementId }) => phases.includes(library.find(movementId)?.phase ?? "getReady"));
}

/** The first session of each kind that has anything in it. What strengthens is for light days, whatever slot it was written for. */
export function bookingSessions(library: Library, { sessions }: Pick<Program, "sessions">): BookingSessions {
  const filled = sessions.filter(({ items }) => items.length > 0);
  const strengthens = (session: Session) => has(library, session, "strengthen");
  const gentle = (slot: Session["slot"]) => filled.find((session) => session.slot === slot && !strengthens(session));
  const found: Record<LaidKind, Session | undefined> = {
    warmUp: gentle("preShift"),
    reset: filled.find(
      ({ slot, items }) =>
        slot === "reset" && items.every((item) => RESET_PHASES.includes(library.find(item.movementId)?.phase ?? "glide")),
    ),
    longer: gentle("break"),
    strength:
      filled.find((session) => session.slot === "postShift" && strengthens(session)) ??
      filled.find((session) => session.slot === "break" && strengthens(session)),
    closing: gentle("postShift"),
  };
  return Object.fromEntries(Object.entries(found).filter(([, session]) => session));
}

/**
 * What each takes for the slowest of the people.
 * @param kit what the crew has. All that is held counts as one: who strengthens and who takes a longer break may want the same piece.
 */
export function shapesOf(
  library: Library,
  sessions: BookingSessions,
  kit: readonly KitEntry[],
  people: readonly string[],
): Partial<Record<LaidKind, SessionShape>> {
  const atOnce = new Map(Object.entries(sessions).map(([kind, session]) => [kind, mostWithKit(library, [session], kit)]));
  const enoughFor = Math.min(...atOnce.values());
  return Object.fromEntries(
    Object.entries(sessions).map(([kind, session]): [string, SessionShape] => [
      kind,
      {
        lengthMin: Math.max(1, Math.ceil(compileGroup(session, library.timings, people).totalSec / 60)),
        moves: has(library, session, "mobility", "stretch"),
        glides: has(library, session, "glide"),
        shares: Number.isFinite(atOnce.get(kind)) ? { kit: "kit", people: enoughFor } : null,
      },
    ]),
  );
}
