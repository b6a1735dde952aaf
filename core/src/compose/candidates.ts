/** Every way a movement could stand in a session: with which dose, how long it takes the group, what it does for which region. */
import { SPACING } from "../dayplan";
import { shareKit } from "../kit";
import {
  KIT_KINDS,
  misfitsOf,
  newItem,
  PHASE_CAP,
  type KitKind,
  type Library,
  type Misfit,
  type Movement,
  type Phase,
  type Region,
} from "../library";
import { withFirstLoad } from "../program";
import { compilePerson, SLOT_KINDS, type Item, type SlotKind } from "../session";
import { doseLadder, growsFrom, type DoseStep } from "../slot";
import type { ComposeLimits } from "./limits";
import { countsAsDose } from "./shape";

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
/** A dose that takes more than this of its session may be a light one, of about that share, where more is covered by it. */
const LONG_SHARE = 1 / 3;
const LIGHT_SHARE = 0.6;
/** The upper end of a dose, in two steps: a slot is filled with these, never with a dose nobody can remember. */
const UPPER_SHARES = [1.25, 1.5] as const;

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
  /** Kit and places that are missing. */
  misfits: Misfit[];
  /** Sessions it belongs in that are all too short for it. */
  tooShort: SlotKind[];
}

/** A movement in a session with a share of its dose: what a lock names. */
export interface Place {
  slot: SlotKind;
  movementId: string;
  share: number;
}

/**
 * Whole doses; a light one beside it only where the whole one takes much of the session, and never of a glide; and the doses that are locked.
 *
 * @param makeId ids for the items, in order; the same calls give the same ids for the same proposal
 */
export function candidatesFor(
  library: Library,
  movements: readonly Movement[],
  limits: ComposeLimits,
  makeId: () => string,
  locks: readonly Place[] = [],
): { candidates: Candidate[]; left: Left[] } {
  const place = { settings: limits.settings, kit: [...new Set(limits.kit.map(({ kind }) => kind))] };
  const left: Left[] = [];
  const candidates = movements.flatMap((movement) => {
    // Weight on the hands waits until a form without it was clean for a week; nothing in a proposal starts with it.
    if (movement.weightBearing) return [];
    const misfits = misfitsOf(movement, movement.startForm, place);
    if (misfits.length > 0) {
      left.push({ movement, misfits, tooShort: [] });
      return [];
    }
    const item = withFirstLoad(library, quickest(library, newItem(movement, limits.style, makeId()), movement), limits.kit);
    const steps = doseLadder(item.dose, true);
    const slots = SLOT_KINDS.filter((slot) => SLOT_PHASES[slot].includes(movement.phase) && wanted(movement, limits));
    const possible = slots.flatMap((slot) => {
      const at = ({ dose, share }: DoseStep) => candidateAt(library, movement, { ...item, dose, id: makeId() }, share, slot, limits);
      const asked = locks.filter((lock) => lock.slot === slot && lock.movementId === movement.id && lock.share !== 1);
      const locked = asked.flatMap(
        ({ share }) => at(steps.find((step) => Math.abs(step.share - share) < 1e-6) ?? { dose: item.dose, share: 1 }) ?? [],
      );
      const whole = at({ dose: item.dose, share: 1 });
      // Only what takes much of a session may be shortened there: elsewhere a whole dose always finds room.
      const long = (whole?.sec ?? Infinity) > limits.slotSec[slot] * LONG_SHARE;
      const light = long && movement.phase !== "glide" ? lighter(steps, movement, at) : undefined;
      return [...(whole ? [whole] : []), ...(light ? [light] : []), ...locked];
    });
    if (possible.length === 0 && slots.length > 0) left.push({ movement, misfits: [], tooShort: slots });
    return possible;
  });
  return { candidates, left };
}

/** Of the doses below the whole one that fit and still count as one, that nearest the usual light share. */
function lighter(steps: readonly DoseStep[], movement: Movement, at: (step: DoseStep) => Candidate | undefined): Candidate | undefined {
  const possible = steps.filter(({ share, dose }) => share < 1 && countsAsDose(movement, dose));
  const nearest = [...possible].sort((a, b) => Math.abs(a.share - LIGHT_SHARE) - Math.abs(b.share - LIGHT_SHARE));
  for (const step of nearest) {
    const candidate = at(step);
    if (candidate) return candidate;
  }
  return undefined;
}

/** A movement in a session with a dose of its own; undefined where kit or time do not do. */
export function candidateAt(
  library: Library,
  movement: Movement,
  item: Item,
  share: number,
  slot: SlotKind,
  limits: ComposeLimits,
): Candidate | undefined {
  const sec = groupSec(library, item, movement, limits);
  if (sec === undefined || sec > limits.slotSec[slot]) return undefined;
  return {
    slot,
    movement,
    item,
    share,
    sec,
    gives: movement.phase === "strengthen" ? "strength" : "relief",
    points: pointsOf(movement, share, slot, limits),
  };
}

/** The same item with fuller doses, the nearest to each upper share; itself first. A light one may become whole. */
export function fullerThan(library: Library, candidate: Candidate, limits: ComposeLimits): Candidate[] {
  const { movement, item, share, slot } = candidate;
  const whole = newItem(movement, limits.style, item.id).dose;
  const steps = doseLadder(whole, true).filter(({ dose, share: part }) => part < 1 || growsFrom(whole, dose));
  // What flares easily has a cap below its phase's, and no upper end.
  const upper = movement.effortCap < PHASE_CAP[movement.phase] ? [] : UPPER_SHARES;
  const wanted = [...(share < 1 ? [1] : []), ...upper];
  const shares = wanted.map((aim) => steps.reduce((best, step) => (Math.abs(step.share - aim) < Math.abs(best.share - aim) ? step : best)));
  const fuller = shares.filter((step, i) => step.share > share + 1e-9 && shares.indexOf(step) === i);
  return [
    candidate,
    ...fuller.flatMap(({ dose, share: more }) => candidateAt(library, movement, { ...item, dose }, more, slot, limits) ?? []),
  ];
}

function wanted(movement: Movement, { aim }: ComposeLimits): boolean {
  return aim === "loadLed" || movement.phase !== "strengthen";
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
  // Less than the dose is worth its share of it, more than the dose no more: a light dose is no bargain, a long one no cover for others.
  const points = GOOD[movement.phase] * Math.min(1, share) * POINTS_DAILY * daily;
  return new Map([...new Set([...worked, ...stretched, ...released])].map((region) => [region, points]));
}

export function timesAWeek(slot: SlotKind, { breaksADay, daysAWeek, strengthDays }: ComposeLimits): number {
  return slot === "break"
    ? breaksADay * daysAWeek
    : slot === "postShift"
      ? Math.min(strengthDays, daysAWeek, SPACING.strengthenDaysPerWeek)
      : daysAWeek;
}
