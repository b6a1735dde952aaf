/** Days of bookings as they are stored. */
import { BOOKING_RULES_DOCUMENT, type BookingRules, type LaidKind, type Missed } from "@kind-grip/core/booking";
import type { Sequelize } from "sequelize";
import { day, dayPart, flag, hashText, id, idPart, json, longText, moment, real, text, uuid, whole, type Table } from "../db/columns";
import { encrypted } from "../db/encrypted";
import { storedDocument } from "../db/stored-document";

export interface BookingBookRow {
  crewId: string;
  /** Of the rules. */
  version: number;
  /** Grows with every change of a booking or of the rules. */
  changes: number;
  document: BookingRules;
}

export interface BookingRow {
  id: string;
  crewId: string;
  personId: string;
  startsAt: Date;
  lengthMin: number;
  treatmentId: string | null;
  cancelled: boolean;
  version: number;
  calendarId: string | null;
  /** Which booking of its calendar it is, as a hash: what calendars call theirs may name a client. */
  sourceKey: string | null;
  /** What its calendar said when it was read: what is changed by hand stays until that says something else. */
  readAs: string | null;
}

export interface BookingCalendarRow {
  id: string;
  crewId: string;
  personId: string | null;
  name: string;
  address: string;
  madeAt: Date;
  nextReadAt: Date;
  readAt: Date | null;
  contentHash: string | null;
  found: number;
  unknown: number;
  problem: string | null;
}

export interface BookedDayRow {
  crewId: string;
  day: string;
  /** A hash of all it was laid from. */
  laidFrom: string;
  gap: number;
  missed: (Missed & { personId: string })[];
}

export interface BookedSessionRow {
  id: string;
  crewId: string;
  personId: string;
  day: string;
  kind: LaidKind;
  programId: string;
  sessionId: string;
  startsAt: Date;
  lengthMin: number;
  afterId: string | null;
}

export function defineBookingTables(sequelize: Sequelize) {
  return {
    BookingBook: sequelize.define("booking_books", {
      crewId: { ...id },
      version: whole,
      changes: whole,
      ...storedDocument(BOOKING_RULES_DOCUMENT, "document"),
    }) as Table<BookingBookRow>,
    Booking: sequelize.define("bookings", {
      id: { ...id },
      crewId: uuid,
      personId: uuid,
      startsAt: moment,
      lengthMin: whole,
      treatmentId: uuid,
      cancelled: flag,
      version: whole,
      calendarId: uuid,
      sourceKey: hashText,
      readAs: text,
    }) as Table<BookingRow>,
    BookingCalendar: sequelize.define("booking_calendars", {
      id: { ...id },
      crewId: uuid,
      personId: uuid,
      name: text,
      ...encrypted("address"),
      madeAt: moment,
      nextReadAt: moment,
      readAt: moment,
      contentHash: hashText,
      found: whole,
      unknown: whole,
      problem: longText,
    }) as Table<BookingCalendarRow>,
    BookedDay: sequelize.define("booked_days", {
      crewId: { ...idPart },
      day: { ...dayPart },
      laidFrom: hashText,
      gap: real,
      missed: json,
    }) as Table<BookedDayRow>,
    BookedSession: sequelize.define("booked_sessions", {
      id: { ...id },
      crewId: uuid,
      personId: uuid,
      day,
      kind: text,
      programId: uuid,
      sessionId: uuid,
      startsAt: moment,
      lengthMin: whole,
      afterId: uuid,
    }) as Table<BookedSessionRow>,
  };
}
