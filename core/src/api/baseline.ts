/** Baseline rounds and records. */
import * as v from "valibot";
import { BaselineRecord } from "../baseline";
import { Id, IsoDate, IsoInstant, NonEmptyText } from "../units";
import { Version } from "./shapes";

export const RoundEntry = v.strictObject({
  id: Id,
  crewId: Id,
  name: v.string(),
  startedOn: IsoDate,
  closed: v.boolean(),
  /** Whether people are asked on their own phones first. */
  asksOnPhones: v.boolean(),
  /** People of whom something, or everything, was measured. */
  begun: v.number(),
  finished: v.number(),
});
export type RoundEntry = v.InferOutput<typeof RoundEntry>;
export const NewRound = v.strictObject({ id: Id, name: NonEmptyText, asksOnPhones: v.optional(v.boolean(), false) });
export const ChangedRound = v.strictObject({ name: NonEmptyText, closed: v.boolean(), asksOnPhones: v.optional(v.boolean()) });

export const RecordEntry = v.strictObject({ personId: Id, version: Version, changedAt: IsoInstant, record: BaselineRecord });
export type RecordEntry = v.InferOutput<typeof RecordEntry>;
/** How new a record is: heard often, and nothing of it is read. */
export const RecordVersion = v.strictObject({ personId: Id, version: Version });
export type RecordVersion = v.InferOutput<typeof RecordVersion>;
export const ChangedRecord = v.strictObject({ version: Version, record: BaselineRecord });
