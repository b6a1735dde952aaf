/** Before and after a run: what a crew and a person are asked, and what became of it. */
import * as v from "valibot";
import { OwnQuickTest, QUICK_TESTS_OF_CREW, QuickTest } from "../quicktest";
import { Id, IsoInstant } from "../units";

/** What a crew is asked before and after its runs; null for nothing. */
export const QuickTestRule = v.strictObject({ test: v.nullable(v.picklist(QUICK_TESTS_OF_CREW)) });
export type QuickTestRule = v.InferOutput<typeof QuickTestRule>;
/** Null: as the crew. */
export const OwnQuickTestChoice = v.strictObject({ own: v.nullable(OwnQuickTest) });

export const PairedAnswer = v.strictObject({
  pairs: v.number(),
  gain: v.nullable(v.strictObject({ mean: v.number(), low: v.number(), high: v.number() })),
  verdict: v.picklist(["better", "worse", "same", "tooFew"]),
  noise: v.number(),
});
export type PairedAnswer = v.InferOutput<typeof PairedAnswer>;

/** One test of one person over the last weeks, oldest first; runs in which both readings were taken. */
export const QuickSeries = v.strictObject({
  test: QuickTest,
  runs: v.array(v.strictObject({ runId: Id, at: IsoInstant, before: v.number(), after: v.number() })),
  answer: PairedAnswer,
});
export type QuickSeries = v.InferOutput<typeof QuickSeries>;

export const QuickTestsEntry = v.strictObject({
  people: v.array(v.strictObject({ personId: Id, series: v.array(QuickSeries) })),
  /** Each test of the crew over its people; tests of one's own phone are in nobody's sum. */
  crew: v.array(v.strictObject({ test: QuickTest, answer: PairedAnswer })),
});
export type QuickTestsEntry = v.InferOutput<typeof QuickTestsEntry>;
