/** Crew figures for employer contacts. */
import * as v from "valibot";
import { CrewFigures, FirstAidBook, MeasuredChange } from "../followup";
import { Region } from "../library";
import { Id, IsoDate } from "../units";
import { Version } from "./shapes";

/** The first-aid book as it is edited. */
export const FirstAidEntry = v.strictObject({ version: Version, book: FirstAidBook });
export type FirstAidEntry = v.InferOutput<typeof FirstAidEntry>;

const Rate = v.strictObject({ cases: v.number(), personDays: v.number() });

/** First-aid cases over time and their rate before and after, as counts. */
export const FirstAidReport = v.strictObject({
  since: IsoDate,
  blocks: v.array(
    v.strictObject({
      from: IsoDate,
      until: IsoDate,
      cases: v.number(),
      byRegion: v.array(v.strictObject({ region: v.nullable(Region), cases: v.number() })),
    }),
  ),
  change: v.nullable(
    v.strictObject({
      programSince: IsoDate,
      before: Rate,
      after: Rate,
      /** Rate after ÷ rate before with its 95 % interval; null where nothing can be said. */
      change: v.nullable(v.strictObject({ ratio: v.nullable(v.number()), low: v.number(), high: v.nullable(v.number()) })),
    }),
  ),
});

export const ReportEntry = v.strictObject({
  crew: v.strictObject({ id: Id, name: v.string(), trade: v.string() }),
  /** Frozen blocks, newest first. */
  blocks: v.array(v.strictObject({ from: IsoDate, until: IsoDate, figures: CrewFigures })),
  /** The first block that cannot be read yet, and the day from which it can. */
  next: v.strictObject({ from: IsoDate, until: IsoDate, readableOn: IsoDate }),
  /** First round against a later, closed one; newest first. */
  changes: v.array(v.strictObject({ first: v.string(), last: v.string(), on: IsoDate, changes: v.array(MeasuredChange) })),
  /** Null while the first-aid book is empty. */
  firstAid: v.nullable(FirstAidReport),
});
export type ReportEntry = v.InferOutput<typeof ReportEntry>;
