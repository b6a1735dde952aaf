/** What one notch of each limit would bring: two minutes more, one break more, one movement more, a kind of kit. */
import { KIT_KINDS, type KitKind } from "../library";
import { SLOT_KINDS, type SlotKind } from "../session";
import { composer, type ComposeInput } from "./compose";
import type { ComposeLimits } from "./limits";
import { MET, type Met, type Proposal } from "./proposal";

export type Notch =
  /** Minutes for a session that has all the items it may have bring nothing alone: one more item comes with them. */
  | { kind: "minutes"; slot: SlotKind; min: number; withItem: boolean }
  | { kind: "break" }
  | { kind: "movement" }
  | { kind: "item" }
  | { kind: "kit"; kit: KitKind; count: number };

export interface NotchGain {
  notch: Notch;
  /** Of the needed points, by how much more is covered, 0–1. */
  gain: number;
  /** Needs it meets that were not met before, or brings nearer by a tenth at least; the greatest need first. */
  regions: Pick<Met, "region" | "kind">[];
}

const MORE_MIN = 2;
const MOST_BREAKS = 3;
/** A gain below this is noise of the search. */
const LEAST_GAIN = 0.005;
/** A need counts as brought nearer from here. */
const NEARER = 0.1;
/** Kit is proposed in this mass; bodies come lighter and heavier. */
const KIT_MASS_KG = 1;

export function limitsWith(limits: ComposeLimits, notch: Notch): ComposeLimits {
  switch (notch.kind) {
    case "minutes":
      return {
        ...limits,
        slotSec: { ...limits.slotSec, [notch.slot]: limits.slotSec[notch.slot] + notch.min * 60 },
        mostItems: limits.mostItems + (notch.withItem ? 1 : 0),
      };
    case "break":
      return { ...limits, breaksADay: limits.breaksADay + 1 };
    case "movement":
      return { ...limits, mostMovements: limits.mostMovements + 1 };
    case "item":
      return { ...limits, mostItems: limits.mostItems + 1 };
    case "kit":
      return { ...limits, kit: [...limits.kit, { kind: notch.kit, massKg: KIT_MASS_KG, count: notch.count }] };
  }
}

/** Every notch there is for a question: kit only of kinds that some movement wants and nobody has, enough for everybody at once. */
export function notchesOf(
  { limits, library, movements = library.movements }: Pick<ComposeInput, "limits" | "library" | "movements">,
  base?: Proposal,
): Notch[] {
  const itemsIn = (slot: SlotKind) => base?.program.sessions.find((session) => session.slot === slot)?.items.length ?? 0;
  const has = new Set(limits.kit.map(({ kind }) => kind));
  const asked = new Set(
    movements.flatMap((movement) => [...movement.kit, ...movement.forms.find(({ id }) => id === movement.startForm)!.kit]),
  );
  return [
    ...SLOT_KINDS.filter((slot) => limits.slotSec[slot] > 0).map((slot): Notch => ({
      kind: "minutes",
      slot,
      min: MORE_MIN,
      withItem: itemsIn(slot) >= limits.mostItems,
    })),
    ...(limits.slotSec.break > 0 && limits.breaksADay < MOST_BREAKS ? [{ kind: "break" } as const] : []),
    { kind: "movement" },
    { kind: "item" },
    ...KIT_KINDS.filter((kind) => asked.has(kind) && !has.has(kind)).map((kit): Notch => ({
      kind: "kit",
      kit,
      count: Math.max(1, limits.people),
    })),
  ];
}

/**
 * Each notch by itself, found by the search without a solver, which begins with the program there is; what brings most first. A notch
 * that brings nothing to speak of is left out.
 * @param base the program there is, of this input
 */
export function notchGains(input: ComposeInput, base: Proposal, makeId: () => string): NotchGain[] {
  const from = [...base.places.values()];
  const at = (limits: ComposeLimits) => composer({ ...input, from, limits }, makeId).first();
  // What the search finds without any notch is no gain of one: later aims may have cost the program there is a little of its cover.
  const without = [base, at(input.limits) ?? base];
  const covered = Math.max(...without.map((each) => each.covered));
  return notchesOf(input, base)
    .flatMap((notch): NotchGain[] => {
      const proposal = at(limitsWith(input.limits, notch));
      const gain = (proposal?.covered ?? 0) - covered;
      return proposal && gain >= LEAST_GAIN ? [{ notch, gain, regions: nearer(without, proposal) }] : [];
    })
    .sort((a, b) => b.gain - a.gain);
}

function nearer(without: readonly Proposal[], after: Proposal): NotchGain["regions"] {
  return after.met.flatMap(({ region, kind, covered }) => {
    const of = ({ met }: Proposal) => met.find((each) => each.region === region && each.kind === kind)?.covered ?? 0;
    const was = Math.max(...without.map(of));
    return covered - was >= NEARER || (covered >= MET && was < MET) ? [{ region, kind }] : [];
  });
}
