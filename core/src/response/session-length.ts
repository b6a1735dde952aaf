/** What decisions do to the length of sessions: a group takes as long as its slowest member. */
import type { Library } from "../library";
import { notHeldOut, sessionWithin, type Participations } from "../safety";
import { compileGroup, setPersonalForm, type Session } from "../session";
import type { Present } from "../program";

export interface SessionLength {
  session: Session;
  /** For the whole group, s. */
  nowSec: number;
  thenSec: number;
}

/**
 * @param people ids of those who take part @param changes what they would do from then on; null changes nothing
 * @returns the sessions whose length changes
 */
export function lengthsAfter(
  library: Library,
  sessions: readonly Session[],
  people: readonly string[],
  may: Participations,
  changes: readonly { personId: string; itemId: string; next: Present | null }[],
): SessionLength[] {
  const here = notHeldOut(
    people.map((id) => ({ id })),
    may,
  ).map(({ id }) => id);
  const secOf = (session: Session) => compileGroup(sessionWithin(library, session, may), library.timings, here).totalSec;
  return sessions.flatMap((session) => {
    const own = changes.filter(({ itemId, next }) => next && session.items.some(({ id }) => id === itemId));
    if (own.length === 0) return [];
    const after = own.reduce((changed, { personId, itemId, next }) => setPersonalForm(changed, itemId, personId, next!), session);
    const [nowSec, thenSec] = [secOf(session), secOf(after)];
    return nowSec === thenSec ? [] : [{ session, nowSec, thenSec }];
  });
}
