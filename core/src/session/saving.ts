/** What alternating the sides and pairing items saves against doing one side after the other. */
import type { FormTimings } from "./form-timing";
import type { Item, Session } from "./item";
import { compilePerson } from "./timeline";

/**
 * Seconds saved by alternating; negative when it costs time.
 * Each extra change of sides costs its seconds, so it only pays where the rest is at least as long as a change.
 */
export function alternatingSaving(item: Item, timings: FormTimings): number {
  const total = (sides: Item["sides"]) =>
    compilePerson({ id: item.id, name: "one item", slot: "break", items: [{ ...item, sides, pairedWithNext: false }] }, timings).totalSec;
  return total("inTurn") - total("alternating");
}

/** Seconds saved in a session against doing one side after the other and one item after the other; negative where it costs time. */
export interface Saved {
  alternatingSec: number;
  pairedSec: number;
}

export function savedIn(session: Session, timings: FormTimings): Saved {
  const total = (change: (item: Item) => Partial<Item>) =>
    compilePerson({ ...session, items: session.items.map((item) => ({ ...item, ...change(item) })) }, timings).totalSec;
  const apart = total(() => ({ pairedWithNext: false }));
  const inTurn = total(({ sides }) => ({ pairedWithNext: false, sides: sides === "alternating" ? "inTurn" : sides }));
  return { alternatingSec: inTurn - apart, pairedSec: apart - total(() => ({})) };
}
