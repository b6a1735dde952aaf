/** Two records of a person compared: what changed, and whether it is beyond the noise of measuring. */
import * as v from "valibot";
import { HAND_SIDES, type HandSide } from "../units";
import { gripOf } from "./grip";
import { MOTIONS } from "./motions";
import type { BaselineRecord } from "./record";
import { countsFrom, differs, MEASURES, type Measure, type MeasuringNoise } from "./noise";

export const Change = v.strictObject({
  measure: v.picklist(MEASURES),
  side: v.picklist(HAND_SIDES),
  before: v.number(),
  after: v.number(),
  /** Less than this is noise, in the unit of the measure. */
  countsFrom: v.number(),
  verdict: v.picklist(["better", "worse", "noise"]),
});
export type Change = v.InferOutput<typeof Change>;

/** Measures that both records have, in the order of the round. @param noise of the practice that measured */
export function changesBetween(before: BaselineRecord, after: BaselineRecord, noise: MeasuringNoise): Change[] {
  const change = (measure: Measure, side: HandSide, from: number | null | undefined, to: number | null | undefined): Change[] => {
    if (typeof from !== "number" || typeof to !== "number") return [];
    const isUp = measure === "function" ? to < from : to > from;
    const verdict = differs(noise, measure, from, to) ? (isUp ? "better" : "worse") : "noise";
    return [{ measure, side, before: from, after: to, countsFrom: countsFrom(noise, measure, from), verdict }];
  };
  const angles = MOTIONS.flatMap((motion) =>
    HAND_SIDES.flatMap((side) => change(motion, side, before.range[motion][side].active, after.range[motion][side].active)),
  );
  const meanGrip = (record: BaselineRecord, side: HandSide) => gripOf(record.grip[side].map(({ kg }) => kg))?.meanKg;
  const grips = HAND_SIDES.flatMap((side) => change("grip", side, meanGrip(before, side), meanGrip(after, side)));
  const sameTest = before.functionTest.test !== null && before.functionTest.test === after.functionTest.test;
  const tests = sameTest ? HAND_SIDES.flatMap((side) => change("function", side, before.functionTest[side], after.functionTest[side])) : [];
  return [...angles, ...grips, ...tests];
}
