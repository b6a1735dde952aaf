/** Everything that is kept of one person, in the order of time. For the trainer only. */
import * as v from "valibot";
import { MarkKind } from "../run";
import { Id, IsoDate, IsoInstant } from "../units";
import { AlertReport } from "./dayplan";
import { DecisionEntry } from "./response";
import { ClearanceEntry, RestrictionEntry } from "./safety";

/** Of an attachment, in bytes as it is stored. */
export const MOST_ATTACHMENT_BYTES = 5_000_000;
export const ATTACHMENT_TYPES = ["image/jpeg", "image/png", "image/webp", "application/pdf"] as const;
const AttachmentType = v.picklist(ATTACHMENT_TYPES, "is neither a photo (JPEG, PNG, WebP) nor a PDF");

const at = { at: IsoInstant };
export const RecordEvent = v.variant("kind", [
  v.strictObject({
    kind: v.literal("run"),
    ...at,
    /** The working day it counts for. */
    day: IsoDate,
    runId: Id,
    sessionName: v.string(),
    alone: v.boolean(),
    present: v.boolean(),
    effort: v.nullable(v.number()),
    marks: v.array(MarkKind),
    /** Items they were kept out of. */
    leftOut: v.number(),
  }),
  /** `raised`: above what was usual for them then. */
  v.strictObject({
    kind: v.literal("morning"),
    ...at,
    id: Id,
    day: IsoDate,
    level: v.number(),
    raised: v.boolean(),
    tingling: v.boolean(),
  }),
  v.strictObject({
    kind: v.literal("round"),
    ...at,
    roundId: Id,
    name: v.string(),
    progress: v.nullable(v.picklist(["empty", "begun", "finished"])),
  }),
  v.strictObject({ kind: v.literal("decision"), ...at, decision: DecisionEntry }),
  v.strictObject({ kind: v.literal("restriction"), ...at, restriction: RestrictionEntry }),
  v.strictObject({ kind: v.literal("clearance"), ...at, clearance: ClearanceEntry }),
  v.strictObject({
    kind: v.literal("report"),
    ...at,
    report: AlertReport,
    reply: v.nullable(v.string()),
    answeredAt: v.nullable(IsoInstant),
    answeredBy: v.nullable(v.string()),
  }),
  v.strictObject({ kind: v.literal("absence"), ...at, id: Id, from: IsoDate, until: IsoDate }),
  v.strictObject({
    kind: v.literal("note"),
    ...at,
    id: Id,
    text: v.string(),
    by: v.string(),
    attachment: v.nullable(v.strictObject({ name: v.string(), type: AttachmentType, bytes: v.number() })),
  }),
]);
export type RecordEvent = v.InferOutput<typeof RecordEvent>;

export const PersonRecordPage = v.strictObject({
  /** Newest first. */
  events: v.array(RecordEvent),
  /** Whether there are older ones. */
  more: v.boolean(),
});
export type PersonRecordPage = v.InferOutput<typeof PersonRecordPage>;
/** Events before this moment. */
export const BeforeQuery = v.object({ before: v.optional(IsoInstant) });

export const NewNote = v.pipe(
  v.strictObject({
    id: Id,
    text: v.pipe(v.string(), v.trim(), v.maxLength(4000, "is longer than 4,000 characters")),
    attachment: v.nullable(
      v.strictObject({
        name: v.pipe(v.string(), v.trim(), v.minLength(1, "is missing"), v.maxLength(120, "is longer than 120 characters")),
        type: AttachmentType,
        content: v.pipe(
          v.string(),
          v.maxLength(Math.ceil(MOST_ATTACHMENT_BYTES / 3) * 4, "is larger than 5 MB"),
          // Looks for what does not belong: a pattern of the whole would go through millions of letters by going back.
          v.check((content) => content.length % 4 === 0 && !/[^A-Za-z0-9+/=]/.test(content), "is not Base64"),
        ),
      }),
    ),
  }),
  v.forward(
    v.check(({ text, attachment }) => text !== "" || attachment !== null, "is missing"),
    ["text"],
  ),
);
export type NewNote = v.InferOutput<typeof NewNote>;
