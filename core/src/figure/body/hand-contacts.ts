/** The ways one hand meets the other, the bench or the body again and again. Each makes the arm that does it, elbow and wrist solved. */
import type { ArmInput, HandInput, Touch } from "./pose";
import { across, add, cross, DEGREE, mirrored, scale, unit, type Vector } from "../vector";

type Contact = Partial<Touch>;
const holding = (touch: Touch, hand: HandInput, change: Contact, arm: ArmInput = {}): ArmInput => ({
  hand,
  ...arm,
  touch: { ...touch, ...change },
});

/** Elbow out and down, as seen on a right arm. */
const OUT_AND_DOWN: Vector = [-0.8, -1, 0];

/** Other hand lies across the palm side of all four fingers, its thumb on their back, and draws them back. */
export const drawsFingersBack = (change: Contact = {}, arm: ArmInput = {}): ArmInput =>
  holding(
    { part: "otherFingers", at: [2, 50, 9], with: "fingers", fingers: [-1, 0.2, 0], palm: [0, 0, -1], elbow: OUT_AND_DOWN },
    { shape: "guide", thumb: { radial: 60, palmar: 14, opposition: 10, middle: 6, end: 4 } },
    change,
    { girdleProtraction: 18, ...arm },
  );

/** Other hand lies across the back of the hand and presses. */
export const pressesBackOfHand = (change: Contact = {}, arm: ArmInput = {}): ArmInput =>
  holding(
    { part: "otherHand", at: [2, 66, -13], with: "palm", fingers: [-1, 0.25, 0], palm: [0, 0, 1], elbow: OUT_AND_DOWN, grasp: true },
    { shape: "together", thumb: { radial: 46, palmar: 10, opposition: 0, middle: 4, end: 4 } },
    change,
    { girdleProtraction: 14, ...arm },
  );

/** Other hand holds the forearm a little above the wrist, from the thumb side. */
export const holdsForearm = (change: Contact = {}, arm: ArmInput = {}): ArmInput =>
  holding(
    { part: "otherForearm", at: [6, 176, 25], with: "palm", fingers: [-0.95, -0.2, 0], palm: [0, 0, -1], elbow: OUT_AND_DOWN, grasp: true },
    { shape: "open", thumb: { radial: 60, palmar: 10, opposition: 10, middle: 4, end: 0 } },
    change,
    { girdleProtraction: 10, ...arm },
  );

/** Other hand takes the hand at the thumb side, as in a handshake. */
export const takesHand = (change: Contact = {}, arm: ArmInput = {}): ArmInput =>
  holding(
    { part: "otherHand", at: [0, 66, 14], with: "palm", fingers: [-0.8, 0.5, 0], palm: [0, 0, -1], elbow: OUT_AND_DOWN, grasp: true },
    { shape: "together", thumb: { radial: 56, palmar: 10, opposition: 10, middle: 4, end: 0 } },
    change,
    { girdleProtraction: 12, ...arm },
  );

/** A hand flat on the bench; x outward from the middle, z forward, y the height of the bench. */
export const flatOnTable = (x: number, y: number, z: number, fingers: Vector = [0, 0, 1], hand: HandInput = "flat"): ArmInput =>
  holding({ part: "world", at: [-x, y + 9, z], with: "palm", fingers, palm: [0, -1, 0], elbow: [-1, 0.2, -0.5] }, hand, {});

/** Palms laid together: the fingers lean in a little, because the pads of the thumbs stand out. */
const PRESSED: HandInput = {
  shape: "together",
  index: { base: 6, middle: 3, end: 0, spread: 0 },
  middle: { base: 6, middle: 3, end: 0, spread: 0 },
  ring: { base: 6, middle: 3, end: 0, spread: 0 },
  little: { base: 6, middle: 3, end: 0, spread: 1 },
  thumb: { radial: 16, palmar: -5, opposition: -20, middle: 0, end: 0 },
};

/** One of two palms pressed together before the chest; `height` and `forward` from the shoulders' middle. */
export const palmsPressed = (height: number, forward: number, fingers: Vector = [0, 1, 0], hand: HandInput = PRESSED): ArmInput =>
  holding({ part: "trunk", at: [-7, height, forward], with: "palm", fingers, palm: [1, 0, 0], elbow: [-1, -0.25, 0] }, hand, {});

/** Laced fingers, found by search for the shapes that keep both hands outside each other: facing, or with the palms turned away. */
const LACED = {
  facing: {
    base: 0,
    middle: 71,
    end: 31,
    spread: 1.35,
    towards: 34,
    gap: 31.4,
    shift: 10.6,
    thumb: { radial: 48, palmar: 4, opposition: 9, middle: 17, end: 10 },
  },
  /** On the way from facing to away. */
  half: {
    base: -13,
    middle: 74,
    end: 31,
    spread: 1.27,
    towards: 52,
    gap: 38.8,
    shift: 8,
    thumb: { radial: 50, palmar: 18, opposition: -9, middle: 40, end: 10 },
  },
  away: {
    base: -28,
    middle: 61,
    end: 34,
    spread: 1.35,
    towards: 70.7,
    gap: 51,
    shift: 7.7,
    thumb: { radial: 28, palmar: 58, opposition: 43, middle: -7, end: 10 },
  },
} as const;

/**
 * Both hands with their fingers laced.
 *
 * @param part what their place is given in
 * @param centre the middle between them
 * @param ahead the way the fingers point; with the palms turned away, the way opposite to the palms
 * @param roll degrees the pair is rolled about that way, the right hand down
 */
export function laced(
  part: "trunk" | "head",
  kind: keyof typeof LACED,
  centre: Vector,
  ahead: Vector,
  { roll = 0, elbow = [-1, -0.4, 0] as Vector, arm = {} as ArmInput } = {},
): { right: ArmInput; left: ArmInput } {
  const { base, middle, end, spread, towards, gap, shift, thumb } = LACED[kind];
  const finger = (apart: number) => ({ base, middle, end, spread: Math.max(-35, Math.min(25, apart * spread)) });
  const hand: HandInput = { shape: "open", index: finger(15), middle: finger(3), ring: finger(-10), little: finger(-24), thumb };
  const y = unit(ahead);
  const flat = unit(across([1, 0, 0], y));
  const upright = cross(y, flat);
  const up = add(scale(upright, Math.cos(roll * DEGREE)), scale(flat, Math.sin(roll * DEGREE)));
  const x = cross(up, y);
  const [sine, cosine] = [Math.sin(towards * DEGREE), Math.cos(towards * DEGREE)];
  const one = (way: 1 | -1): Touch => {
    // The right hand lies at −x and looks to +x.
    const place = add(centre, add(scale(x, -way * gap), scale(up, way * shift)));
    const fingers = add(scale(x, way * sine), scale(y, cosine));
    const palm = add(scale(x, way * cosine), scale(y, -sine));
    const written = (v: Vector) => (way === 1 ? v : mirrored(v));
    return { part, at: written(place), with: "palm", fingers: written(fingers), palm: written(palm), elbow };
  };
  return { right: { ...arm, hand, touch: one(1) }, left: { ...arm, hand, touch: one(-1) } };
}

/** Hand on the back of the head. */
export const onBackOfHead = (): ArmInput =>
  holding(
    { part: "head", at: [-26, 84, -92], with: "palm", fingers: [0.9, 0.4, -0.2], palm: [0.15, 0, 1], elbow: [-1, 0, 0.2] },
    "lay",
    {},
  );
