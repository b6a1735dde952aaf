/** Too few pieces for a group: waves, partners or substitutes, and what each costs in minutes. */
import { boutsOf, compilePerson, type FormTimings, type Item } from "../session";

/** Handing a piece to the next person. */
export const HAND_OVER_SEC = 5;

export type Sharing =
  | { kind: "enough"; totalSec: number; costSec: 0 }
  /** One group after the other. */
  | { kind: "waves"; waves: number; totalSec: number; costSec: number }
  /** Two share a piece: one works while the other rests. */
  | { kind: "partners"; totalSec: number; costSec: number }
  /** So many people take something of the same torque. */
  | { kind: "substitutes"; people: number; totalSec: number; costSec: 0 };

/**
 * Every way that works, the quickest first; with enough pieces only that.
 * @param people how many do the item at the same moment, 1 or more @param pieces how many pieces there are, 0 or more; somebody who
 * uses one in each hand counts two @param substitutes pieces of the same torque of another kind
 * @throws RangeError for a group of nobody or a negative number of pieces
 */
export function shareKit(item: Item, timings: FormTimings, people: number, pieces: number, substitutes = 0): Sharing[] {
  if (!(people >= 1) || !(pieces >= 0) || !(substitutes >= 0))
    throw new RangeError(`people must be 1 or more and pieces 0 or more, got ${people}, ${pieces}, ${substitutes}`);
  const each = item.sides === "together" ? 2 : 1;
  const places = Math.floor(pieces / each);
  const totalSec = compilePerson(
    { id: "-", name: "-", slot: "break", items: [{ ...item, personal: {}, pairedWithNext: false }] },
    timings,
  ).totalSec;
  if (places >= people) return [{ kind: "enough", totalSec, costSec: 0 }];
  const ways: Sharing[] = [];
  const more = Math.floor(substitutes / each);
  if (places + more >= people) ways.push({ kind: "substitutes", people: people - places, totalSec, costSec: 0 });
  if (places > 0 && people <= 2 * places) {
    const shared = partneredSec(item, totalSec);
    ways.push({ kind: "partners", totalSec: shared, costSec: shared - totalSec });
  }
  if (places > 0) {
    const waves = Math.ceil(people / places);
    const all = waves * totalSec + (waves - 1) * HAND_OVER_SEC;
    ways.push({ kind: "waves", waves, totalSec: all, costSec: all - totalSec });
  }
  return ways.sort((a, b) => a.totalSec - b.totalSec);
}

/** Each bout is done by one, then by the other; rest only where the partner's bout did not already cover it. */
function partneredSec(item: Item, aloneSec: number): number {
  const { count, lengthSec, restSec } = boutsOf(item.dose);
  const bouts = item.sides === "together" ? count : 2 * count;
  // Ready, rests and changes of sides of one person alone are in there already; the partner's bouts and the handing over come on top.
  const coveredEach = Math.min(restSec, lengthSec + 2 * HAND_OVER_SEC);
  const rests = item.sides === "alternating" ? 0 : item.sides === "inTurn" ? 2 * (count - 1) : count - 1;
  return aloneSec + bouts * lengthSec + (2 * bouts - 1) * HAND_OVER_SEC - rests * coveredEach;
}
