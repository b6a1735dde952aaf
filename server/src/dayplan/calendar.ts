/** The day plan as iCalendar (RFC 5545), with the rules of the crew's time zone inside the file. */
import { wordsIn } from "@kind-grip/core/language";
import { FORM_TIMINGS } from "@kind-grip/core/library";
import { compileGroup, type Session } from "@kind-grip/core/session";
import { clockText } from "@kind-grip/core/units";
import ical, { ICalCalendarMethod } from "ical-generator";
import { tzlib_get_ical_block as zoneBlock } from "timezones-ical-library";

export interface CalendarEntry {
  id: string;
  startsAt: Date;
  session: Session;
}

/** @param personIds who takes part: the length is that of the group */
export function calendarOf(
  crewName: string,
  place: string,
  timeZone: string,
  entries: readonly CalendarEntry[],
  personIds: readonly string[],
): string {
  const words = wordsIn("en");
  const calendar = ical({
    name: `${crewName} – hand work`,
    method: ICalCalendarMethod.PUBLISH,
    prodId: { company: "Kind Grip", product: "Day plan", language: "EN" },
    timezone: { name: timeZone, generator: (zone) => String(zoneBlock(zone)[0] ?? "") || null },
  });
  for (const { id, startsAt, session } of entries) {
    const { totalSec } = compileGroup(session, FORM_TIMINGS, personIds);
    calendar.createEvent({
      id: `${id}@kind-grip`,
      start: startsAt,
      // Calendars show whole minutes; a session never looks shorter than it is.
      end: new Date(startsAt.getTime() + Math.max(1, Math.ceil(totalSec / 60)) * 60_000),
      timezone: timeZone,
      summary: `${session.name} (${clockText(totalSec)})`,
      location: place,
      description: [
        ...session.items.map((item, i) => `${i + 1}. ${words.movementName(item.movementId)}`),
        "",
        words.paper("prevention"),
      ].join("\n"),
    });
  }
  return calendar.toString();
}
