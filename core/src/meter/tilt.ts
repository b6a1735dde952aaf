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
  const dot = a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
  return (Math.acos(Math.max(-1, Math.min(1, dot))) * 180) / Math.PI;
}
