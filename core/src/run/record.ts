/** A run: one delivery of a session, as it is stored. */
import * as v from "valibot";
import { CountedBout } from "../meter";
import { QuickResult } from "../quicktest";
import { FormId, MovementId, Session, SessionSlot } from "../session";
import { Effort, Id, IsoInstant } from "../units";

/** One tap: too much, tingling, sharp pain, felt it elsewhere, stopped. */
export const MARKS = ["tooMuch", "tingling", "sharpPain", "elsewhere", "stopped"] as const;
export const MarkKind = v.picklist(MARKS);
export type MarkKind = v.InferOutput<typeof MarkKind>;

const seconds = v.pipe(v.number(), v.minValue(0), v.maxValue(24 * 3600));

export const RunPerson = v.strictObject({
  personId: Id,
  present: v.boolean(),
  /** Asked at the end; null when not answered. */
  effort: v.nullable(Effort),
  marks: v.pipe(v.array(v.strictObject({ kind: MarkKind, itemId: v.nullable(Id) })), v.maxLength(60)),
  /** Item id → form done, where it was not the item's own. */
  forms: v.record(Id, FormId),
  /** Items this person left out because they are held out of them. */
  leftOut: v.optional(v.array(Id), []),
  /** The quick test before and after; null where none was taken. */
  quick: v.optional(v.nullable(QuickResult), null),
  /** What a phone in the hand counted, a bout each; null where nothing was counted. */
  counted: v.optional(v.nullable(v.pipe(v.array(CountedBout), v.minLength(1), v.maxLength(400))), null),
});
export type RunPerson = v.InferOutput<typeof RunPerson>;

export const RunItem = v.strictObject({
  itemId: Id,
  movementId: MovementId,
  formId: FormId,
  plannedSec: seconds,
  doneSec: seconds,
  status: v.picklist(["done", "part", "skipped"]),
});
export type RunItem = v.InferOutput<typeof RunItem>;

export const RunRecord = v.pipe(
  v.strictObject({
    id: Id,
    crewId: Id,
    programId: v.nullable(Id),
    placementId: v.nullable(Id),
    /** The session as it was led, so that later edits do not rewrite history. */
    session: Session,
    startedAt: IsoInstant,
    endedAt: IsoInstant,
    plannedSec: seconds,
    items: v.pipe(v.array(RunItem), v.maxLength(40)),
    people: v.pipe(v.array(RunPerson), v.maxLength(500)),
    /** Followed by one person on their own page, not led. */
    alone: v.optional(v.boolean(), false),
  }),
  v.forward(
    v.check((run) => Date.parse(run.startedAt) <= Date.parse(run.endedAt), "is before the start"),
    ["endedAt"],
  ),
  v.forward(
    v.check(
      ({ session, items }) =>
        items.every(({ itemId, movementId }) => session.items.some((item) => item.id === itemId && item.movementId === movementId)),
      "names an item that is not in the session",
    ),
    ["items"],
  ),
  v.forward(
    v.check((run) => new Set(run.people.map((person) => person.personId)).size === run.people.length, "names a person twice"),
    ["people"],
  ),
  v.forward(
    v.check((run) => !run.alone || run.people.length === 1, "followed alone is of one person"),
    ["people"],
  ),
  v.forward(
    v.check(
      (run) => run.people.every((person) => person.present || person.effort === null),
      "gives an effort for someone who was not there",
    ),
    ["people"],
  ),
  v.forward(
    v.check((run) => run.people.every((person) => person.present || !person.quick), "gives a quick test of someone who was not there"),
    ["people"],
  ),
  v.forward(
    v.check((run) => run.alone || run.people.every(({ quick }) => quick?.test !== "tingling"), "asks for tingling in front of others"),
    ["people"],
  ),
  v.forward(
    v.check((run) => run.people.every(({ present, counted }) => !counted || (run.alone && present)), "counts what was not followed alone"),
    ["people"],
  ),
  v.forward(
    v.check(
      ({ session, people }) =>
        people.every(({ counted }) => (counted ?? []).every(({ itemId }) => session.items.some((item) => item.id === itemId))),
      "counts an item that is not in the session",
    ),
    ["people"],
  ),
);
export type RunRecord = v.InferOutput<typeof RunRecord>;

/** What lists of runs show. */
export const RunSummary = v.strictObject({
  id: Id,
  sessionName: v.string(),
  slot: SessionSlot,
  startedAt: IsoInstant,
  plannedSec: seconds,
  doneSec: seconds,
  present: v.number(),
  expected: v.number(),
  meanEffort: v.nullable(v.number()),
  marks: v.number(),
});
export type RunSummary = v.InferOutput<typeof RunSummary>;
