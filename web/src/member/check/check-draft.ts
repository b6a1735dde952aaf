/** A self-check as far as it is answered, and its steps. */
import type { SelfCheck } from "@kind-grip/core/baseline";
import { QUESTION_IDS, type QuestionId, type SafetyAnswers, type Symptom } from "@kind-grip/core/safety";
import type { Handedness } from "@kind-grip/core/units";

export interface CheckDraft {
  id: string;
  roundId: string;
  safety: Partial<Record<QuestionId, boolean>>;
  symptoms: Symptom[];
  /** Undefined while it was not asked, null for who cannot say. */
  handedness?: Handedness | null;
  step: number;
}

/** One question a step, then the places, the hand, and what was said. */
export const PLACES_STEP = QUESTION_IDS.length;
export const HAND_STEP = PLACES_STEP + 1;
export const SUMMARY_STEP = HAND_STEP + 1;

/** As it is sent; everything was answered. */
export function checkFrom({ id, roundId, safety, symptoms, handedness }: CheckDraft, at: string): SelfCheck {
  return { id, roundId, at, safety: safety as SafetyAnswers, symptoms, handedness: handedness ?? null };
}
