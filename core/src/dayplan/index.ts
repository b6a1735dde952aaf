/** Day plans: shift patterns on real calendars, sessions placed on them, and what clashes. */
export { clashesOf, type Clash, type ClashKind, type Placed } from "./clashes";
export { GRID_MIN, WEEK_DOCUMENT, Placement, WeekPlan, onGrid } from "./placement";
export { SPACING } from "./rules";
export { hasRoomFor } from "./day-room";
export { suggestStart } from "./suggest";
export { dayProblem, joined, REACH_MIN, type Job, type DayProblem, type WantedSession, type SessionRequest } from "./day-problem";
export { formGroups, mostWithKit, type Group } from "./groups";
export { optimalPlan, greedyPlan, planCost, type DayPlan } from "./plan-day";
export { minimalRelaxations, type Relaxation } from "./relax";
export { hardMoments, ribbonOf, workingSpans, type RibbonPart, type RibbonPiece } from "./ribbon";
