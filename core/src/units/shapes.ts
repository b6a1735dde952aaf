/** Value shapes shared by all subjects; types are inferred from the schemas, never written twice. */
import * as v from "valibot";

/** UUID made by whoever creates the thing, so that a repeated request cannot create it twice. */
export const Id = v.pipe(v.string(), v.uuid("must be a UUID"));
export type Id = v.InferOutput<typeof Id>;

/** Trimmed text that says something; at most 120 characters. */
export const NonEmptyText = v.pipe(
  v.string("is missing"),
  v.trim(),
  v.minLength(1, "is missing"),
  v.maxLength(120, "is longer than 120 characters"),
  v.check((text) => !/[\p{Cc}\p{Cs}]/u.test(text), "has characters that are no text"),
);

/** Calendar day, `YYYY-MM-DD`. */
export const IsoDate = v.pipe(
  v.string("is missing"),
  v.isoDate("is not a date (YYYY-MM-DD)"),
  v.check(isRealDay, "is not a day of the calendar"),
);

/** Moment on the world clock, ISO 8601 with `Z`. */
export const IsoInstant = v.pipe(v.string("is missing"), v.isoTimestamp("is not a moment in time (ISO 8601)"));

/** Wall clock time, `HH:MM`. */
export const LocalTime = v.pipe(v.string("is missing"), v.regex(/^([01]\d|2[0-3]):[0-5]\d$/, "is not a time (HH:MM)"));

/** What a person feels, 0 (nothing) to 10 (most imaginable), whole numbers. */
export const Effort = v.pipe(
  v.number(),
  v.integer("must be a whole number"),
  v.minValue(0, "must be 0 to 10"),
  v.maxValue(10, "must be 0 to 10"),
);
export type Effort = v.InferOutput<typeof Effort>;

/** Which hand a bout is for. `both` means both at the same moment. */
export const Side = v.picklist(["left", "right", "both"]);
export type Side = v.InferOutput<typeof Side>;

/** The two hands, in the order they are listed everywhere. */
/** The hand somebody writes and works with. */
export const Handedness = v.picklist(["left", "right", "both"], "must be left, right or both");
export type Handedness = v.InferOutput<typeof Handedness>;

export const HAND_SIDES = ["left", "right"] as const;
export type HandSide = (typeof HAND_SIDES)[number];

/** A length of time between `min` and `max` seconds, in half-second steps. */
export function Seconds(min: number, max: number) {
  const message = `must be ${min} to ${max} seconds`;
  return v.pipe(
    v.number("must be a number"),
    v.minValue(min, message),
    v.maxValue(max, message),
    v.multipleOf(0.5, "must be in half-second steps"),
  );
}

function isRealDay(text: string): boolean {
  const date = new Date(`${text}T00:00:00Z`);
  return !Number.isNaN(date.getTime()) && date.toISOString().startsWith(text);
}

/** Whole minutes from one number to another, both included. */
export const wholeMinutes = (min: number, max: number) =>
  v.pipe(
    v.number("must be a number"),
    v.integer("must be whole minutes"),
    v.minValue(min, `must be ${min} to ${max} minutes`),
    v.maxValue(max, `must be ${min} to ${max} minutes`),
  );
