/** Two records of a person compared: what changed, and whether it is beyond the noise of measuring. */
import * as v from "valibot";
import { HAND_SIDES, type HandSide } from "../units";
import { gripOf } from "./grip";
import { MOTIONS } from "./motions";
import type { BaselineRecord } from "./record";
import { anglesDiffer, FUNCTION_CHANGE, gripDiffers, gripNoise, ROUND_CHANGE_DEG } from "./thresholds";

export const Change = v.strictObject({
  measure: v.picklist([...MOTIONS, "grip", "function"]),
  side: v.picklist(HAND_SIDES),
  before: v.number(),
  after: v.number(),
  /** Less than this is noise, in the unit of the measure. */
  countsFrom: v.number(),
  verdict: v.picklist(["better", "worse", "noise"]),
});
export type Change = v.InferOutput<typeof Change>;

/** Measures that both records have, in the order of the round. */
export function changesBetween(before: BaselineRecord, after: BaselineRecord): Change[] {
  const angles = MOTIONS.flatMap((motion) =>
    HAND_SIDES.flatMap((side) => {
      const [from, to] = [before.range[motion][side].active, after.range[motion][side].active];
      return from === null || to === null ? [] : [change(motion, side, from, to, ROUND_CHANGE_DEG, anglesDiffer(from, to), to > from)];
    }),
  );
  const grips = HAND_SIDES.flatMap((side) => {
    const [from, to] = [before, after].map((record) => gripOf(record.grip[side].map(({ kg }) => kg))?.meanKg);
    return from === undefined || to === undefined
      ? []
      : [change("grip", side, from, to, gripNoise(from), gripDiffers(from, to), to > from)];
  });
  const sameTest = before.functionTest.test !== null && before.functionTest.test === after.functionTest.test;
  const tests = HAND_SIDES.flatMap((side) => {
    const [from, to] = [before.functionTest[side], after.functionTest[side]];
    return !sameTest || from === null || to === null
      ? []
      : [change("function", side, from, to, FUNCTION_CHANGE, Math.abs(to - from) >= FUNCTION_CHANGE, to < from)];
  });
  return [...angles, ...grips, ...tests];
}

function change(
  measure: Change["measure"],
  side: HandSide,
  before: number,
  after: number,
  countsFrom: number,
  counts: boolean,
  up: boolean,
): Change {
  return { measure, side, before, after, countsFrom, verdict: counts ? (up ? "better" : "worse") : "noise" };
}
