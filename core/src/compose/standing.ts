/** Where each movement could stand, and the names of the columns that say whether it does. */
import type { Phase } from "../library";
import type { SlotKind } from "../session";
import type { Term } from "../solver";
import type { Candidate } from "./candidates";

export interface Standing {
  slot: SlotKind;
  id: string;
  phase: Phase;
  /** The doses it could have there, as places in the list of candidates, and as terms of 1. */
  places: number[];
  terms: Term[];
}

/** Every movement in every session it could stand in. */
export function standings(candidates: readonly Candidate[]): Standing[] {
  const found = new Map<string, Standing>();
  candidates.forEach(({ slot, movement: { id, phase } }, i) => {
    const key = `${slot} ${id}`;
    const standing = found.get(key) ?? { slot, id, phase, places: [], terms: [] };
    standing.places.push(i);
    standing.terms.push([1, x(i)]);
    found.set(key, standing);
  });
  return [...found.values()];
}

export function inSlot(candidates: readonly Candidate[], slot: SlotKind): [Candidate, number][] {
  return candidates.flatMap((candidate, i): [Candidate, number][] => (candidate.slot === slot ? [[candidate, i]] : []));
}

export function movementsOf(candidates: readonly Candidate[]): string[] {
  return [...new Set(candidates.map(({ movement }) => movement.id))];
}

export function x(index: number): string {
  return `x${index}`;
}
