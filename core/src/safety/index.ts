/** Who may do what: safety questions, holds, clearances, and the gate every item passes on its way to a person. */
export {
  capFor,
  isMeant,
  itemsLeftOut,
  notHeldOut,
  refusalOf,
  sessionWithin,
  SYMPTOM_STRENGTHEN_CAP,
  type Participations,
  type Refusal,
} from "./allowed";
export { holdsCalledFor, NIGHTS, SafetyAnswers, Symptom, SYMPTOM_KINDS, unasked } from "./answers";
export { personalSession } from "./personal-session";
export { endsSoon, ENDS_SOON_DAYS, LONGEST_CLEARANCE_DAYS, NewClearance } from "./clearance";
export {
  clearanceIsOn,
  FULL_PARTICIPATION,
  holdIsOn,
  liftedPhases,
  participationOf,
  type Clearance,
  type Hold,
  type Participation,
  type When,
} from "./participation";
export {
  QUESTION_IDS,
  questionOf,
  SAFETY_QUESTIONS,
  SHORT_OF_END_DEG,
  type ItemScope,
  type QuestionId,
  type SafetyQuestion,
} from "./questions";
