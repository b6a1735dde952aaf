/** The round of the forearm: how thick it is where, and how it twists between elbow and wrist. */
import type { ArmBones } from "./skeleton";
import { across, at, between, cross, dot, scale, unit, type Frame, type Vector } from "../vector";

/** Share of the forearm, half distance of the two balls, their radius. The bulge of the muscles sits in the upper third. */
export const FOREARM_ROWS: readonly (readonly [share: number, half: number, radius: number])[] = [
  [0, 5, 35],
  [0.12, 7, 37],
  [0.26, 8, 37.5],
  [0.4, 9, 34],
  [0.55, 9.5, 29],
  [0.7, 10.5, 24],
  [0.84, 11.5, 20],
  [1, 12.5, 17.2],
];
/** The forearm's frame at a share of its length: the twist of the two bones is spread along it. */
export function forearmFrame({ fore, wrist }: Pick<ArmBones, "fore" | "wrist">, share: number): Frame {
  const twist = Math.min(1, share * 1.2);
  const x = unit(across(between(fore.x, wrist.x, twist), fore.y));
  // Turned by half a circle the two x cancel out; any direction across the arm will do there.
  const safe = Math.hypot(...x) > 0.5 ? x : fore.z;
  const towards = cross(safe, fore.y);
  const z = dot(towards, wrist.z) + dot(towards, fore.z) >= 0 ? towards : scale(towards, -1);
  return { o: between(fore.o, wrist.o, share), x: safe, y: fore.y, z };
}

/** Half distance of the two balls of a cross-section, and their radius. */
export function rowAt(share: number): { half: number; radius: number } {
  const i = Math.max(
    1,
    FOREARM_ROWS.findIndex(([at]) => at >= share),
  );
  const [from, fromHalf, fromRadius] = FOREARM_ROWS[i - 1]!;
  const [to, toHalf, toRadius] = FOREARM_ROWS[i]!;
  const k = (share - from) / (to - from);
  return { half: fromHalf + (toHalf - fromHalf) * k, radius: fromRadius + (toRadius - fromRadius) * k };
}

/** A point on the skin of the forearm; `turn` 0 is the thumb side, 90 the palm side. */
export function onForearm(arm: Pick<ArmBones, "fore" | "wrist">, share: number, turn: number, above = 0): Vector {
  const frame = forearmFrame(arm, share);
  const { half, radius } = rowAt(share);
  const radians = (turn * Math.PI) / 180;
  const cosine = Math.cos(radians);
  return at(frame, cosine * (radius + above) + half * Math.max(-1, Math.min(1, cosine * 2.2)), 0, Math.sin(radians) * (radius + above));
}
