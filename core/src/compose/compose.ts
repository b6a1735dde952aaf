/** From need to a proposal: candidates, one model after the other for the aims in their order, doses, reasons. */
import type { Library, Movement, Region } from "../library";
import type { RegionNeed } from "../need";
import { candidatesFor, type Candidate, type Place } from "./candidates";
import { dosed, filledUp } from "./finish";
import type { ComposeLimits } from "./limits";
import { gapOf, type Effort, type Solved, type Solver } from "../solver";
import { columnsOf, modelOf, TASTES, type Stage, type Taste } from "./model";
import { type Wanted } from "./targets";
import { x } from "./standing";
import { outdone, withoutOutdone } from "./outdone";
import { searched } from "./search";
import { withRoom } from "./pairs";
import { arrangedIn, proposalFrom, type Proposal, type ProposalNames } from "./proposal";

export interface ComposeInput extends ProposalNames {
  needs: readonly RegionNeed[];
  opposites: Wanted["opposites"];
  limits: ComposeLimits;
  /** Items that must be in again: movement, slot and dose of a former proposal. */
  locked?: readonly Place[];
  /** A program that is known already: the search begins with it where it fits. */
  from?: readonly Place[];
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

/** A first answer within the blink of an eye, and the best there is. Both are asked of the same candidates and finished alike. */
export interface Composer {
  /** What a search without a solver finds. @returns undefined when locked items do not fit */
  first(): Proposal | undefined;
  /**
   * @param effort how long the solver may think in all, and how close to proven best it has to come; it begins with the first answer
   * @returns undefined when no program keeps to all limits (locked items that do not fit), or none was found in that time
   */
  best(solve: Solver, effort: Effort): Promise<Proposal | undefined>;
  /**
   * Programs nearly as good as the best, each after another taste; those that are the same as one before are left out.
   * @param effort how long the solver may think about each; asked after `best`, whose reach they keep to
   */
  alternatives(solve: Solver, effort: Effort, tell?: (soFar: Alternative[]) => void): Promise<Alternative[]>;
}

export interface Alternative {
  taste: Taste;
  proposal: Proposal;
}

/** Of the time there is, this much may go to covering; the later aims share the rest. */
const COVER_SHARE = 0.6;
/** The later aims are looked for this near to their best. */
const LATER_GAP = 0.02;
/** Beside the best: three to choose from. */
const ENOUGH_OTHERS = 2;
/** What the later aims may cost the cover, the finishing of doses with it; what costs more was a search that ran out of time. */
const MAY_COST = 0.985;

/** @param makeId ids, in order: the same input with the same ids gives the same proposal */
export function composer(input: ComposeInput, makeId: () => string): Composer {
  const { library, limits } = input;
  const wanted: Wanted = {
    needs: neediest(input.needs),
    strengthNeeds: neediest(input.needs, "strengthNeed"),
    opposites: input.opposites,
  };
  const locks = input.locked ?? [];
  const { candidates, left } = candidatesFor(
    library,
    (input.movements ?? library.movements).filter(({ id }) => !input.excluded?.includes(id)),
    limits,
    makeId,
    locks,
  );
  const at = (place: Place) =>
    candidates.findIndex(
      ({ slot, movement, share }) => slot === place.slot && movement.id === place.movementId && Math.abs(share - place.share) < 1e-6,
    );
  const locked = new Set(locks.map(at));
  // A fuller dose of the known program begins as a whole one.
  const from = (input.from ?? []).map((place) => at({ ...place, share: Math.min(1, place.share) })).filter((i) => i >= 0);
  const wholeOnes = candidates.filter(({ share }) => share >= 1);
  const ask = (solve: Solver, stage: Stage, effort: Effort) => solve(modelOf(candidates, wanted, limits, locked, stage).lp, effort);
  const chosenIn = ({ columns }: Pick<Solved, "columns">) => candidates.filter((_, i) => (columns.get(x(i)) ?? 0) > 0.5);
  const startFrom = (chosen: readonly Candidate[]) => columnsOf(candidates, new Set(chosen.map((each) => candidates.indexOf(each))));
  const finished = (chosen: readonly Candidate[], within: ComposeLimits) =>
    dosed(library, filledUp(chosen, wholeOnes, wanted, within), wanted, within, locks);
  const proposed = (chosen: readonly Candidate[], gap: number): Proposal => ({
    ...proposalFrom(library, candidates, left, wanted, limits, withPairs(library, chosen, limits, finished), input, makeId),
    gap,
  });
  /** Searched once, whoever asks; nothing where a locked item is none that there is. */
  let known: { found: Candidate[] | undefined } | undefined;
  const search = () => (known ??= { found: locked.has(-1) ? undefined : searched(candidates, wanted, limits, locked, from) }).found;
  /** What the best reached, once it was asked for. */
  let reached: { covered: number; light: number; filled: number; chosen: readonly Candidate[]; answer: Proposal } | undefined;
  return {
    first: () => {
      const found = search();
      return found && proposed(found, Infinity);
    },
    best: async (solve, { timeLimitSec, ...effort }) => {
      if (locked.has(-1)) return undefined;
      const found = search();
      const start = found && withoutOutdone(found, candidates, outdone(candidates, wanted, limits, locked));
      const cover = await ask(
        solve,
        { aim: "cover" },
        { ...effort, timeLimitSec: timeLimitSec * COVER_SHARE, ...(start && { start: startFrom(start) }) },
      );
      if (!cover) return found && proposed(found, Infinity);
      const gap = gapOf(cover);
      const later = { timeLimitSec: (timeLimitSec * (1 - COVER_SHARE)) / 3, gap: LATER_GAP };
      const covered = cover.objective;
      // As few light doses as cover as much; where there is none, or none can be saved, there is nothing to ask.
      const lightIn = (chosen: readonly Candidate[]) =>
        chosen.filter((each) => each.share < 1 && !locked.has(candidates.indexOf(each))).length;
      const covering = chosenIn(cover);
      const whole =
        lightIn(covering) > 0 ? await ask(solve, { aim: "whole", covered }, { ...later, start: startFrom(covering) }) : undefined;
      const wholeDoses = whole ? chosenIn(whole) : covering;
      const light = lightIn(wholeDoses);
      const full = filledUp(wholeDoses, wholeOnes, wanted, limits);
      const fill = await ask(solve, { aim: "fill", covered, light }, { ...later, start: startFrom(full) });
      if (!fill) return proposed(full, gap);
      const few = await ask(solve, { aim: "few", covered, light, filled: fill.objective }, { ...later, start: startFrom(chosenIn(fill)) });
      const staged = proposed(chosenIn(few ?? fill), gap);
      const first = found && proposed(found, gap);
      const answer = first && staged.covered < first.covered * MAY_COST ? first : staged;
      reached = { covered, light, filled: fill.objective, chosen: chosenIn(fill), answer };
      return answer;
    },
    alternatives: async (solve, effort, tell) => {
      if (!reached) return [];
      const { chosen, answer, ...kept } = reached;
      const found: Alternative[] = [];
      for (const taste of TASTES) {
        // Other movements are asked for where nothing else is different enough to choose from.
        if (taste === "others" && found.length >= ENOUGH_OTHERS) continue;
        const known = new Set(
          [answer, ...found.map((other) => other.proposal)].flatMap(({ places }) =>
            [...places.values()].map(({ movementId }) => movementId),
          ),
        );
        const solved = await ask(solve, { aim: taste, ...kept, known }, { ...effort, start: startFrom(chosen) });
        const proposal = solved && proposed(chosenIn(solved), Infinity);
        const others = [answer, ...found.map((other) => other.proposal)];
        if (!proposal || others.some((other) => sameItems(other, proposal))) continue;
        found.push({ taste, proposal });
        tell?.([...found]);
      }
      return found;
    },
  };
}

/** Finished, and once more in the time that its pairs save; the first where the second no longer fits without them. */
function withPairs(
  library: Library,
  chosen: readonly Candidate[],
  limits: ComposeLimits,
  finished: (chosen: readonly Candidate[], within: ComposeLimits) => Candidate[],
): Candidate[] {
  const plain = finished(chosen, limits);
  const saved = arrangedIn(library, plain, limits);
  if ([...saved.values()].every(({ savedSec }) => savedSec === 0)) return plain;
  const fuller = finished(
    chosen,
    withRoom(limits, (slot) => saved.get(slot)!.savedSec),
  );
  const fits = [...arrangedIn(library, fuller, limits)].every(
    ([slot, { order, savedSec }]) => order.reduce((sum, { sec }) => sum + sec, -savedSec) <= limits.slotSec[slot] + 1e-9,
  );
  return fits ? fuller : plain;
}

function sameItems(one: Proposal, other: Proposal): boolean {
  const items = ({ places }: Proposal) =>
    new Set([...places.values()].map(({ slot, movementId, share }) => `${slot} ${movementId} ${share.toFixed(3)}`));
  const [a, b] = [items(one), items(other)];
  return a.size === b.size && [...a].every((each) => b.has(each));
}
