/** Responding: a person's runs, marks and mornings turned into progress, hold, ease, or pause and refer. */
export { CheckIn } from "./check-in";
export { DECISION_KINDS, NewDecision } from "./decision";
export type { DecisionKind, Fired, ItemFacts, ItemRun, Morning, Present, Response } from "./facts";
export { lengthsAfter, type SessionLength } from "./session-length";
export { oneAtATime } from "./one-at-a-time";
export { isRaisedMorning } from "./raised-morning";
export { respond } from "./respond";
export { easierThan, isNoMore, presentOf, sameDoing } from "./easing";
export { ALERT_NAMES, changeText, DECISION_WORDS, firedText } from "./response-text";
export { ResponseThresholds, USUAL_THRESHOLDS } from "./thresholds";
export { PracticeSettings, USUAL_SETTINGS } from "./practice-settings";
