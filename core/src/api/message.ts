/** Reminders, and where the simulated devices listen. */
import * as v from "valibot";
import { CONTACT_WAYS } from "../contact";
import { REMIND_MINUTES } from "../dayplan";
import { Id, IsoInstant } from "../units";

export const MessageEntry = v.strictObject({
  id: Id,
  personId: Id,
  name: v.string(),
  way: v.picklist(CONTACT_WAYS),
  text: v.string(),
  /** `dropped`: no reminder any more as it was due. */
  state: v.picklist(["waiting", "sent", "failed", "dropped"]),
  tries: v.number(),
  queuedAt: IsoInstant,
  sentAt: v.nullable(IsoInstant),
  problem: v.nullable(v.string()),
});
export type MessageEntry = v.InferOutput<typeof MessageEntry>;
/** `atOnce`: in quiet hours too. */
export const Reminder = v.strictObject({ placementId: Id, atOnce: v.optional(v.boolean(), false) });
export const Reminded = v.strictObject({
  queued: v.number(),
  /** Who may take part and wants to be reminded. */
  people: v.number(),
  /** Who may take part and wants no reminders. */
  unwanted: v.number(),
  /** Who would be reminded and has given no way this server can reach them by. */
  unreachable: v.number(),
  /** For how many people one waits that has not been tried yet, those queued now among them. */
  waiting: v.number(),
  /** Until when what waits does so because people are off; null when it goes out now, or nothing waits. */
  heldUntil: v.nullable(IsoInstant),
});
export type Reminded = v.InferOutput<typeof Reminded>;

/** How long before a session; null for not at all. */
export const MinutesBefore = v.nullable(v.picklist(REMIND_MINUTES, "is no time before a session that can be chosen"));
export const ReminderRule = v.strictObject({ minutesBefore: MinutesBefore });
export type ReminderRule = v.InferOutput<typeof ReminderRule>;
/** Null: as the crew. */
export const OwnReminder = v.strictObject({ own: v.nullable(ReminderRule) });

/** Of a simulator; null when there is none. */
export const DeviceAddress = v.strictObject({ address: v.nullable(v.string()) });

/** The description of this interface itself. */
export const OpenApi = v.looseObject({ openapi: v.string() });
