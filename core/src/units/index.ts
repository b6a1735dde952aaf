/** Quantities and the few shared value shapes every subject uses. */
export { grouped } from "./grouped";
export { clockText, spanText } from "./time-text";
export {
  lengthIn,
  lengthOf,
  lengthText,
  massIn,
  massOf,
  massText,
  METRIC,
  numberText,
  readAmount,
  type LengthUnit,
  type MassUnit,
  type Measures,
} from "./measures";
export { issueText } from "./issue-text";
export { torqueText } from "./torque-text";
export { Effort, HAND_SIDES, Id, IsoDate, IsoInstant, LocalTime, NonEmptyText, Seconds, Side, type HandSide } from "./shapes";
