/**
 * What people answer on their own phones before a round: the safety questions, where they feel something, their main hand. It fills what
 * was not asked yet; what acts by itself acts as if the trainer had asked.
 */
import * as v from "valibot";
import { consequenceOf, restrictionsCalledFor, SafetyAnswers, Symptom, unasked, type QuestionId } from "../safety";
import { Handedness, Id, IsoInstant } from "../units";
import { PARTS, stateOf, type Part } from "./progress";
import type { BaselineRecord } from "./record";

export const SelfCheck = v.strictObject({
  id: Id,
  roundId: Id,
  /** By the phone's clock. */
  at: IsoInstant,
  safety: v.pipe(
    SafetyAnswers,
    v.check((answers) => unasked(answers).length === 0, "has a question without an answer"),
  ),
  symptoms: v.pipe(v.array(Symptom), v.maxLength(40, "at most 40 places")),
  /** Null for somebody who could not say. */
  handedness: v.nullable(Handedness),
});
export type SelfCheck = v.InferOutput<typeof SelfCheck>;

/** Whether a person's phone still asks: nothing came from it yet, and nobody else has asked everything. */
export function isAskedOnPhone(record: BaselineRecord | undefined): boolean {
  if (!record) return true;
  return record.selfCheck === null && (stateOf(record, "safety") !== "done" || stateOf(record, "symptoms") !== "done");
}

/**
 * A record with what its person said of themselves. A yes stays a yes, whoever heard it; what a trainer wrote down of a place stays; a no
 * fills only what nobody had asked. The same check again changes nothing.
 */
export function withSelfCheck(record: BaselineRecord, { id, at, safety, symptoms, handedness }: SelfCheck): BaselineRecord {
  if (record.selfCheck?.id === id) return record;
  const isThere = ({ side, region }: Symptom) => record.symptoms.some((known) => known.side === side && known.region === region);
  return {
    ...record,
    safety: Object.fromEntries(
      Object.entries(record.safety).map(([question, known]) => {
        const said = safety[question as QuestionId];
        return [question, known === null || said === true ? said : known];
      }),
    ) as SafetyAnswers,
    symptoms: [...record.symptoms, ...symptoms.filter((symptom) => !isThere(symptom))],
    symptomsAsked: true,
    selfCheck: { id, at, handedness },
  };
}

/** Why somebody is seen sooner or later in a round; first things first. */
export const SEEN_FIRST = ["emergency", "stop", "clinician", "felt", "unasked", "clear"] as const;
export type SeenFirst = (typeof SEEN_FIRST)[number];

/**
 * Whom to see first, by what they answered: an emergency, what means stop, what a clinician has to be asked about, what is felt
 * somewhere, who was not asked everything, who has nothing. Whoever is held out for another reason is seen with those who have to stop.
 */
export function seenFirst(record: BaselineRecord, heldOut = false): SeenFirst {
  const called = restrictionsCalledFor(record.safety, record.symptoms).map(consequenceOf);
  if (called.some((question) => question.kind === "stop" && question.emergency)) return "emergency";
  if (heldOut || called.some(({ kind }) => kind === "stop")) return "stop";
  if (called.length > 0) return "clinician";
  if (record.symptoms.length > 0) return "felt";
  return stateOf(record, "safety") === "done" && record.symptomsAsked ? "clear" : "unasked";
}

/** Where a round goes on with somebody: at what their answers ask to be looked at, or at the first part that is not done. */
export function openPart(record: BaselineRecord): Part {
  const first = PARTS.find((part) => stateOf(record, part) !== "done") ?? "safety";
  if (record.selfCheck === null || first === "safety" || first === "symptoms") return first;
  if (restrictionsCalledFor(record.safety, record.symptoms).length > 0) return "safety";
  return record.symptoms.length > 0 ? "symptoms" : first;
}

/** What a person says of their main hand that the crew's list does not; null when there is nothing to take over. */
export function otherHandedness(record: BaselineRecord, known: Handedness | null): Handedness | null {
  const said = record.selfCheck?.handedness ?? null;
  return said === known ? null : said;
}
