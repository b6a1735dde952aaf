/**
 * A symptom report: a person says, by phone, check-in or a mark in a run, that something is wrong. It acts by itself, before anybody has
 * read it: what works, stretches, loads, presses or releases the place is paused until the trainer has answered (rule 13 of docs/safety.md).
 */
import * as v from "valibot";
import { Region } from "../library";
import { MovementId } from "../session";
import { Id, IsoInstant } from "../units";
import type { Symptom } from "./answers";
import { RESTRICTION_REASONS, type ItemScope, type QuestionId } from "./questions";

export const REPORT_KINDS = ["sharpPain", "tingling", "numbness", "weakness", "swelling", "other"] as const;
export const ReportKind = v.picklist(REPORT_KINDS, "must be one of the kinds");
export type ReportKind = v.InferOutput<typeof ReportKind>;

/** Where something is felt; empty when no place is named. */
const Places = v.pipe(v.array(Region), v.maxLength(13, "at most 13 places"));

export const SymptomReport = v.strictObject({
  id: Id,
  at: IsoInstant,
  kind: ReportKind,
  /** What was being done; null when nothing in particular. */
  movementId: v.nullable(MovementId),
  words: v.nullable(v.pipe(v.string(), v.trim(), v.maxLength(600, "is longer than 600 characters"))),
  side: v.optional(v.nullable(v.picklist(["left", "right"], "must be left or right")), null),
  regions: v.optional(Places, []),
  /** Asked of tingling, numbness and weakness; null when it was not. */
  stillThere: v.optional(v.nullable(v.boolean()), null),
  /** Asked of numbness, weakness and swelling; null when it was not. */
  freshInjury: v.optional(v.nullable(v.boolean()), null),
});
export type SymptomReport = v.InferOutput<typeof SymptomReport>;

/** What is asked at once after a kind was chosen. */
export const ASKED_AT_ONCE: Readonly<Record<ReportKind, readonly ("stillThere" | "freshInjury")[]>> = {
  sharpPain: [],
  tingling: ["stillThere"],
  numbness: ["stillThere", "freshInjury"],
  weakness: ["stillThere", "freshInjury"],
  swelling: ["freshInjury"],
  other: [],
};

/** What an alert is about: what was reported, or a bad morning. */
export const ALERT_KINDS = [...REPORT_KINDS, "morning"] as const;
export const AlertKind = v.picklist(ALERT_KINDS);
export type AlertKind = v.InferOutput<typeof AlertKind>;
export const AlertCause = v.picklist(["report", "checkIn", "run", "selfCheck"]);
export type AlertCause = v.InferOutput<typeof AlertCause>;

/** Whether a report pauses anything: tingling that went away again and "something else" wait for the trainer, but pause nothing. */
export function reportPauses({ kind, stillThere }: Pick<SymptomReport, "kind" | "stillThere">): boolean {
  return kind !== "other" && (kind !== "tingling" || stillThere !== false);
}

/** Answers of rule 2 among the answers of a report: the person is held out of everything until a clearance. */
export function restrictionsOfReport({
  kind,
  stillThere,
  freshInjury,
}: Pick<SymptomReport, "kind" | "stillThere" | "freshInjury">): QuestionId[] {
  return [
    ...(freshInjury ? (["freshInjury"] as const) : []),
    ...(kind === "numbness" && stillThere ? (["lastingNumbness"] as const) : []),
    ...(kind === "weakness" && stillThere ? (["growingWeakness"] as const) : []),
  ];
}

/** Kinds of symptom that pause by themselves. */
const ALARMING: ReadonlySet<string> = new Set(["sharpPain", "tingling", "numbness", "weakness", "swelling"]);

/** A morning at this level or above, and above what is usual for the person, pauses. Default of rule 13; a setting of the practice. */
export const ALARM_MORNING = 6;

/**
 * What a morning pauses for; null for nothing.
 * @param usualLevel what is usual for the person on that day, 0–10
 */
