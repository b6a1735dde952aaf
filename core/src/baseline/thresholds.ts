/** From when on a difference counts. Each with its source; below it, it is measurement noise. */

import type { HandSide } from "../units";

/**
 * Angle meters repeat within 5°: Boone DC, Azen SP, Lin CM, Spence C, Baron C, Lee L. Reliability of goniometric measurements.
 * Phys Ther 1978; 58(11): 1355–1360.
 */
export const ANGLE_NOISE_DEG = 5;
/** Between two rounds a change counts from here on, unless the practice has measured its own noise. Practice rule, twice the noise of one sitting. */
export const ROUND_CHANGE_DEG = 10;
/** Sides differ from here on. Practice rule, twice the noise. */
export const SIDES_DIFFER_DEG = 10;
/** Assisted beyond active by this much: range without strength. Practice rule, three times the noise. */
export const WITHOUT_STRENGTH_DEG = 15;
/** A range is short when it misses more than the noise and at least this share of the reference. Practice rule. */
export const SHORT_SHARE = 0.15;

/** Trials a side, alternating: Mathiowetz V, Weber K, Volland G, Kashman N. J Hand Surg 1984; 9A(2): 222–226. */
export const GRIP_TRIALS = 3;
/** Never more than this many, however much they scatter. */
export const MOST_GRIP_TRIALS = 6;
/** More than any meter reads: a typing mistake. Practice rule. */
export const MOST_GRIP_KG = 120;
/** Rest between two trials of a hand. Practice rule. */
export const GRIP_REST_SEC = 15;
/** Trials that scatter more ask for another one (standard deviation over mean). Practice rule. */
export const GRIP_SPREAD = 0.1;
/**
 * A change of grip counts from the larger of these two: by the smaller, a third of unchanged weak hands would count as changed. 6 kg: Nitschke JE, McMeeken JM, Burry HC, Matyas TA. J Hand Ther 1999; 12(1): 25–30. 20 %: practice rule.
 */
export const GRIP_CHANGE = { kg: 6, share: 0.2 } as const;

/** A change of the 0–10 effort of a function test counts from here on. Practice rule. */
export const FUNCTION_CHANGE = 2;

/**
 * The right hand of right-handed people is about so much stronger; the hands of left-handed people are about equal: Petersen P, Petrick M,
 * Connor H, Conklin D. Grip strength and hand dominance: challenging the 10 % rule. Am J Occup Ther 1989; 43(7): 444–447.
 */
export const RIGHT_HANDED_LEAD = 0.1;

/**
 * What the weaker-used hand is expected to have of a stronger one, kg: a side difference is held against that, not against nought.
 * @param dominant main hand; null when it is not known
 * @returns the expected mean of `side`, from the mean of the other hand
 */
export function expectedGripKg(side: HandSide, otherKg: number, dominant: "left" | "right" | "both" | null): number {
  if (dominant !== "right") return otherKg;
  return side === "right" ? otherKg * (1 + RIGHT_HANDED_LEAD) : otherKg / (1 + RIGHT_HANDED_LEAD);
}
