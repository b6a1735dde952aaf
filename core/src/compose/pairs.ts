/** Items of a session that take turns: one works while the other's tissue rests. Chosen where it saves time and changes nothing else. */
import type { Library, Movement, Phase } from "../library";
import { compilePerson, type Item, type SlotKind } from "../session";
import type { Candidate } from "./candidates";
import type { ComposeLimits } from "./limits";
import { changeOvers, standOf } from "./shape";

/** Taking turns that saves less than this is not worth remembering. Practice rule. */
export const LEAST_SAVED_SEC = 10;
const PAIRED_PHASES: readonly Phase[] = ["stretch", "strengthen"];

/** A session's items in order, and which of them take turns with the next. */
export interface Arranged {
  order: Candidate[];
  /** Ids of the first of each pair. */
  paired: ReadonlySet<string>;
  savedSec: number;
}

/** @param order as it is done without pairs; place and kit change no more often with them */
export function arranged(library: Library, order: readonly Candidate[], limits: ComposeLimits): Arranged {
  const done: Arranged = { order: [...order], paired: new Set(), savedSec: 0 };
  const pairs = order
    .flatMap((first, i) => order.slice(i + 1).map((second) => ({ first, second, savedSec: savedBy(library, first, second, limits) })))
    .filter(({ savedSec }) => savedSec >= LEAST_SAVED_SEC)
    .sort((a, b) => b.savedSec - a.savedSec);
  const taken = new Set<Candidate>();
  const changesIn = (list: readonly Candidate[]) =>
    changeOvers(list.map(({ movement, item }) => standOf(movement, item.formId, limits.settings)));
  for (const { first, second, savedSec } of pairs) {
    if (taken.has(first) || taken.has(second)) continue;
    const rest = done.order.filter((each) => each !== second);
    const after = rest.toSpliced(rest.indexOf(first) + 1, 0, second);
    const parted = after.some((each, i) => done.paired.has(each.item.id) && !taken.has(after[i + 1]!));
    if (parted || changesIn(after) > changesIn(done.order)) continue;
    done.order = after;
    done.paired = new Set([...done.paired, first.item.id]);
    done.savedSec += savedSec;
    taken.add(first).add(second);
  }
  return done;
}

/** What the two save by taking turns, s; 0 where they may not: the same tissue, another phase, other kit or place, kit that is shared out. */
function savedBy(library: Library, first: Candidate, second: Candidate, { settings }: ComposeLimits): number {
  const { phase } = first.movement;
  if (phase !== second.movement.phase || !PAIRED_PHASES.includes(phase)) return 0;
  const theirs = tissueOf(second.movement);
  if (tissueOf(first.movement).some((region) => theirs.includes(region))) return 0;
  const stands = [first, second].map(({ movement, item }) => standOf(movement, item.formId, settings));
  if (changeOvers(stands) > 0) return 0;
  const secOf = (items: Item[]) => compilePerson({ id: "-", name: "-", slot: "break", items }, library.timings).totalSec;
  const alone = [first, second].map(({ item }) => secOf([item]));
  // With too few pieces the group takes longer than one person: then it is the kit that everybody waits for.
  if (first.sec > alone[0]! + 1e-9 || second.sec > alone[1]! + 1e-9) return 0;
  return alone[0]! + alone[1]! - secOf([{ ...first.item, pairedWithNext: true }, second.item]);
}

const tissueOf = ({ regions: { worked, stretched } }: Movement) => [...worked, ...stretched];

/** Limits in which each session is longer by what its pairs save. */
export function withRoom(limits: ComposeLimits, savedSec: (slot: SlotKind) => number): ComposeLimits {
  const { preShift, break: pause, postShift } = limits.slotSec;
  return {
    ...limits,
    slotSec: { preShift: preShift + savedSec("preShift"), break: pause + savedSec("break"), postShift: postShift + savedSec("postShift") },
  };
}
