/** A phone as angle meter: how far it has been turned since it was set to zero, from which way is down. */

/** The way up in the phone's own axes (x to its right, y to its top, z out of its screen), length 1. */
export type UpVector = readonly [x: number, y: number, z: number];

/** @param betaDeg front to back tilt, −180 to 180 @param gammaDeg left to right tilt, −90 to 90 (W3C Device Orientation Events) */
export function upFrom(betaDeg: number, gammaDeg: number): UpVector {
  const beta = (betaDeg * Math.PI) / 180;
  const gamma = (gammaDeg * Math.PI) / 180;
  return [-Math.cos(beta) * Math.sin(gamma), Math.sin(beta), Math.cos(beta) * Math.cos(gamma)];
}

/** Degrees between two ways up, 0–180. A turn about the line to the ground cannot be felt: hold the phone upright. */
export function tiltBetween(a: UpVector, b: UpVector): number {
  return (Math.acos(Math.max(-1, Math.min(1, dot(a, b)))) * 180) / Math.PI;
}

const dot = (a: UpVector, b: UpVector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/** Tilted by this much it has shown which way it turns, degrees. Practice rule. */
const SHOWS_ITS_WAY_DEG = 10;

/**
 * Which way a turn goes, from the first tilt that shows it: square to the way up at the start, in the plane of the turn.
 * @returns undefined while it has hardly tilted
 */
export function outwardFrom(start: UpVector, up: UpVector): UpVector | undefined {
  const tilt = tiltBetween(start, up);
  if (tilt < SHOWS_ITS_WAY_DEG || tilt > 180 - SHOWS_ITS_WAY_DEG) return undefined;
  const along = dot(start, up);
  const out: UpVector = [up[0] - along * start[0], up[1] - along * start[1], up[2] - along * start[2]];
  const length = Math.hypot(...out);
  return [out[0] / length, out[1] / length, out[2] / length];
}

/** How far it is turned in that plane since the start, degrees, as near as whole turns allow to what was read before. */
export function turnedBy(start: UpVector, outward: UpVector, up: UpVector, beforeDeg: number): number {
  const deg = (Math.atan2(dot(outward, up), dot(start, up)) * 180) / Math.PI;
  return deg + 360 * Math.round((beforeDeg - deg) / 360);
}