export function morningAlarm(
  { level, tingling, stillThere }: { level: number; tingling: boolean; stillThere: boolean | null },
  usualLevel: number,
  alarmLevel = ALARM_MORNING,
): "morning" | "tingling" | null {
  if (level >= alarmLevel && level > usualLevel) return "morning";
  return tingling && stillThere === true ? "tingling" : null;
}

/** What a mark in a run pauses for: sharp pain at once; tingling marked twice at one item stayed after easing one step. */
export function markAlarm(marks: readonly { kind: string; itemId: string | null }[]): "sharpPain" | "tingling" | null {
  if (marks.some(({ kind }) => kind === "sharpPain")) return "sharpPain";
  const at = marks.flatMap(({ kind, itemId }) => (kind === "tingling" ? [itemId ?? ""] : []));
  return at.length > new Set(at).size ? "tingling" : null;
}

/**
 * What places somebody named on their own phone pause for: sharp pain, numbness, weakness, swelling, and tingling that is always there.
 * @returns the kind to be looked at first and every place that pauses, null for none; a side only where all are on it
 */
export function symptomsAlarm(
  symptoms: readonly Pick<Symptom, "kind" | "side" | "region" | "constant">[],
): { kind: ReportKind; side: Symptom["side"] | null; regions: Region[] } | null {
  const alarming = symptoms.filter(({ kind, constant }) => ALARMING.has(kind) && (kind !== "tingling" || constant));
  const kind = REPORT_KINDS.find((each) => alarming.some((symptom) => symptom.kind === each));
  if (!kind) return null;
  const sides = new Set(alarming.map(({ side }) => side));
  return { kind, side: sides.size === 1 ? alarming[0]!.side : null, regions: [...new Set(alarming.map(({ region }) => region))] };
}

/** What is held in the hand as a load: it goes through everything from the fingers to the elbow. */
const HELD_LOADS = ["dumbbell", "bottle", "hammer", "dowel", "bar", "plate"] as const;
/** The ball of the thumb is made of muscles of the hand: who points at one means the other too. */
const LIES_WITH: Readonly<Partial<Record<Region, Region>>> = { thumbBase: "handIntrinsics", handIntrinsics: "thumbBase" };

/** The items a pause is about: what works, stretches, releases or loads a place; null for all of them, where no place was named. */
export function pauseScope(regions: readonly Region[]): ItemScope | null {
  if (regions.length === 0) return null;
  const places = [...new Set(regions.flatMap((region) => [region, LIES_WITH[region] ?? region]))];
  const inTheArm = places.some((region) => region !== "shoulderNeck");
  // Weight on the hands loads the same as weight in them.
  return { regions: places, ...(inTheArm && { weightBearing: true, kit: [...HELD_LOADS] }) };
}

/** What the trainer makes of an alert. `ease`: one form or dose easier where the place is, and given back. `refer`: held out. */
export const ALERT_ANSWERS = ["giveBack", "ease", "keepPaused", "refer"] as const;

export const AlertAnswer = v.pipe(
  v.strictObject({
    answer: v.picklist(ALERT_ANSWERS, "must be one of the answers"),
    /** Reaches the person's phone. */
    reply: v.nullable(v.pipe(v.string(), v.trim(), v.maxLength(600, "is longer than 600 characters"))),
    /** Why they are held out; asked for with `refer` only. */
    reason: v.optional(v.nullable(v.picklist(RESTRICTION_REASONS, "is not one of the reasons")), null),
    words: v.optional(v.nullable(v.pipe(v.string(), v.trim(), v.maxLength(600, "is longer than 600 characters"))), null),
  }),
  v.forward(
    v.check(({ answer, reason }) => answer !== "refer" || reason !== null, "say why they are held out"),
    ["reason"],
  ),
  v.forward(
    v.check(
      ({ answer, reason, words }) => answer !== "refer" || reason !== "other" || (words ?? "").length >= 3,
      "say in words what it is",
    ),
    ["words"],
  ),
);
export type AlertAnswer = v.InferOutput<typeof AlertAnswer>;
