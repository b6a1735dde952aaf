/** Who may do what: safety questions, restrictions, clearances, and the gate every item passes on its way to a person. */
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
export { restrictionsCalledFor, NIGHTS, SafetyAnswers, Symptom, SYMPTOM_KINDS, unasked } from "./answers";
export { personalSession, sessionWithout } from "./personal-session";
export { endsSoon, ENDS_SOON_DAYS, LONGEST_CLEARANCE_DAYS, NewClearance } from "./clearance";
export {
  clearanceIsOn,
  FULL_PARTICIPATION,
  restrictionIsOn,
  liftedPhases,
  participationOf,
  type Clearance,
  type Restriction,
  Participation,
  type SymptomPause,
  type When,
} from "./participation";
export {
  QUESTION_IDS,
  consequenceOf,
  RESTRICTION_REASONS,
  SAFETY_QUESTIONS,
  SHORT_OF_END_DEG,
  type RestrictionReason,
  ItemScope,
  type QuestionId,
  type SafetyQuestion,
} from "./questions";
export {
  ALARM_MORNING,
  ALERT_ANSWERS,
  ALERT_KINDS,
  AlertAnswer,
  ASKED_AT_ONCE,
  restrictionsOfReport,
  markAlarm,
  morningAlarm,
  pauseScope,
  REPORT_KINDS,
  ReportKind,
  reportPauses,
  SymptomReport,
  symptomsAlarm,
  AlertCause,
  AlertKind,
} from "./symptom-report";
