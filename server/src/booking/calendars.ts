/** Calendars that bookings are read from: given, read now or by themselves, taken away. */
import { createHash } from "node:crypto";
import type { NewBookingCalendar, ReadCalendar } from "@kind-grip/core/api";
import { dateAt } from "@kind-grip/core/calendar";
import { personNamed, treatmentNamed } from "@kind-grip/core/booking";
import { Op, QueryTypes, type Transaction } from "sequelize";
import Piscina from "piscina";
import { v7 as uuid } from "uuid";
import type { Caller } from "../auth/caller";
import type { AppContext } from "../context";
import { crewOf, lockCrew, takeTurn } from "../crew/crews";
import type { CrewRow } from "../crew/tables";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { invalid, notFound, Problem } from "../http/problem";
import { threadFile } from "../built";
import { calendarsOf } from "./bookings";
import { CalendarProblem, fetchCalendar, type FetchLimits } from "./fetch-calendar";
import { countChange } from "./book";
import type { CalendarBooking, CalendarText } from "./read-calendar";
import type { BookingCalendarRow, BookingRow } from "./tables";

const DAY_MS = 86_400_000;
/** From yesterday, so that what was moved to earlier today is seen, to so many days ahead. */
const WINDOW_DAYS = { before: 1, ahead: 60 };
const MOST_CALENDARS = 40;
/** A thread that reads longer is ended. */
const READING_MS = 10_000;
const THREAD_MB = 256;
/** Words of bookings that were not recognised are shown so far. */
const MOST_SHOWN = 20;

let pool: Piscina | undefined;

async function bookingsIn(sent: CalendarText): Promise<CalendarBooking[]> {
  pool ??= new Piscina({
    ...threadFile("./booking/read-calendar.ts"),
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: 30_000,
    resourceLimits: { maxOldGenerationSizeMb: THREAD_MB },
  });
  try {
    return (await pool.run(sent, { signal: AbortSignal.timeout(READING_MS) })) as CalendarBooking[];
  } catch (error) {
    const { name, message } = error as Error;
    throw new CalendarProblem(/^(The|What) /.test(message) && name === "Error" ? message : "The calendar is too large to be read.");
  }
}

/** Ends the thread that reads, for whoever stops the server. */
export async function stopReading(): Promise<void> {
  await pool?.destroy();
  pool = undefined;
}

export async function addCalendar(
  db: Db,
  caller: Caller,
  at: Date,
  crewId: string,
  { id, personId, name, address }: NewBookingCalendar,
  limits: FetchLimits,
): Promise<ReadCalendar> {
  await inTransaction(db, async (transaction) => {
    await lockCrew(db, caller, crewId, transaction);
    const known = (await db.models.BookingCalendar.findByPk(id, { transaction }))?.get();
    // Addresses are encrypted: none is found by what it says.
    const others = (await db.models.BookingCalendar.findAll({ where: { crewId, id: { [Op.ne]: id } }, transaction })).map((row) =>
      row.get(),
    );
    if (known && known.crewId !== crewId) throw new Problem(409, "taken", "This id belongs to another calendar.");
    if (personId && !(await db.models.Person.findOne({ where: { id: personId, crewId }, transaction })))
      throw invalid([{ path: "personId", message: "is not in this crew" }]);
    if (!known && others.length >= MOST_CALENDARS)
      throw invalid([{ path: "address", message: `is one too many: at most ${MOST_CALENDARS} calendars` }]);
    if (others.some((other) => other.address === address)) throw invalid([{ path: "address", message: "is read already" }]);
    const row = { id, crewId, personId, name, address, madeAt: at, nextReadAt: at };
    if (!known)
      await db.models.BookingCalendar.create(
        { ...row, readAt: null, contentHash: null, found: 0, unknown: 0, problem: null },
        { transaction },
      );
  });
  return readNow(db, caller, at, crewId, id, limits);
}

