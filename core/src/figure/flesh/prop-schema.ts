/** A thing a movement needs, as data: which, who holds it, where it stands. */
import * as v from "valibot";

export const PROP_KINDS = [
  "table",
  "thigh",
  "wall",
  "towel",
  "towelTwist",
  "dumbbell",
  "dumbbellEnd",
  "hammer",
  "dowel",
  "bottle",
  "bandRound",
  "bandPinch",
  "paper",
  "bandPull",
  "ball",
  "ballOnTable",
  "bigBall",
  "plate",
  "bar",
  "roller",
  "edge",
  "tape",
  "phone",
] as const;
export const PropKind = v.picklist(PROP_KINDS);
export type PropKind = v.InferOutput<typeof PropKind>;

const millimetres = v.pipe(v.number(), v.finite(), v.minValue(-2000), v.maxValue(2000));
export const Prop = v.strictObject({
  kind: PropKind,
  /** The hand that holds it, as seen on the movement's own side. `worked`: the hand that does the movement. */
  hand: v.optional(v.picklist(["worked", "helping", "both"]), "worked"),
  /** Bench, thigh and wall: where; x to the worked side, y up, z forward. For a tool: how far along its length it is held. */
  place: v.optional(v.pipe(v.tuple([millimetres, millimetres, millimetres]), v.readonly())),
  /** Bench: the size of its top, sideways and forward. */
  size: v.optional(v.pipe(v.tuple([millimetres, millimetres]), v.readonly())),
});
export type Prop = v.InferOutput<typeof Prop>;
export type PropInput = v.InferInput<typeof Prop>;
