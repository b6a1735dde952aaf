/** A pose in plain clinical degrees. 0 is the arm hanging, elbow straight, wrist straight, fingers straight, thumb forward. */
import * as v from "valibot";
import { HandPose } from "./hand-pose";
import { HAND_SHAPES, type HandShapeName } from "./shapes";

const degrees = v.pipe(v.number(), v.finite());
const Vector3 = v.pipe(v.tuple([degrees, degrees, degrees]), v.readonly());

/** What the touching hand meets. `other…` is the same person's other limb; `world` is the room, `trunk` moves with the body. */
export const TOUCH_PARTS = ["world", "trunk", "head", "otherHand", "otherFingers", "otherThumb", "otherForearm", "otherUpperArm"] as const;
/** Which place of this hand does the touching. */
export const TOUCH_WITH = [
  "palm",
  "fingers",
  "fingertips",
  "backOfHand",
  "knuckles",
  "heel",
  "grip",
  "wrist",
  "thumbtip",
  "indexTip",
] as const;

/**
 * A contact: this hand is put where it should be and the arm is solved to reach it. Point and directions are in the frame of the
 * part touched (x thumb side, y away from the trunk, z palm side; world and trunk: x viewer's right, y up, z forward).
 */
export const Touch = v.strictObject({
  part: v.picklist(TOUCH_PARTS),
  at: Vector3,
  with: v.picklist(TOUCH_WITH),
  /** Where this hand's fingers point. */
  fingers: Vector3,
  /** Where this palm faces. */
  palm: Vector3,
  /** Which way the elbow goes, in the trunk's frame as seen on a right arm. */
  elbow: Vector3,
  /** The fingers close round what the palm lies on, each until it meets it. */
  grasp: v.optional(v.boolean()),
});
export type Touch = v.InferOutput<typeof Touch>;

export const ArmPose = v.strictObject({
  /** Upper arm forward (+) or backward. */
  shoulderFlexion: degrees,
  /** Upper arm out to the side (+) or across the body. */
  shoulderAbduction: degrees,
  /** Upper arm rolled outward (+) or inward. */
  shoulderRotation: degrees,
  /** Collar bone up (+) or down. */
  girdleRaise: degrees,
  /** Shoulder blade forward (+) or back. */
  girdleProtraction: degrees,
  elbow: degrees,
  /** Palm turned down (+90) or up (−90) from thumb up. */
  pronation: degrees,
  /** Wrist bent to the palm (+) or back (−). */
  wristFlexion: degrees,
  /** Wrist tilted to the little-finger side (+) or the thumb side (−). */
  deviation: degrees,
  hand: HandPose,
  touch: v.optional(Touch),
});
export type ArmPose = v.InferOutput<typeof ArmPose>;

export const NeckPose = v.strictObject({ tilt: degrees, turn: degrees, nod: degrees, forward: v.optional(degrees) });
export const TrunkPose = v.strictObject({
  lean: degrees,
  turn: degrees,
  bend: degrees,
  rise: v.optional(degrees),
  stance: v.optional(v.picklist(["standing", "kneeling"])),
});

/**
 * Neck: tilt and turn towards the person's right (+), nod forward (+); the head carried forward (+) or back by millimetres.
 * Trunk: lean forward, turn and bend to the right (+); rise in millimetres; what it stands on, the feet when left out.
 */
export const Pose = v.strictObject({
  right: v.optional(ArmPose),
  left: v.optional(ArmPose),
  neck: NeckPose,
  trunk: TrunkPose,
});
export type Pose = v.InferOutput<typeof Pose>;

export type SideName = "right" | "left";
export const SIDE_NAMES = ["right", "left"] as const;
export const otherSide = (side: SideName): SideName => (side === "right" ? "left" : "right");

/** A hand shape by name, with single digits changed where needed. */
export type HandInput = HandShapeName | (Partial<HandPose> & { shape: HandShapeName });
export type ArmInput = Partial<Omit<ArmPose, "hand">> & { hand?: HandInput };
/** What an author writes: everything left out is the arm hanging loosely. */
export interface PoseInput {
  right?: ArmInput;
  left?: ArmInput;
  neck?: Partial<Pose["neck"]>;
  trunk?: Partial<Pose["trunk"]>;
}

export function handPose(input: HandInput = "relaxed"): HandPose {
  if (typeof input === "string") return HAND_SHAPES[input];
  const { shape, ...digits } = input;
  return { ...HAND_SHAPES[shape], ...digits };
}

export function armPose({ hand, ...angles }: ArmInput = {}): ArmPose {
  return {
    shoulderFlexion: 0,
    shoulderAbduction: 6,
    shoulderRotation: 0,
    girdleRaise: 0,
    girdleProtraction: 0,
    elbow: 8,
    pronation: 10,
    wristFlexion: 0,
    deviation: 0,
    ...angles,
    hand: handPose(hand),
  };
}

/** Fills in what the author left out. An arm that is not mentioned is not drawn. */
export function pose(input: PoseInput): Pose {
  return {
    ...(input.right && { right: armPose(input.right) }),
    ...(input.left && { left: armPose(input.left) }),
    neck: { tilt: 0, turn: 0, nod: 0, ...input.neck },
    trunk: { lean: 0, turn: 0, bend: 0, ...input.trunk },
  };
}
