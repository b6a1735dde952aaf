/** The baseline round: what is measured of each person, what it shows, and how two rounds compare. */
export { Change, changesBetween } from "./changes";
export { crewChanges, type CrewChange, type Pair } from "./crew-changes";
export { findingsOf, isShort, needFindings, type Finding, type MainHand } from "./findings";
export { FUNCTION_TESTS, type FunctionTest } from "./function-tests";
export { gripOf, type GripSummary } from "./grip";
export {
  countsFrom,
  DAYS_BETWEEN,
  differs,
  isApart,
  LEAST_PEOPLE,
  MEASURES,
  MeasuringNoise,
  NOISE_DOCUMENT,
  OwnNoise,
  USUAL_NOISE,
  type Measure,
} from "./noise";
export { dispensable, knownRecord } from "./known-record";
export { MOTION_FACTS, MOTIONS, OVER_REFERENCE_DEG, type Motion } from "./motions";
export { AGE_BANDS, canBeCompared, gripOfPeopleLike, LikeThem, SEXES } from "./people-like-them";
export { isEmpty, isFinished, PARTS, stateOf, wantsTrial, type Part, type PartState } from "./progress";
export { BaselineRecord, RECORD_DOCUMENT, emptyRecord, GripReading } from "./record";
export { isAskedOnPhone, openPart, otherHandedness, SEEN_FIRST, seenFirst, SelfCheck, withSelfCheck, type SeenFirst } from "./self-check";
export {
  ANGLE_NOISE_DEG,
  expectedGripKg,
  FUNCTION_CHANGE,
  GRIP_CHANGE,
  GRIP_REST_SEC,
  GRIP_SPREAD,
  GRIP_TRIALS,
  MOST_GRIP_KG,
  MOST_GRIP_TRIALS,
  RIGHT_HANDED_LEAD,
  ROUND_CHANGE_DEG,
  SHORT_SHARE,
  SIDES_DIFFER_DEG,
  WITHOUT_STRENGTH_DEG,
} from "./thresholds";
