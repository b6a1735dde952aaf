/** The next-morning check-in: one number, where, and whether anything tingled. Ten seconds. */
import * as v from "valibot";
import { Region } from "../library";
import { Effort, Id, IsoDate } from "../units";

export const CheckIn = v.strictObject({
  id: Id,
  /** Day at the crew's place. One answer a day; the first one stays. */
  day: IsoDate,
  /** How the hands feel this morning, 0 (nothing) to 10. */
  level: Effort,
  regions: v.pipe(v.array(Region), v.maxLength(13)),
  /** Tingling or numbness in the night or now. */
  tingling: v.boolean(),
  /** Asked when it tingled: whether it is still there; null when it was not asked. */
  stillThere: v.optional(v.nullable(v.boolean()), null),
});
export type CheckIn = v.InferOutput<typeof CheckIn>;
