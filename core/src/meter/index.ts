/** Grip meters and angle meters: their protocol, and what is read from their streams. */
export {
  LEAST_HELD_MS,
  LONGEST_GAP_MS,
  mean,
  readTrial,
  spreadOf,
  STEADY_SPREAD,
  WEAK_SHARE,
  type GripTrial,
  type Reading,
  type TrialFault,
} from "./grip-trial";
export { FromMeter, METER_KINDS, MeterKind, MeterSettings, readMessage, Repeated, ToMeter } from "./protocol";
export {
  Calibration,
  CALIBRATION_READINGS,
  calibrationOf,
  canMeasure,
  corrected,
  KNOWN_DEG,
  LEVEL_WITHIN_DEG,
  MOST_OFF_DEG,
  phoneErrorOf,
  readOffLevel,
  turnsUnseen,
} from "./phone-angle";
export { outwardFrom, tiltBetween, turnedBy, upFrom, type UpVector } from "./tilt";
export { againstDose, CountedBout, countedItems, paceOf, type CountedItem, type Pace } from "./counted";
export { LEAST_TURN_DEG, repetitionsIn, type Repetition } from "./repetitions";
export { STILL_DEG, STILL_MS, steadyAngle, steadyMean } from "./steady-angle";
