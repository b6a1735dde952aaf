/** Follow-up: attendance, effort, trends, and what of a crew may be shown to its employer. */
export { followUpByPerson, followUpByRun, type Attendance, type PersonFollowUp, type RunFollowUp } from "./attendance";
export {
  BLOCK_DAYS,
  blockFigures,
  blockStartOf,
  CHANGE_MEASURES,
  FREEZE_AFTER_DAYS,
  measuredChanges,
  readableBlocks,
  readableOn,
  type Behind,
  type ChangeMeasure,
  type CrewFigure,
  type CrewFigures,
  type MeasuredChange,
  type ReportChange,
  type ReportMorning,
} from "./crew-report";
export { adherenceOf, type PersonDay } from "./person-day";
export { FEWEST_PEOPLE, isReadable, readableSet, roundedMean } from "./small-groups";
export { MIN_ANSWERS, trendOf, type Trend } from "./trend";
export { blockReasonText, nextBlock, type BlockFigures, type BlockReason, type NextBlock } from "./next-block";
export type { ReviewAnswer } from "./review-answer";
export { loadRises, NOTABLE_RISE, type LoadedRun, type LoadKind, type LoadRise } from "./weekly-load";
