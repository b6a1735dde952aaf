/**
 * Repetitions read off an angle that goes out and comes back: how many, and the seconds of each way, of the stay and of the rest.
 *
 * A way out or back is one that turns by at least LEAST_TURN_DEG and by 0.4 of the usual way of the same bout, so neither a tremor nor
 * a correction on the way counts. A way begins and ends where the speed is a tenth of its peak, near its start or its end: a hand that
 * stops half way has not arrived.
 */
import * as v from "valibot";
import type { Reading } from "./grip-trial";

/** A smaller turn is no repetition, degrees. Practice rule. */
export const LEAST_TURN_DEG = 15;
/** A way is at least this share of the usual one of the bout. Practice rule. */
const LEAST_SHARE = 0.4;
/** Of its peak: slower than this it stands. The convention of movement studies is 5 to 10 in a hundred. */
const STANDS_SHARE = 0.1;
/** Only within this share of the way from its start or end it can stand there. */
const NEAR_SHARE = 0.25;

const STEP_MS = 50;
/** Half the span the speed is taken over. */
const SPEED_STEPS = 3;

const seconds = v.pipe(v.number(), v.minValue(0), v.maxValue(600));
/** One repetition; `restedSec` at the start, before it. */
export const Repetition = v.strictObject({
  restedSec: seconds,
  outSec: seconds,
  heldSec: seconds,
  backSec: seconds,
});
export type Repetition = v.InferOutput<typeof Repetition>;

/** @param readings of one bout in order, degrees, any sign @returns the repetitions that came back, in order; twentieths of a second */
export function repetitionsIn(readings: readonly Reading[]): Repetition[] {
  const angles = evenly(readings);
  const ways = turningPoints(angles, LEAST_TURN_DEG);
  const sizes = ways.slice(1).map((at, i) => Math.abs(angles[at]! - angles[ways[i]!]!));
  const points = turningPoints(angles, Math.max(LEAST_TURN_DEG, LEAST_SHARE * median(sizes)));
  const found: Repetition[] = [];
  let restsFrom = 0;
  for (let i = 0; i + 2 < points.length; i += 2) {
    const [out, back] = [wayBetween(angles, points[i]!, points[i + 1]!), wayBetween(angles, points[i + 1]!, points[i + 2]!)];
    found.push({
      restedSec: found.length === 0 ? 0 : secondsOf(out.from - restsFrom),
      outSec: secondsOf(out.to - out.from),
      heldSec: secondsOf(back.from - out.to),
      backSec: secondsOf(back.to - back.from),
    });
    restsFrom = back.to;
  }
  return found;
}

const secondsOf = (steps: number): number => (Math.max(0, steps) * STEP_MS) / 1000;

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
}

/** A reading every STEP_MS, on straight lines between those that came. */
function evenly(readings: readonly Reading[]): number[] {
  const first = readings[0];
  if (!first) return [];
  const angles: number[] = [];
  let next = 0;
  for (let atMs = first.atMs; atMs <= readings.at(-1)!.atMs; atMs += STEP_MS) {
    while (readings[next]!.atMs < atMs) next++;
    const [a, b] = [readings[Math.max(0, next - 1)]!, readings[next]!];
    const share = b.atMs === a.atMs ? 1 : (atMs - a.atMs) / (b.atMs - a.atMs);
    angles.push(a.value + (b.value - a.value) * share);
  }
  return angles;
}

/** Where it turned round, by index, the start first; the last is as far as it has come by now, once that is `least` away. */
function turningPoints(angles: readonly number[], least: number): number[] {
  const points: number[] = [];
  let [low, high] = [0, 0];
  /** 1: rising since the last turn; 0: not known yet. */
  let rising = 0;
  for (const [i, angle] of angles.entries()) {
    if (angle < angles[low]!) low = i;
    if (angle > angles[high]!) high = i;
    if (rising <= 0 && angle - angles[low]! >= least) {
      points.push(low);
      [rising, high] = [1, i];
    } else if (rising >= 0 && angles[high]! - angle >= least) {
      points.push(high);
      [rising, low] = [-1, i];
    }
  }
  return rising === 0 ? points : [...points, rising > 0 ? high : low];
}

/** When a way between two turning points began and ended, by index. */
function wayBetween(angles: readonly number[], start: number, end: number): { from: number; to: number } {
  const size = Math.abs(angles[end]! - angles[start]!);
  const speeds = Array.from({ length: end - start + 1 }, (_, i) => speedAt(angles, start + i));
  const stands = STANDS_SHARE * Math.max(...speeds);
  const gone = (at: number) => Math.abs(angles[at]! - angles[start]!) / size;
  let half = start;
  while (half < end && gone(half) < 0.5) half++;
  let from = half;
  while (from > start && !(gone(from) <= NEAR_SHARE && speeds[from - start]! <= stands)) from--;
  let to = half;
  while (to < end && !(gone(to) >= 1 - NEAR_SHARE && speeds[to - start]! <= stands)) to++;
  return { from, to };
}

/** Degrees a step. */
function speedAt(angles: readonly number[], at: number): number {
  const [a, b] = [Math.max(0, at - SPEED_STEPS), Math.min(angles.length - 1, at + SPEED_STEPS)];
  return b === a ? 0 : Math.abs(angles[b]! - angles[a]!) / (b - a);
}
