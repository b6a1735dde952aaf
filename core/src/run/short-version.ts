/** A session when time is short: half its length, what matters most, still begun by getting ready and closed as it is written. */
import type { Library } from "../library";
import { compileGroup, tensionOf, type Session } from "../session";
import { fitToSlot, priorityOf } from "../slot";

/** Of the written length. */
export const SHORT_SHARE = 0.5;

/**
 * @param personIds who takes part; the slowest form counts
 * @returns undefined where it cannot be made to fit in that time
 */
export function shortVersion(library: Library, session: Session, personIds: readonly string[]): Session | undefined {
  const { totalSec } = compileGroup(session, library.timings, personIds);
  const closing = session.items.at(-1);
  if (!closing || session.items.length < 2) return undefined;
  const fit = fitToSlot(session, totalSec * SHORT_SHARE, {
    personIds,
    library,
    priorityOf: (item) => priorityOf(library, item, []),
    kept: new Set([closing.id]),
  });
  return fit.fits && fit.session.items.length > 1 ? fit.session : undefined;
}

/** Items of which less is done than is written: to the end, but not to the top of their dose. */
export function lighterThan(session: Session, written: Session): Set<string> {
  const full = new Map(written.items.map((item) => [item.id, tensionOf(item.dose)]));
  return new Set(session.items.filter(({ id, dose }) => tensionOf(dose) < (full.get(id) ?? 0) - 1e-9).map(({ id }) => id));
}
