/** Who may do what, restrictions, clearances, reports and their answers, the trail. */
import * as v from "valibot";
import { Phase } from "../library";
import { AlertAnswer, RESTRICTION_REASONS, Participation } from "../safety";
import { Id, IsoDate, IsoInstant } from "../units";
import { AlertReport } from "./dayplan";
import { pageOf } from "./shapes";

/** No health answers, no reasons. */
export const ParticipationEntry = v.strictObject({ personId: Id, ...Participation.entries });
export type ParticipationEntry = v.InferOutput<typeof ParticipationEntry>;

const withdrawal = { withdrawnAt: v.nullable(IsoInstant), withdrawnWhy: v.nullable(v.string()) };
export const RestrictionEntry = v.strictObject({
  id: Id,
  personId: Id,
  question: v.picklist(RESTRICTION_REASONS),
  words: v.nullable(v.string()),
  since: IsoInstant,
  roundId: v.nullable(Id),
  ...withdrawal,
});
export type RestrictionEntry = v.InferOutput<typeof RestrictionEntry>;
export const ClearanceEntry = v.strictObject({
  id: Id,
  personId: Id,
  restrictionId: Id,
  givenBy: v.string(),
  profession: v.string(),
  allows: v.array(Phase),
  fromDay: IsoDate,
  untilDay: IsoDate,
  note: v.nullable(v.string()),
  enteredAt: IsoInstant,
  ...withdrawal,
});
export type ClearanceEntry = v.InferOutput<typeof ClearanceEntry>;

export const HeldOut = v.strictObject({
  restrictions: v.array(RestrictionEntry),
  clearances: v.array(ClearanceEntry),
  /** What people reported that waits for an answer or still pauses. */
  reports: v.array(v.strictObject({ personId: Id, reports: v.array(AlertReport) })),
});
export type HeldOut = v.InferOutput<typeof HeldOut>;

export const NewRestriction = v.pipe(
  v.strictObject({
    personId: Id,
    question: v.picklist(RESTRICTION_REASONS, "is not one of the reasons"),
    words: v.optional(v.nullable(v.pipe(v.string(), v.trim(), v.maxLength(600, "is longer than 600 characters"))), null),
  }),
  v.forward(
    v.check(({ question, words }) => question !== "other" || (words ?? "").length >= 3, "say in words what it is"),
    ["words"],
  ),
);

export const AnsweredAlerts = v.strictObject({
  alertIds: v.pipe(v.array(Id), v.minLength(1, "names none"), v.maxLength(50, "at most 50")),
  answer: AlertAnswer,
});

export const AUDIT_SUBJECTS = [
  "baseline",
  "restriction",
  "clearance",
  "referral",
  "export",
  "decision",
  "access",
  "report",
  "run",
  "record",
  "note",
  "firstAid",
  "signIn",
] as const;
export const AuditEntry = v.strictObject({
  id: v.string(),
  /** Null when it was about everybody of the crew. */
  personId: v.nullable(Id),
  act: v.picklist(["saw", "changed", "did"]),
  subject: v.picklist(AUDIT_SUBJECTS),
  what: v.string(),
  at: IsoInstant,
  lastAt: IsoInstant,
  times: v.number(),
  by: v.string(),
});
export type AuditEntry = v.InferOutput<typeof AuditEntry>;
export const AuditPage = pageOf("entries", AuditEntry);

/** How far the trail of a practice is sealed, and whether the seals hold. */
export const TrailState = v.strictObject({
  segments: v.number(),
  /** Entries in them. */
  sealed: v.number(),
  /** Entries not sealed yet. */
  open: v.number(),
  /** To be kept somewhere else, so that nobody can seal anew in silence. */
  lastHash: v.nullable(v.string()),
  /** Number of the first segment that is not as it was sealed. */
  broken: v.nullable(v.number()),
});
export type TrailState = v.InferOutput<typeof TrailState>;
