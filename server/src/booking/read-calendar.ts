/**
 * The bookings of a calendar file (iCalendar, RFC 5545) by a kept library: recurrences, exceptions, moved instances, zones. Done in a
 * thread of its own, which is ended when it takes too long.
 */
import { createHash } from "node:crypto";
import { isTimeZone, momentAt } from "@kind-grip/core/calendar";
import ICAL from "ical.js";

export interface CalendarText {
  text: string;
  /** Of times without a zone. */
  timeZone: string;
  fromMs: number;
  untilMs: number;
}

export interface CalendarBooking {
  /** The same for the same booking, moved or not. */
  key: string;
  startMs: number;
  lengthMin: number;
  cancelled: boolean;
  /** What says whose and what it is. */
  texts: string[];
}

const MOST_EVENTS = 5000;
const MOST_BOOKINGS = 4000;
/** Of one recurrence; daily for thirty years is less. */
const MOST_STEPS = 12_000;
const LENGTHS_MIN = { least: 5, most: 480 };
const minute = 60_000;

/** @throws Error in words for whoever gave the address */
export default function readCalendar({ text, timeZone, fromMs, untilMs }: CalendarText): CalendarBooking[] {
  let calendar: ICAL.Component;
  try {
    calendar = new ICAL.Component(ICAL.parse(text) as string);
    if (calendar.name !== "vcalendar") throw new Error("is no calendar");
  } catch {
    throw new Error("What is at the address is no calendar.");
  }
  const parts = calendar.getAllSubcomponents("vevent");
  if (parts.length > MOST_EVENTS) throw new Error(`The calendar has more than ${MOST_EVENTS} events.`);
  const events = parts.map((part) => new ICAL.Event(part));
  const moved = new Map<string, ICAL.Event[]>();
  for (const event of events) if (event.isRecurrenceException()) moved.set(event.uid, [...(moved.get(event.uid) ?? []), event]);
  const found: CalendarBooking[] = [];
  const take = (event: ICAL.Event, start: ICAL.Time, end: ICAL.Time, at: ICAL.Time | null) => {
    if (start.isDate || event.component.getFirstPropertyValue("transp") === "TRANSPARENT") return;
    const startMs = momentOf(start, event, timeZone);
    const lengthMin = Math.round((momentOf(end, event, timeZone) - startMs) / minute);
    if (startMs < fromMs || startMs >= untilMs || lengthMin < LENGTHS_MIN.least || lengthMin > LENGTHS_MIN.most) return;
    if (found.length >= MOST_BOOKINGS) throw new Error(`The calendar has more than ${MOST_BOOKINGS} bookings in the weeks ahead.`);
    found.push({
      key: createHash("sha256")
        .update(`${event.uid}\n${at?.toString() ?? ""}`)
        .digest("hex"),
      startMs: Math.round(startMs / minute) * minute,
      lengthMin,
      cancelled: event.component.getFirstPropertyValue("status") === "CANCELLED",
      texts: textsOf(event),
    });
  };
  const masters = new Set<string>();
  for (const event of events) {
    if (event.isRecurrenceException() || !event.startDate) continue;
    masters.add(event.uid);
    if (!event.isRecurring()) {
      take(event, event.startDate, event.endDate, null);
      continue;
    }
    for (const exception of moved.get(event.uid) ?? []) event.relateException(exception);
    const iterator = event.iterator();
    const beyond = ICAL.Time.fromJSDate(new Date(untilMs + 2 * 86_400_000), true);
    for (let steps = 0, next = iterator.next(); next && steps < MOST_STEPS; steps++, next = iterator.next()) {
      if (next.compare(beyond) > 0) break;
      const { item, startDate, endDate } = event.getOccurrenceDetails(next);
      take(item, startDate, endDate, next);
    }
  }
  // Instances that came without what they are of: calendars send those that were invited to one only.
  for (const [uid, list] of moved)
    if (!masters.has(uid)) for (const event of list) take(event, event.startDate, event.endDate, event.recurrenceId);
  return found;
}

/** A zone the runtime knows goes before what the file says of it; a time without one is of the crew's place. */
function momentOf(time: ICAL.Time, event: ICAL.Event, timeZone: string): number {
  const wall = (zone: string) => momentAt(dateOf(time), `${two(time.hour)}:${two(time.minute)}`, 0, zone) + time.second * 1000;
  const named = zoneNamed(event) ?? time.zone?.tzid;
  if (time.zone?.tzid === "UTC" || named === "UTC") return time.toUnixTime() * 1000;
  if (named && named !== "floating" && isTimeZone(named)) return wall(named);
  return time.zone && time.zone.tzid !== "floating" ? time.toUnixTime() * 1000 : wall(timeZone);
}

function zoneNamed(event: ICAL.Event): string | undefined {
  const zone = event.component.getFirstProperty("dtstart")?.getParameter("tzid");
  return typeof zone === "string" ? zone : undefined;
}

const two = (value: number) => String(value).padStart(2, "0");
const dateOf = ({ year, month, day }: ICAL.Time) => `${String(year).padStart(4, "0")}-${two(month)}-${two(day)}`;

/** Never the description: what clients write about themselves is nobody's business here. */
function textsOf({ component, summary, location }: ICAL.Event): string[] {
  const names = ["attendee", "organizer"].flatMap((name) =>
    component.getAllProperties(name).map((property) => property.getParameter("cn")),
  );
  const lists = ["categories", "resources"].flatMap((name) => component.getAllProperties(name).flatMap((property) => property.getValues()));
  return [summary, location, ...names, ...lists].flat().filter((text): text is string => typeof text === "string" && text !== "");
}
