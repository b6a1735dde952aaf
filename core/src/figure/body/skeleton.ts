/** Lengths and places of the bones of a middling adult hand and arm (about 196 mm hand length), in millimetres; and a hand's bones from its pose. */
import type { ArmPose } from "./pose";
import { FINGERS, type FingerName, type HandPose } from "./hand-pose";
import { add, at, DEGREE, frameAlong, moved, scale, turnX, turnZ, unit, type Frame, type Vector } from "../vector";

export const UPPER_ARM = 292;
export const FOREARM = 252;
export const SHOULDER_HALF_WIDTH = 172;
const COLLAR_BONE = 150;

interface FingerSize {
  /** Knuckle in the hand's frame. */
  knuckle: Vector;
  /** Bones from knuckle to tip. */
  bones: readonly [number, number, number];
  /** Half thickness at knuckle, middle joint, end joint, tip. */
  radii: readonly [number, number, number, number];
  /** How far the resting finger points to the little-finger side. */
  rest: number;
}
export const FINGER_SIZES: Readonly<Record<FingerName, FingerSize>> = {
  index: { knuckle: [27, 89, -2], bones: [43, 26, 17], radii: [10.6, 9.2, 8.2, 7], rest: -4 },
  middle: { knuckle: [7, 93, -5], bones: [48, 30, 18], radii: [10.8, 9.4, 8.3, 7.1], rest: 0 },
  ring: { knuckle: [-13, 87, -4], bones: [44, 28, 18], radii: [10.3, 8.9, 7.9, 6.7], rest: 4 },
  little: { knuckle: [-31, 77, 0], bones: [34, 20, 16], radii: [9.3, 7.8, 7, 5.9], rest: 9 },
};
export const THUMB_SIZE = { base: [20, 17, 7] as Vector, bones: [46, 33, 22] as const, radii: [12, 10, 8] as const };

export interface DigitBones {
  base: Frame;
  middle: Frame;
  end: Frame;
  tip: Vector;
}
export type HandBones = Record<FingerName, DigitBones> & { thumb: DigitBones };
export interface ArmBones {
  /** The pose with any contact solved into plain angles. */
  solved: ArmPose;
  /** Why the pose cannot be held, empty when it can. */
  problems: string[];
  upper: Frame;
  fore: Frame;
  /** At the wrist, turned with the forearm, before the wrist bends. */
  wrist: Frame;
  hand: Frame;
  digits: HandBones;
}
/** The digits of a hand whose wrist is at `hand`. */
export function handBones(hand: Frame, shape: HandPose): HandBones {
  const digits = {} as HandBones;
  for (const name of FINGERS) {
    const { knuckle, bones, rest } = FINGER_SIZES[name];
    const bend = shape[name];
    // Bent fingers come together: a fist cannot be spread.
    const spread = (bend.spread - rest) * (1 - Math.min(1, Math.max(0, bend.base) / 110));
    const base = turnX(turnZ(moved(hand, ...knuckle), -spread), bend.base);
    const middle = turnX(moved(base, 0, bones[0], 0), bend.middle);
    const end = turnX(moved(middle, 0, bones[1], 0), bend.end);
    digits[name] = { base, middle, end, tip: at(end, 0, bones[2], 0) };
  }
  const { radial, palmar, opposition, middle: bendMiddle, end: bendEnd } = shape.thumb;
  const out = unit(
    add(
      add(scale(hand.x, Math.sin(radial * DEGREE) * Math.cos(palmar * DEGREE)), scale(hand.z, Math.sin(palmar * DEGREE))),
      scale(hand.y, Math.cos(radial * DEGREE) * Math.cos(palmar * DEGREE)),
    ),
  );
  const roll = (35 - opposition) * DEGREE;
  const pulp = add(scale(hand.x, -Math.cos(roll)), scale(hand.z, Math.sin(roll)));
  const handed = frameAlong(at(hand, ...THUMB_SIZE.base), out, pulp);
  const base = { ...handed };
  const middle = turnX(moved(base, 0, THUMB_SIZE.bones[0], 0), bendMiddle);
  const end = turnX(moved(middle, 0, THUMB_SIZE.bones[1], 0), bendEnd);
  digits.thumb = { base, middle, end, tip: at(end, 0, THUMB_SIZE.bones[2], 0) };
  return digits;
}

/** Where a right shoulder is in the trunk's frame. */
export function shoulderPlace(arm: Pick<ArmPose, "girdleRaise" | "girdleProtraction" | "shoulderAbduction" | "shoulderFlexion">): Vector {
  // The collar bone rises by itself once the arm passes about 60°.
  const lift = Math.max(0, Math.max(arm.shoulderAbduction, arm.shoulderFlexion * 0.8) - 60) * 0.22;
  const raise = (arm.girdleRaise + lift) * DEGREE;
  const forward = arm.girdleProtraction * DEGREE;
  return [
    -SHOULDER_HALF_WIDTH + COLLAR_BONE * (1 - Math.cos(raise) * Math.cos(forward)),
    COLLAR_BONE * Math.sin(raise),
    COLLAR_BONE * Math.sin(forward),
  ];
}
