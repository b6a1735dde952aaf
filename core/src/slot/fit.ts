/**
 * Fitting a session to a slot, exactly. Each item has a ladder of doses with a worth, and may be dropped; paired items are chosen
 * together, because they share their rests. A multiple-choice knapsack over half seconds: the best is found, not guessed.
 */
import { isEqual } from "es-toolkit";
import type { Library } from "../library";
import { compileGroup, type Dose, type Item, type Session, type Sides } from "../session";
import { doseLadder, worthOf } from "./dose-ladder";

/** Lengths are whole half seconds everywhere, so nothing is rounded. */
const UNITS_PER_SEC = 2;
/** Ways of a chain of paired items that are looked at; longer chains keep their full doses or drop out whole. */
const MOST_WAYS = 4000;

export interface FitOptions {
  /** Who takes part; the slowest form counts at each step. */
  personIds: readonly string[];
  library: Library;
  /** How much each item matters, above 0; 1 where nothing is said. */
  priorityOf?: (item: Item) => number;
  /** Items that stay exactly as they are. */
  kept?: ReadonlySet<string>;
  /** Also longer than it is, to fill the slot. */
  fuller?: boolean;
}

export type Cut =
  | { kind: "dropped"; itemId: string; movementId: string; gainedSec: number }
  | { kind: "dose"; itemId: string; movementId: string; from: Dose; to: Dose; gainedSec: number }
  /** The same dose in less time: the other side's bout is this side's rest. */
  | { kind: "sides"; itemId: string; movementId: string; to: Sides; gainedSec: number };

export interface Fit {
  session: Session;
  /** What was changed, item by item; the gains add up to what the session got shorter (negative: longer). */
  cuts: Cut[];
  totalSec: number;
  beforeSec: number;
  /** Worth of what is left as a share of the session as written. */
  worth: number;
  /** False when what must stay is longer than the slot: then it is the shortest there is. */
  fits: boolean;
}

/** One way to do an item; `share` is of its full dose. Null is leaving it out. */
type Choice = { item: Item; share: number } | null;

/** One way to do a chain of paired items: each with its dose and sides, or dropped. */
interface Way {
  items: (Item | null)[];
  units: number;
  worth: number;
}

/** @param slotSec length of the slot, s, above 0. @throws RangeError when the slot has no length */
export function fitToSlot(session: Session, slotSec: number, options: FitOptions): Fit {
  if (!(slotSec > 0)) throw new RangeError(`slotSec must be above 0, got ${slotSec}`);
  const chains = chainsOf(session, options);
  const units = Math.floor(slotSec * UNITS_PER_SEC + 1e-9);
  const chosen = bestWays(chains, units);
  const ways = chosen ?? chains.map((chain) => chain.reduce((least, way) => (way.units < least.units ? way : least)));
  return result(session, ways, options, chosen !== undefined);
}

/** How much of the session's worth a slot of each length can hold, as a share of it as written. @param lengthsSec in s */
export function worthAt(session: Session, lengthsSec: readonly number[], options: FitOptions): number[] {
  const chains = chainsOf(session, options);
  const most = Math.floor(Math.max(...lengthsSec) * UNITS_PER_SEC);
  const values = bestValues(chains, most);
  const full = fullWorth(session, options);
  return lengthsSec.map((sec) => Math.max(0, values[Math.floor(sec * UNITS_PER_SEC)]!) / full);
}

function fullWorth(session: Session, { priorityOf = () => 1 }: FitOptions): number {
  return session.items.reduce((sum, item) => sum + priorityOf(item), 0) || 1;
}

/** The ways of each chain, the longest first, none longer than another that is worth as much. */
function chainsOf(session: Session, options: FitOptions): Way[][] {
  const firstGetReady = session.items.find((item) => options.library.find(item.movementId)?.phase === "getReady")?.id;
  return chains(session.items).map((items) => {
    let ways: Choice[][] = [[]];
    for (const item of items) {
      const required = item.id === firstGetReady || (options.kept?.has(item.id) ?? false);
      const choices = itemWays(item, required, options);
      const next = ways.flatMap((way) => choices.map((choice) => [...way, choice]));
      ways = next.length <= MOST_WAYS ? next : ways.flatMap((way) => choices.slice(0, 1).map((choice) => [...way, choice]));
    }
    return undominated(ways.map((way) => measured(way, items, options)));
  });
}

function itemWays(item: Item, required: boolean, { kept, fuller, library }: FitOptions): Choice[] {
  if (kept?.has(item.id)) return [{ item, share: 1 }];
  const alternating = item.sides === "inTurn" && library.find(item.movementId)?.sideModes.includes("alternating");
  const sides: Sides[] = alternating ? [item.sides, "alternating"] : [item.sides];
  const doses = doseLadder(item.dose, fuller).flatMap(({ dose, share }) =>
    // Who does more than is written goes on doing it, unless the item is shortened for everybody.
    sides.map((mode) => ({ item: { ...item, sides: mode, dose, personal: share < 1 ? clipped(item, dose) : item.personal }, share })),
  );
  return required ? doses : [...doses, null];
}

