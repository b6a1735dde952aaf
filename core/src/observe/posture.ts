/** The wrist of a piece of work, from postures tapped now and then. */
import { postureMultiplier } from "../strain";

/** What can be tapped: the wrist bent to the palm (+) or back (−), degrees. */
export const TAPPED_POSTURES = [-50, -25, 0, 25, 50] as const;

/** @returns share of the taps in each posture, 0 to 1, in the order of `TAPPED_POSTURES`; a posture of another figure counts with the nearest */
export function postureShares(taps: readonly number[]): number[] {
  const counts = TAPPED_POSTURES.map(() => 0);
  for (const deg of taps) {
    const nearest = TAPPED_POSTURES.reduce((best, each) => (Math.abs(each - deg) < Math.abs(best - deg) ? each : best));
    counts[TAPPED_POSTURES.indexOf(nearest)]! += 1;
  }
  return counts.map((count) => (taps.length === 0 ? 0 : count / taps.length));
}

/**
 * The one posture that strains as much as the tapped ones do on average: the mean of their multipliers, read back as degrees, bent to the
 * side that adds more of it. Whole degrees.
 * @returns null without a tap
 */
export function equalPosture(taps: readonly number[]): number | null {
  if (taps.length === 0) return null;
  const above = (side: (deg: number) => boolean) => taps.filter(side).reduce((sum, deg) => sum + postureMultiplier(deg) - 1, 0);
  const [forward, back] = [above((deg) => deg > 0), above((deg) => deg < 0)];
  const mean = 1 + (forward + back) / taps.length;
  if (mean <= 1 + 1e-9) return Math.round(taps.reduce((sum, deg) => sum + deg, 0) / taps.length);
  return Math.round(back > forward ? -inverse(mean, -70) : inverse(mean, 80));
}

/** Degrees, without their sign, at which the multiplier is so much; it grows with the angle, so it is halved in on. */
function inverse(multiplier: number, most: number): number {
  let [low, high] = [0, Math.abs(most)];
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (postureMultiplier(Math.sign(most) * middle) < multiplier) low = middle;
    else high = middle;
  }
  return high;
}
