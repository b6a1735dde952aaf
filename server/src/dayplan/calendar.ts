/** The day plan as iCalendar (RFC 5545), with the rules of the crew's time zone inside the file. */
import { dateAt, momentAt, wallTime } from "@kind-grip/core/calendar";
import { wordsOf } from "@kind-grip/core/language";
import type { Library } from "@kind-grip/core/library";
import { compileGroup, type Session } from "@kind-grip/core/session";
import { durationText } from "@kind-grip/core/units";
import ical, { escape, ICalCalendarMethod } from "ical-generator";
import { DateTime } from "luxon";
import { tzlib_get_ical_block as zoneBlock } from "timezones-ical-library";

export interface CalendarEntry {
  id: string;
  startsAt: Date;
  /** When its place or what is done in it changed last. */
  changedAt: Date;
  session: Session;
  /** Where and by which clock. */
  place: string;
  timeZone: string;
  /** Who takes part: the length is that of the group. */
  personIds: readonly string[];
  /** Before the session's name, where a calendar is of several crews. */
  crewName?: string;
}

/** How soon a subscribed calendar should look again, s. */
const LOOK_AGAIN_SEC = 3600;

/**
 * Times are written in the crew's zone, whatever zone the process is in. Nothing in it depends on when it is asked, so that the same
 * calendar is the same text.
 * @param name whose calendar it is @param words of whoever reads it
 */
export function calendarOf(library: Library, name: string, entries: readonly CalendarEntry[], words = wordsOf(library)): string {
  const calendar = ical({
    name: escape(words.paper("calendar", { crew: name }), false),
    method: ICalCalendarMethod.PUBLISH,
    ttl: LOOK_AGAIN_SEC,
    prodId: { company: "Kind Grip", product: "Day plan", language: words.language.toUpperCase() },
    // Without a name: with one, the stamp of each event would be written in it too.
    timezone: { name: null, generator: (zone) => String(zoneBlock(zone)[0] ?? "") || null },
  });
  for (const { id, startsAt, changedAt, session, place, timeZone, personIds, crewName } of entries) {
    const { totalSec } = compileGroup(session, library.timings, personIds);
    const endsAt = new Date(startsAt.getTime() + Math.max(1, Math.ceil(totalSec / 60)) * 60_000);
    // The second of two equal wall times cannot be told from the first in the place's own time.
    const zone = [startsAt, endsAt].every((at) => isOneMoment(at, timeZone)) ? timeZone : "UTC";
    calendar.createEvent({
      id: `${id}@kind-grip`,
      start: DateTime.fromJSDate(startsAt, { zone }),
      // Calendars show whole minutes; a session never looks shorter than it is.
      end: DateTime.fromJSDate(endsAt, { zone }),
      stamp: changedAt,
      lastModified: changedAt,
      sequence: revisionAt(changedAt),
      timezone: zone,
      summary: `${crewName ? `${crewName}: ` : ""}${words.sessionName(session)} (${words.digits(durationText(totalSec))})`,
      location: place,
      description: [
        ...session.items.map((item, i) => `${words.digits(i + 1)}. ${words.movementName(item.movementId)}`),
        "",
        words.paper("prevention"),
      ].join("\n"),
    });
  }
  return calendar.toString();
}

/** Whether the wall time a moment is shown as leads back to that moment. */
function isOneMoment(at: Date, timeZone: string): boolean {
  const minuteMs = Math.floor(at.getTime() / 60_000) * 60_000;
  return momentAt(dateAt(minuteMs, timeZone), wallTime(minuteMs, timeZone), 0, timeZone) === minuteMs;
}

/** Grows with every change, and fits the 32 bits of the format: minutes since the first of them could have been made. */
function revisionAt(changedAt: Date): number {
  return Math.max(0, Math.floor((changedAt.getTime() - Date.UTC(2020, 0, 1)) / 60_000));
}
