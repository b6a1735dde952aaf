/** From need to a proposal: candidates, model, solution, reasons. */
import type { Library, Movement, Region } from "../library";
import type { RegionNeed } from "../need";
import { candidatesFor, type Candidate } from "./candidates";
import type { ComposeLimits } from "./limits";
import { gapOf, type Effort, type Solver } from "../solver";
import { columnsOf, modelOf, type Wanted } from "./model";
import { proposalFrom, type Place, type Proposal, type ProposalNames } from "./proposal";

export interface ComposeInput extends ProposalNames {
  needs: readonly RegionNeed[];
  opposites: Wanted["opposites"];
  limits: ComposeLimits;
  /** Items that must be in again: movement, slot and dose of a former proposal. */
  locked?: readonly Place[];
  /** Movements the trainer does not want. */
  excluded?: readonly string[];
  library: Library;
  /** What may be proposed; all of the library when left out. */
  movements?: readonly Movement[];
}

/** A need of each region on the side that needs it more: both sides are always trained alike. */
export function neediest(needs: readonly RegionNeed[], of: "need" | "strengthNeed" = "need"): Map<Region, number> {
  const most = new Map<Region, number>();
  for (const each of needs) most.set(each.region, Math.max(most.get(each.region) ?? 0, each[of]));
  return most;
}

/** A first answer within the blink of an eye, and the best there is. Both are asked of the same candidates. */
export interface Composer {
  /** Full doses only: half the choices. @returns undefined when nothing was found in that time */
  first(solve: Solver, timeLimitSec: number): Promise<Proposal | undefined>;
  /**
   * @param effort how long the solver may think and how close to proven best it has to come; `from` a proposal it begins with
   * @returns undefined when no program keeps to all limits (locked items that do not fit), or none was found in that time
   */
  best(solve: Solver, effort: Effort & { from?: Proposal }): Promise<Proposal | undefined>;
}

/** @param makeId ids, in order: the same input with the same ids gives the same proposal */
export function composer(input: ComposeInput, makeId: () => string): Composer {
  const wanted: Wanted = {
    needs: neediest(input.needs),
    strengthNeeds: neediest(input.needs, "strengthNeed"),
    opposites: input.opposites,
  };
  const { candidates, left } = candidatesFor(
    input.library,
    (input.movements ?? input.library.movements).filter(({ id }) => !input.excluded?.includes(id)),
    input.limits,
    makeId,
  );
  const locks = input.locked ?? [];
  const isOneOf = (places: readonly Place[], { slot, movement, share }: Candidate) =>
    places.some((place) => place.slot === slot && place.movementId === movement.id && Math.abs(place.share - share) < 1e-6);
  const placesIn = (list: readonly Candidate[], places: readonly Place[]) =>
    new Set(list.flatMap((each, i) => (isOneOf(places, each) ? [i] : [])));
  const ask = async (list: readonly Candidate[], solve: Solver, effort: Effort) => {
    const locked = placesIn(list, locks);
    if (locked.size < locks.length) return undefined;
    const solved = await solve(modelOf(list, wanted, input.limits, locked, effort.hasty).lp, effort);
    return solved && { ...proposalFrom(list, left, wanted, input.limits, solved.columns, input, makeId), gap: gapOf(solved) };
  };
  return {
    first: (solve, timeLimitSec) =>
      ask(
        candidates.filter((each) => each.share === 1 || isOneOf(locks, each)),
        solve,
        { timeLimitSec, gap: 0.2, hasty: true },
      ),
    best: (solve, { from, ...effort }) =>
      ask(candidates, solve, {
        ...effort,
        ...(from && { start: columnsOf(candidates, placesIn(candidates, [...from.places.values()])) }),
      }),
  };
}
