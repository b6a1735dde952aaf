/** Work strain: the Revised Strain Index of tasks and shifts, per hand, with its working. */
export { averageDay } from "./average-day";
export { adviceFor, type Advice } from "./advice";
export { compositeStrain, cumulativeStrain, type Combined } from "./combined";
export { workProblems, type WorkProblem } from "./contradictions";
export { durationMultiplier, hoursMultiplier, intensityMultiplier, postureMultiplier, rateMultiplier } from "./multipliers";
export { TASK_STARTERS, type TaskStarter } from "./starters";
export { METHODS } from "./methods";
export { acceptableShare } from "./methods/acceptable-share";
export { activityLevel, forceLimits } from "./methods/hand-activity";
export { enduranceMin, restShare } from "./methods/held-effort";
export {
  isReading,
  placeOnScale,
  verdictAt,
  VERDICTS,
  type Aspect,
  type Method,
  type MethodId,
  type Reading,
  type ShiftReading,
  type Silence,
  type Step,
  type Verdict,
} from "./methods/method";
export { eightHourVibration } from "./methods/vibration";
export { opinionsOfShift, opinionsOfTask, UNSEEN, whyApart, type Apart, type ApartReason, type Opinion } from "./opinions";
export { RAISED_STRAIN, STRAIN_SOURCE, strainIndex, type Factor, type Link, type StrainIndex, type StrainInput } from "./strain-index";
export {
  dayOf,
  Effort,
  effortsOf,
  EMPTY_WORK,
  Grip,
  GRIPS,
  hoursOfTask,
  MAX_EFFORTS,
  MAX_TASKS,
  MAX_TREATMENTS,
  minutesByTask,
  minutesOverWays,
  Observed,
  Treatment,
  Task,
  Turn,
  TURNS,
  VIBRATIONS,
  Work,
  RotationAsked,
  MAX_DAYS,
  WorkDay,
  WORK_DOCUMENT,
} from "./task";
export { adviceOfAll, type Advised, type Trade, type Weighed } from "./weighed";
export { singleChanges, type Change } from "./what-if";
export { harderHand, hardestWay, shiftStrain, taskStrain, type EffortStrain, type TaskStrain } from "./work-strain";
