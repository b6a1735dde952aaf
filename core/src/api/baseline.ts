/** Baseline rounds and records. */
import * as v from "valibot";
import { BaselineRecord, MEASURES, MeasuringNoise, OwnNoise } from "../baseline";
import { HAND_SIDES, Id, IsoDate, IsoInstant, NonEmptyText } from "../units";
import { Version } from "./shapes";

export const RoundEntry = v.strictObject({
  id: Id,
  crewId: Id,
  name: v.string(),
  startedOn: IsoDate,
  closed: v.boolean(),
  /** Whether people are asked on their own phones first. */
  asksOnPhones: v.boolean(),
  /** The round whose people are measured a second time, to know the noise of measuring; null for a round of its own. */
  repeats: v.nullable(Id),
  /** People of whom something, or everything, was measured. */
  begun: v.number(),
  finished: v.number(),
});
export type RoundEntry = v.InferOutput<typeof RoundEntry>;
export const NewRound = v.strictObject({
  id: Id,
  name: NonEmptyText,
  asksOnPhones: v.optional(v.boolean(), false),
  repeats: v.optional(v.nullable(Id), null),
});
export const ChangedRound = v.strictObject({ name: NonEmptyText, closed: v.boolean(), asksOnPhones: v.optional(v.boolean()) });

export const RecordEntry = v.strictObject({ personId: Id, version: Version, changedAt: IsoInstant, record: BaselineRecord });
export type RecordEntry = v.InferOutput<typeof RecordEntry>;
/** What is known of somebody from all rounds of their crew, and on which day the newest of them began. */
export const KnownRecord = v.strictObject({ personId: Id, measuredOn: IsoDate, record: BaselineRecord });
export type KnownRecord = v.InferOutput<typeof KnownRecord>;
/** How new a record is: heard often, and nothing of it is read. */
export const RecordVersion = v.strictObject({ personId: Id, version: Version });
export type RecordVersion = v.InferOutput<typeof RecordVersion>;
export const ChangedRecord = v.strictObject({ version: Version, record: BaselineRecord });

/** What the practice knows of its own measuring. */
export const MeasuringEntry = v.strictObject({
  /** What differences are held against now; empty for the usual rules. */
  used: MeasuringNoise,
  /** Who chose it, newest first; `own` is false for a way back to the usual rules. */
  chosen: v.array(v.strictObject({ id: Id, on: IsoDate, by: v.string(), own: v.boolean() })),
  /** What the sittings show. People are counted through: names do not matter here. */
  found: v.array(
    v.strictObject({
      measure: v.picklist(MEASURES),
      people: v.number(),
      values: v.array(v.strictObject({ person: v.number(), side: v.picklist(HAND_SIDES), first: v.number(), second: v.number() })),
      shift: v.number(),
      isShifted: v.boolean(),
      own: v.optional(OwnNoise),
    }),
  ),
  sittings: v.array(
    v.strictObject({
      roundId: Id,
      /** Null for a crew that is not the caller's: its sittings count, its name is not told. */
      crew: v.nullable(v.strictObject({ id: Id, name: v.string() })),
      first: v.strictObject({ name: v.string(), on: IsoDate }),
      second: v.strictObject({ name: v.string(), on: IsoDate }),
      /** With a record in both. */
      people: v.number(),
      /** One day to four weeks; others do not count. */
      isApart: v.boolean(),
    }),
  ),
});
export type MeasuringEntry = v.InferOutput<typeof MeasuringEntry>;
/** From now on by what was found, or by the usual rules again. */
export const ChosenNoise = v.strictObject({ id: Id, own: v.boolean() });
