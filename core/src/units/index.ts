/** Quantities and the few shared value shapes every subject uses. */
export { grouped } from "./grouped";
export { durationText, minutesAndSeconds, spanText } from "./time-text";
export {
  fixedText,
  LENGTH_UNITS,
  lengthIn,
  lengthOf,
  lengthText,
  MASS_UNITS,
  massIn,
  massOf,
  massText,
  METRIC,
  numberText,
  readAmount,
  Measures,
  type LengthUnit,
  type MassUnit,
} from "./measures";
export { datePattern, timeOfDayText } from "./written-time";
export { readTime } from "./read-time";
export { issueText } from "./issue-text";
export { torqueText } from "./torque-text";
export {
  Effort,
  HAND_SIDES,
  Handedness,
  Id,
  IsoDate,
  IsoInstant,
  LocalTime,
  NonEmptyText,
  Seconds,
  Side,
  wholeMinutes,
  type HandSide,
} from "./shapes";
