/** A crew: who, where, on which shifts, with what at hand. */
import * as v from "valibot";
import { documentFormat } from "../document";
import { isTimeZone, ShiftPattern } from "../calendar";
import { Language } from "../language";
import { KitKind, Setting } from "../library";
import { SLOT_KINDS } from "../session";
import { NonEmptyText } from "../units";

const wholeNumber = (min: number, max: number, what: string) =>
  v.pipe(
    v.number(`must be a number`),
    v.integer("must be a whole number"),
    v.minValue(min, `must be ${min} to ${max}${what}`),
    v.maxValue(max, `must be ${min} to ${max}${what}`),
  );

/** What makes a place harder to move in. */
export const CONDITIONS = ["gloves", "shoes", "wet", "cold", "noChairs"] as const;

export const KitEntry = v.strictObject({
  kind: KitKind,
  /** Mass of one piece, kg; null where mass does not matter. */
  massKg: v.nullable(v.pipe(v.number("must be a number"), v.minValue(0.1, "must be 0.1 to 40 kg"), v.maxValue(40, "must be 0.1 to 40 kg"))),
  count: wholeNumber(1, 200, " pieces"),
});
export type KitEntry = v.InferOutput<typeof KitEntry>;

const slotSec = v.pipe(
  v.number("must be a number"),
  v.integer("must be whole seconds"),
  v.minValue(60, "must be 1 to 60 minutes"),
  v.maxValue(3600, "must be 1 to 60 minutes"),
);

export const TimeZone = v.pipe(v.string("is missing"), v.check(isTimeZone, "is not a time zone, e.g. Europe/Dublin"));

export const Crew = v.strictObject({
  name: NonEmptyText,
  trade: NonEmptyText,
  place: NonEmptyText,
  timeZone: TimeZone,
  settings: v.array(Setting),
  conditions: v.array(v.picklist(CONDITIONS)),
  slots: v.strictObject(v.entriesFromList(SLOT_KINDS, slotSec)),
  kit: v.pipe(v.array(KitEntry), v.maxLength(40, "at most 40 lines of kit")),
  /** Most people off the job at the same moment. */
  mostOffJob: wholeNumber(1, 500, " people"),
  shiftPattern: ShiftPattern,
  /** Days are bookings, back to back, within the hours of the shift pattern; left out where they are shifts with breaks. */
  byBookings: v.optional(v.boolean("must be yes or no")),
  /** Of those who have none of their own; null for the practice's. */
  language: v.nullable(Language),
});
export type Crew = v.InferOutput<typeof Crew>;

/** All but its name, as it is stored. */
const { name: _name, ...detail } = Crew.entries;
export const CREW_DETAIL = documentFormat<Omit<Crew, "name">>({
  name: "crew",
  format: 3,
  // Nothing older says how days are made.
  steps: [(crew) => ({ ...(crew as object), language: null }), (crew) => crew],
  schema: v.strictObject(detail),
});
