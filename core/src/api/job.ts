/** Long work that is asked for and fetched later. */
import * as v from "valibot";
import { Language } from "../language";
import { Id } from "../units";

export const JOB_KINDS = ["handOut", "personalSheets", "crewExport", "trailExport", "crewReport"] as const;
export type JobKind = (typeof JOB_KINDS)[number];
export const JOB_STATES = ["waiting", "making", "made", "failed", "cancelled"] as const;
export type JobState = (typeof JOB_STATES)[number];

export const Job = v.strictObject({
  id: Id,
  kind: v.picklist(JOB_KINDS),
  state: v.picklist(JOB_STATES),
  /** 0 to 1; null while it cannot be told. */
  progress: v.nullable(v.number()),
  /** Why it failed. */
  problem: v.nullable(v.string()),
});
export type Job = v.InferOutput<typeof Job>;

/** What can be made of a program on paper. */
export const NewPaper = v.strictObject({
  kind: v.picklist(["handOut", "personalSheets"], "must be handOut or personalSheets"),
  /** Left out: the crew's for a hand-out, everybody's own for sheets. */
  language: v.optional(Language),
});
