/** Days of bookings: read, changed all or nothing, and the rules resets are laid by. */
import type { BookingCalendar, BookingDay, BookingEntry, ChangedBookings, ChangedBookingRules, Today } from "@kind-grip/core/api";
import { endOf, notThereYet } from "@kind-grip/core/booking";
import { dateAt } from "@kind-grip/core/calendar";
import { Op, type Transaction } from "sequelize";
import type { Caller } from "../auth/caller";
import { crewOf, lockCrew } from "../crew/crews";
import type { CrewRow } from "../crew/tables";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { invalid, stale, type FieldProblem } from "../http/problem";
import { bookingOf, bookOf, countChange } from "./book";
import { laidBookings } from "./laid";
import type { BookingCalendarRow, BookingRow } from "./tables";

export async function bookingDay(db: Db, caller: Caller, at: Date, crewId: string, date: string): Promise<BookingDay> {
  const crew = await crewOf(db, caller, crewId);
  const [{ book, bookings, sessions, missed, light, gap }, calendars] = await Promise.all([
    laidBookings(db, caller.practiceId, crew, date, at),
    calendarsOf(db, crewId),
  ]);
  const done = await doneOf(
    db,
    crewId,
    sessions.map(({ id }) => id),
  );
  const { version, document, changes } = book.row;
  return {
    crewId,
    date,
    changes,
    rules: { version, ...document },
    bookings: bookings.map(bookingEntry),
    sessions: sessions.map(({ id, personId, kind, programId, sessionId, startsAt, lengthMin, afterId }) => ({
      id,
      personId,
      kind,
      programId,
      sessionId,
      startsAt: startsAt.toISOString(),
      lengthMin,
      afterId,
      done: done.has(id),
    })),
    missed,
    light,
    laid: Object.entries(book.shapes).map(([kind, { lengthMin }]) => ({
      kind: kind as keyof typeof book.sessions,
      name: book.sessions[kind as keyof typeof book.sessions]!.name,
      lengthMin,
    })),
    gap,
    calendars,
  };
}

function bookingEntry(row: BookingRow): BookingEntry {
  return { ...bookingOf(row), version: row.version, calendarId: row.calendarId };
}

/** Followed alone by whom they were laid for: nobody else has them. */
async function doneOf({ models }: Db, crewId: string, ids: readonly string[]): Promise<Set<string>> {
  const runs = await models.Run.findAll({ where: { crewId, placementId: { [Op.in]: [...ids] } }, attributes: ["placementId"] });
  return new Set(runs.map((run) => run.get().placementId!));
}

export async function calendarsOf({ models }: Db, crewId: string): Promise<BookingCalendar[]> {
  const rows = await models.BookingCalendar.findAll({ where: { crewId }, order: [["madeAt", "ASC"]] });
  return rows.map((row) => calendarEntry(row.get()));
}

function calendarEntry({ id, personId, name, address, readAt, found, unknown, problem }: BookingCalendarRow): BookingCalendar {
  return { id, personId, name, host: new URL(address).host, readAt: readAt?.toISOString() ?? null, found, unknown, problem };
}

async function notThere({ models }: Db, crewId: string, sent: ChangedBookings["bookings"], transaction: Transaction) {
  const startsAt = sent.map((each) => new Date(each.startsAt));
  const rows = await models.Booking.findAll({ where: { crewId, startsAt }, transaction });
  return notThereYet(
    sent,
    rows.map((row) => bookingOf(row.get())),
  );
}

/** How far from today anything is booked, days. */
const REACH_DAYS = 400;

/**
 * Changes bookings, all of them or none. What is there already as it is sent changes nothing: the same can be sent again.
 * @throws Problem 409 with the day when somebody else changed one of them in between
 */
export async function saveBookings(
  db: Db,
  caller: Caller,
  at: Date,
  crewId: string,
  date: string,
  { bookings: sent, removed, onlyNew = false }: ChangedBookings,
): Promise<BookingDay> {
  let isStale = false;
  await inTransaction(db, async (transaction) => {
    isStale = false;
    const crew = await lockCrew(db, caller, crewId, transaction);
    const bookings = onlyNew ? await notThere(db, crewId, sent, transaction) : sent;
    const ids = [...bookings.map(({ id }) => id), ...removed];
    const rows = (await db.models.Booking.findAll({ where: { id: ids }, transaction })).map((row) => row.get({ plain: true }));
    const known = new Map(rows.map((row) => [row.id, row]));
    const changed = bookings.filter((each) => !isSame(known.get(each.id), each));
    await refuseImpossible(db, crew, at, bookings, changed, known, transaction);
    isStale = changed.some(({ id, version }) => (known.get(id)?.version ?? 0) !== version);
    if (isStale) return;
    for (const { id, personId, startsAt, lengthMin, treatmentId, cancelled, version } of changed) {
      const was = known.get(id);
      await db.models.Booking.upsert(
        {
          ...{ id, crewId, personId, startsAt: new Date(startsAt), lengthMin, treatmentId, cancelled, version: version + 1 },
          ...{ calendarId: was?.calendarId ?? null, sourceKey: was?.sourceKey ?? null, readAs: was?.readAs ?? null },
        },
        { transaction },
      );
    }
    // What a calendar says is cancelled, not taken out: it would come back with the next reading.
    const gone = removed.filter((id) => known.get(id)?.crewId === crewId && known.get(id)!.calendarId === null);
    await db.models.Booking.destroy({ where: { id: gone }, transaction });
    if (changed.length + gone.length > 0) await countChange(db, crewId, transaction);
  });
  const day = await bookingDay(db, caller, at, crewId, date);
  if (isStale) throw stale(day);
  return day;
}

