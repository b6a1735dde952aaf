/** Follow-up: attendance, effort, trends, and what of a crew may be shown to its employer. */
export { followUpByPerson, followUpByRun, type Attendance, PersonFollowUp, RunFollowUp } from "./attendance";
export {
  BLOCK_DAYS,
  blockStartOf,
  CHANGE_MEASURES,
  FREEZE_AFTER_DAYS,
  readableBlocks,
  readableOn,
  saidBy,
  type Behind,
  ChangeMeasure,
  type CrewFigure,
  CrewFigures,
  Estimate,
  MeasuredChange,
  type ReportChange,
  ReportedPeople,
  type ReportedSymptom,
  type ReportMorning,
} from "./crew-report";
export { emptyFirstAidBook, FIRST_AID_DOCUMENT, FirstAidBook, type FirstAidCase } from "./first-aid";
export { adherenceOf, type PersonDay } from "./person-day";
export { FEWEST_PEOPLE, isReadable, readableSet, roundedMean } from "./small-groups";
export { MIN_ANSWERS, trendOf, type Trend } from "./trend";
export { ENOUGH_DONE, MANY_RAISED, nextBlock, type BlockFigures, type BlockReason, NextBlock } from "./next-block";
export { ReviewAnswer } from "./review-answer";
export { loadRises, NOTABLE_RISE, type LoadedRun, type LoadKind, LoadRise } from "./weekly-load";
