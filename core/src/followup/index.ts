/** Follow-up: attendance, effort, trends, and what of a crew may be shown to its employer. */
export { followUpByPerson, followUpByRun, type Attendance, type PersonFollowUp, type RunFollowUp } from "./attendance";
export { crewReport, type CrewFigures, type CrewReport, type ReportChange, type ReportMorning } from "./crew-report";
export { adherenceOf, type PersonDay } from "./person-day";
export { FEWEST_PEOPLE, publishable } from "./small-groups";
export { MIN_ANSWERS, trendOf, type Trend } from "./trend";
export { blockReasonText, nextBlock, type BlockFigures, type BlockReason, type NextBlock } from "./next-block";
export type { ReviewAnswer } from "./review-answer";
export { loadRises, NOTABLE_RISE, type LoadedRun, type LoadKind, type LoadRise } from "./weekly-load";
