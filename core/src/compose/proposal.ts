/** A solution read back: sessions in order, why each item is there, and what could not be covered and why. */
import type { KitKind, Library, Region, Setting, WorkPosture } from "../library";
import type { Program } from "../program";
import { SLOT_KINDS, type ShiftSession, type SlotKind } from "../session";
import type { Candidate, Kind, Left, Place } from "./candidates";
import type { ComposeLimits } from "./limits";
import { targetsOf, type Target, type Wanted } from "./targets";
import { aimsMissed, type AimMissed } from "./aims";
import { arranged, withRoom, type Arranged } from "./pairs";
import { changeOvers, inOrder, standOf } from "./shape";

export interface ItemReason {
  /** Regions it is there for, the neediest first, with the points it gives. */
  regions: { region: Region; need: number; points: number }[];
  /** Postures of the work it is the opposite of. */
  reverses: WorkPosture[];
}

export type Hindrance =
  | { kind: "kit"; needs: KitKind[] }
  | { kind: "place"; needs: Setting[] }
  | { kind: "time"; slots: SlotKind[] }
  | { kind: "movements" }
  | { kind: "items"; slots: SlotKind[] }
  | { kind: "nothing" };

/** How much of a region's need is met, and by what. */
export interface Met {
  region: Region;
  kind: Kind;
  need: number;
  /** Share of its target that is covered, 0–1. */
  covered: number;
  /** Movements that give it something, what gives most first. */
  by: string[];
}

export interface Unmet extends Met {
  because: Hindrance;
}

export interface Proposal {
  program: Omit<Program, "sessions"> & { sessions: ShiftSession[] };
  reasons: Map<string, ItemReason>;
  seconds: Map<SlotKind, number>;
  /** Every need, the greatest first. */
  met: Met[];
  unmet: Unmet[];
  /** How often each session changes its place or what is in the hand. */
  changeOvers: Map<SlotKind, number>;
  /** Sessions that are used less than they might be, and the limit that stands in the way. */
  spare: { slot: SlotKind; usedSec: number; because: "items" | "movements" | "nothing" }[];
  /** What keeps it from being made a program. */
  missed: AimMissed[];
  /** Needed points that are covered, as a share, weighted by need. */
  covered: number;
  /** Item id → where it stands and with which share of its dose: what a lock has to name. */
  places: Map<string, Place>;
  /** By how much of its value the best there could be is better; 0 is proven best. */
  gap: number;
}

/** What the program and its sessions are called until somebody names them. */
export interface ProposalNames {
  name: string;
  sessionNames: Readonly<Record<SlotKind, string>>;
}

/** @param chosen the candidates that are in, with their final doses @param makeId ids for the sessions */
export function proposalFrom(
  library: Library,
  candidates: readonly Candidate[],
  left: readonly Left[],
  wanted: Wanted,
  limits: ComposeLimits,
  chosen: readonly Candidate[],
  { name, sessionNames }: ProposalNames,
  makeId: () => string,
): Omit<Proposal, "gap"> {
  const inSlots = arrangedIn(library, chosen, limits);
  const bySlot = (slot: SlotKind) => inSlots.get(slot)!.order;
  const usedIn = (slot: SlotKind) => bySlot(slot).reduce((sum, { sec }) => sum + sec, 0) - inSlots.get(slot)!.savedSec;
  const sessions = SLOT_KINDS.flatMap((slot) => {
    const { paired } = inSlots.get(slot)!;
    const items = bySlot(slot).map(({ item, share }) => ({
      ...item,
      ...(share !== 1 && { doseShare: share }),
      ...(paired.has(item.id) && { pairedWithNext: true }),
    }));
    return items.length === 0 ? [] : [{ id: makeId(), name: sessionNames[slot], slot, items }];
  });
  const reasons = new Map(chosen.map((each) => [each.item.id, reasonOf(each, wanted)]));
  const points = ({ region, kind }: Pick<Target, "region" | "kind">) =>
    chosen.reduce((sum, each) => sum + (each.gives === kind ? (each.points.get(region) ?? 0) : 0), 0);
  const targets = targetsOf(wanted, limits);
  const weight = targets.reduce((sum, { need, target }) => sum + need * target, 0);
  const met = targets
    .map((each): Met => ({
      region: each.region,
      kind: each.kind,
      need: each.need,
      covered: Math.min(1, points(each) / each.target),
      by: givers(chosen, each),
    }))
    .sort((a, b) => b.need - a.need);
  const unmet = met
    // What is almost there is there: nobody would act on the last few percent.
    .filter(({ covered }) => covered < MET)
    .sort((a, b) => b.need * (1 - b.covered) - a.need * (1 - a.covered))
    .map((each): Unmet => ({ ...each, because: hindranceOf(each, candidates, left, chosen, limits) }));
  return {
    program: { name, style: limits.style, weeks: limits.weeks, sessions },
    reasons,
    seconds: new Map(SLOT_KINDS.map((slot) => [slot, usedIn(slot)])),
    met,
    unmet,
    changeOvers: new Map(
      SLOT_KINDS.map((slot) => [
        slot,
        changeOvers(bySlot(slot).map(({ movement, item }) => standOf(movement, item.formId, limits.settings))),
      ]),
    ),
    spare: SLOT_KINDS.flatMap((slot) => {
      const here = bySlot(slot);
      const usedSec = usedIn(slot);
      if (here.length === 0 || usedSec >= WELL_USED * limits.slotSec[slot]) return [];
      const remembered = new Set(chosen.map(({ movement }) => movement.id)).size;
      const because = here.length >= limits.mostItems ? "items" : remembered >= limits.mostMovements ? "movements" : "nothing";
      return [{ slot, usedSec, because } as const];
    }),
    missed: aimsMissed(
      chosen,
      candidates,
      withRoom(limits, (slot) => inSlots.get(slot)!.savedSec),
    ),
    covered: weight === 0 ? 1 : targets.reduce((sum, each) => sum + each.need * Math.min(each.target, points(each)), 0) / weight,
    places: new Map(chosen.map(({ item, slot, movement, share }) => [item.id, { slot, movementId: movement.id, share }])),
  };
}

