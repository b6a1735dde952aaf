/** An angle meter at rest: the reading that counts is the one that stood still. */
import { mean, type Reading } from "./grip-trial";

/** It stood still when the readings of the last so many milliseconds … */
export const STILL_MS = 600;
/** … lie within so many degrees. */
export const STILL_DEG = 3;

/** The angle the meter stands at, to a whole degree; undefined while it moves or too little was read. */
export function steadyAngle(readings: readonly Reading[]): number | undefined {
  const angle = steadyMean(readings);
  return angle === undefined ? undefined : Math.round(angle);
}

/** The same as it is read, degrees. */
export function steadyMean(readings: readonly Reading[]): number | undefined {
  const last = readings.at(-1);
  if (!last) return undefined;
  const recent = readings.filter(({ atMs }) => last.atMs - atMs <= STILL_MS);
  if (recent.length < 5 || last.atMs - recent[0]!.atMs < STILL_MS * 0.7) return undefined;
  const values = recent.map(({ value }) => value);
  if (Math.max(...values) - Math.min(...values) > STILL_DEG) return undefined;
  return mean(values);
}
