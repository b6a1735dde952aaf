/** What was watched at the line. */
import * as v from "valibot";
import { Id, IsoInstant } from "../units";
import { WorkEntry } from "./work";

const Measured = v.strictObject({ value: v.number(), error: v.number() });

const WatchedHand = v.strictObject({
  side: v.picklist(["left", "right"]),
  effortId: Id,
  efforts: v.number(),
  /** Presses that were not let go of. */
  forgotten: v.number(),
  /** Null where it was too short to say an error of. */
  rhythm: v.nullable(v.strictObject({ perMin: Measured, secEach: Measured, duty: Measured })),
  /** How many postures were tapped. */
  postures: v.number(),
});

export const ObservationEntry = v.strictObject({
  id: Id,
  taskId: Id,
  personId: v.nullable(Id),
  startedAt: IsoInstant,
  from: v.picklist(["line", "video"]),
  lengthMs: v.number(),
  /** Whether the figures of its task are made from it. */
  counts: v.boolean(),
  hands: v.array(WatchedHand),
});
export type ObservationEntry = v.InferOutput<typeof ObservationEntry>;

export const StoredObservation = v.strictObject({
  work: WorkEntry,
  /** Why the figures of the task stay as they were; null where they are those of what was watched. */
  notUsed: v.nullable(v.string()),
});
export type StoredObservation = v.InferOutput<typeof StoredObservation>;

export const CountedObservation = v.strictObject({ counts: v.boolean() });
