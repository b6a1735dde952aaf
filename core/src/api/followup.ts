/** Crew figures for employer contacts. */
import * as v from "valibot";
import { CrewFigures, MeasuredChange } from "../followup";
import { Id, IsoDate } from "../units";

export const ReportEntry = v.strictObject({
  crew: v.strictObject({ id: Id, name: v.string(), trade: v.string() }),
  /** Frozen blocks, newest first. */
  blocks: v.array(v.strictObject({ from: IsoDate, until: IsoDate, figures: CrewFigures })),
  /** The first block that cannot be read yet, and the day from which it can. */
  next: v.strictObject({ from: IsoDate, until: IsoDate, readableOn: IsoDate }),
  /** First round against a later, closed one; newest first. */
  changes: v.array(v.strictObject({ first: v.string(), last: v.string(), on: IsoDate, changes: v.array(MeasuredChange) })),
});
export type ReportEntry = v.InferOutput<typeof ReportEntry>;
