/** Where a session is done and with what: on the site with its kit, or at home with none of it. */
import { HOME_SLOTS, isOfShift, type HomeSlot, type SessionSlot } from "../session";
import type { Setting, Surroundings } from "../library";
import type { Crew, KitEntry } from "./crew";

/** Minutes nobody minds on their own. Practice rule. */
export const HOME_SEC: Readonly<Record<HomeSlot, number>> = { home: 480, offDay: 300 };
const HOME_SETTINGS: readonly Setting[] = ["any", "table", "wall", "floor", "home"];

/** How long a session may be, s. */
export function slotSecOf({ slots }: Pick<Crew, "slots">, slot: SessionSlot): number {
  return isOfShift(slot) ? slots[slot] : HOME_SEC[slot];
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
  return HOME_SLOTS.some((home) => home === slot) ? { settings: HOME_SETTINGS, kit: [] } : { settings, kit };
}
