/** Bookings of those whose days are treatments, one after the other, and the rules their resets are laid by. */
import * as v from "valibot";
import { documentFormat } from "../document";
import type { Treatment } from "../strain";
import { Id, IsoInstant, wholeMinutes } from "../units";

/** One treatment of one person. Of the client nothing is kept. */
export const Booking = v.strictObject({
  id: Id,
  personId: Id,
  startsAt: IsoInstant,
  lengthMin: wholeMinutes(5, 480),
  /** The kind of treatment; null while nobody has said. */
  treatmentId: v.nullable(Id),
  cancelled: v.boolean(),
});
export type Booking = v.InferOutput<typeof Booking>;

export const BookingRules = v.strictObject({
  /** The program whose sessions are laid; null for the one of which something was done last. */
  programId: v.nullable(Id),
  /** What the room takes before the next treatment. */
  turnMin: wholeMinutes(0, 60),
  /** Treatments in a row without a reset. */
  mostInRow: v.pipe(v.number(), v.integer(), v.minValue(1, "must be 1 to 3"), v.maxValue(3, "must be 1 to 3")),
});
export type BookingRules = v.InferOutput<typeof BookingRules>;

export const USUAL_BOOKING_RULES: BookingRules = { programId: null, turnMin: 3, mostInRow: 3 };

export const BOOKING_RULES_DOCUMENT = documentFormat<BookingRules>({
  name: "booking rules",
  format: 1,
  steps: [],
  schema: BookingRules,
});

const minute = 60_000;

/** A booking's end, ms since 1970. */
export function endOf({ startsAt, lengthMin }: Pick<Booking, "startsAt" | "lengthMin">): number {
  return Date.parse(startsAt) + lengthMin * minute;
}

/** Those that take place, the earliest first. */
export function inOrder<B extends Booking>(bookings: readonly B[]): B[] {
  return bookings
    .filter(({ cancelled }) => !cancelled)
    .sort((a, b) => Date.parse(a.startsAt) - Date.parse(b.startsAt) || a.id.localeCompare(b.id));
}

/** What is not known yet counts as deep: a reset too many hurts nobody. */
export function isDeep({ treatmentId }: Booking, treatments: readonly Treatment[]): boolean {
  return treatments.find(({ id }) => id === treatmentId)?.deep ?? true;
}

/**
 * A day that runs late from a booking on: that one begins later, and those it would run into with it, no more than they must.
 * @param byMin minutes; the room's time between two is kept where it was there before
 * @returns only those that change
 */
export function runningLate(bookings: readonly Booking[], bookingId: string, byMin: number, turnMin: number): Booking[] {
  const list = inOrder(bookings);
  const first = list.findIndex(({ id }) => id === bookingId);
  if (first < 0) return [];
  const changed: Booking[] = [];
  let endMs = -Infinity;
  let wasEndMs = -Infinity;
  for (const booking of list.slice(first)) {
    const startMs = Date.parse(booking.startsAt);
    const turn = Math.max(0, Math.min(turnMin * minute, startMs - wasEndMs));
    const at = changed.length === 0 ? startMs + byMin * minute : Math.max(startMs, endMs + turn);
    if (at === startMs) break;
    const late = { ...booking, startsAt: new Date(at).toISOString() };
    wasEndMs = endOf(booking);
    endMs = endOf(late);
    changed.push(late);
  }
  return changed;
}
