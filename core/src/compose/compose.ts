/** From need to a proposal: candidates, model, solution, reasons. */
import { MOVEMENTS, type Movement, type Region } from "../library";
import type { RegionNeed } from "../need";
import { candidatesFor, type Candidate } from "./candidates";
import type { ComposeLimits } from "./limits";
import { modelOf, type Wanted } from "./model";
import { proposalFrom, type Proposal } from "./proposal";

/** A solver of LP text, e.g. HiGHS. Columns by name; undefined when it found nothing within its limits. */
export type Solver = (lp: string, options: { timeLimitSec: number; gap: number }) => Promise<Map<string, number> | undefined>;

export interface ComposeInput {
  needs: readonly RegionNeed[];
  opposites: Wanted["opposites"];
  limits: ComposeLimits;
  /** Items that must be in again: movement, slot and dose of a former proposal. */
  locked?: readonly { slot: Candidate["slot"]; movementId: string; share: number }[];
  /** Movements the trainer does not want. */
  excluded?: readonly string[];
  name: string;
  movements?: readonly Movement[];
  /** Full doses only: half the choices, for a first answer. */
  rough?: boolean;
}

/** The need of each region on the side that needs it more: both sides are always trained alike. */
export function neediest(needs: readonly RegionNeed[]): Map<Region, number> {
  const most = new Map<Region, number>();
  for (const { region, need } of needs) most.set(region, Math.max(most.get(region) ?? 0, need));
  return most;
}

/**
 * @param effort how long the solver may think and how close to proven best it has to come
 * @param makeId ids, in order: the same input with the same ids gives the same proposal
 * @returns undefined when no program keeps to all limits (locked items that do not fit)
 */
export async function compose(
  input: ComposeInput,
  solve: Solver,
  effort: { timeLimitSec: number; gap: number },
  makeId: () => string,
): Promise<Proposal | undefined> {
  const wanted: Wanted = { needs: neediest(input.needs), opposites: input.opposites };
  const { candidates: all, left } = candidatesFor(
    (input.movements ?? MOVEMENTS).filter(({ id }) => !input.excluded?.includes(id)),
    input.limits,
    makeId,
  );
  const isLocked = ({ slot, movement, share }: Candidate) =>
    input.locked?.some((lock) => lock.slot === slot && lock.movementId === movement.id && Math.abs(lock.share - share) < 1e-6) ?? false;
  const candidates = input.rough ? all.filter((each) => each.share === 1 || isLocked(each)) : all;
  const locked = (input.locked ?? []).map(({ slot, movementId, share }) =>
    candidates.findIndex((each) => each.slot === slot && each.movement.id === movementId && Math.abs(each.share - share) < 1e-6),
  );
  if (locked.includes(-1)) return undefined;
  const columns = await solve(modelOf(candidates, wanted, input.limits, new Set(locked)).lp, effort);
  return columns && proposalFrom(candidates, left, wanted, input.limits, columns, input.name, makeId);
}