export async function readNow(db: Db, caller: Caller, at: Date, crewId: string, id: string, limits: FetchLimits): Promise<ReadCalendar> {
  const crew = await crewOf(db, caller, crewId);
  const row = (await db.models.BookingCalendar.findOne({ where: { id, crewId } }))?.get({ plain: true });
  if (!row) throw notFound("calendar");
  const { problem, unknown } = await readOne(db, crew, row, at, limits, true);
  return { calendars: await calendarsOf(db, crewId), problem, unknown };
}

/** What was read ahead goes with it; what is past stays. */
export async function removeCalendar(db: Db, caller: Caller, at: Date, crewId: string, id: string): Promise<ReadCalendar> {
  await inTransaction(db, async (transaction) => {
    await lockCrew(db, caller, crewId, transaction);
    await db.models.Booking.destroy({ where: { crewId, calendarId: id, startsAt: { [Op.gt]: at } }, transaction });
    await db.models.Booking.update({ calendarId: null, sourceKey: null }, { where: { crewId, calendarId: id }, transaction });
    const gone = await db.models.BookingCalendar.destroy({ where: { id, crewId }, transaction });
    if (gone > 0) await countChange(db, crewId, transaction);
  });
  return { calendars: await calendarsOf(db, crewId), problem: null, unknown: [] };
}

type Read = Pick<ReadCalendar, "problem" | "unknown">;

async function readOne(db: Db, crew: CrewRow, calendar: BookingCalendarRow, at: Date, limits: FetchLimits, anyway: boolean): Promise<Read> {
  const { timeZone } = crew.detail;
  const window = { fromMs: at.getTime() - WINDOW_DAYS.before * DAY_MS, untilMs: at.getTime() + WINDOW_DAYS.ahead * DAY_MS };
  try {
    const text = await fetchCalendar(calendar.address, limits);
    const [people, work] = await Promise.all([
      db.models.Person.findAll({ where: { crewId: crew.id }, attributes: ["id", "name"], order: ["id"] }),
      db.models.Work.findByPk(crew.id),
    ]);
    const treatments = work?.get().document.treatments ?? [];
    const crewPeople = people.map((person) => ({ id: person.get().id, name: person.get().name }));
    const contentHash = createHash("sha256")
      .update(JSON.stringify([text, dateAt(at.getTime(), timeZone), treatments, crewPeople]))
      .digest("hex");
    if (!anyway && contentHash === calendar.contentHash) {
      await db.models.BookingCalendar.update({ readAt: at, problem: null }, { where: { id: calendar.id } });
      return { problem: null, unknown: [] };
    }
    const read = (await bookingsIn({ text, timeZone, ...window })).map((each) => ({
      ...each,
      personId: calendar.personId ?? personNamed(each.texts, crewPeople)?.id ?? null,
      treatmentId: treatmentNamed(each.texts, treatments)?.id ?? null,
    }));
    const unknown = read.filter(({ personId, treatmentId, cancelled }) => !cancelled && (!personId || !treatmentId));
    await inTransaction(db, async (transaction) => {
      await takeTurn(db, crew.id, transaction);
      const changed = await storeRead(db, crew.id, calendar.id, at, window.untilMs, read, transaction);
      await db.models.BookingCalendar.update(
        { readAt: at, contentHash, found: read.length, unknown: unknown.length, problem: null },
        { where: { id: calendar.id }, transaction },
      );
      if (changed) await countChange(db, crew.id, transaction);
    });
    const shown = unknown.slice(0, MOST_SHOWN);
    return {
      problem: null,
      unknown: shown.map(({ texts, startMs, personId, treatmentId }) => ({
        text: (texts[0] ?? "").slice(0, 120),
        startsAt: new Date(startMs).toISOString(),
        what: treatmentId === null,
        who: personId === null,
      })),
    };
  } catch (error) {
    if (!(error instanceof CalendarProblem)) throw error;
    // What was read before stays as it is: a calendar that is away cancels nothing.
    await db.models.BookingCalendar.update({ problem: error.message }, { where: { id: calendar.id } });
    return { problem: error.message, unknown: [] };
  }
}

