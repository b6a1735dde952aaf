/** What is done to a solved program without a solver: room that is left goes to what is still needed, then to fuller doses. Exact and quick. */
import { SPACING } from "../dayplan";
import type { Library } from "../library";
import { SLOT_KINDS, type SlotKind } from "../session";
import { fullerThan, type Candidate, type Place } from "./candidates";
import type { ComposeLimits } from "./limits";
import { secondsWorth } from "./model";
import { type Wanted } from "./targets";

/** Doses grow until this share of a slot is used: some room is left for people to move about. */
export const ENOUGH_OF_SLOT = 0.93;

const inSlot = (chosen: readonly Candidate[], slot: SlotKind) => chosen.filter((each) => each.slot === slot);
const secOf = (chosen: readonly Candidate[]) => chosen.reduce((sum, { sec }) => sum + sec, 0);

/** Whether a candidate may be added to a program that keeps all limits, and it still keeps them. */
export function mayJoin(chosen: readonly Candidate[], candidate: Candidate, limits: ComposeLimits): boolean {
  const here = inSlot(chosen, candidate.slot);
  const times = (slot: SlotKind) => (slot === "break" ? limits.breaksADay : 1);
  const after = [...chosen, candidate];
  const sessionsWith = (phases: readonly string[]) =>
    SLOT_KINDS.filter((slot) => inSlot(after, slot).some(({ movement }) => phases.includes(movement.phase))).reduce(
      (sum, slot) => sum + times(slot),
      0,
    );
  return (
    !here.some(({ movement }) => movement.id === candidate.movement.id) &&
    secOf(here) + candidate.sec <= limits.slotSec[candidate.slot] &&
    here.length < limits.mostItems &&
    new Set(after.map(({ movement }) => movement.id)).size <= limits.mostMovements &&
    (candidate.movement.phase !== "glide" || !here.some(({ movement }) => movement.phase === "glide")) &&
    sessionsWith(["glide"]) <= SPACING.glidesPerDay &&
    sessionsWith(["mobility", "stretch"]) <= SPACING.mobilityPerDay
  );
}

/**
 * Adds what fits, one after the other: what needs it most first, of two alike the one people know from another session. A session that
 * is empty stays so: what it must have did not fit.
 */
export function filledUp(
  chosen: readonly Candidate[],
  candidates: readonly Candidate[],
  wanted: Wanted,
  limits: ComposeLimits,
): Candidate[] {
  const all = [...chosen];
  const open = new Set(all.map(({ slot }) => slot));
  for (;;) {
    const known = new Set(all.map(({ movement }) => movement.id));
    const worth = (each: Candidate) => secondsWorth(each, wanted) * (known.has(each.movement.id) ? 1.2 : 1);
    let best: Candidate | undefined;
    for (const each of candidates)
      if ((!best || worth(each) > worth(best)) && open.has(each.slot) && mayJoin(all, each, limits)) best = each;
    if (!best) return all;
    all.push(best);
  }
}

interface Reached {
  /** Doses that are whole, doses that are raised above it, and what the raised seconds are worth. */
  whole: number;
  raised: number;
  worth: number;
  picked: readonly Candidate[];
}

/** Time is counted in half seconds. */
const UNITS = 2;

/**
 * The doses of every session's items: light ones whole where there is room, then as few as possible raised to their upper end until
 * enough of the slot is used, those first that go where most is needed. Every combination is weighed (a multiple-choice knapsack by
 * time). Locked items keep their dose.
 */
export function dosed(
  library: Library,
  chosen: readonly Candidate[],
  wanted: Wanted,
  limits: ComposeLimits,
  locks: readonly Place[],
): Candidate[] {
  return SLOT_KINDS.flatMap((slot) => {
    const here = inSlot(chosen, slot);
    if (here.length === 0) return [];
    const room = Math.floor(limits.slotSec[slot] * UNITS);
    let reached = new Map<number, Reached>([[0, { whole: 0, raised: 0, worth: 0, picked: [] }]]);
    for (const each of here) {
      const locked = locks.some((lock) => lock.slot === slot && lock.movementId === each.movement.id);
      const options = locked ? [each] : fullerThan(library, each, limits);
      const next = new Map<number, Reached>();
      for (const [used, state] of reached)
        for (const option of options) {
          const now = used + Math.ceil(option.sec * UNITS);
          if (now > room) continue;
          const raised = option.share > 1 && option !== each;
          const reach = {
            whole: state.whole + (option.share >= 1 ? 1 : 0),
            raised: state.raised + (raised ? 1 : 0),
            worth: state.worth + (raised ? secondsWorth(option, wanted) : 0),
            picked: [...state.picked, option],
          };
          const known = next.get(now);
          if (!known || isBetter(reach, known)) next.set(now, reach);
        }
      reached = next;
    }
    const enough = Math.floor(room * ENOUGH_OF_SLOT);
    const [, best] = [...reached].reduce((one, other) => {
      const [a, b] = [Math.min(one[0], enough), Math.min(other[0], enough)];
      if (one[1].whole !== other[1].whole) return one[1].whole > other[1].whole ? one : other;
      if (a !== b) return a > b ? one : other;
      return isBetter(other[1], one[1]) ? other : one;
    });
    return best.picked;
  });
}

const isBetter = (one: Reached, other: Reached) =>
  one.whole !== other.whole ? one.whole > other.whole : one.raised !== other.raised ? one.raised < other.raised : one.worth > other.worth;
