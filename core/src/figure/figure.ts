/** A movement's figure as data: its poses in order, how it is looked at, what it is done with, where it is felt. Drawn for the right side. */
import * as v from "valibot";
import { VIEW_NAMES } from "./surface/camera";
import { FELT_PLACES, LANDMARKS } from "./flesh/landmarks";
import { Pose } from "./body/pose";
import { Prop } from "./flesh/prop-schema";

export const FOCUSES = ["hand", "forearm", "arm", "bust", "upper", "whole"] as const;
/** How much of the person is in the picture. */
export const Focus = v.picklist(FOCUSES);
export type Focus = v.InferOutput<typeof Focus>;

/**
 * Out and back the same way · round and round without a stop · from step to step, each held, then from the start again · two ways out
 * and back, the first for half of the count and the second for the other half: start and end of the first, start and end of the second.
 */
export const WAYS = ["thereAndBack", "round", "steps", "halves"] as const;

export const TURNING = ["forearm", "head", "trunk"] as const;
export const HANDS = ["worked", "helping", "both"] as const;
const part = v.pipe(v.number(), v.finite(), v.minValue(-1), v.maxValue(1));

/** A sign drawn beside the body for what a still cannot show: a turning about a length, or a hand that draws or presses. */
export const Sign = v.variant("kind", [
  v.strictObject({ kind: v.literal("turn"), about: v.picklist(TURNING) }),
  v.strictObject({
    kind: v.picklist(["pull", "press"]),
    hand: v.picklist(HANDS),
    at: v.picklist(LANDMARKS),
    /** Which way, in the room, as seen on the right side; a zero vector has none. */
    way: v.pipe(v.tuple([part, part, part]), v.readonly()),
  }),
]);
export type Sign = v.InferOutput<typeof Sign>;

/** The round window: a second camera. */
export const Enlargement = v.strictObject({
  /** `both` in one window; `each` in a window of its own, for hands that are far apart. */
  of: v.optional(v.picklist([...HANDS, "each"]), "worked"),
  /** Where the window looks from; as the picture does when left out. */
  view: v.optional(v.picklist(VIEW_NAMES)),
  /** Its diameter as a share of the picture's height. */
  size: v.optional(v.pipe(v.number(), v.minValue(0.25), v.maxValue(0.6)), 0.4),
});
export type Enlargement = v.InferOutput<typeof Enlargement>;

export const Figure = v.strictObject({
  /** From the start to the end, or each step in order. A hold has its end last. */
  poses: v.pipe(v.array(Pose), v.minLength(1), v.maxLength(8)),
  way: v.optional(v.picklist(WAYS), "thereAndBack"),
  /** Which pose the single picture shows; the last when left out. */
  cover: v.optional(v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(7))),
  focus: Focus,
  view: v.picklist(VIEW_NAMES),
  /** Both hands work alike; otherwise the right hand works and the left, if it is there, helps. */
  both: v.optional(v.boolean(), false),
  props: v.optional(v.array(Prop), []),
  /** Whose way is drawn as an arc. */
  arc: v.optional(v.picklist(LANDMARKS)),
  /** Whose landmark it is; the working hand's when left out. */
  arcOf: v.optional(v.picklist(["worked", "helping"])),
  /** A round enlargement, where the hand is small in the picture or must be seen from another side. */
  inset: v.optional(v.boolean(), false),
  enlargement: v.optional(Enlargement),
  signs: v.optional(v.array(Sign)),
  /** The still shows every pose side by side, numbered: whole, or the hand that works alone and close. Rows of more than two steps always do. */
  strip: v.optional(v.picklist(["whole", "hand"])),
  /** Where it is felt, where the regions of the movement say it too broadly. */
  felt: v.optional(v.array(v.picklist(FELT_PLACES))),
  /** Glides: between these two poses the slide goes to and fro, at the last step that is used. */
  slide: v.optional(v.tuple([Pose, Pose])),
});
export type Figure = v.InferOutput<typeof Figure>;
export type FigureInput = v.InferInput<typeof Figure>;