type ReadBooking = CalendarBooking & { personId: string | null; treatmentId: string | null };

/** What the calendar says now; what was changed by hand stays until the calendar says something else of it. @returns whether anything changed */
async function storeRead(
  db: Db,
  crewId: string,
  calendarId: string,
  at: Date,
  untilMs: number,
  read: readonly ReadBooking[],
  transaction: Transaction,
): Promise<boolean> {
  const rows = (await db.models.Booking.findAll({ where: { crewId, calendarId }, transaction })).map((row) => row.get({ plain: true }));
  const known = new Map(rows.map((row) => [row.sourceKey!, row]));
  const changed: BookingRow[] = [];
  for (const each of read) {
    const { key, startMs, lengthMin, cancelled, personId, treatmentId } = each;
    if (!personId) continue;
    const was = known.get(key);
    known.delete(key);
    const readAs = [startMs, lengthMin, cancelled, personId].join(" ");
    const isAsRead = was?.readAs === readAs;
    if (isAsRead && (was!.treatmentId !== null || treatmentId === null)) continue;
    const now = isAsRead ? was! : { personId, startsAt: new Date(startMs), lengthMin, cancelled };
    changed.push({
      ...{ id: was?.id ?? uuid(), crewId, calendarId, sourceKey: key, readAs, version: (was?.version ?? 0) + 1 },
      ...{ personId: now.personId, startsAt: now.startsAt, lengthMin: now.lengthMin, cancelled: now.cancelled },
      treatmentId: was?.treatmentId ?? treatmentId,
    });
  }
  // What is in it no more was cancelled.
  for (const row of known.values()) {
    const isAhead = row.startsAt.getTime() > at.getTime() && row.startsAt.getTime() < untilMs;
    if (isAhead && !row.cancelled) changed.push({ ...row, cancelled: true, readAs: "gone", version: row.version + 1 });
  }
  await db.models.Booking.bulkCreate(changed, {
    updateOnDuplicate: ["personId", "startsAt", "lengthMin", "treatmentId", "cancelled", "version", "readAs"],
    transaction,
  });
  return changed.length > 0;
}

/** Reads what is due; any number of servers may do it, each calendar is taken by one. @returns how many were read */
export async function readDue(db: Db, limits: FetchLimits, everyMs: number, clock: AppContext["now"], now = new Date()): Promise<number> {
  const due = await inTransaction(db, async (transaction) => {
    const found = await db.sequelize.query<{ id: string; practiceId: string }>(
      `SELECT b.id, a.practiceId FROM booking_calendars b JOIN crews c ON c.id = b.crewId JOIN accounts a ON a.id = c.trainerId
       WHERE b.nextReadAt <= :now AND c.removedAt IS NULL ORDER BY b.nextReadAt LIMIT 10 FOR UPDATE SKIP LOCKED`,
      { replacements: { now }, type: QueryTypes.SELECT, transaction },
    );
    await db.models.BookingCalendar.update(
      { nextReadAt: new Date(now.getTime() + everyMs) },
      { where: { id: found.map(({ id }) => id) }, transaction },
    );
    return found;
  });
  for (const { id, practiceId } of due) {
    const row = (await db.models.BookingCalendar.findByPk(id))?.get({ plain: true });
    const crew = row && (await db.models.Crew.findByPk(row.crewId))?.get({ plain: true });
    if (crew) await readOne(db, crew, row!, await clock({ practiceId } as Caller), limits, false);
  }
  return due.length;
}

const LOOK_MS = 2000;

/** Looks for what is due every two seconds; a database that is away is asked again the next time. @returns stops it */
export function startReading(db: Db, limits: FetchLimits, everyMs: number, clock: AppContext["now"]): () => void {
  let busy = false;
  const timer = setInterval(() => {
    if (busy) return;
    busy = true;
    readDue(db, limits, everyMs, clock)
      .catch(() => 0)
      .finally(() => (busy = false));
  }, LOOK_MS);
  return () => {
    clearInterval(timer);
    void stopReading();
  };
}
