/**
 * What is laid between the treatments of a crew's day. It is worked out when it is read and something it rests on has changed, and kept,
 * so that what has begun stays what it was.
 */
import { createHash } from "node:crypto";
import { addDays, dateAt, momentAt, mondayOf } from "@kind-grip/core/calendar";
import {
  bookedSpans,
  bookingSessions,
  isLightDay,
  layTogether,
  shapesOf,
  USUAL_BOOKING_RULES,
  type Booking,
  type BookingRules,
  type BookingSessions,
  type LaidKind,
  type SessionShape,
} from "@kind-grip/core/booking";
import { isHere } from "@kind-grip/core/crew";
import { SPACING } from "@kind-grip/core/dayplan";
import { EMPTY_WORK, type Work } from "@kind-grip/core/strain";
import { grouped } from "@kind-grip/core/units";
import { Op, type Transaction } from "sequelize";
import { v5 as uuidOf } from "uuid";
import type { CrewRow } from "../crew/tables";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { practiceLibrary } from "../library/practice-library";
import type { BookedDayRow, BookedSessionRow, BookingBookRow, BookingRow } from "./tables";

/** What is usual is known from the days before and after. */
const USUAL_DAYS = { before: 28, after: 7 };

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

export interface LaidBookings {
  book: BookingBook;
  bookings: BookingRow[];
  sessions: BookedSessionRow[];
  missed: BookedDayRow["missed"];
  light: string[];
  gap: number;
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
  const program = (programs.find((each) => each.get().id === row.document.programId) ?? programs[0])?.get({ plain: true });
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

/** @param at the moment it is for the practice: nothing that begins before it is laid or changed */
export async function laidBookings(db: Db, practiceId: string, crew: CrewRow, date: string, at: Date): Promise<LaidBookings> {
  const { timeZone } = crew.detail;
  const [book, around, strengthened] = await Promise.all([
    bookingBook(db, practiceId, crew, date),
    bookingsOf(db, crew, addDays(date, -USUAL_DAYS.before), USUAL_DAYS.before + 1 + USUAL_DAYS.after),
    strengthBefore(db, crew.id, date),
  ]);
  const days = daysOfPeople(around, timeZone);
  const light = book.people.filter((id) => {
    const own = days.get(id);
    const others = [...(own ?? [])].filter(([day]) => day !== date).map(([, list]) => list);
    return own?.has(date) && isLightDay(book.work, own.get(date)!, others);
  });
  const due = new Map(
    light.flatMap((id): [string, number][] => {
      const fromMs = strengthFrom(
        strengthened.filter((each) => each.personId === id),
        date,
      );
      return fromMs === null ? [] : [[id, fromMs]];
    }),
  );
  const key = createHash("sha256")
    .update([book.key, "due", ...[...due].flat()].join(" "))
    .digest("hex");
  const kept = (await db.models.BookedDay.findOne({ where: { crewId: crew.id, day: date } }))?.get({ plain: true });
  const isOver = date < dateAt(at.getTime(), timeZone);
  if (kept?.laidFrom !== key && !isOver) await layAnew(db, crew, book, { date, at, days, due, key });
  const [day, sessions] = await Promise.all([
    db.models.BookedDay.findOne({ where: { crewId: crew.id, day: date } }),
    sessionsOn(db, crew.id, date),
  ]);
  return {
    book,
    bookings: around.filter(({ startsAt }) => dateAt(startsAt.getTime(), timeZone) === date),
    sessions,
    missed: day?.get().missed ?? [],
    light,
    gap: day?.get().gap ?? 0,
  };
}

async function sessionsOn({ models }: Db, crewId: string, day: string, transaction?: Transaction): Promise<BookedSessionRow[]> {
  const rows = await models.BookedSession.findAll({ where: { crewId, day }, order: ["startsAt", "id"], transaction });
  return rows.map((row) => row.get({ plain: true }));
}

async function strengthBefore({ models }: Db, crewId: string, date: string): Promise<BookedSessionRow[]> {
  const day = { [Op.gte]: addDays(date, -7), [Op.lt]: date };
  const rows = await models.BookedSession.findAll({ where: { crewId, kind: "strength", day } });
  return rows.map((row) => row.get({ plain: true }));
}

/** Not on more days a week than are good, and not for most of a day after the last time. @returns ms since 1970; null for not in this week */
function strengthFrom(before: readonly BookedSessionRow[], date: string): number | null {
  const inWeek = before.filter((each) => mondayOf(each.day) === mondayOf(date));
  if (inWeek.length >= SPACING.strengthenDaysPerWeek) return null;
  const ends = before.map(({ startsAt, lengthMin }) => startsAt.getTime() + (lengthMin + SPACING.strengthenSameRegionMin) * 60_000);
  return Math.max(-Infinity, ...ends);
}

interface Anew {
  date: string;
  at: Date;
  days: ReadonlyMap<string, ReadonlyMap<string, Booking[]>>;
  /** Who may strengthen, and from when. */
  due: ReadonlyMap<string, number>;
  key: string;
}

async function layAnew(db: Db, crew: CrewRow, book: BookingBook, { date, at, days, due, key }: Anew): Promise<void> {
  const { models } = db;
  const nowMs = at.getTime();
  await inTransaction(db, async (transaction) => {
    // One at a time: two phones that ask at once would both lay the day.
    const own = { crewId: crew.id, day: date };
    await models.BookedDay.findOrCreate({ where: own, defaults: { ...own, laidFrom: "", gap: 0, missed: [] }, transaction });
    const before = await models.BookedDay.findOne({ where: own, lock: transaction.LOCK.UPDATE, transaction });
    if (before!.get().laidFrom === key) return;
    const stored = await sessionsOn(db, crew.id, date, transaction);
    const begun = stored.filter(({ startsAt }) => startsAt.getTime() < nowMs);
    const { turnMin, mostInRow } = book.row.document;
    const laid = layTogether(
      book.people
        .filter((personId) => days.get(personId)?.has(date) || begun.some((each) => each.personId === personId))
        .map((personId) => ({
          personId,
          bookings: bookedSpans(book.work, days.get(personId)?.get(date) ?? []),
          mayStrengthen: due.has(personId),
          strengthFromMs: due.get(personId) ?? -Infinity,
          begun: begun
            .filter((each) => each.personId === personId)
            .map(({ kind, startsAt, lengthMin, afterId }) => ({
              kind,
              afterId,
              startMs: startsAt.getTime(),
              endMs: startsAt.getTime() + lengthMin * 60_000,
            })),
        })),
      { sessions: book.shapes, turnMin, mostInRow, nowMs },
    );
    const taken = new Set(begun.map(({ id }) => id));
    const rows = [...laid.days].flatMap(([personId, { sessions }]) =>
      sessions
        .filter(({ startMs }) => startMs >= nowMs)
        .map(({ kind, afterId, startMs, endMs }): BookedSessionRow => ({
          id: ownId(taken, crew.id, [personId, date, kind, afterId ?? "first"]),
          ...own,
          personId,
          kind,
          programId: book.programId!,
          sessionId: book.sessions[kind]!.id,
          startsAt: new Date(startMs),
          lengthMin: (endMs - startMs) / 60_000,
          afterId,
        })),
    );
    await models.BookedSession.destroy({ where: { ...own, id: { [Op.notIn]: [...taken, ""] } }, transaction });
    await models.BookedSession.bulkCreate(rows, { transaction });
    const missed = [...laid.days].flatMap(([personId, day]) => day.missed.map((each) => ({ ...each, personId })));
    await models.BookedDay.update({ laidFrom: key, gap: laid.gap, missed }, { where: own, transaction });
  });
}

/** The same session of the same gap keeps its id when it is moved: calendars and phones know it by that. */
function ownId(taken: ReadonlySet<string>, crewId: string, of: readonly string[]): string {
  let id = uuidOf(of.join(" "), crewId);
  while (taken.has(id)) id = uuidOf(id, crewId);
  return id;
}

/** What is laid for a person from a day on, days in order: each may depend on the one before. */
export async function laidForPerson(
  db: Db,
  practiceId: string,
  crew: CrewRow,
  personId: string,
  at: Date,
  days: number,
): Promise<BookedSessionRow[]> {
  const today = dateAt(at.getTime(), crew.detail.timeZone);
  const found: BookedSessionRow[] = [];
  for (let i = 0; i < days; i++) {
    const { sessions } = await laidBookings(db, practiceId, crew, addDays(today, i), at);
    found.push(...sessions.filter((each) => each.personId === personId));
  }
  return found;
}
