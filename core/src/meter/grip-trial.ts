/** One squeeze on a grip meter, read from its stream: peak, plateau, quality. */

export interface Reading {
  /** Milliseconds on the meter's clock. */
  atMs: number;
  /** kg for grip, degrees for angle. */
  value: number;
}

/** Below this the hand is not squeezing. */
export const SQUEEZE_FROM_KG = 2;
/** A gap between two readings longer than this, during a squeeze, is a drop-out. */
export const LONGEST_GAP_MS = 250;
/** The plateau is the best mean over this long. */
export const PLATEAU_MS = 1000;
/** A squeeze is held when it stays above this share of its peak … */
export const HELD_SHARE = 0.8;
/** … for at least this long. */
export const LEAST_HELD_MS = 1500;
/** Readings of the plateau scatter at most this much, as a share of their mean. */
export const STEADY_SPREAD = 0.1;
/** A trial under this share of the best one of the same hand was not a full try. */
export const WEAK_SHARE = 0.7;

export type TrialFault = "dropOut" | "tooShort" | "unsteady" | "weak";

export interface GripTrial {
  peakKg: number;
  plateauKg: number;
  /** How long it stayed above 80 % of the peak, s. */
  heldSec: number;
  /** Empty for a good trial. */
  faults: TrialFault[];
}

/**
 * @param readings in order of time, rest before and after included
 * @param bestKg peak of the best trial of the same hand so far, when there is one
 * @returns undefined when nobody squeezed
 */
export function readTrial(readings: readonly Reading[], bestKg?: number): GripTrial | undefined {
  const squeeze = longestSqueeze(readings);
  if (squeeze.length < 3) return undefined;
  // The middle of three: one stray reading is no peak.
  const peakKg = Math.max(...squeeze.slice(1, -1).map((_, i) => middle(squeeze[i]!.value, squeeze[i + 1]!.value, squeeze[i + 2]!.value)));
  const plateau = bestWindow(squeeze);
  const plateauKg = mean(plateau);
  const held = squeeze.filter(({ value }) => value >= HELD_SHARE * peakKg);
  const heldMs = held.length > 0 ? held.at(-1)!.atMs - held[0]!.atMs : 0;
  const faults: TrialFault[] = [];
  if (squeeze.some((reading, i) => i > 0 && reading.atMs - squeeze[i - 1]!.atMs > LONGEST_GAP_MS)) faults.push("dropOut");
  if (heldMs < LEAST_HELD_MS) faults.push("tooShort");
  else if (spreadOf(plateau) > STEADY_SPREAD) faults.push("unsteady");
  if (bestKg !== undefined && peakKg < WEAK_SHARE * bestKg) faults.push("weak");
  return { peakKg: round(peakKg), plateauKg: round(plateauKg), heldSec: round(heldMs / 1000), faults };
}

/** Standard deviation over mean of some values; 0 for fewer than two. */
export function spreadOf(values: readonly number[]): number {
  if (values.length < 2) return 0;
  const average = mean(values);
  const variance = values.reduce((sum, value) => sum + (value - average) ** 2, 0) / (values.length - 1);
  return average === 0 ? 0 : Math.sqrt(variance) / average;
}

export function mean(values: readonly number[]): number {
  return values.length === 0 ? 0 : values.reduce((sum, value) => sum + value, 0) / values.length;
}

/** The stretch above the threshold that holds the highest reading; gaps of lost readings do not end it. */
function longestSqueeze(readings: readonly Reading[]): Reading[] {
  let best: Reading[] = [];
  let now: Reading[] = [];
  const strength = (list: readonly Reading[]) => list.reduce((sum, { value }) => sum + value, 0);
  for (const reading of [...readings, { atMs: Infinity, value: 0 }]) {
    if (reading.value >= SQUEEZE_FROM_KG) now.push(reading);
    else {
      if (strength(now) > strength(best)) best = now;
      now = [];
    }
  }
  return best;
}

/** The values of the second with the highest mean; all of them when the squeeze was shorter. */
function bestWindow(squeeze: readonly Reading[]): number[] {
  let best = squeeze.map(({ value }) => value);
  let bestMean = -Infinity;
  for (const [i, first] of squeeze.entries()) {
    const window = squeeze.slice(i).filter(({ atMs }) => atMs - first.atMs <= PLATEAU_MS);
    if (window.at(-1)!.atMs - first.atMs < PLATEAU_MS * 0.8) break;
    const values = window.map(({ value }) => value);
    if (mean(values) > bestMean) [best, bestMean] = [values, mean(values)];
  }
  return best;
}

function middle(a: number, b: number, c: number): number {
  return Math.max(Math.min(a, b), Math.min(Math.max(a, b), c));
}

function round(value: number): number {
  return Math.round(value * 10) / 10;
}
