/** What a person answers: the safety questions and where they feel something. */
import * as v from "valibot";
import { Region } from "../library";
import { Id, IsoDate } from "../units";
import { QUESTION_IDS, type QuestionId } from "./questions";

/** True is yes, false is no, null is not asked yet. */
export const SafetyAnswers = v.strictObject(v.entriesFromList(QUESTION_IDS, v.optional(v.nullable(v.boolean()), null)));
export type SafetyAnswers = v.InferOutput<typeof SafetyAnswers>;

export const SYMPTOM_KINDS = ["ache", "sharpPain", "stiffness", "tingling", "numbness", "weakness", "swelling"] as const;
export const NIGHTS = ["never", "sometimes", "mostNights"] as const;

export const Symptom = v.strictObject({
  id: Id,
  side: v.picklist(["left", "right"], "must be left or right"),
  region: Region,
  kind: v.picklist(SYMPTOM_KINDS, "must be one of the kinds"),
  /** 0–10. */
  level: v.pipe(
    v.number("must be a number"),
    v.integer("must be a whole number"),
    v.minValue(0, "must be 0 to 10"),
    v.maxValue(10, "must be 0 to 10"),
  ),
  since: v.nullable(IsoDate),
  /** Wakes the person at night. */
  nights: v.picklist(NIGHTS),
  /** Is there all the time. */
  constant: v.boolean(),
});
export type Symptom = v.InferOutput<typeof Symptom>;

/**
 * The questions whose consequence applies: every yes, and "numbness that does not go away or wakes at night repeatedly" also when
 * the symptom map says so although the question was not asked or answered with no.
 */
export function restrictionsCalledFor(answers: SafetyAnswers, symptoms: readonly Symptom[]): QuestionId[] {
  const lasting = symptoms.some(({ kind, constant, nights }) => kind === "numbness" && (constant || nights === "mostNights"));
  return QUESTION_IDS.filter((id) => answers[id] === true || (id === "lastingNumbness" && lasting));
}

/** Questions still to be asked. */
export function unasked(answers: SafetyAnswers): QuestionId[] {
  return QUESTION_IDS.filter((id) => answers[id] === null);
}
