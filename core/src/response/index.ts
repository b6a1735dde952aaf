/** Responding: a person's runs, marks and mornings turned into progress, hold, ease, or pause and refer. */
export { CheckIn } from "./check-in";
export { NewDecision } from "./decision";
export { DECISION_KINDS, KINDS_BY_URGENCY, DecisionKind, Fired, Response, type ItemFacts, type ItemRun, type Morning } from "./facts";
export { lengthsAfter, type SessionLength } from "./session-length";
export { oneAtATime } from "./one-at-a-time";
export { isRaisedMorning } from "./raised-morning";
export { respond } from "./respond";
export { easierThan, isNoMore, presentOf, sameDoing } from "./easing";
export { ResponseThresholds, USUAL_THRESHOLDS } from "./thresholds";
export { PracticeSettings, SETTINGS_DOCUMENT, USUAL_SETTINGS } from "./practice-settings";
