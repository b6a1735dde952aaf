/**
 * What is laid between the treatments of a crew's day. It is worked out when it is read and something it rests on has changed, and kept,
 * so that what has begun stays what it was.
 */
import { createHash } from "node:crypto";
import { addDays, dateAt, mondayOf } from "@kind-grip/core/calendar";
import { bookedSpans, isLightDay, layTogether, type Booking } from "@kind-grip/core/booking";
import { SPACING } from "@kind-grip/core/dayplan";
import { Op, type Transaction } from "sequelize";
import { v5 as uuidOf } from "uuid";
import type { CrewRow } from "../crew/tables";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { bookingBook, bookingsOf, daysOfPeople, type BookingBook } from "./book";
import type { BookedDayRow, BookedSessionRow, BookingRow } from "./tables";

/** What is usual is known from the days before and after. */
const USUAL_DAYS = { before: 28, after: 7 };

export interface LaidBookings {
  book: BookingBook;
  bookings: BookingRow[];
  sessions: BookedSessionRow[];
  missed: BookedDayRow["missed"];
  light: string[];
  gap: number;
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
