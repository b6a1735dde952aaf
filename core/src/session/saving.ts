/** What alternating the sides saves against doing one side after the other. */
import type { FormTimings } from "./form-timing";
import type { Item } from "./item";
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
