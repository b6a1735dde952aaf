/** The week of whoever leads, over all crews: where one would have to be in two places, and where the way between is too long. Pure. */
import type { Span } from "../calendar";
import { grouped } from "../units";

/** A session as somebody leads it. */
export interface LedSession extends Span {
  id: string;
  leaderId: string;
  place: string;
}

/** How long it takes between two places, either way. */
export interface TravelTime {
  places: readonly [string, string];
  minutes: number;
}

export type LeaderClashKind = "twoAtOnce" | "tooFar" | "unknownWay";

export interface LeaderClash {
  kind: LeaderClashKind;
  leaderId: string;
  /** The two sessions, earlier first. */
  ids: [string, string];
  /** Minutes both run at once, or there are between them. */
  found: number;
  /** Minutes the way takes; 0 where nobody needs to go or nobody knows. */
  needed: number;
}

const minute = 60_000;
/** A way nobody has entered is asked for when there is less time than that between two places, minutes. Practice rule. */
const ASK_WITHIN_MIN = 120;

/** Clashes of each leader, in the order of the sessions. @param sessions in any order, of any leaders */
export function leaderClashes(sessions: readonly LedSession[], travel: readonly TravelTime[]): LeaderClash[] {
  const inOrder = [...sessions].sort((a, b) => a.startMs - b.startMs || (a.id < b.id ? -1 : 1));
  return [...grouped(inOrder, ({ leaderId }) => leaderId).values()].flatMap((own) => [...together(own), ...onTheWay(own, travel)]);
}

function together(own: readonly LedSession[]): LeaderClash[] {
  return own.flatMap((earlier, i) =>
    own
      .slice(i + 1)
      .filter((later) => later.startMs < earlier.endMs)
      .map((later): LeaderClash => ({
        kind: "twoAtOnce",
        leaderId: earlier.leaderId,
        ids: [earlier.id, later.id],
        found: Math.ceil((Math.min(earlier.endMs, later.endMs) - later.startMs) / minute),
        needed: 0,
      })),
  );
}

/** From each session to the next at another place. */
function onTheWay(own: readonly LedSession[], travel: readonly TravelTime[]): LeaderClash[] {
  return own.slice(1).flatMap((later, i): LeaderClash[] => {
    const earlier = own[i]!;
    const found = Math.floor((later.startMs - earlier.endMs) / minute);
    if (samePlace(earlier.place, later.place) || found < 0) return [];
    const needed = minutesBetween(travel, earlier.place, later.place);
    const clash = { leaderId: earlier.leaderId, ids: [earlier.id, later.id] as [string, string], found };
    if (needed === null) return found < ASK_WITHIN_MIN ? [{ kind: "unknownWay", ...clash, needed: 0 }] : [];
    return found < needed ? [{ kind: "tooFar", ...clash, needed }] : [];
  });
}

/** Minutes from one place to another, either way; 0 for the same, null when nobody has said. */
export function minutesBetween(travel: readonly TravelTime[], a: string, b: string): number | null {
  if (samePlace(a, b)) return 0;
  const [from, to] = [placeKey(a), placeKey(b)];
  const known = travel.find(
    ({ places: [one, two] }) => (placeKey(one) === from && placeKey(two) === to) || (placeKey(one) === to && placeKey(two) === from),
  );
  return known?.minutes ?? null;
}

/** Places are told apart by their names, whatever is written large or small in them. */
export function placeKey(place: string): string {
  return place.trim().toLocaleLowerCase("en");
}

function samePlace(a: string, b: string): boolean {
  return placeKey(a) === placeKey(b);
}
