/**
 * A phone as angle meter: checked against a right angle, and how far off a reading of it may be.
 *
 * Gravity tells a turn only about a level axis. So each motion has a way to lay the forearm that makes its axis level, and the forearm is
 * held: one phone sees the hand, not the joint. About an axis ε off level a turn of φ is read as 2·asin(cos ε · sin(φ/2)), always too
 * little; about an upright axis it is not seen at all.
 */
import * as v from "valibot";
import { IsoDate } from "../units";
import { mean } from "./grip-trial";

/** What it is checked against: a table's edge, a book's corner. */
export const KNOWN_DEG = 90;
/** So often it is stood up. Practice rule. */
export const CALIBRATION_READINGS = 4;
/** A sensor that is further off is not measured with. Practice rule. */
export const MOST_OFF_DEG = 5;
/** A forearm that is laid with care lies this level, degrees. Practice rule. */
export const LEVEL_WITHIN_DEG = 10;

/** For one more reading after four: Student's t with 3 degrees, 95 %, times √(1 + 1/4). */
const OF_ONE_MORE = 3.182 * Math.sqrt(1 + 1 / CALIBRATION_READINGS);

export const Calibration = v.strictObject({
  on: IsoDate,
  /** What it reads for a right angle on average, degrees. */
  readsDeg: v.pipe(v.number(), v.minValue(0), v.maxValue(180)),
  /** One more reading of the same angle lies within so much of that 95 times of 100, degrees. */
  repeatsWithinDeg: v.pipe(v.number(), v.minValue(0)),
});
export type Calibration = v.InferOutput<typeof Calibration>;

/**
 * @param readings of a right angle, degrees; as many as CALIBRATION_READINGS @param on ISO date
 * @throws RangeError for fewer or more
 */
export function calibrationOf(readings: readonly number[], on: string): Calibration {
  if (readings.length !== CALIBRATION_READINGS)
    throw new RangeError(`a calibration is ${CALIBRATION_READINGS} readings, not ${readings.length}`);
  const readsDeg = mean(readings);
  const variance = readings.reduce((sum, deg) => sum + (deg - readsDeg) ** 2, 0) / (readings.length - 1);
  return { on, readsDeg, repeatsWithinDeg: OF_ONE_MORE * Math.sqrt(variance) };
}

/** Whether a phone may be measured with at all. */
export function canMeasure({ readsDeg, repeatsWithinDeg }: Calibration): boolean {
  return Math.abs(readsDeg - KNOWN_DEG) <= MOST_OFF_DEG && repeatsWithinDeg <= MOST_OFF_DEG;
}

/** A reading as it would be were a right angle read as one. @param deg degrees */
export function corrected(deg: number, { readsDeg }: Calibration): number {
  return (deg * KNOWN_DEG) / readsDeg;
}

/** What a turn about an axis that is not level is read as, degrees. @param turnDeg 0–180 @param offLevelDeg of the axis, 0–90 */
export function readOffLevel(turnDeg: number, offLevelDeg: number): number {
  const radians = Math.PI / 180;
  return (2 * Math.asin(Math.cos(offLevelDeg * radians) * Math.sin((turnDeg * radians) / 2))) / radians;
}

/** A reading is written as a whole degree. */
const WRITTEN_WITHIN_DEG = 0.5;

/**
 * How far one reading may be off: its own repeats, its rounding, and a forearm that lies up to LEVEL_WITHIN_DEG off level, which only takes away.
 * @param turnDeg what is read, degrees @returns degrees below and above, as magnitudes
 */
export function phoneErrorOf(turnDeg: number, { repeatsWithinDeg }: Calibration): { below: number; above: number } {
  const lost = turnDeg - readOffLevel(turnDeg, LEVEL_WITHIN_DEG);
  const below = Math.hypot(repeatsWithinDeg, WRITTEN_WITHIN_DEG);
  return { below, above: Math.hypot(below, lost) };
}

/** Turned in the level plane by more than this while it hardly tilts: gravity cannot see the motion. Practice rule. */
const UNSEEN = { turnedDeg: 20, tiltedDeg: 5 } as const;

/** @param alphaDeg compass-like turn of the device at start and now, 0–360 (W3C Device Orientation Events) @param tiltDeg read since the start */
export function turnsUnseen(startAlphaDeg: number, alphaDeg: number, tiltDeg: number): boolean {
  const turn = Math.abs(((alphaDeg - startAlphaDeg + 540) % 360) - 180);
  return turn > UNSEEN.turnedDeg && tiltDeg < UNSEEN.tiltedDeg;
}
