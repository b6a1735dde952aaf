/** What days of bookings are laid from: the bookings themselves, the rules, the program's sessions, the work and who is there. */
import { addDays, dateAt, momentAt } from "@kind-grip/core/calendar";
import {
  bookingSessions,
  shapesOf,
  USUAL_BOOKING_RULES,
  type Booking,
  type BookingRules,
  type BookingSessions,
  type LaidKind,
  type SessionShape,
} from "@kind-grip/core/booking";
import { isHere } from "@kind-grip/core/crew";
import { EMPTY_WORK, type Work } from "@kind-grip/core/strain";
import { grouped } from "@kind-grip/core/units";
import { Op, type Transaction } from "sequelize";
import type { CrewRow } from "../crew/tables";
import type { Db } from "../db/connection";
import { practiceLibrary } from "../library/practice-library";
import { programDoneLast } from "../program/last-done";
import type { ProgramRow } from "../program/tables";
import type { BookingBookRow, BookingRow } from "./tables";

/** What a crew's bookings are laid by. */
export interface BookingBook {
  row: BookingBookRow;
  work: Work;
  /** The program whose sessions are laid. */
  programId: string | null;
  sessions: BookingSessions;
  shapes: Partial<Record<LaidKind, SessionShape>>;
  /** People who work on the day. */
  people: string[];
  /** All of it, as a word that changes with any of it. */
  key: string;
}

export const bookingOf = ({ id, personId, startsAt, lengthMin, treatmentId, cancelled }: BookingRow): Booking => ({
  id,
  personId,
  startsAt: startsAt.toISOString(),
  lengthMin,
  treatmentId,
  cancelled,
});

export async function bookOf({ models }: Db, crewId: string, transaction?: Transaction): Promise<BookingBookRow> {
  const row = (await models.BookingBook.findByPk(crewId, { transaction }))?.get({ plain: true });
  return row ?? { crewId, version: 0, changes: 0, document: USUAL_BOOKING_RULES };
}

/** After a change of bookings or rules, in its transaction. */
export async function countChange(db: Db, crewId: string, transaction: Transaction, rules?: BookingRules): Promise<void> {
  const row = await bookOf(db, crewId, transaction);
  await db.models.BookingBook.upsert(
    { crewId, version: row.version + (rules ? 1 : 0), changes: row.changes + 1, document: rules ?? row.document },
    { transaction },
  );
}

export async function bookingBook(
  db: Db,
  practiceId: string,
  crew: CrewRow,
  date: string,
  transaction?: Transaction,
): Promise<BookingBook> {
  const crewId = crew.id;
  const [row, work, programs, people, library] = await Promise.all([
    bookOf(db, crewId, transaction),
    db.models.Work.findByPk(crewId, { transaction }),
    db.models.Program.findAll({
      where: { crewId, removedAt: null },
      order: [
        ["changedAt", "DESC"],
        ["id", "ASC"],
      ],
      transaction,
    }),
    db.models.Person.findAll({ where: { crewId }, attributes: ["id", "startedOn", "leftOn"], order: ["id"], transaction }),
    practiceLibrary(db, practiceId, transaction),
  ]);
  const program = await programOf(
    db,
    crew,
    row.document.programId,
    programs.map((each) => each.get({ plain: true })),
    transaction,
  );
  const here = people.map((person) => person.get({ plain: true })).filter((person) => isHere(person, date));
  const ids = here.map(({ id }) => id);
  const sessions = program ? bookingSessions(library, program.document) : {};
  return {
    row,
    work: work?.get().document ?? EMPTY_WORK,
    programId: program?.id ?? null,
    sessions,
    shapes: shapesOf(library, sessions, crew.detail.kit, ids),
    people: ids,
    key: [
      row.version,
      row.changes,
      work?.get().version ?? 0,
      program?.id,
      program?.version,
      library.revision,
      JSON.stringify(crew.detail.kit),
      crew.detail.timeZone,
      ...ids,
    ].join(" "),
  };
}

/** That was chosen; else of which something was done last, or was laid last: one that is only being written takes nobody's day over. */
async function programOf(
  db: Db,
  { id: crewId }: CrewRow,
  chosenId: string | null,
  programs: readonly ProgramRow[],
  transaction?: Transaction,
): Promise<ProgramRow | undefined> {
  const byId = (id: string | null | undefined) => programs.find((each) => each.id === id);
  if (programs.length < 2) return programs[0];
  const known = byId(chosenId) ?? (await programDoneLast(db, crewId, programs, "any", transaction));
  if (known) return known;
  const laid = await db.models.BookedSession.findOne({
    where: { crewId, programId: programs.map(({ id }) => id) },
    attributes: ["programId"],
    order: [["startsAt", "DESC"]],
    transaction,
  });
  return byId(laid?.get().programId) ?? programs[0];
}

/** The bookings of days of a crew, at its place; cancelled ones among them. */
export async function bookingsOf(
  { models }: Db,
  crew: CrewRow,
  fromDate: string,
  days: number,
  transaction?: Transaction,
): Promise<BookingRow[]> {
  const at = (date: string) => new Date(momentAt(date, "00:00", 0, crew.detail.timeZone));
  const startsAt = { [Op.gte]: at(fromDate), [Op.lt]: at(addDays(fromDate, days)) };
  const rows = await models.Booking.findAll({ where: { crewId: crew.id, startsAt }, order: ["startsAt", "id"], transaction });
  return rows.map((row) => row.get({ plain: true }));
}

/** Days of bookings by person, with who works them; days without any are none. */
export function daysOfPeople(rows: readonly BookingRow[], timeZone: string): Map<string, Map<string, Booking[]>> {
  const taking = rows.filter(({ cancelled }) => !cancelled);
  return new Map(
    [...grouped(taking, ({ personId }) => personId)].map(([personId, own]) => [
      personId,
      new Map([...grouped(own, ({ startsAt }) => dateAt(startsAt.getTime(), timeZone))].map(([date, list]) => [date, list.map(bookingOf)])),
    ]),
  );
}
