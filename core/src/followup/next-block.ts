/** What the next block should be led by, from what this one came to. A proposal with its reasons; the trainer composes. */

import * as v from "valibot";

export interface BlockFigures {
  /** Items done ÷ items due; null when nothing was due. */
  adherence: number | null;
  /** Share of mornings above the usual level; null without answers. */
  raised: number | null;
  /** People measured in both rounds, and those of them with something better, or worse, beyond noise. */
  measured: number;
  better: number;
  worse: number;
}

export const BlockReason = v.variant("reason", [
  v.strictObject({ reason: v.literal("tooLittleDone"), adherence: v.number() }),
  v.strictObject({ reason: v.literal("morningsRaised"), raised: v.number() }),
  v.strictObject({ reason: v.literal("moreWorse"), worse: v.number(), better: v.number() }),
  v.strictObject({ reason: v.literal("goesWell"), better: v.number(), measured: v.number() }),
  v.strictObject({ reason: v.literal("notMeasured") }),
]);
export type BlockReason = v.InferOutput<typeof BlockReason>;

export const NextBlock = v.strictObject({
  aim: v.picklist(["loadLed", "reliefLed"]),
  weeks: v.picklist([4, 8]),
  /** Shorter sessions before anything else. */
  shorter: v.boolean(),
  reasons: v.array(BlockReason),
});
export type NextBlock = v.InferOutput<typeof NextBlock>;

/** Under this share of what was due the block was too long for its slots. The share of rule 5. */
export const ENOUGH_DONE = 0.7;
/** More mornings than this above the usual level, and the next block gives relief first. Practice rule. */
export const MANY_RAISED = 0.2;

/** Eight weeks only when it was done, mornings are quiet and it did some good; otherwise four, and look again. */
export function nextBlock({ adherence, raised, measured, better, worse }: BlockFigures): NextBlock {
  const reasons: BlockReason[] = [];
  const shorter = adherence !== null && adherence < ENOUGH_DONE;
  if (shorter) reasons.push({ reason: "tooLittleDone", adherence: adherence! });
  const sore = raised !== null && raised > MANY_RAISED;
  if (sore) reasons.push({ reason: "morningsRaised", raised: raised! });
  const worsened = worse > better;
  if (worsened) reasons.push({ reason: "moreWorse", worse, better });
  if (measured === 0) reasons.push({ reason: "notMeasured" });
  else if (!worsened && better > 0) reasons.push({ reason: "goesWell", better, measured });
  const well = !shorter && !sore && !worsened && better > 0;
  return { aim: sore || worsened ? "reliefLed" : "loadLed", weeks: well ? 8 : 4, shorter, reasons };
}
