/** A movement's figure as data: its poses in order, how it is looked at, what it is done with, where it is felt. Drawn for the right side. */
import * as v from "valibot";
import { VIEW_NAMES } from "./surface/camera";
import { LANDMARKS } from "./flesh/landmarks";
import { Pose } from "./body/pose";
import { Prop } from "./flesh/prop";

export const FOCUSES = ["hand", "forearm", "arm", "upper", "whole"] as const;
/** How much of the person is in the picture. */
export const Focus = v.picklist(FOCUSES);
export type Focus = v.InferOutput<typeof Focus>;

/** Out and back the same way · round and round without a stop · from step to step, each held, then from the start again. */
export const WAYS = ["thereAndBack", "round", "steps"] as const;

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
  /** A round enlargement of the working hand, where it is small in the picture. */
  inset: v.optional(v.boolean(), false),
  /** Glides: between these two poses the slide goes to and fro, at the last step that is used. */
  slide: v.optional(v.tuple([Pose, Pose])),
});
export type Figure = v.InferOutput<typeof Figure>;
export type FigureInput = v.InferInput<typeof Figure>;
