/** A crew member's own bookings, on their phone. */
import type { MemberBooking, MemberPulse, RunningLate } from "@kind-grip/core/api";
import { dateAt } from "@kind-grip/core/calendar";
import { isDeep, runningLate } from "@kind-grip/core/booking";
import type { Caller } from "../auth/caller";
import { crewOf, lockCrew } from "../crew/crews";
import type { CrewRow } from "../crew/tables";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { notFound, stale } from "../http/problem";
import { bookingOf, bookingsOf, bookOf, countChange } from "./book";
import { laidForPerson } from "./laid";
import type { BookedSessionRow } from "./tables";

interface BookingsAhead {
  bookings: MemberBooking[];
  sessions: BookedSessionRow[];
  changes: number;
}

/** Today and the days after. @returns null for who works no bookings */
export async function bookingsAhead(
  db: Db,
  practiceId: string,
  crew: CrewRow,
  personId: string,
  at: Date,
  days: number,
): Promise<BookingsAhead | null> {
  if (!crew.detail.byBookings) return null;
  // Before what it stands for: who asks again because it grew meanwhile loses nothing.
  const { changes } = await bookOf(db, crew.id);
  const today = dateAt(at.getTime(), crew.detail.timeZone);
  const sessions = await laidForPerson(db, practiceId, crew, personId, at, days);
  const [rows, work] = await Promise.all([bookingsOf(db, crew, today, days), db.models.Work.findByPk(crew.id)]);
  const treatments = work?.get().document.treatments ?? [];
  const bookings = rows
    .filter((row) => row.personId === personId && !row.cancelled)
    .map((row): MemberBooking => ({
      id: row.id,
      version: row.version,
      startsAt: row.startsAt.toISOString(),
      lengthMin: row.lengthMin,
      name: treatments.find(({ id }) => id === row.treatmentId)?.name ?? null,
      deep: isDeep(bookingOf(row), treatments),
    }));
  return { bookings, sessions, changes };
}

export async function bookingPulse(db: Db, caller: Caller): Promise<MemberPulse> {
  const crew = await crewOf(db, caller, caller.crewId!);
  return { changes: crew.detail.byBookings ? (await bookOf(db, crew.id)).changes : null };
}

/** @throws Problem 404 for what is not theirs, 409 when it was moved meanwhile */
export async function runLate(db: Db, caller: Caller, at: Date, { bookingId, version, byMin }: RunningLate): Promise<void> {
  await inTransaction(db, async (transaction) => {
    const crew = await lockCrew(db, caller, caller.crewId!, transaction);
    const row = (await db.models.Booking.findByPk(bookingId, { transaction }))?.get({ plain: true });
    if (!row || row.personId !== caller.accountId) throw notFound("booking");
    if (row.version !== version) throw stale({ version: row.version });
    const date = dateAt(row.startsAt.getTime(), crew.detail.timeZone);
    const own = (await bookingsOf(db, crew, date, 1, transaction)).filter(({ personId }) => personId === caller.accountId);
    const { turnMin } = (await bookOf(db, crew.id, transaction)).document;
    const late = runningLate(own.map(bookingOf), bookingId, byMin, turnMin);
    for (const { id, startsAt } of late) {
      const was = own.find((each) => each.id === id)!;
      await db.models.Booking.update({ startsAt: new Date(startsAt), version: was.version + 1 }, { where: { id }, transaction });
    }
    if (late.length > 0) await countChange(db, crew.id, transaction);
  });
}
