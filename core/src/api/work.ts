/** The work of a crew. */
import * as v from "valibot";
import { Work } from "../strain";
import { Id } from "../units";
import { Version } from "./shapes";

/** Days of who works by bookings, as they were and will be booked: first the usual one of all, then each person's own. */
const BookedWorkDay = v.strictObject({
  id: v.string(),
  name: v.string(),
  parts: v.array(v.strictObject({ taskId: v.nullable(Id), minutes: v.number() })),
  personIds: v.array(Id),
});

export const WorkEntry = v.strictObject({
  crewId: Id,
  version: Version,
  work: Work,
  /** Instead of the days of the work; left out where they are as written. */
  bookedDays: v.optional(v.array(BookedWorkDay)),
});
export type WorkEntry = v.InferOutput<typeof WorkEntry>;
export const ChangedWork = v.strictObject({ version: Version, work: Work });
