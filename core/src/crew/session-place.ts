/** Where a session is done and with what: on the site with its kit, between two treatments or at home with none of it. */
import { HOME_SLOTS, isOfShift, type BesideSlot, type SessionSlot } from "../session";
import type { Setting, Surroundings } from "../library";
import type { Crew, KitEntry } from "./crew";

/** Minutes nobody minds on their own, and what a gap between two treatments has room for. Practice rule. */
export const BESIDE_SEC: Readonly<Record<BesideSlot, number>> = { reset: 90, home: 480, offDay: 300 };
const HOME_SETTINGS: readonly Setting[] = ["any", "table", "wall", "floor", "home"];

/** How long a session may be, s. */
export function slotSecOf({ slots }: Pick<Crew, "slots">, slot: SessionSlot): number {
  return isOfShift(slot) ? slots[slot] : BESIDE_SEC[slot];
}

/** What is there when a session is done, kinds of kit only. */
export function surroundingsOf(crew: Pick<Crew, "settings" | "kit">, slot: SessionSlot): Surroundings {
  const { settings, kit } = placeOf(crew, slot);
  return { settings, kit: [...new Set(kit.map(({ kind }) => kind))] };
}

/** What is there when a session is done. */
export function placeOf(
  { settings, kit }: Pick<Crew, "settings" | "kit">,
  slot: SessionSlot,
): { settings: readonly Setting[]; kit: readonly KitEntry[] } {
  if (HOME_SLOTS.some((home) => home === slot)) return { settings: HOME_SETTINGS, kit: [] };
  // Nobody fetches anything for a minute.
  return { settings, kit: slot === "reset" ? [] : kit };
}
