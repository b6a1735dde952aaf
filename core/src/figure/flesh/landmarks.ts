/** Named places on the body: where an arc is drawn, where a pull is felt, where an inset looks. */
import { onForearm } from "../body/forearm";
import { FINGER_SIZES, type ArmBones } from "../body/skeleton";
import { type Bones } from "../body/bones";
import type { SideName } from "../body/pose";
import { at, between, type Vector } from "../vector";

export const LANDMARKS = [
  "knuckles",
  "fingertips",
  "thumbTip",
  "littleTip",
  "wrist",
  "elbow",
  "shoulder",
  "head",
  "nose",
  "palm",
  "backOfHand",
  "indexTip",
  "clasp",
] as const;
export type Landmark = (typeof LANDMARKS)[number];

/** @throws RangeError when the pose has no such arm */
export function landmark(bones: Bones, side: SideName, name: Landmark): Vector {
  if (name === "head") return at(bones.head, 0, 150, 0);
  if (name === "nose") return at(bones.head, 0, 52, 100);
  if (name === "clasp") {
    const { right, left } = bones.arms;
    if (right && left) return between(at(right.hand, 0, 80, 0), at(left.hand, 0, 80, 0), 0.5);
  }
  const arm = bones.arms[side];
  if (!arm) throw new RangeError(`the pose has no ${side} arm`);
  switch (name) {
    case "knuckles":
      return at(arm.hand, 5, 97, -4);
    case "fingertips":
      return arm.digits.middle.tip;
    case "thumbTip":
      return arm.digits.thumb.tip;
    case "littleTip":
      return arm.digits.little.tip;
    case "indexTip":
      return arm.digits.index.tip;
    case "clasp":
    case "palm":
      return at(arm.hand, 0, 55, 22);
    case "backOfHand":
      return at(arm.hand, 0, 55, -20);
    case "wrist":
      return arm.hand.o;
    case "elbow":
      return arm.fore.o;
    case "shoulder":
      return arm.upper.o;
  }
}

/** The joint a landmark turns about, for placing its arc outside the body. */
export function pivotOf(bones: Bones, side: SideName, name: Landmark): Vector {
  const arm = bones.arms[side];
  if (name === "head" || name === "nose" || !arm) return bones.neck.o;
  switch (name) {
    case "knuckles":
      return arm.hand.o;
    case "fingertips":
    case "littleTip":
    case "thumbTip":
    case "indexTip":
      return at(arm.hand, 0, 50, 0);
    case "palm":
    case "backOfHand":
    case "clasp":
      return arm.hand.o;
    case "wrist":
      return arm.fore.o;
    case "elbow":
      return arm.upper.o;
    case "shoulder":
      return bones.trunk.o;
  }
}

export interface Stretch {
  from: Vector;
  to: Vector;
  radius: number;
}

type Place = (arm: ArmBones, bones: Bones) => Stretch[];
const skin = (from: readonly [share: number, turn: number], to: readonly [share: number, turn: number], radius: number): Place => {
  return (arm) => [{ from: onForearm(arm, ...from), to: onForearm(arm, ...to), radius }];
};
const finger = (name: keyof typeof FINGER_SIZES, depth: number): Place => {
  return ({ digits }) => {
    const { base, middle } = digits[name];
    return [{ from: at(base, 0, 8, depth), to: at(middle, 0, 12, depth), radius: 10 }];
  };
};

/** Places of the trunk that a region of the shoulder does not tell apart. */
export const FELT_PLACES = ["chest", "betweenBlades", "flank", "neckCorner", "neckSide", "neckBack"] as const;

/** Where each region of 13 is felt. Bellies of the muscles for the forearm (Gray's Anatomy, 1918), not their tendons. */
export const FELT_AT: Readonly<Record<string, Place>> = {
  fingerFlexors: (arm, bones) => [
    ...skin([0.36, 95], [0.62, 95], 17)(arm, bones),
    { from: at(arm.hand, 2, 40, 13), to: at(arm.hand, 4, 72, 11), radius: 15 },
  ],
  fingerExtensors: (arm, bones) => [
    ...skin([0.3, 262], [0.62, 265], 17)(arm, bones),
    { from: at(arm.hand, 0, 34, -12), to: at(arm.hand, 2, 80, -13), radius: 12 },
  ],
  thumbBase: (arm) => [{ from: at(arm.digits.thumb.base, -2, 8, 12), to: at(arm.digits.thumb.base, -2, 36, 10), radius: 13 }],
  handIntrinsics: (arm, bones) => [
    { from: at(arm.hand, 12, 62, 0), to: at(arm.hand, -20, 58, 0), radius: 19 },
    ...finger("index", 0)(arm, bones),
  ],
  wristFlexors: skin([0.16, 105], [0.46, 95], 21),
  wristExtensors: skin([0.14, 275], [0.44, 265], 21),
  thumbSideWrist: (arm) => [{ from: onForearm(arm, 0.84, 350), to: at(arm.digits.thumb.base, 6, 18, -6), radius: 14 }],
  littleFingerSideWrist: (arm) => [{ from: onForearm(arm, 0.84, 180), to: at(arm.hand, -30, 14, 0), radius: 14 }],
  pronators: skin([0.1, 120], [0.36, 60], 17),
  supinators: skin([0.08, 300], [0.32, 330], 17),
  elbowInner: (arm) => [{ from: at(arm.fore, -26, -14, 4), to: at(arm.fore, -28, 36, 12), radius: 18 }],
  elbowOuter: (arm) => [{ from: at(arm.fore, 26, -16, 4), to: at(arm.fore, 30, 34, 8), radius: 18 }],
  chest: ({ upper }, { trunk }) => {
    const out = upper.o[0] < trunk.o[0] ? -1 : 1;
    return [{ from: at(trunk, out * 56, -62, 66), to: at(trunk, out * 122, -40, 62), radius: 38 }];
  },
  betweenBlades: ({ upper }, { trunk }) => {
    const out = upper.o[0] < trunk.o[0] ? -1 : 1;
    return [{ from: at(trunk, out * 34, -40, -62), to: at(trunk, out * 30, -150, -62), radius: 34 }];
  },
  flank: ({ upper }, { trunk }) => {
    const out = upper.o[0] < trunk.o[0] ? -1 : 1;
    return [{ from: at(trunk, out * 138, -110, 20), to: at(trunk, out * 128, -300, 20), radius: 40 }];
  },
  neckCorner: ({ upper }, { trunk, neck }) =>
    [{ from: between(upper.o, neck.o, 0.45), to: at(trunk, 0, 60, -10), radius: 40 }].map((place) => ({
      ...place,
      to: between(place.from, place.to, 0.5),
    })),
  neckSide: ({ upper }, { trunk, neck, head }) => {
    const out = upper.o[0] < trunk.o[0] ? -1 : 1;
    return [{ from: at(neck, out * 44, 0, 4), to: at(head, out * 44, 4, 0), radius: 30 }];
  },
  neckBack: (_, { neck, head }) => [{ from: at(neck, 0, 0, -44), to: at(head, 0, 0, -40), radius: 34 }],
  shoulderNeck: (arm, { neck }) => [
    { from: between(arm.upper.o, neck.o, 0.3), to: between(arm.upper.o, at(neck, 0, 24, 0), 0.85), radius: 34 },
  ],
};
