/** The thresholds decisions are taken by: one table, settings of the practice, printed with every decision they led to. */
import * as v from "valibot";
import { ALARM_MORNING } from "../safety";

const whole = (min: number, max: number) => {
  const message = `must be ${min} to ${max}`;
  return v.pipe(v.number("must be a number"), v.integer("must be a whole number"), v.minValue(min, message), v.maxValue(max, message));
};

/** Defaults are the practice rules 4, 5 and 7 of docs/safety.md. A practice may be stricter or looser within these bounds. */
export const ResponseThresholds = v.strictObject({
  /** In the first so many days a next-morning rise of up to `settlingRise` points is expected. */
  settlingDays: v.optional(whole(1, 14), 4),
  settlingRise: v.optional(whole(1, 4), 2),
  /** No better after so many days … */
  noGainDays: v.optional(whole(5, 28), 7),
  /** … with at least this share of the sessions done, percent. */
  noGainPercent: v.optional(whole(50, 100), 70),
  /** Runs in a row at the top of the dose before anything is raised. */
  progressRuns: v.optional(whole(2, 10), 3),
  /** A morning at this level or above, and above what is usual for the person, pauses until the trainer has answered. */
  alarmMorning: v.optional(whole(3, 10), ALARM_MORNING),
  /** Effort stays at least this far below the cap. */
  progressMargin: v.optional(whole(0, 3), 1),
});
export type ResponseThresholds = v.InferOutput<typeof ResponseThresholds>;

export const USUAL_THRESHOLDS: ResponseThresholds = v.parse(ResponseThresholds, {});

/** Mornings that have to be answered before "no better" is said of them. Practice rule. */
export const NO_GAIN_ANSWERS = 3;
/** Better means at least this much lower than at the start. Practice rule. */
export const GAIN_POINTS = 1;
