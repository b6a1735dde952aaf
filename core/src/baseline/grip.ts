/** Grip of one hand from its trials. */
import { mean, spreadOf } from "../meter";

export interface GripSummary {
  meanKg: number;
  bestKg: number;
  /** Standard deviation over mean, 0–1. */
  spread: number;
  trials: number;
}

/** @param kgs trials of one hand, kg. @returns undefined without trials */
export function gripOf(kgs: readonly number[]): GripSummary | undefined {
  if (kgs.length === 0) return undefined;
  return { meanKg: mean(kgs), bestKg: Math.max(...kgs), spread: spreadOf(kgs), trials: kgs.length };
}
