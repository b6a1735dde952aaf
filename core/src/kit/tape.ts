/** The tape planner: how long a thumb support strip is, how many a roll gives, how many rolls a month takes. */

export interface TapeMeasure {
  /** Once round the thumb, mm. */
  roundThumbMm: number;
  /** From the thumb base to the wrist and once round it, mm. */
  toAndRoundWristMm: number;
  /** Piece under the ends, mm. */
  anchorMm: number;
}

export interface TapeRoll {
  lengthM: number;
  widthMm: number;
}

/** Tape is off after three days at the latest: rule 11. */
export const MOST_WEAR_DAYS = 3;
const DAYS_IN_A_MONTH = 30;
/** A half is as wide as the roll cut down the middle. */
export const HALVES = 2;
/** Corners are cut round, or they roll up: radius in mm. */
export const CORNER_MM = 8;

export interface TapePlan {
  /** Of one half, mm. */
  halfMm: number;
  /** Of both halves and the anchor, mm of roll. */
  stripMm: number;
  halfWidthMm: number;
  perRoll: number;
  perMonth: number;
  rollsPerMonth: number;
}

/**
 * Strip = (round the thumb + to and round the wrist) × 2 halves + anchor. The halves lie side by side on the roll only when it is cut
 * lengthwise; here each half is its own length of roll, at half its width, so that the plan never comes out short.
 * @param hands hands to tape, 1 or more @param wearDays 1 to 3
 * @throws RangeError when an argument is outside its range
 */
export function tapePlan(measure: TapeMeasure, roll: TapeRoll, hands: number, wearDays: number): TapePlan {
  const { roundThumbMm, toAndRoundWristMm, anchorMm } = measure;
  if (!(roundThumbMm > 0 && toAndRoundWristMm > 0 && anchorMm >= 0)) throw new RangeError("lengths must be above 0");
  if (!(roll.lengthM > 0 && roll.widthMm > 0)) throw new RangeError("the roll must have a length and a width");
  if (!(hands >= 1)) throw new RangeError(`hands must be 1 or more, got ${hands}`);
  if (!(wearDays >= 1 && wearDays <= MOST_WEAR_DAYS)) throw new RangeError(`wearDays must be 1 to ${MOST_WEAR_DAYS}, got ${wearDays}`);
  const halfMm = roundThumbMm + toAndRoundWristMm;
  const stripMm = HALVES * halfMm + anchorMm;
  const perRoll = Math.floor((roll.lengthM * 1000 + 1e-9) / stripMm);
  const perMonth = hands * Math.ceil(DAYS_IN_A_MONTH / wearDays);
  return {
    halfMm,
    stripMm,
    halfWidthMm: roll.widthMm / HALVES,
    perRoll,
    perMonth,
    rollsPerMonth: perRoll === 0 ? Infinity : Math.ceil(perMonth / perRoll),
  };
}
