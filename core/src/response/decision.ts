/** A decision as it is entered: what was proposed, what the trainer made of it, and why when it is not the same. */
import * as v from "valibot";
import { Id } from "../units";

export const DECISION_KINDS = ["progress", "hold", "ease", "pauseAndRefer"] as const;

export const NewDecision = v.strictObject({
  id: Id,
  personId: Id,
  programId: Id,
  itemId: Id,
  /** What the screen showed; when the records say something else by now, the decision is asked again. */
  proposed: v.picklist(DECISION_KINDS),
  decided: v.picklist(DECISION_KINDS),
  /** Asked for when it is not what was proposed. */
  why: v.nullable(v.pipe(v.string(), v.trim(), v.maxLength(600, "is longer than 600 characters"))),
});
export type NewDecision = v.InferOutput<typeof NewDecision>;
