/** A decision as it is entered: what was proposed, what the trainer made of it, and why when it is not the same. */
import * as v from "valibot";
import { Id } from "../units";
import { DecisionKind } from "./facts";

export const NewDecision = v.strictObject({
  id: Id,
  personId: Id,
  programId: Id,
  itemId: Id,
  /** What the screen showed; when the records say something else by now, the decision is asked again. */
  proposed: DecisionKind,
  decided: DecisionKind,
  /** Asked for when it is not what was proposed. */
  why: v.nullable(v.pipe(v.string(), v.trim(), v.maxLength(600, "is longer than 600 characters"))),
});
export type NewDecision = v.InferOutput<typeof NewDecision>;
