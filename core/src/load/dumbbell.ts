import { GRAVITY } from "./gravity";

/** Dumbbell in a supported wrist lift, held level: the worst case of the arc. */

/** Wrist crease to the middle of the palm, metres: the practice's default where a hand was not measured. */
export const PALM_FROM_CREASE_M = 0.08;

/**
 * Torque about the wrist, N·m: τ = 9.81 · m · r.
 * @param massKg mass in the hand, kg, ≥ 0
 * @param reachM wrist crease to the middle of the palm, m, > 0
 * @throws RangeError when an argument is outside its range
 */
export function supportedWristTorqueNm(massKg: number, reachM = PALM_FROM_CREASE_M): number {
  if (!(massKg >= 0)) throw new RangeError(`massKg must be 0 or more, got ${massKg}`);
  if (!(reachM > 0)) throw new RangeError(`reachM must be above 0, got ${reachM}`);
  return GRAVITY * massKg * reachM;
}
