/** The ways one hand meets the other, the bench or the body again and again. Each makes the arm that does it, elbow and wrist solved. */
import type { ArmInput, HandInput, Touch } from "./pose";
import type { Vector } from "../vector";

type Contact = Partial<Touch>;
const holding = (touch: Touch, hand: HandInput, change: Contact, arm: ArmInput = {}): ArmInput => ({
  hand,
  ...arm,
  touch: { ...touch, ...change },
});

/** Elbow out and down, as seen on a right arm. */
const OUT_AND_DOWN: Vector = [-0.8, -1, 0];

/** Other hand lies on the palm side of the fingers and draws them back. */
export const drawsFingersBack = (change: Contact = {}, arm: ArmInput = {}): ArmInput =>
  holding(
    { part: "otherFingers", at: [2, 42, 9], with: "fingers", fingers: [-1, 0.55, 0], palm: [0, 0, -1], elbow: OUT_AND_DOWN },
    "guide",
    change,
    { girdleProtraction: 18, ...arm },
  );

/** Other hand lies across the back of the hand and presses. */
export const pressesBackOfHand = (change: Contact = {}, arm: ArmInput = {}): ArmInput =>
  holding(
    { part: "otherHand", at: [2, 62, -13], with: "palm", fingers: [-1, 0.25, 0], palm: [0, 0, 1], elbow: OUT_AND_DOWN },
    "lay",
    change,
    { girdleProtraction: 14, ...arm },
  );

/** Other hand holds the forearm a little above the wrist, from the thumb side. */
export const holdsForearm = (change: Contact = {}, arm: ArmInput = {}): ArmInput =>
  holding(
    { part: "otherForearm", at: [6, 176, 25], with: "palm", fingers: [-0.95, -0.2, 0], palm: [0, 0, -1], elbow: OUT_AND_DOWN },
    "wrap",
    change,
    { girdleProtraction: 10, ...arm },
  );

/** Other hand takes the hand at the thumb side, as in a handshake. */
export const takesHand = (change: Contact = {}, arm: ArmInput = {}): ArmInput =>
  holding(
    { part: "otherHand", at: [0, 66, 14], with: "palm", fingers: [-0.8, 0.5, 0], palm: [0, 0, -1], elbow: OUT_AND_DOWN },
    "wrap",
    change,
    { girdleProtraction: 12, ...arm },
  );

/** A hand flat on the bench; x outward from the middle, z forward, y the height of the bench. */
export const flatOnTable = (x: number, y: number, z: number, fingers: Vector = [0, 0, 1], hand: HandInput = "open"): ArmInput =>
  holding({ part: "world", at: [-x, y + 1, z], with: "palm", fingers, palm: [0, -1, 0], elbow: [-1, 0.2, -0.5] }, hand, {});

/** One of two palms pressed together before the chest; `height` and `forward` from the shoulders' middle. */
export const palmsPressed = (height: number, forward: number, fingers: Vector = [0, 1, 0], hand: HandInput = "together"): ArmInput =>
  holding({ part: "trunk", at: [-1, height, forward], with: "palm", fingers, palm: [1, 0, 0], elbow: [-1, -0.25, 0] }, hand, {});

/** Hand on the back of the head. */
export const onBackOfHead = (): ArmInput =>
  holding(
    { part: "head", at: [-26, 84, -92], with: "palm", fingers: [0.9, 0.4, -0.2], palm: [0.15, 0, 1], elbow: [-1, 0, 0.2] },
    "lay",
    {},
  );
