/** Days of bookings, the calendars they are read from, and what is laid between the treatments. */
import * as v from "valibot";
import { Booking, BookingRules, LAID_KINDS } from "../booking";
import { Id, IsoDate, IsoInstant, NonEmptyText } from "../units";
import { Version } from "./shapes";

export const BookingEntry = v.strictObject({
  ...Booking.entries,
  version: Version,
  /** The calendar it was read from; null for one that was typed or came from a file. */
  calendarId: v.nullable(Id),
});
export type BookingEntry = v.InferOutput<typeof BookingEntry>;

export const BookingSession = v.strictObject({
  id: Id,
  personId: Id,
  kind: v.picklist(LAID_KINDS),
  programId: Id,
  sessionId: Id,
  startsAt: IsoInstant,
  lengthMin: v.number(),
  /** The booking it comes after; null before the first. */
  afterId: v.nullable(Id),
  done: v.boolean(),
});
export type BookingSession = v.InferOutput<typeof BookingSession>;

export const MissedReset = v.strictObject({
  personId: Id,
  what: v.picklist(["warmUp", "afterDeep", "inRow"]),
  afterId: v.nullable(Id),
  /** Minutes between the two treatments, the room's left out. */
  roomMin: v.number(),
});
export type MissedReset = v.InferOutput<typeof MissedReset>;

export const BookingCalendar = v.strictObject({
  id: Id,
  /** Null where the bookings say whose they are. */
  personId: v.nullable(Id),
  name: v.string(),
  /** Host of its address; the rest of it is as good as a password. */
  host: v.string(),
  readAt: v.nullable(IsoInstant),
  /** Bookings ahead that were read, and those of them that nobody could tell what or whose they are. */
  found: v.number(),
  unknown: v.number(),
  /** Why it could not be read the last time. */
  problem: v.nullable(v.string()),
});
export type BookingCalendar = v.InferOutput<typeof BookingCalendar>;

export const BookingDay = v.strictObject({
  crewId: Id,
  date: IsoDate,
  /** Grows with every change of a booking or of the rules. */
  changes: v.number(),
  rules: v.strictObject({ version: Version, ...BookingRules.entries }),
  bookings: v.array(BookingEntry),
  sessions: v.array(BookingSession),
  missed: v.array(MissedReset),
  /** Whose day is light. */
  light: v.array(Id),
  /** Sessions of the program by what they are laid as; none for what the program has not. */
  laid: v.array(v.strictObject({ kind: v.picklist(LAID_KINDS), name: v.string(), lengthMin: v.number() })),
  /** By how much of its cost the best laying there could be is cheaper; 0 is proven best. */
  gap: v.number(),
  calendars: v.array(BookingCalendar),
});
export type BookingDay = v.InferOutput<typeof BookingDay>;

/** All of it or nothing: what changes, with the version last seen of each, 0 for a new one; and what was typed and goes again. */
export const ChangedBookings = v.strictObject({
  bookings: v.pipe(v.array(v.strictObject({ ...Booking.entries, version: Version })), v.maxLength(2000, "at most 2000 bookings at once")),
  /** Leave out those of somebody who has one at that moment already: the same file brought in twice is brought in once. */
  onlyNew: v.optional(v.boolean()),
  removed: v.pipe(v.array(Id), v.maxLength(2000, "at most 2000 bookings at once")),
});
export type ChangedBookings = v.InferOutput<typeof ChangedBookings>;

export const ChangedBookingRules = v.strictObject({ version: Version, ...BookingRules.entries });
export type ChangedBookingRules = v.InferOutput<typeof ChangedBookingRules>;

export const NewBookingCalendar = v.strictObject({
  id: Id,
  personId: v.nullable(Id),
  name: NonEmptyText,
  address: v.pipe(
    v.string("is missing"),
    v.trim(),
    v.transform((text) => text.replace(/^webcals?:/i, "https:")),
    v.url("is not an address"),
    v.regex(/^https?:/i, "must begin with https:"),
    v.maxLength(600, "is longer than 600 characters"),
  ),
});
export type NewBookingCalendar = v.InferOutput<typeof NewBookingCalendar>;

/** What became of reading a calendar. The words of bookings that were not recognised are shown once and kept nowhere. */
export const ReadCalendar = v.strictObject({
  calendars: v.array(BookingCalendar),
  problem: v.nullable(v.string()),
  unknown: v.array(v.strictObject({ text: v.string(), startsAt: IsoInstant, what: v.boolean(), who: v.boolean() })),
});
export type ReadCalendar = v.InferOutput<typeof ReadCalendar>;

/** Grows with whatever moves a crew member's day of bookings; null for who has no bookings. */
export const MemberPulse = v.strictObject({ changes: v.nullable(v.number()) });
export type MemberPulse = v.InferOutput<typeof MemberPulse>;
