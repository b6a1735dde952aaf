/** Movements that would fill what is spare of a session that is there already: whole doses, what the work needs most a second first. */
import type { KitEntry } from "../crew";
import { PHASES, type Library, type Movement, type Region, type Setting, type Style } from "../library";
import type { RegionNeed } from "../need";
import { addItem, type Item, type Session } from "../session";
import { candidatesFor, type Candidate } from "./candidates";
import { neediest } from "./compose";
import { isForSlot, likeOf } from "./beside";
import { USUAL_LIMITS } from "./limits";
import { closes } from "./shape";

export interface Joiner {
  item: Item;
  /** With getting into position, for everybody at once. */
  sec: number;
  /** What it is for, the neediest first. */
  regions: Region[];
}

export interface JoinerOptions {
  library: Library;
  /** What may be proposed. */
  offered: readonly Movement[];
  needs: readonly RegionNeed[];
  style: Style;
  settings: readonly Setting[];
  kit: readonly KitEntry[];
  people: number;
}

const MOST_JOINERS = 4;

/** @param spareSec what is left of the slot, s @returns those that fit, the best first; none twice in a session, and one glide at most */
export function joinersFor(session: Session, spareSec: number, options: JoinerOptions, makeId: () => string): Joiner[] {
  const { library, offered, needs, style, settings, kit, people } = options;
  const there = new Set(session.items.map(({ movementId }) => movementId));
  const glides = session.items.some(({ movementId }) => library.find(movementId)?.phase === "glide");
  const movements = offered.filter(
    (movement) => !there.has(movement.id) && !(glides && movement.phase === "glide") && isForSlot(session.slot, movement),
  );
  const slotSec = { preShift: 0, break: 0, postShift: 0, [likeOf(session.slot)]: Math.max(0, spareSec) };
  const limits = { ...USUAL_LIMITS, style, aim: "loadLed" as const, weeks: 4, slotSec, settings, kit, people: Math.max(1, people) };
  const relief = neediest(needs);
  const strength = neediest(needs, "strengthNeed");
  const needOf = ({ gives }: Candidate, region: Region) => (gives === "strength" ? strength : relief).get(region) ?? 0;
  return candidatesFor(library, movements, limits, makeId)
    .candidates.filter(({ share }) => share === 1)
    .map((candidate) => {
      const points = [...candidate.points].map(([region, given]) => ({ region, worth: given * needOf(candidate, region) }));
      return { candidate, points, worth: points.reduce((sum, { worth }) => sum + worth, 0) / candidate.sec };
    })
    .filter(({ worth }) => worth > 0)
    .sort((a, b) => b.worth - a.worth || a.candidate.movement.id.localeCompare(b.candidate.movement.id))
    .slice(0, MOST_JOINERS)
    .map(({ candidate: { item, sec }, points }) => ({
      item,
      sec,
      regions: points
        .filter(({ worth }) => worth > 0)
        .sort((a, b) => b.worth - a.worth)
        .map(({ region }) => region),
    }));
}

/** A session with an item more, where its phase belongs; what closes stays last. */
export function joined(library: Library, session: Session, item: Item): Session {
  const phaseOf = ({ movementId }: Item) => PHASES.indexOf(library.get(movementId).phase);
  const last = session.items.at(-1);
  const closing = last && closes(library.get(last.movementId)) ? 1 : 0;
  const before = session.items.slice(0, session.items.length - closing);
  return addItem(session, item, before.findLastIndex((each) => phaseOf(each) <= phaseOf(item)) + 1);
}
