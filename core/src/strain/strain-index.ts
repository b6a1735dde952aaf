/** One kind of effort: the Revised Strain Index and the chain of five factors it is made of. */
import { durationMultiplier, hoursMultiplier, intensityMultiplier, postureMultiplier, rateMultiplier } from "./multipliers";

export const STRAIN_SOURCE = "Garg, Moore, Kapellusch. Ergonomics 2017; 60(7): 912–922 and 60(8): 1033–1041";

/** Above this an index is read as raised strain (Garg, Moore, Kapellusch 2017). */
export const RAISED_STRAIN = 10;

export const FACTORS = ["effort", "rate", "duration", "posture", "hours"] as const;
export type Factor = (typeof FACTORS)[number];

export interface StrainInput {
  /** What the person feels, over 0 to 10. */
  effort: number;
  /** Efforts a minute. */
  perMin: number;
  /** Seconds of one effort. */
  secEach: number;
  /** Wrist bent to the palm (+) or back (−), degrees. */
  flexionDeg: number;
  /** Hours in the shift. */
  hours: number;
}

export interface Link {
  factor: Factor;
  /** The answer as it was given. */
  given: number;
  multiplier: number;
}

export interface StrainIndex {
  value: number;
  /** The five factors in the order of the formula; their product is the value. */
  chain: Link[];
}

/**
 * RSI = IM · EM · DM · PM · HM.
 * Example: effort 3, 10 a minute, 2 s, flexion 20°, 4 h → 9.81; 8 h → 12.75.
 * @throws RangeError for an answer outside the range of its factor
 */
export function strainIndex({ effort, perMin, secEach, flexionDeg, hours }: StrainInput): StrainIndex {
  const chain: Link[] = [
    { factor: "effort", given: effort, multiplier: intensityMultiplier(effort / 10) },
    { factor: "rate", given: perMin, multiplier: rateMultiplier(perMin) },
    { factor: "duration", given: secEach, multiplier: durationMultiplier(secEach) },
    { factor: "posture", given: flexionDeg, multiplier: postureMultiplier(flexionDeg) },
    { factor: "hours", given: hours, multiplier: hoursMultiplier(hours) },
  ];
  return { value: chain.reduce((product, { multiplier }) => product * multiplier, 1), chain };
}