function isSame(
  row: BookingRow | undefined,
  { personId, startsAt, lengthMin, treatmentId, cancelled }: ChangedBookings["bookings"][number],
) {
  return (
    row !== undefined &&
    row.personId === personId &&
    row.startsAt.getTime() === Date.parse(startsAt) &&
    row.lengthMin === lengthMin &&
    row.treatmentId === treatmentId &&
    row.cancelled === cancelled
  );
}

async function refuseImpossible(
  db: Db,
  crew: CrewRow,
  at: Date,
  sent: ChangedBookings["bookings"],
  changed: ChangedBookings["bookings"],
  known: ReadonlyMap<string, BookingRow>,
  transaction: Transaction,
): Promise<void> {
  const [people, work] = await Promise.all([
    db.models.Person.findAll({ where: { crewId: crew.id }, attributes: ["id"], transaction }),
    db.models.Work.findByPk(crew.id, { transaction }),
  ]);
  const there = new Set(people.map((person) => person.get().id));
  const treatments = new Set((work?.get().document.treatments ?? []).map(({ id }) => id));
  const fields = sent.flatMap((booking, i): FieldProblem[] => {
    if (!changed.includes(booking)) return [];
    const was = known.get(booking.id);
    const problem = (field: string, message: string) => [{ path: `bookings.${i}.${field}`, message }];
    if (was && was.crewId !== crew.id) return problem("id", "is a booking of another crew");
    const awayMs = Math.abs(Date.parse(booking.startsAt) - at.getTime());
    return [
      ...(there.has(booking.personId) ? [] : problem("personId", "is not in this crew")),
      ...(booking.treatmentId === null || booking.treatmentId === was?.treatmentId || treatments.has(booking.treatmentId)
        ? []
        : problem("treatmentId", "is not one of this crew's kinds of treatment")),
      ...(awayMs <= REACH_DAYS * 86_400_000 ? [] : problem("startsAt", `is more than ${REACH_DAYS} days away`)),
      ...(Date.parse(booking.startsAt) % 60_000 === 0 ? [] : problem("startsAt", "must be a whole minute")),
    ];
  });
  if (new Set(sent.map(({ id }) => id)).size < sent.length) fields.push({ path: "bookings", message: "one is named twice" });
  if (fields.length > 0) throw invalid(fields);
}

export async function saveBookingRules(
  db: Db,
  caller: Caller,
  at: Date,
  crewId: string,
  date: string,
  { version, ...rules }: ChangedBookingRules,
): Promise<BookingDay> {
  let isStale = false;
  await inTransaction(db, async (transaction) => {
    await lockCrew(db, caller, crewId, transaction);
    const { programId } = rules;
    if (programId && !(await db.models.Program.findOne({ where: { id: programId, crewId, removedAt: null }, transaction })))
      throw invalid([{ path: "programId", message: "is not a program of this crew" }]);
    const book = await bookOf(db, crewId, transaction);
    isStale = book.version !== version && JSON.stringify(book.document) !== JSON.stringify(rules);
    if (book.version === version) await countChange(db, crewId, transaction, rules);
  });
  const day = await bookingDay(db, caller, at, crewId, date);
  if (isStale) throw stale(day);
  return day;
}

type Booked = NonNullable<Today["crews"][number]["booked"]>;

/** Today of the crews that work by bookings, in a line each. */
export async function bookedToday(db: Db, practiceId: string, crews: readonly CrewRow[], at: Date): Promise<Map<string, Booked>> {
  const found = new Map<string, Booked>();
  for (const crew of crews.filter(({ detail }) => detail.byBookings)) {
    const { bookings, sessions, missed } = await laidBookings(db, practiceId, crew, dateAt(at.getTime(), crew.detail.timeZone), at);
    const taking = bookings.map(bookingOf).filter(({ cancelled }) => !cancelled);
    const resets = sessions.filter(({ kind }) => kind === "reset" || kind === "longer");
    const done = await doneOf(
      db,
      crew.id,
      sessions.map(({ id }) => id),
    );
    found.set(crew.id, {
      people: new Set(taking.map(({ personId }) => personId)).size,
      bookings: taking.length,
      resets: resets.length,
      done: done.size,
      missed: missed.length,
      spans: taking.map((booking) => ({ startMs: Date.parse(booking.startsAt), endMs: endOf(booking) })),
    });
  }
  return found;
}
