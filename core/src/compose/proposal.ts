/** A solution read back: sessions in order, why each item is there, and what could not be covered and why. */
import type { KitKind, Region, Setting, WorkPosture } from "../library";
import { PHASES } from "../library";
import type { Program } from "../program";
import { SLOT_KINDS, type SlotKind } from "../session";
import { type Candidate, type Kind, type Left } from "./candidates";
import type { ComposeLimits } from "./limits";
import { targetsOf, x, type Target, type Wanted } from "./model";

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

export interface Unmet {
  region: Region;
  kind: Kind;
  need: number;
  /** Share of its target that is covered, 0–1. */
  covered: number;
  because: Hindrance;
}

export interface Proposal {
  program: Program;
  reasons: Map<string, ItemReason>;
  seconds: Map<SlotKind, number>;
  unmet: Unmet[];
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

export interface Place {
  slot: SlotKind;
  movementId: string;
  share: number;
}

/** @param columns name → value, as the solver gives them @param makeId ids for the sessions */
export function proposalFrom(
  candidates: readonly Candidate[],
  left: readonly Left[],
  wanted: Wanted,
  limits: ComposeLimits,
  columns: ReadonlyMap<string, number>,
  { name, sessionNames }: ProposalNames,
  makeId: () => string,
): Omit<Proposal, "gap"> {
  const chosen = candidates.filter((_, i) => (columns.get(x(i)) ?? 0) > 0.5);
  const bySlot = (slot: SlotKind) =>
    chosen.filter((each) => each.slot === slot).sort((a, b) => PHASES.indexOf(a.movement.phase) - PHASES.indexOf(b.movement.phase));
  const sessions = SLOT_KINDS.flatMap((slot) => {
    const items = bySlot(slot).map(({ item }) => item);
    return items.length === 0 ? [] : [{ id: makeId(), name: sessionNames[slot], slot, items }];
  });
  const reasons = new Map(chosen.map((each) => [each.item.id, reasonOf(each, wanted)]));
  const points = ({ region, kind }: Pick<Target, "region" | "kind">) =>
    chosen.reduce((sum, each) => sum + (each.gives === kind ? (each.points.get(region) ?? 0) : 0), 0);
  const targets = targetsOf(wanted, limits);
  const weight = targets.reduce((sum, { need, target }) => sum + need * target, 0);
  const unmet = targets
    .map((each) => ({ region: each.region, kind: each.kind, need: each.need, covered: Math.min(1, points(each) / each.target) }))
    // What is almost there is there: nobody would act on the last few percent.
    .filter(({ covered }) => covered < 0.97)
    .sort((a, b) => b.need * (1 - b.covered) - a.need * (1 - a.covered))
    .map((each): Unmet => ({ ...each, because: hindranceOf(each, candidates, left, chosen, limits) }));
  return {
    program: { name, style: limits.style, weeks: limits.weeks, sessions },
    reasons,
    seconds: new Map(SLOT_KINDS.map((slot) => [slot, bySlot(slot).reduce((sum, { sec }) => sum + sec, 0)])),
    unmet,
    covered: weight === 0 ? 1 : targets.reduce((sum, each) => sum + each.need * Math.min(each.target, points(each)), 0) / weight,
    places: new Map(chosen.map(({ item, slot, movement, share }) => [item.id, { slot, movementId: movement.id, share }])),
  };
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
  const misfits = left
    .filter(({ movement }) => (movement.phase === "strengthen") === (kind === "strength"))
    .filter(({ movement }) => [...movement.regions.worked, ...movement.regions.stretched, ...movement.regions.released].includes(region))
    .flatMap((each) => each.misfits);
  if (spare.length === 0) {
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
