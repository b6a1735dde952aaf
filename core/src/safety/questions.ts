/**
 * The safety questions, asked before anything else. A yes to a `stop` question means stop and refer: out of everything until a
 * clinician has cleared it. A yes to an `ask` question means a clinician first: out of the items named here until then.
 * What is asked, in words, is in the language catalogues under the same id.
 */
import * as v from "valibot";
import { KitKind, Phase, Region } from "../library";
import { MovementId } from "../session";

/** Items by what they are; an item is meant when any of these is true of it. */
export const ItemScope = v.strictObject({
  phases: v.optional(list(Phase)),
  /** Works, stretches or releases one of these. */
  regions: v.optional(list(Region)),
  /** Is done with one of these. */
  kit: v.optional(list(KitKind)),
  /** One movement, by id. */
  movements: v.optional(list(MovementId)),
  /** Puts body weight on the hands. */
  weightBearing: v.optional(v.boolean()),
});
export type ItemScope = v.InferOutput<typeof ItemScope>;

function list<S extends v.GenericSchema>(each: S) {
  return v.pipe(v.array(each), v.readonly());
}

export const QUESTION_IDS = [
  "freshInjury",
  "hotJoint",
  "paleHand",
  "growingWeakness",
  "lastingNumbness",
  "bothArmsUnsteady",
  "chestPain",
  "surgeryOrFracture",
  "pregnancyNumbness",
  "inflammatoryJoints",
  "knownEntrapment",
  "neckInjury",
  "anticoagulants",
  "tapeReaction",
  "hypermobility",
] as const;
export type QuestionId = (typeof QUESTION_IDS)[number];

export type SafetyQuestion =
  | { id: QuestionId; kind: "stop"; emergency?: boolean }
  | { id: QuestionId; kind: "ask"; outOf: ItemScope }
  /** Not held out of anything, but kept so many degrees short of the end of the range. */
  | { id: QuestionId; kind: "limit"; shortOfEndDeg: number };

/** How far short of the end very mobile joints are kept in end-range holds. */
export const SHORT_OF_END_DEG = 10;

/** Rules 2 and 3 of docs/safety.md. Where rule 3 names no items, these are the practice's own, on the safe side. */
export const SAFETY_QUESTIONS: readonly SafetyQuestion[] = [
  { id: "freshInjury", kind: "stop" },
  { id: "hotJoint", kind: "stop" },
  { id: "paleHand", kind: "stop" },
  { id: "growingWeakness", kind: "stop" },
  { id: "lastingNumbness", kind: "stop" },
  { id: "bothArmsUnsteady", kind: "stop" },
  { id: "chestPain", kind: "stop", emergency: true },
  { id: "surgeryOrFracture", kind: "stop" },
  { id: "pregnancyNumbness", kind: "ask", outOf: { phases: ["glide", "strengthen"], weightBearing: true } },
  { id: "inflammatoryJoints", kind: "ask", outOf: { phases: ["stretch", "glide", "strengthen"], weightBearing: true } },
  { id: "knownEntrapment", kind: "ask", outOf: { phases: ["glide", "strengthen"], weightBearing: true } },
  { id: "neckInjury", kind: "ask", outOf: { phases: ["glide"], regions: ["shoulderNeck"], weightBearing: true } },
  { id: "anticoagulants", kind: "ask", outOf: { kit: ["edge", "roller"] } },
  { id: "tapeReaction", kind: "ask", outOf: { kit: ["tape"] } },
  { id: "hypermobility", kind: "limit", shortOfEndDeg: SHORT_OF_END_DEG },
];

/** Why somebody is held out: a safety question that was answered with yes, or what a trainer saw or was told. */
export const RESTRICTION_REASONS = [...QUESTION_IDS, "sharpPain", "other"] as const;
export type RestrictionReason = (typeof RESTRICTION_REASONS)[number];

/** What a hold for this reason means. What is none of the questions means stop: what it is has not been looked at. */
export function consequenceOf(reason: RestrictionReason): SafetyQuestion | { id: RestrictionReason; kind: "stop"; emergency?: boolean } {
  return SAFETY_QUESTIONS.find((question) => question.id === reason) ?? { id: reason, kind: "stop" };
}
