/** The review of a block, as the server answers it. */
import * as v from "valibot";
import { Change } from "../baseline";
import { DecisionKind } from "../response";
import { Id, IsoDate } from "../units";
import { NextBlock } from "./next-block";
import { LoadRise } from "./weekly-load";

const share = v.nullable(v.number());

export const ReviewAnswer = v.strictObject({
  from: IsoDate,
  until: IsoDate,
  days: v.array(
    v.strictObject({
      day: IsoDate,
      people: v.number(),
      /** Minutes of work and holds for each person who took part. */
      minPerPerson: v.number(),
      itemsDue: v.number(),
      itemsDone: v.number(),
      meanEffort: share,
      meanMorning: share,
      mornings: v.number(),
    }),
  ),
  adherence: share,
  raised: share,
  answers: v.number(),
  people: v.array(
    v.strictObject({
      personId: Id,
      name: v.string(),
      adherence: share,
      meanEffort: share,
      /** Points a week; null under five answers. */
      morningTrend: share,
      answers: v.number(),
      decisions: v.record(DecisionKind, v.optional(v.number())),
      changes: v.array(Change),
    }),
  ),
  rounds: v.nullable(v.strictObject({ first: v.string(), last: v.string() })),
  /** Weeks in which the load of strengthening rose by more than a tenth. */
  rises: v.array(LoadRise),
  next: NextBlock,
});
export type ReviewAnswer = v.InferOutput<typeof ReviewAnswer>;
