/** The order in which the bouts of one or several paired items follow each other. */
import type { Side } from "../units";
import type { Sides } from "./item";

/** What ordering needs to know of an item. */
export interface OrderedUnit {
  sides: Sides;
  firstSide: "left" | "right";
  /** Bouts per side. */
  count: number;
}

/** One bout in the order: which unit of the block, which hand, and which bout of that hand (from 1). */
export interface OrderedBout {
  unit: number;
  side: Side;
  set: number;
}

/**
 * Bouts of a block in order. A block is one item, or a run of paired items whose rounds are interleaved:
 * first round of each, then second round of each, and so on.
 */
export function orderBouts(block: readonly OrderedUnit[]): OrderedBout[] {
  const rounds = block.map((unit, index) => roundsOf(unit, index));
  const longest = Math.max(0, ...rounds.map((list) => list.length));
  const order: OrderedBout[] = [];
  for (let round = 0; round < longest; round++) {
    for (const list of rounds) order.push(...(list[round] ?? []));
  }
  return order;
}

/** A round is what is done before another paired item may come in between. */
function roundsOf(unit: OrderedUnit, index: number): OrderedBout[][] {
  const sets = Array.from({ length: unit.count }, (_, i) => i + 1);
  const bout = (side: Side, set: number): OrderedBout => ({ unit: index, side, set });
  const first = unit.firstSide;
  const second = first === "left" ? "right" : "left";
  switch (unit.sides) {
    case "together":
      return sets.map((set) => [bout("both", set)]);
    case "inTurn":
      return [...sets.map((set) => [bout(first, set)]), ...sets.map((set) => [bout(second, set)])];
    case "alternating":
      return sets.map((set) => [bout(first, set), bout(second, set)]);
  }
}
