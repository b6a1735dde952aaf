/** Runs, and progress made of them. */
import * as v from "valibot";
import { Effort, Id, IsoInstant } from "../units";
import { PersonFollowUp, RunFollowUp } from "../followup";
import { RunSummary } from "../run";
import { CardToken, pageOf } from "./shapes";

export const RunPage = pageOf("runs", RunSummary);

/** Whether a late run with somebody who is out of it was before, or a mistake. */
export const ClashAnswer = v.strictObject({ answer: v.picklist(["before", "mistake"], "must be before or mistake") });

export const Progress = v.strictObject({
  days: v.number(),
  runs: v.array(v.strictObject({ ...RunFollowUp.entries, sessionName: v.string() })),
  people: v.array(v.strictObject({ ...PersonFollowUp.entries, name: v.string() })),
  /** Efforts given in the time shown, counted by value 0 to 10. */
  efforts: v.array(v.number()),
});
export type Progress = v.InferOutput<typeof Progress>;

/** What a person's phone said of a session that is led: that they are here, and how hard it was. */
export const OwnAnswer = v.strictObject({ personId: Id, effort: v.nullable(Effort) });
export type OwnAnswer = v.InferOutput<typeof OwnAnswer>;

/** A card that was shown to a camera, and whose it is. */
export const ShownCard = v.strictObject({ token: CardToken });
export const CardHolder = v.strictObject({ personId: Id });

/** Who was not there when the crew was last led. */
/** Of the last led run, and of the day it is now. */
export const LastPresence = v.strictObject({
  startedAt: v.nullable(IsoInstant),
  /** Whoever was not there; without those who were excused then and are not now. */
  absent: v.array(Id),
  /** Who is excused today. */
  excused: v.optional(v.array(Id), []),
});
export type LastPresence = v.InferOutput<typeof LastPresence>;
