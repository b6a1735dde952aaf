/** What was counted of one bout, of one item on one side, and how its pace went against what the dose asks. */
import { groupBy } from "es-toolkit";
import * as v from "valibot";
import { Id, Side } from "../units";
import { Repetition } from "./repetitions";

export const CountedBout = v.strictObject({
  itemId: Id,
  side: Side,
  /** Whether each is held, or repeated without a stop. */
  of: v.picklist(["holds", "repetitions"]),
  /** Which bout of this side, from 1. */
  set: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(60)),
  /** As many as the dose asks for in a bout; 0 where it asks for none. */
  due: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(60)),
  /** One repetition as the dose asks for it; of a hold, the hold. Null where nothing is asked. */
  dueSec: v.nullable(v.pipe(v.number(), v.minValue(0), v.maxValue(180))),
  repetitions: v.pipe(v.array(Repetition), v.maxLength(240)),
});
export type CountedBout = v.InferOutput<typeof CountedBout>;

/** Fewer repetitions have no drift. Practice rule. */
export const LEAST_FOR_DRIFT = 5;
/** A smaller change of pace is not told. Practice rule. */
export const DRIFT_SHARE = 0.15;

export interface Pace {
  count: number;
  /** Means, seconds. */
  outSec: number;
  heldSec: number;
  backSec: number;
  /** From the beginning of one repetition to the beginning of the next; null for a single one. */
  wholeSec: number | null;
  /** What the first and the last took by the straight line through all; null where no change can be told. */
  drift: { fromSec: number; toSec: number } | null;
}

/** @returns undefined for none */
export function paceOf(repetitions: readonly Repetition[]): Pace | undefined {
  if (repetitions.length === 0) return undefined;
  const mean = (part: (each: Repetition) => number) => repetitions.reduce((sum, each) => sum + part(each), 0) / repetitions.length;
  const wholes = repetitions
    .slice(0, -1)
    .map(({ outSec, heldSec, backSec }, i) => outSec + heldSec + backSec + repetitions[i + 1]!.restedSec);
  return {
    count: repetitions.length,
    outSec: mean(({ outSec }) => outSec),
    heldSec: mean(({ heldSec }) => heldSec),
    backSec: mean(({ backSec }) => backSec),
    wholeSec: wholes.length === 0 ? null : wholes.reduce((sum, each) => sum + each, 0) / wholes.length,
    drift: driftOf(wholes),
  };
}

/**
 * The least-squares line through the lengths of repetitions in order. Told when its change is at least DRIFT_SHARE of their mean and
 * more than twice its standard error.
 */
function driftOf(lengths: readonly number[]): Pace["drift"] {
  const count = lengths.length;
  if (count + 1 < LEAST_FOR_DRIFT) return null;
  const middle = (count - 1) / 2;
  const mean = lengths.reduce((sum, each) => sum + each, 0) / count;
  const spread = lengths.reduce((sum, _, i) => sum + (i - middle) ** 2, 0);
  const slope = lengths.reduce((sum, each, i) => sum + (i - middle) * (each - mean), 0) / spread;
  const left = lengths.reduce((sum, each, i) => sum + (each - mean - slope * (i - middle)) ** 2, 0);
  const error = Math.sqrt(left / (count - 2) / spread);
  const change = slope * (count - 1);
  if (Math.abs(change) < DRIFT_SHARE * mean || Math.abs(slope) <= 2 * error) return null;
  return { fromSec: mean - slope * middle, toSec: mean + slope * middle };
}

/** Off what is asked by at least this share it is told. Practice rule. */
const OFF_PACE_SHARE = 0.15;

/** @param isSec one repetition, or one hold, seconds @param dueSec as asked */
export function againstDose(isSec: number, dueSec: number): "quicker" | "slower" | "asAsked" {
  if (isSec <= dueSec * (1 - OFF_PACE_SHARE)) return "quicker";
  return isSec >= dueSec * (1 + OFF_PACE_SHARE) ? "slower" : "asAsked";
}

/** All bouts of one item on one side. */
export interface CountedItem extends Pick<CountedBout, "itemId" | "side" | "of" | "dueSec"> {
  count: number;
  due: number;
  /** Of all its repetitions; undefined for none. */
  pace: Pace | undefined;
  /** Each hold in order, seconds; empty for repetitions. */
  holdsSec: number[];
  /** Holds that were shorter than asked: from leaving the start until leaving the end, for the way there is part of what is asked. */
  short: number;
}

/** @param bouts in any order @returns an entry for each item and side, in the order they are first met */
export function countedItems(bouts: readonly CountedBout[]): CountedItem[] {
  const together = groupBy(bouts, ({ itemId, side }) => `${itemId} ${side}`);
  return Object.values(together).map((own) => {
    const inOrder = [...own].sort((a, b) => a.set - b.set);
    const { itemId, side, of, dueSec } = inOrder[0]!;
    const repetitions = inOrder.flatMap((bout) => bout.repetitions);
    const each = inOrder.flatMap((bout) => paceOf(bout.repetitions) ?? []);
    const wholes = each.flatMap(({ wholeSec, count }) => (wholeSec === null ? [] : [{ wholeSec, ways: count - 1 }]));
    const ways = wholes.reduce((sum, one) => sum + one.ways, 0);
    const pace = paceOf(repetitions);
    return {
      itemId,
      side,
      of,
      dueSec,
      count: repetitions.length,
      due: inOrder.reduce((sum, bout) => sum + bout.due, 0),
      // The rest between two bouts is nobody's pace: a whole repetition and its drift are those of the bouts.
      pace: pace && {
        ...pace,
        wholeSec: ways === 0 ? null : wholes.reduce((sum, one) => sum + one.wholeSec * one.ways, 0) / ways,
        drift: each.findLast(({ drift }) => drift !== null)?.drift ?? null,
      },
      holdsSec: of === "holds" ? repetitions.map(({ heldSec }) => heldSec) : [],
      short:
        of === "holds" && dueSec !== null
          ? repetitions.filter(({ outSec, heldSec }) => againstDose(outSec + heldSec, dueSec) === "quicker").length
          : 0,
    };
  });
}
