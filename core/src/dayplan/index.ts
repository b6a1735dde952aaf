/** Day plans: shift patterns on real calendars, sessions placed on them, and what clashes. */
export { clashesOf, type Clash, type ClashKind, type Placed } from "./clashes";
export { GRID_MIN, WEEK_DOCUMENT, Placement, WeekPlan, onGrid, type WeekDraft } from "./placement";
export { NOTHING_STANDING, STANDING_DOCUMENT, Series, StandingPlan, type PlanGroup, type SeriesDays, type SeriesPlace } from "./standing";
export { cycleDayOf, laidById, laidId, layPlan, momentIn, placeIn, weekdayOf, type CrewCalendar, type LaidPlacement } from "./lay";
export {
  changedFrom,
  copiedWeek,
  dayInstead,
  goingOnWith,
  groupNamed,
  inGroup,
  lasting,
  likeTheOthers,
  movedEvery,
  movedOnce,
  onlyOn,
  patternFrom,
  placedEvery,
  placedOnce,
  takenOutEvery,
  takenOutOnce,
  withGroup,
  withoutGroup,
  type SessionOfProgram,
  type WeekPlanned,
} from "./plan-edit";
export { seriesOf } from "./series-of";
export { brokenDays, brokenSeries, withoutAGroup, type BrokenDay, type BrokenSeries } from "./broken";
export { SPACING } from "./rules";
export { hasRoomFor } from "./day-room";
export { suggestStart } from "./suggest";
export { dayProblem, joined, REACH_MIN, type Job, type DayProblem, type WantedSession, type SessionRequest } from "./day-problem";
export { formGroups, mostWithKit, shortKitOf, type Group, type ShortKit } from "./groups";
export { optimalPlan, greedyPlan, planCost, type DayPlan } from "./plan-day";
export { minimalRelaxations, type Relaxation } from "./relax";
export { hardMoments, ribbonOf, workingSpans, type RibbonPart, type RibbonPiece } from "./ribbon";
export { leaderClashes, minutesBetween, placeKey, type LeaderClash, type TravelTime } from "./own-week";
export { AWAKE_BEFORE_MIN, quietUntil, REMIND_MINUTES } from "./quiet";