/** Own doses are never longer than the item's. */
function clipped(item: Item, dose: Dose): Item["personal"] {
  return Object.fromEntries(
    Object.entries(item.personal).map(([personId, own]) => {
      if (!own.dose || own.dose.kind !== dose.kind) return [personId, own];
      const least = Object.fromEntries(
        Object.entries(own.dose).map(([key, value]) => {
          const limit = (dose as Record<string, unknown>)[key];
          return [key, typeof value === "number" && typeof limit === "number" ? Math.min(value, limit) : value];
        }),
      ) as Dose;
      return [personId, { ...own, dose: least }];
    }),
  );
}

function measured(way: Choice[], originals: readonly Item[], { personIds, library, priorityOf = () => 1 }: FitOptions): Way {
  const items = way.map((choice) => choice && choice.item);
  const { totalSec } = compileGroup({ id: "-", name: "-", slot: "break", items: paired(items) }, library.timings, personIds);
  const worth = way.reduce((sum, choice, i) => sum + (choice ? priorityOf(originals[i]!) * worthOf(choice.share) : 0), 0);
  return { items, units: Math.ceil(totalSec * UNITS_PER_SEC - 1e-9), worth };
}

/** What is left of a chain, still paired with each other and with nothing behind it. */
function paired(way: readonly (Item | null)[]): Item[] {
  const left = way.filter((item) => item !== null);
  return left.map((item, i) => ({ ...item, pairedWithNext: i < left.length - 1 }));
}

function chains(items: readonly Item[]): Item[][] {
  const found: Item[][] = [];
  let open = false;
  for (const item of items) {
    if (open) found.at(-1)!.push(item);
    else found.push([item]);
    open = item.pairedWithNext;
  }
  return found;
}

function undominated(ways: readonly Way[]): Way[] {
  const sorted = [...ways].sort((a, b) => a.units - b.units || b.worth - a.worth);
  const kept: Way[] = [];
  for (const way of sorted) if (kept.length === 0 || way.worth > kept.at(-1)!.worth + 1e-12) kept.push(way);
  return kept;
}

const NOTHING = -1e9;

/** Best worth for every length up to `most` units; `choice[c][u]` is the way of chain c taken when u units are left for chains 0…c. */
function table(chainList: readonly Way[][], most: number): { values: Float64Array; choice: Int16Array[] } {
  let values = new Float64Array(most + 1);
  const choice: Int16Array[] = [];
  for (const ways of chainList) {
    const next = new Float64Array(most + 1).fill(NOTHING);
    const taken = new Int16Array(most + 1).fill(-1);
    ways.forEach(({ units, worth }, w) => {
      for (let u = units; u <= most; u++) {
        const value = values[u - units]! + worth;
        if (value > next[u]! + 1e-12) {
          next[u] = value;
          taken[u] = w;
        }
      }
    });
    values = next;
    choice.push(taken);
  }
  return { values, choice };
}

function bestValues(chainList: readonly Way[][], most: number): Float64Array {
  return table(chainList, most).values;
}

/** @returns undefined when even the shortest ways are longer than the slot */
function bestWays(chainList: readonly Way[][], most: number): Way[] | undefined {
  const { values, choice } = table(chainList, most);
  if (values[most]! <= NOTHING / 2) return undefined;
  const ways: Way[] = [];
  let left = most;
  for (let c = chainList.length - 1; c >= 0; c--) {
    const way = chainList[c]![choice[c]![left]!]!;
    ways.unshift(way);
    left -= way.units;
  }
  return ways;
}

function result(session: Session, ways: readonly Way[], options: FitOptions, fits: boolean): Fit {
  const { personIds, library } = options;
  const total = (items: Item[]) => compileGroup({ ...session, items }, library.timings, personIds).totalSec;
  const cuts: Cut[] = [];
  const originals = chains(session.items);
  // Each change is made in turn, so that the gains add up.
  ways.forEach((way, c) => {
    const now: (Item | null)[] = [...originals[c]!];
    way.items.forEach((item, i) => {
      const before = total(paired(now));
      const original = originals[c]![i]!;
      const { id: itemId, movementId } = original;
      if (!item) {
        now[i] = null;
        cuts.push({ kind: "dropped", itemId, movementId, gainedSec: before - total(paired(now)) });
        return;
      }
      let reached = before;
      if (item.sides !== original.sides) {
        now[i] = { ...original, sides: item.sides };
        reached = total(paired(now));
        cuts.push({ kind: "sides", itemId, movementId, to: item.sides, gainedSec: before - reached });
      }
      if (isEqual(item.dose, original.dose)) return;
      now[i] = item;
      cuts.push({ kind: "dose", itemId, movementId, from: original.dose, to: item.dose, gainedSec: reached - total(paired(now)) });
    });
  });
  const items = ways.flatMap((way) => paired(way.items));
  const full = fullWorth(session, options);
  return {
    session: { ...session, items },
    cuts,
    totalSec: total(items),
    beforeSec: total(session.items),
    worth: ways.reduce((sum, way) => sum + way.worth, 0) / full,
    fits,
  };
}
