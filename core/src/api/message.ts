/** Reminders, and where the simulated devices listen. */
import * as v from "valibot";
import { Id, IsoInstant } from "../units";

export const MessageEntry = v.strictObject({
  id: Id,
  personId: Id,
  name: v.string(),
  text: v.string(),
  /** `dropped`: no reminder any more as it was due. */
  state: v.picklist(["waiting", "sent", "failed", "dropped"]),
  tries: v.number(),
  queuedAt: IsoInstant,
  sentAt: v.nullable(IsoInstant),
  problem: v.nullable(v.string()),
});
export type MessageEntry = v.InferOutput<typeof MessageEntry>;
export const Reminder = v.strictObject({ placementId: Id });
export const Reminded = v.strictObject({ queued: v.number(), people: v.number() });

/** Of a simulator; null when there is none. */
export const DeviceAddress = v.strictObject({ address: v.nullable(v.string()) });

/** The description of this interface itself. */
export const OpenApi = v.looseObject({ openapi: v.string() });