/** Each session in order, with the pairs that save time in it. */
export function arrangedIn(library: Library, chosen: readonly Candidate[], limits: ComposeLimits): Map<SlotKind, Arranged> {
  return new Map(
    SLOT_KINDS.map((slot) => {
      const here = chosen.filter((each) => each.slot === slot);
      return [slot, arranged(library, inOrder(here, limits.settings), limits)];
    }),
  );
}

/** A session is well used from here. */
const WELL_USED = 0.85;
/** Covered so far, a need is met. */
export const MET = 0.97;

function givers(chosen: readonly Candidate[], { region, kind }: Pick<Target, "region" | "kind">): string[] {
  const given = new Map<string, number>();
  for (const { movement, gives, points } of chosen)
    if (gives === kind && points.has(region)) given.set(movement.id, (given.get(movement.id) ?? 0) + points.get(region)!);
  return [...given].sort((a, b) => b[1] - a[1]).map(([id]) => id);
}

function reasonOf({ movement, points, gives }: Candidate, { needs, strengthNeeds, opposites }: Wanted): ItemReason {
  const asked = gives === "strength" ? strengthNeeds : needs;
  return {
    regions: [...points]
      .map(([region, given]) => ({ region, need: asked.get(region) ?? 0, points: given }))
      .filter(({ need }) => need > 0)
      .sort((a, b) => b.need - a.need),
    reverses: opposites.map(({ posture }) => posture).filter((posture) => movement.reverses.includes(posture)),
  };
}

/** The limit that stood in the way of more for a region: what would have to give. */
function hindranceOf(
  { region, kind }: Pick<Target, "region" | "kind">,
  candidates: readonly Candidate[],
  left: readonly Left[],
  chosen: readonly Candidate[],
  limits: ComposeLimits,
): Hindrance {
  const spare = candidates.filter(
    (each) =>
      each.gives === kind &&
      each.points.has(region) &&
      !chosen.some((other) => other.slot === each.slot && other.movement.id === each.movement.id),
  );
  if (spare.length === 0) {
    const wouldHelp = left
      .filter(({ movement }) => (movement.phase === "strengthen") === (kind === "strength"))
      .filter(({ movement }) => [...movement.regions.worked, ...movement.regions.stretched, ...movement.regions.released].includes(region));
    const tooShort = [...new Set(wouldHelp.flatMap((each) => each.tooShort))];
    if (tooShort.length > 0) return { kind: "time", slots: tooShort };
    const misfits = wouldHelp.flatMap((each) => each.misfits);
    const kit = misfits.flatMap((misfit) => (misfit.kind === "kit" ? misfit.needs : []));
    const settings = misfits.flatMap((misfit) => (misfit.kind === "setting" ? misfit.needs : []));
    if (kit.length > 0) return { kind: "kit", needs: [...new Set(kit)] };
    return settings.length > 0 ? { kind: "place", needs: [...new Set(settings)] } : { kind: "nothing" };
  }
  const slots = [...new Set(spare.map(({ slot }) => slot))];
  const roomIn = (slot: SlotKind) =>
    limits.slotSec[slot] - chosen.filter((each) => each.slot === slot).reduce((sum, { sec }) => sum + sec, 0);
  const tooLong = slots.filter((slot) => Math.min(...spare.filter((each) => each.slot === slot).map(({ sec }) => sec)) > roomIn(slot));
  if (tooLong.length === slots.length) return { kind: "time", slots };
  const full = slots.filter((slot) => chosen.filter((each) => each.slot === slot).length >= limits.mostItems);
  if (full.length > 0) return { kind: "items", slots: full };
  if (new Set(chosen.map(({ movement }) => movement.id)).size >= limits.mostMovements) return { kind: "movements" };
  return tooLong.length > 0 ? { kind: "time", slots: tooLong } : { kind: "nothing" };
}
