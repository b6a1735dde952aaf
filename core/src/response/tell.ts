/** Stop and tell: a crew member says that something is wrong; it stands on the trainer's Today until it is seen. */
import * as v from "valibot";
import { MovementId } from "../session";
import { Id, IsoInstant } from "../units";

export const TELL_KINDS = ["sharpPain", "tingling", "weakness", "other"] as const;
export const TellKind = v.picklist(TELL_KINDS);
export type TellKind = v.InferOutput<typeof TellKind>;

export const Tell = v.strictObject({
  id: Id,
  at: IsoInstant,
  kind: TellKind,
  /** What was being done; null when nothing in particular. */
  movementId: v.nullable(MovementId),
  words: v.nullable(v.pipe(v.string(), v.trim(), v.maxLength(600, "is longer than 600 characters"))),
});
export type Tell = v.InferOutput<typeof Tell>;
