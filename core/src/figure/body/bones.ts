/** Pose → where every bone is. Lengths are those of a middling adult hand and arm (about 196 mm hand length), in millimetres. */
import { contactGoal } from "./contact";
import { SIDE_NAMES, type ArmPose, type Pose, type SideName } from "./pose";
import { FOREARM, handBones, shoulderPlace, UPPER_ARM, type ArmBones, type DigitBones } from "./skeleton";
import { armRods, rodsMoved, closedRound, handInside, withThumbFree } from "./grasp";
import { reach, type Goal } from "./reach";
import { add, mirrored, mirroredFrame, moved, placed, turnX, turnY, turnZ, scale, within, WORLD, type Frame, type Vector } from "../vector";

export interface Bones {
  pose: Pose;
  trunk: Frame;
  neck: Frame;
  head: Frame;
  arms: Partial<Record<SideName, ArmBones>>;
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

function trunkFrame({ lean, turn, bend, rise = 0 }: Pose["trunk"]): Frame {
  const hips = turnX(turnY(turnZ({ ...WORLD, o: add(HIPS, [0, rise, 0]) }, bend), -turn), lean);
  return moved(hips, 0, -HIPS[1], 0);
}

function headFrames(trunk: Frame, { tilt, turn, nod, forward = 0 }: Pose["neck"]): { neck: Frame; head: Frame } {
  const neck = turnX(turnZ(moved(trunk, 0, 48, -8), tilt * 0.5), nod * 0.5);
  const head = turnY(turnX(turnZ(moved(neck, 0, 78, 4 + forward), tilt * 0.5), nod * 0.5), -turn);
  return { neck, head };
}

function solvedArm(side: SideName, arm: ArmPose, trunk: Frame, head: Frame, other: ArmBones | undefined): ArmBones {
  let solved = arm;
  const problems: string[] = [];
  if (arm.touch) {
    const goal = contactGoal(side, arm, arm.touch, { trunk, head, other });
    const met = other && arm.touch.part.startsWith("other") ? metArm(other, trunk, side) : undefined;
    const result = met ? reachOutside(arm, goal, met, arm.touch.grasp ?? false) : reach(arm, goal);
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

/** The arm that is met, as rods in the frame of a right arm that does the touching. */
function metArm(other: ArmBones, trunk: Frame, side: SideName): ReturnType<typeof armRods> {
  const into = (p: Vector): Vector => {
    const own = within(trunk, p);
    return side === "left" ? mirrored(own) : own;
  };
  return rodsMoved(armRods(other), into);
}

const MOST_MOVES = 4;

/** The hand at its goal, moved back along its palm until it is on the skin of what it meets. */
function reachOutside(arm: ArmPose, goal: Goal, met: ReturnType<typeof armRods>, grasps: boolean): ReturnType<typeof reach> {
  let now = goal;
  let result = reach(arm, now);
  arm = { ...arm, hand: withThumbFree(armFrames(result.arm).hand, arm.hand, met) };
  // The arm need not be solved for every move: a hand that can be reached is where its goal is, as the arm has turned it.
  let { hand } = armFrames(result.arm);
  let moved = 0;
  for (let move = 0; move < MOST_MOVES; move++) {
    const inside = handInside(hand, arm.hand, met, grasps);
    if (inside < 0.5) break;
    moved += inside;
    hand = { ...hand, o: add(hand.o, scale(goal.hand.z, -inside)) };
  }
  if (moved > 0) {
    const back = scale(goal.hand.z, -moved);
    now = { ...now, hand: { ...now.hand, o: add(now.hand.o, back) }, contact: add(now.contact, back) };
    result = reach(arm, now);
  }
  ({ hand } = armFrames(result.arm));
  const free = withThumbFree(hand, arm.hand, met);
  return { ...result, arm: { ...result.arm, hand: grasps ? closedRound(hand, free, met) : free } };
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
