/** Decisions waiting and taken. */
import * as v from "valibot";
import { Present } from "../program";
import { DecisionKind, NewDecision, Response, ResponseThresholds } from "../response";
import { MovementId } from "../session";
import { Id, IsoDate, IsoInstant } from "../units";
import { pageOf, Version } from "./shapes";

export const WaitingDecision = v.strictObject({
  personId: Id,
  name: v.string(),
  programId: Id,
  itemId: Id,
  movementId: MovementId,
  was: Present,
  response: Response,
  /** For the small chart: efforts of the runs and levels of the mornings that count. */
  runs: v.array(v.strictObject({ day: IsoDate, effort: v.nullable(v.number()), status: v.string(), marks: v.number() })),
  mornings: v.array(v.strictObject({ day: IsoDate, level: v.number() })),
  usualLevel: v.number(),
});
export type WaitingDecision = v.InferOutput<typeof WaitingDecision>;

export const MOST_DECISIONS_AT_ONCE = 500;
export const NewDecisions = v.strictObject({
  decisions: v.pipe(
    v.array(NewDecision),
    v.minLength(1, "names none"),
    v.maxLength(MOST_DECISIONS_AT_ONCE, `at most ${MOST_DECISIONS_AT_ONCE} at once`),
  ),
});

export const DecisionEntry = v.strictObject({
  id: Id,
  personId: Id,
  programId: Id,
  itemId: Id,
  movementId: MovementId,
  proposed: DecisionKind,
  decided: DecisionKind,
  why: v.nullable(v.string()),
  response: Response,
  was: Present,
  /** The thresholds it was taken by, and which version of the settings they were. */
  settings: ResponseThresholds,
  settingsVersion: Version,
  decidedBy: Id,
  decidedAt: IsoInstant,
  /** When a pause was ended, and why. */
  resumedAt: v.nullable(IsoInstant),
  resumedWhy: v.nullable(v.string()),
  by: v.string(),
});
export type DecisionEntry = v.InferOutput<typeof DecisionEntry>;
export const DecisionPage = pageOf("decisions", DecisionEntry);
