/**
 * How far joints go, in degrees of the pose; the head forward and back in millimetres (a figure of this practice). Wrist, forearm, elbow and shoulder: reference ranges of the American Academy of Orthopaedic
 * Surgeons (Joint Motion: Method of Measuring and Recording, 1965), widened where another hand or the bench adds a gentle push. Digits:
 * the same source; a hand lightly clasped or leaned on bends its knuckles back further. A pose beyond these is refused, never bent.
 */
import type { ArmPose, Pose } from "./pose";
import type { HandPose } from "./hand-pose";
import { FINGERS } from "./hand-pose";
import { SIDE_NAMES, type SideName } from "./pose";

export interface Range {
  least: number;
  most: number;
}
const range = (least: number, most: number): Range => ({ least, most });

export const ARM_RANGES = {
  shoulderFlexion: range(-60, 185),
  shoulderAbduction: range(-50, 185),
  shoulderRotation: range(-110, 110),
  girdleRaise: range(-12, 40),
  girdleProtraction: range(-30, 32),
  elbow: range(-5, 150),
  pronation: range(-90, 90),
  wristFlexion: range(-75, 82),
  deviation: range(-25, 35),
} as const satisfies Partial<Record<keyof ArmPose, Range>>;
export const FINGER_RANGES = { base: range(-45, 95), middle: range(-5, 115), end: range(-10, 85), spread: range(-35, 25) } as const;
export const THUMB_RANGES = {
  radial: range(-20, 65),
  palmar: range(-5, 65),
  opposition: range(-20, 80),
  middle: range(-15, 65),
  end: range(-20, 85),
} as const;
export const NECK_RANGES = { tilt: range(-45, 45), turn: range(-75, 75), nod: range(-50, 45), forward: range(-30, 40) } as const;
export const TRUNK_RANGES = { lean: range(-20, 135), turn: range(-45, 45), bend: range(-35, 35) } as const;

/** The reference the stretches and mobility of the library stay inside: what a joint does without force. */
export const REFERENCE_RANGES = {
  wristFlexion: range(-70, 80),
  deviation: range(-20, 30),
  pronation: range(-80, 80),
  elbow: range(0, 150),
} as const;

export interface RangeProblem {
  /** `right.wristFlexion`, `left.hand.thumb.palmar`, `neck.turn` … */
  joint: string;
  degrees: number;
  least: number;
  most: number;
}

/** Half a degree of slack, because solved angles carry rounding. */
const SLACK = 0.5;

function beyond(prefix: string, angles: Record<string, unknown>, ranges: Record<string, Range>): RangeProblem[] {
  return Object.entries(ranges).flatMap(([joint, { least, most }]) => {
    const degrees = angles[joint];
    if (typeof degrees !== "number") return [];
    return degrees < least - SLACK || degrees > most + SLACK ? [{ joint: `${prefix}.${joint}`, degrees, least, most }] : [];
  });
}

function beyondHand(prefix: string, hand: HandPose): RangeProblem[] {
  return [
    ...FINGERS.flatMap((name) => beyond(`${prefix}.${name}`, hand[name], FINGER_RANGES)),
    ...beyond(`${prefix}.thumb`, hand.thumb, THUMB_RANGES),
  ];
}

/** Joints of an arm beyond their range. Give the solved arm when it touches something. */
export function armRangeProblems(side: SideName, arm: ArmPose): RangeProblem[] {
  return [...beyond(side, arm, ARM_RANGES), ...beyondHand(`${side}.hand`, arm.hand)];
}

/** Every joint of a pose beyond its range; arms that touch something are judged once they are solved (see `bonesOf`). */
export function rangeProblems(pose: Pose): RangeProblem[] {
  return [
    ...SIDE_NAMES.flatMap((side) => {
      const arm = pose[side];
      if (!arm) return [];
      return arm.touch ? beyondHand(`${side}.hand`, arm.hand) : armRangeProblems(side, arm);
    }),
    ...beyond("neck", pose.neck, NECK_RANGES),
    ...beyond("trunk", pose.trunk, TRUNK_RANGES),
  ];
}
