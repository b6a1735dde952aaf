/** What is kept of a person, and for how long. */
import * as v from "valibot";
import { Id, IsoDate, IsoInstant } from "../units";

export const KEPT_KINDS = [
  "absences",
  "contacts",
  "choices",
  "rounds",
  "restrictions",
  "clearances",
  "reports",
  "alerts",
  "mornings",
  "decisions",
  "runs",
  "ownAnswers",
  "days",
  "observations",
  "notes",
  "bookings",
  "calendars",
  "messages",
  "readings",
] as const;
export type KeptKind = (typeof KEPT_KINDS)[number];

/** Kinds of which there is something: how many, from which day until which. */
export const KeptOfPerson = v.array(
  v.strictObject({
    kind: v.picklist(KEPT_KINDS),
    count: v.pipe(v.number(), v.integer(), v.minValue(1)),
    from: v.nullable(IsoDate),
    until: v.nullable(IsoDate),
  }),
);
export type KeptOfPerson = v.InferOutput<typeof KeptOfPerson>;

/** The name as it stands in the crew. */
export const ErasePerson = v.strictObject({
  name: v.pipe(v.string("must be text"), v.trim(), v.minLength(1, "is needed"), v.maxLength(160)),
});
export const ErasedPerson = v.strictObject({
  /** Of the same or a similar name in the trainer's other crews. */
  elsewhere: v.array(v.strictObject({ crewId: Id, crewName: v.string(), personId: Id, name: v.string() })),
});
export type ErasedPerson = v.InferOutput<typeof ErasedPerson>;

/** The least that can be set, months: reports and progress look a year back. */
export const LEAST_MONTHS = { healthMonths: 6, runsMonths: 12, trailMonths: 12 } as const;
export const MOST_MONTHS = 600;
const months = (least: number) =>
  v.nullable(
    v.pipe(
      v.number("must be a number"),
      v.integer("must be whole months"),
      v.minValue(least, `must be at least ${least} months`),
      v.maxValue(MOST_MONTHS, `must be at most ${MOST_MONTHS} months`),
    ),
  );
/** Null: for as long as the practice does. */
export const Retention = v.strictObject({
  healthMonths: months(LEAST_MONTHS.healthMonths),
  runsMonths: months(LEAST_MONTHS.runsMonths),
  trailMonths: months(LEAST_MONTHS.trailMonths),
});
export type Retention = v.InferOutput<typeof Retention>;

const Version = v.pipe(v.number(), v.integer(), v.minValue(0));
export const RetentionChange = v.strictObject({ version: Version, rules: Retention });
export type RetentionChange = v.InferOutput<typeof RetentionChange>;
export const RetentionEntry = v.strictObject({
  version: Version,
  rules: Retention,
  setByName: v.nullable(v.string()),
  setAt: v.nullable(IsoInstant),
  /** The last day old things were removed. */
  doneOn: v.nullable(IsoDate),
});
export type RetentionEntry = v.InferOutput<typeof RetentionEntry>;
