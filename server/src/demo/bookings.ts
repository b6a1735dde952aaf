/** Five weeks of bookings of the massage team, made up: back to back with what gaps there are, and a light day now and then. */
import { addDays, momentAt } from "@kind-grip/core/calendar";
import { USUAL_BOOKING_RULES } from "@kind-grip/core/booking";
import type { Treatment } from "@kind-grip/core/strain";
import { Op, type Transaction } from "sequelize";
import { v7 as uuid } from "uuid";
import type { BookingRow } from "../booking/tables";
import type { Db } from "../db/connection";
import { TIME_ZONE } from "./crews";
import type { SeededRandom } from "./seeded-random";

/** Days of bookings before and after the demo's own day. */
const DAYS = { before: 21, after: 14 };
/** Her bookings are kept in a calendar of her own; the file it begins with is made of these. */
const CALENDAR_PERSON = "Wilma Yarrow";
const CALENDAR_NAME = "wilma-yarrow";

/** As the calendar that ships with the application keeps it. */
export interface KeptBooking {
  id: string;
  calendar: string;
  title: string;
  start: string;
  minutes: number;
  cancelled: boolean;
}

interface Planned {
  start: Date;
  treatment: Treatment;
}

/** One day of one person: what starts when. */
function dayOf(random: SeededRandom, treatments: readonly Treatment[], date: string): Planned[] {
  const planned: Planned[] = [];
  const isLight = random.chance(0.22);
  const most = isLight ? random.whole(2, 3) : random.whole(5, 7);
  let afterMin = random.whole(0, 3) * 15;
  let lunch = false;
  while (planned.length < most && afterMin < 540) {
    const treatment = treatments[random.whole(0, treatments.length - 1)]!;
    planned.push({ start: new Date(momentAt(date, "10:00", afterMin, TIME_ZONE)), treatment });
    const isNoon: boolean = !lunch && afterMin > 150;
    lunch ||= isNoon;
    const gaps = [0, 5, 10, 10, 15, 15, 20];
    afterMin += treatment.lengthMin + (isNoon ? 45 : gaps[random.whole(0, gaps.length - 1)]!);
  }
  return planned;
}

/** @param today YYYY-MM-DD, the demo's own day */
export async function seedBookings(
  db: Db,
  random: SeededRandom,
  crewId: string,
  people: readonly { id: string; name: string }[],
  treatments: readonly Treatment[],
  today: string,
  transaction: Transaction,
): Promise<KeptBooking[]> {
  const rows: BookingRow[] = [];
  const kept: KeptBooking[] = [];
  for (const person of people) {
    // One more day off each week, another one for each.
    const off = random.whole(2, 6);
    for (let i = -DAYS.before; i <= DAYS.after; i++) {
      const date = addDays(today, i);
      const weekday = new Date(`${date}T00:00:00Z`).getUTCDay();
      if (weekday === 0 || weekday === 1 || (weekday === off && i !== 0)) continue;
      for (const { start, treatment } of dayOf(random, treatments, date)) {
        const id = random.id();
        if (person.name === CALENDAR_PERSON && i >= 0)
          kept.push({
            id,
            calendar: CALENDAR_NAME,
            title: treatment.name,
            start: start.toISOString(),
            minutes: treatment.lengthMin,
            cancelled: false,
          });
        else
          rows.push({
            ...{ id, crewId, personId: person.id, startsAt: start, lengthMin: treatment.lengthMin, treatmentId: treatment.id },
            ...{ cancelled: false, version: 1, calendarId: null, sourceKey: null, readAs: null },
          });
      }
    }
  }
  await db.models.Booking.bulkCreate(rows, { transaction });
  await db.models.BookingBook.create({ crewId, version: 0, changes: 1, document: USUAL_BOOKING_RULES }, { transaction });
  return kept;
}

/**
 * Tells the demo where the calendar that ships with it is today: its port may have changed since. Does nothing in a practice of somebody's
 * own.
 */
export async function pointDemoCalendar(db: Db, host: string): Promise<void> {
  const demo = await db.models.Practice.findOne({ where: { demoNow: { [Op.ne]: null } }, order: ["id"] });
  const person = demo && (await db.models.Person.findOne({ where: { name: CALENDAR_PERSON } }))?.get();
  if (!person) return;
  const address = `http://${host}/${CALENDAR_NAME}.ics`;
  const own = { crewId: person.crewId, personId: person.id, name: "Her own calendar" };
  const row = await db.models.BookingCalendar.findOne({ where: own });
  if (row) await row.update({ address });
  // Taken away by whoever tried that: it stays away.
  else if ((await db.models.Booking.count({ where: { crewId: person.crewId, personId: person.id, version: { [Op.gt]: 1 } } })) === 0)
    await db.models.BookingCalendar.create({
      ...{ id: uuid(), ...own, address, madeAt: demo.get().demoNow!, nextReadAt: new Date(0) },
      ...{ readAt: null, contentHash: null, found: 0, unknown: 0, problem: null },
    });
}
