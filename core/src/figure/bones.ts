/** Pose → where every bone is. Lengths are those of a middling adult hand and arm (about 196 mm hand length), in millimetres. */
import { contactGoal } from "./contact";
import { FINGERS, SIDE_NAMES, type ArmPose, type FingerName, type HandPose, type Pose, type SideName } from "./pose";
import { reach } from "./reach";
import {
  add,
  at,
  DEGREE,
  frameAlong,
  mirroredFrame,
  moved,
  placed,
  scale,
  turnX,
  turnY,
  turnZ,
  unit,
  WORLD,
  type Frame,
  type Vector,
} from "./vector";

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
export interface Bones {
  pose: Pose;
  trunk: Frame;
  neck: Frame;
  head: Frame;
  arms: Partial<Record<SideName, ArmBones>>;
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

/** A right arm, in the trunk's frame, from plain angles. */
export function armFrames(arm: ArmPose): Pick<ArmBones, "upper" | "fore" | "wrist" | "hand"> {
  const hanging: Frame = { o: shoulderPlace(arm), x: [-1, 0, 0], y: [0, -1, 0], z: [0, 0, 1] };
  const upper = turnY(turnZ(turnX(hanging, arm.shoulderFlexion), -arm.shoulderAbduction), arm.shoulderRotation);
  const fore = turnX(moved(upper, 0, UPPER_ARM, 0), arm.elbow);
  const wrist = turnY(moved(fore, 0, FOREARM, 0), -(arm.pronation + 90));
  const hand = turnX(turnZ(wrist, arm.deviation), arm.wristFlexion);
  return { upper, fore, wrist, hand };
}

const HIPS: Vector = [0, -480, 0];

function trunkFrame({ lean, turn, bend }: Pose["trunk"]): Frame {
  const hips = turnX(turnY(turnZ({ ...WORLD, o: HIPS }, bend), -turn), lean);
  return moved(hips, 0, -HIPS[1], 0);
}

function headFrames(trunk: Frame, { tilt, turn, nod }: Pose["neck"]): { neck: Frame; head: Frame } {
  const neck = turnX(turnZ(moved(trunk, 0, 48, -8), tilt * 0.5), nod * 0.5);
  const head = turnY(turnX(turnZ(moved(neck, 0, 78, 4), tilt * 0.5), nod * 0.5), -turn);
  return { neck, head };
}

function solvedArm(side: SideName, arm: ArmPose, trunk: Frame, head: Frame, other: ArmBones | undefined): ArmBones {
  let solved = arm;
  const problems: string[] = [];
  if (arm.touch) {
    const result = reach(arm, contactGoal(side, arm, arm.touch, { trunk, head, other }));
    solved = result.arm;
    problems.push(...result.problems);
  }
  const right = armFrames(solved);
  const digits = handBones(right.hand, solved.hand);
  const toWorld = (f: Frame) => placed(trunk, side === "left" ? mirroredFrame(f) : f);
  const digit = (d: DigitBones): DigitBones => ({
    base: toWorld(d.base),
    middle: toWorld(d.middle),
    end: toWorld(d.end),
    tip: toWorld({ ...WORLD, o: d.tip }).o,
  });
  return {
    solved,
    problems,
    upper: toWorld(right.upper),
    fore: toWorld(right.fore),
    wrist: toWorld(right.wrist),
    hand: toWorld(right.hand),
    digits: {
      index: digit(digits.index),
      middle: digit(digits.middle),
      ring: digit(digits.ring),
      little: digit(digits.little),
      thumb: digit(digits.thumb),
    },
  };
}

/**
 * Every bone of a pose, in world millimetres. A contact is solved after the limb it touches; `problems` of an arm says what cannot
 * be reached. @throws RangeError when both hands wait for each other
 */
export function bonesOf(pose: Pose): Bones {
  const trunk = trunkFrame(pose.trunk);
  const { neck, head } = headFrames(trunk, pose.neck);
  const arms: Bones["arms"] = {};
  const waits = (side: SideName) => pose[side]?.touch?.part.startsWith("other") ?? false;
  if (waits("right") && waits("left")) throw new RangeError("each hand waits for the other: let one of them have angles or a place");
  const order = [...SIDE_NAMES].sort((a, b) => Number(waits(a)) - Number(waits(b)));
  for (const side of order) {
    const arm = pose[side];
    if (arm) arms[side] = solvedArm(side, arm, trunk, head, arms[side === "right" ? "left" : "right"]);
  }
  return { pose, trunk, neck, head, arms };
}
