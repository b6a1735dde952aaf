/** Every way a movement could stand in a session: with which dose, how long it takes the group, what it does for which region. */
import { SPACING } from "../dayplan";
import { shareKit } from "../kit";
import { KIT_KINDS, misfitsOf, newItem, type KitKind, type Library, type Misfit, type Movement, type Phase, type Region } from "../library";
import { withFirstLoad } from "../program";
import { compilePerson, SLOT_KINDS, type Item, type SlotKind } from "../session";
import { doseLadder, worthOf } from "../slot";
import type { ComposeLimits } from "./limits";

/** Which phases a slot takes. Strengthening only after the shift: never in the hour before work that strains. */
export const SLOT_PHASES: Readonly<Record<SlotKind, readonly Phase[]>> = {
  preShift: ["getReady", "mobility", "stretch", "glide"],
  break: ["getReady", "mobility", "stretch", "glide", "release"],
  postShift: ["getReady", "mobility", "stretch", "strengthen", "release"],
};

/** What an item does for the regions it works, stretches or releases, by phase. Planning weights of this practice. */
const GOOD: Readonly<Record<Phase, number>> = { getReady: 0.2, mobility: 0.4, stretch: 0.6, glide: 0.4, strengthen: 1, release: 0.4 };
/** Points of a whole dose done every working day. */
const POINTS_DAILY = 4;
/** A full dose, and a light one of about this share. */
const LIGHT_SHARE = 0.6;

export const KINDS = ["relief", "strength"] as const;
export type Kind = (typeof KINDS)[number];

export interface Candidate {
  slot: SlotKind;
  movement: Movement;
  item: Item;
  /** Share of the style's dose. */
  share: number;
  /** For the group, kit shared. */
  sec: number;
  /** Relief and strength are two needs of a region: neither stands in for the other. */
  gives: Kind;
  /** Region → points a week. */
  points: ReadonlyMap<Region, number>;
}

/** Why a movement is in no session. */
export interface Left {
  movement: Movement;
  misfits: Misfit[];
}

/** @param makeId ids for the items, in order; the same calls give the same ids for the same proposal */
export function candidatesFor(
  library: Library,
  movements: readonly Movement[],
  limits: ComposeLimits,
  makeId: () => string,
): { candidates: Candidate[]; left: Left[] } {
  const place = { settings: limits.settings, kit: [...new Set(limits.kit.map(({ kind }) => kind))] };
  const left: Left[] = [];
  const candidates = movements.flatMap((movement) => {
    // Weight on the hands waits until a form without it was clean for a week; nothing in a proposal starts with it.
    if (movement.weightBearing) return [];
    const misfits = misfitsOf(movement, movement.startForm, place);
    if (misfits.length > 0) {
      left.push({ movement, misfits });
      return [];
    }
    return SLOT_KINDS.filter(
      (slot) => limits.slotSec[slot] > 0 && SLOT_PHASES[slot].includes(movement.phase) && wanted(movement, limits),
    ).flatMap((slot) =>
      doses(library, movement, limits, makeId).flatMap(({ item, share }): Candidate[] => {
        const sec = groupSec(library, item, movement, limits);
        return sec === undefined || sec > limits.slotSec[slot]
          ? []
          : [
              {
                slot,
                movement,
                item,
                share,
                sec,
                gives: movement.phase === "strengthen" ? "strength" : "relief",
                points: pointsOf(movement, share, slot, limits),
              },
            ];
      }),
    );
  });
  return { candidates, left };
}

function wanted(movement: Movement, { aim }: ComposeLimits): boolean {
  return aim === "loadLed" || movement.phase !== "strengthen";
}

function doses(library: Library, movement: Movement, { style, kit }: ComposeLimits, makeId: () => string): { item: Item; share: number }[] {
  const item = withFirstLoad(library, quickest(library, newItem(movement, style, makeId()), movement), kit);
  const light = doseLadder(item.dose).reduce((best, step) =>
    Math.abs(step.share - LIGHT_SHARE) < Math.abs(best.share - LIGHT_SHARE) ? step : best,
  );
  return [{ item, share: 1 }, ...(light.share < 0.999 ? [{ item: { ...item, dose: light.dose }, share: light.share }] : [])];
}

/** Alternating sides where that is the same dose in less time. */
function quickest(library: Library, item: Item, movement: Movement): Item {
  if (item.sides !== "inTurn" || !movement.sideModes.includes("alternating")) return item;
  const alternating: Item = { ...item, sides: "alternating" };
  return secOf(library, alternating) < secOf(library, item) ? alternating : item;
}

function secOf(library: Library, item: Item): number {
  return compilePerson({ id: "-", name: "-", slot: "break", items: [item] }, library.timings).totalSec;
}

/** With too few pieces, the quickest way of sharing them; undefined when there is none. */
function groupSec(library: Library, item: Item, movement: Movement, { kit, people }: ComposeLimits): number | undefined {
  const form = movement.forms.find(({ id }) => id === item.formId)!;
  const kinds = [movement.kit, form.kit].filter((list) => list.length > 0);
  const ways = kinds.map((list) => shareKit(item, library.timings, Math.max(1, people), piecesOf(list, kit))[0]?.totalSec);
  return ways.some((sec) => sec === undefined) ? undefined : Math.max(secOf(library, item), ...(ways as number[]));
}

function piecesOf(kinds: readonly KitKind[], kit: ComposeLimits["kit"]): number {
  return Math.max(
    0,
    ...KIT_KINDS.filter((kind) => kinds.includes(kind)).map((kind) =>
      kit.filter((entry) => entry.kind === kind).reduce((sum, { count }) => sum + count, 0),
    ),
  );
}

function pointsOf(movement: Movement, share: number, slot: SlotKind, limits: ComposeLimits): Map<Region, number> {
  const { worked, stretched, released } = movement.regions;
  const daily = timesAWeek(slot, limits) / limits.daysAWeek;
  const points = GOOD[movement.phase] * worthOf(share) * POINTS_DAILY * daily;
  return new Map([...new Set([...worked, ...stretched, ...released])].map((region) => [region, points]));
}

export function timesAWeek(slot: SlotKind, { breaksADay, daysAWeek, strengthDays }: ComposeLimits): number {
  return slot === "break"
    ? breaksADay * daysAWeek
    : slot === "postShift"
      ? Math.min(strengthDays, daysAWeek, SPACING.strengthenDaysPerWeek)
      : daysAWeek;
}
