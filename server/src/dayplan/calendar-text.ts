/** What stands in a calendar: of a crew, of one of its people, or of whoever leads. */
import { addDays, dateAt, workingDayAt } from "@kind-grip/core/calendar";
import { isHere } from "@kind-grip/core/crew";
import { languageOf, wordsOf } from "@kind-grip/core/language";
import { sessionOn } from "@kind-grip/core/program";
import { notHeldOut, personalSession, sessionWithin } from "@kind-grip/core/safety";
import { isOfShift } from "@kind-grip/core/session";
import type { Caller } from "../auth/caller";
import { laidForPerson } from "../booking/laid";
import { excusedIn } from "../crew/absences";
import { theirCrews } from "../crew/crews";
import type { Db } from "../db/connection";
import type { CrewRow } from "../crew/tables";
import { presencesIn, rampsOf } from "../program/ramps";
import { customsOf } from "../practice/customs";
import { practiceLibrary } from "../library/practice-library";
import { participationsIn } from "../safety/participations";
import { calendarOf } from "./calendar";
import { ledSessions } from "./own-week";
import { placementsBetween } from "./standing";

/** How far back and ahead a calendar reaches, days. */
const CALENDAR_DAYS = { back: 14, ahead: 84 };

/** What somebody is to lead, over all their crews. */
export async function leaderCalendarText(
  db: Db,
  caller: Pick<Caller, "accountId" | "practiceId" | "role">,
  name: string,
  at: Date,
): Promise<string> {
  const day = at.toISOString().slice(0, 10);
  const crews = await theirCrews(db, caller);
  const [from, to] = [new Date(addDays(day, -CALENDAR_DAYS.back)), new Date(addDays(day, CALENDAR_DAYS.ahead))];
  const [library, customs, sessions] = await Promise.all([
    practiceLibrary(db, caller.practiceId),
    customsOf(db, caller.practiceId),
    ledSessions(db, caller.practiceId, crews, from, to, at),
  ]);
  const entries = sessions
    .filter(({ entry }) => entry.leaderId === caller.accountId)
    .map(({ entry, crew, placement, programChangedAt, session, personIds }) => ({
      id: entry.placementId,
      startsAt: placement.startsAt,
      changedAt: latest(placement.changedAt, programChangedAt),
      session,
      place: crew.detail.place,
      timeZone: crew.detail.timeZone,
      personIds,
      crewName: crew.name,
    }));
  return calendarOf(library, name, entries, wordsOf(library, languageOf(customs.language), customs.measures));
}

/** Days ahead that a therapist's calendar has what is laid between their bookings. */
const BOOKED_DAYS = 14;

/**
 * For one person: their groups' sessions of the days they are in the crew and not excused, and what is laid between their bookings, in their own form;
 * nothing while they are held out.
 */
export async function crewCalendarText(db: Db, practiceId: string, crew: CrewRow, personId: string | null, at: Date): Promise<string> {
  const { timeZone, place } = crew.detail;
  const day = at.toISOString().slice(0, 10);
  const [first, last] = [addDays(day, -CALENDAR_DAYS.back), addDays(day, CALENDAR_DAYS.ahead)];
  const [library, placed, laid, participations, programs, people, excused, presences, customs] = await Promise.all([
    practiceLibrary(db, practiceId),
    placementsBetween(db, [crew], new Date(first), new Date(last)),
    personId && crew.detail.byBookings ? laidForPerson(db, practiceId, crew, personId, at, BOOKED_DAYS) : [],
    participationsIn(db, { id: crew.id, timeZone }, at),
    db.models.Program.findAll({ where: { crewId: crew.id, removedAt: null } }),
    db.models.Person.findAll({ where: { crewId: crew.id } }),
    excusedIn(db, [crew.id], addDays(first, -1), addDays(last, 1)),
    personId ? presencesIn(db, crew.id, dateAt(at.getTime(), timeZone), { personId }) : null,
    customsOf(db, practiceId),
  ]);
  const crewPeople = people.map((person) => person.get({ plain: true }));
  const owner = crewPeople.find(({ id }) => id === personId);
  const language = languageOf(owner?.language, crew.detail.language, customs.language);
  const sessions = new Map(
    programs.flatMap((program) =>
      program
        .get()
        .document.sessions.filter(({ slot }) => isOfShift(slot) || slot === "reset")
        .map(
          (session) =>
            [
              `${program.get().id} ${session.id}`,
              { program: program.get().document, changedAt: program.get().changedAt, session },
            ] as const,
        ),
    ),
  );
  /** Of somebody who was removed there is nothing. */
  const isOwners = ({ people: named }: { people?: readonly string[] | null }, date: string) =>
    owner !== undefined && isHere(owner, date) && !excused(owner.id, date) && (!named || named.includes(owner.id));
  const takingPart = ({ people: named }: { people?: readonly string[] | null }, date: string) =>
    notHeldOut(
      crewPeople.filter((person) => isHere(person, date) && (!named || named.includes(person.id))),
      participations,
    ).map(({ id }) => id);
  const own = laid.map((row) => ({ ...row, people: [row.personId], changedAt: null }));
  const entries = [...placed, ...own].flatMap((row) => {
    const found = sessions.get(`${row.programId} ${row.sessionId}`);
    const workingDay = workingDayOf(crew, row.startsAt);
    const ramps = personId ? rampsOf(presences?.get(personId), personId, workingDay) : undefined;
    const session = found && sessionOn(library, found.program, found.session, workingDay, ramps);
    if (!session || (personId && !isOwners(row, workingDay))) return [];
    const shown = personId
      ? personalSession(library, session, personId, participations.get(personId))
      : sessionWithin(library, session, participations);
    return personId && shown.items.length === 0
      ? []
      : [
          {
            id: row.id,
            startsAt: row.startsAt,
            changedAt: latest(row.changedAt, found.changedAt),
            session: shown,
            place,
            timeZone,
            personIds: personId ? [personId] : takingPart(row, workingDay),
          },
        ];
  });
  return calendarOf(library, crew.name, entries, wordsOf(library, language, customs.measures));
}

function workingDayOf({ detail: { shiftPattern, timeZone } }: CrewRow, startsAt: Date): string {
  return workingDayAt(shiftPattern, timeZone, startsAt.getTime());
}

function latest(a: Date | null | undefined, b: Date): Date {
  return a && a > b ? a : b;
}
