/**
 * The five multipliers of the Revised Strain Index.
 * Source of every figure: Garg A, Moore JS, Kapellusch JM. The Revised Strain Index: an improved upper extremity exposure
 * assessment model. Ergonomics 2017; 60(7): 912–922.
 */
import { inRange } from "./in-range";

/** @param intensity effort 0–10 divided by ten, in (0, 1]. @throws RangeError outside it */
export function intensityMultiplier(intensity: number): number {
  inRange("intensity", intensity, Number.MIN_VALUE, 1);
  return intensity <= 0.4
    ? 30 * intensity ** 3 - 15.6 * intensity ** 2 + 13 * intensity + 0.4
    : 36 * intensity ** 3 - 33.3 * intensity ** 2 + 24.77 * intensity - 1.86;
}

/** @param perMin efforts a minute, 0 or more. @throws RangeError below 0 */
export function rateMultiplier(perMin: number): number {
  inRange("perMin", perMin, 0, Infinity);
  return perMin <= 90 ? 0.1 + 0.25 * perMin : 0.00334 * perMin ** 1.96;
}

/** @param secEach seconds of one effort, 0 or more. @throws RangeError below 0 */
export function durationMultiplier(secEach: number): number {
  inRange("secEach", secEach, 0, Infinity);
  return secEach <= 60 ? 0.45 + 0.31 * secEach : 19.17 * Math.log(secEach) - 59.44;
}

/** @param flexionDeg wrist bent to the palm (+) or back (−), degrees, −90 to 90. @throws RangeError outside it */
export function postureMultiplier(flexionDeg: number): number {
  inRange("flexionDeg", flexionDeg, -90, 90);
  if (flexionDeg >= 0) return 1.2 * Math.exp(0.009 * flexionDeg) - 0.2;
  const extensionDeg = -flexionDeg;
  return extensionDeg <= 30 ? 1 : 1 + 0.00028 * (extensionDeg - 30) ** 2;
}

/** @param hours hours of the task in a shift, 0 to 24. @throws RangeError outside it */
export function hoursMultiplier(hours: number): number {
  inRange("hours", hours, 0, 24);
  return hours <= 0.05 ? 0.2 : 0.042 * hours + 0.09 * Math.log(hours) + 0.477;
}
