/** From "my palm lies on the other forearm" to a place for the hand that two-bone inverse kinematics can reach. */
import { FINGER_SIZES, handBones, type ArmBones } from "./skeleton";
import { FINGERS, type HandPose } from "./hand-pose";
import { type ArmPose, type SideName, type Touch } from "./pose";
import type { Goal } from "./reach";
import {
  add,
  along,
  at,
  atPoint,
  between,
  frameAlong,
  mirrored,
  scale,
  subtract,
  unit,
  within,
  WORLD,
  type Frame,
  type Vector,
} from "../vector";

/** Where the surface of the palm is, in front of the hand's middle. */
const PALM: Vector = [2, 52, 15];
const BACK: Vector = [0, 55, -13];

interface Surroundings {
  trunk: Frame;
  head: Frame;
  other: ArmBones | undefined;
}

/** The middle of several points. */
function middleOf(points: readonly Vector[]): Vector {
  return scale(points.reduce(add), 1 / points.length);
}

/** The place of this hand that touches, in the hand's own frame. Depends on how the fingers are bent. */
export function touchingPlace(shape: HandPose, place: Touch["with"]): Vector {
  const digits = handBones(WORLD, shape);
  const fingers = FINGERS.map((name) => digits[name]);
  switch (place) {
    case "palm":
      return PALM;
    case "backOfHand":
      return BACK;
    case "heel":
      return [0, 14, 14];
    case "wrist":
      return [0, 0, 0];
    case "fingers":
      return middleOf(FINGERS.map((name, i) => at(fingers[i]!.middle, 0, FINGER_SIZES[name].bones[1] * 0.4, FINGER_SIZES[name].radii[1])));
    case "fingertips":
      return middleOf(FINGERS.map((name, i) => at(fingers[i]!.end, 0, FINGER_SIZES[name].bones[2] * 0.6, FINGER_SIZES[name].radii[3])));
    case "knuckles":
      return middleOf(FINGERS.map((name, i) => at(fingers[i]!.middle, 0, 2, -FINGER_SIZES[name].radii[1])));
    case "grip":
      return middleOf([...fingers.slice(0, 3).map((finger) => finger.middle.o), PALM]);
    case "thumbtip":
      return at(digits.thumb.end, 0, 14, 7);
    case "indexTip":
      return at(digits.index.end, 0, 10, 6);
  }
}

/** The frame of the part that is touched, in world terms. */
function touchedFrame(touch: Touch, { trunk, head, other }: Surroundings): Frame {
  if (touch.part === "world") return WORLD;
  if (touch.part === "trunk") return trunk;
  if (touch.part === "head") return head;
  if (!other) throw new RangeError("a hand that touches the other arm needs the other arm in the pose");
  switch (touch.part) {
    case "otherHand":
      return other.hand;
    case "otherForearm":
      return { ...other.wrist, o: other.fore.o };
    case "otherUpperArm":
      return other.upper;
    case "otherThumb":
      return other.digits.thumb.middle;
    case "otherFingers": {
      const { index, little, middle } = other.digits;
      const across = unit(subtract(index.base.o, little.base.o));
      const away = unit(subtract(middle.middle.o, middle.base.o));
      const straight = frameAlong(between(index.base.o, little.base.o, 0.5), away, middle.base.z);
      return { ...straight, x: across };
    }
  }
}

/** The goal of a touching hand as a right arm's, in the trunk's frame. @throws RangeError when the other arm is missing */
export function contactGoal(side: SideName, arm: ArmPose, touch: Touch, around: Surroundings): Goal {
  const part = touchedFrame(touch, around);
  const intoTrunk = (point: Vector): Vector => {
    const own = within(around.trunk, point);
    return side === "left" ? mirrored(own) : own;
  };
  // Room and trunk are written as for a right arm; a left arm does the mirror image of it.
  const written = (d: Vector): Vector => (side === "left" && ["world", "trunk", "head"].includes(touch.part) ? mirrored(d) : d);
  const trunkOrigin = intoTrunk(around.trunk.o);
  const direction = (d: Vector): Vector => subtract(intoTrunk(add(around.trunk.o, along(part, written(d)))), trunkOrigin);
  const hand = frameAlong([0, 0, 0], direction(touch.fingers), direction(touch.palm));
  const place = touchingPlace(arm.hand, touch.with);
  const contact = intoTrunk(atPoint(part, written(touch.at)));
  return { hand: { ...hand, o: subtract(contact, subtract(atPoint(hand, place), hand.o)) }, contact, elbow: touch.elbow };
}
