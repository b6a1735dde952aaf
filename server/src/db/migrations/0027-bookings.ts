/** Days of bookings: what is booked, the calendars it is read from, and what was laid between the treatments. */
import { inTurn } from "../in-turn";

const UP = [
  `CREATE TABLE IF NOT EXISTS booking_books (
    crewId CHAR(36) NOT NULL PRIMARY KEY,
    version INT NOT NULL,
    changes INT NOT NULL,
    document JSON NOT NULL,
    format SMALLINT NOT NULL,
    CONSTRAINT booking_books_crew FOREIGN KEY (crewId) REFERENCES crews (id)
  )`,
  `CREATE TABLE IF NOT EXISTS booking_calendars (
    id CHAR(36) NOT NULL PRIMARY KEY,
    crewId CHAR(36) NOT NULL,
    personId CHAR(36) NULL,
    name VARCHAR(160) NOT NULL,
    address VARCHAR(600) NOT NULL,
    madeAt DATETIME(3) NOT NULL,
    nextReadAt DATETIME(3) NOT NULL,
    readAt DATETIME(3) NULL,
    contentHash VARCHAR(64) NULL,
    found INT NOT NULL,
    unknown INT NOT NULL,
    problem VARCHAR(600) NULL,
    KEY booking_calendars_crew (crewId),
    KEY booking_calendars_due (nextReadAt),
    CONSTRAINT booking_calendars_crew FOREIGN KEY (crewId) REFERENCES crews (id)
  )`,
  `CREATE TABLE IF NOT EXISTS bookings (
    id CHAR(36) NOT NULL PRIMARY KEY,
    crewId CHAR(36) NOT NULL,
    personId CHAR(36) NOT NULL,
    startsAt DATETIME(3) NOT NULL,
    lengthMin INT NOT NULL,
    treatmentId CHAR(36) NULL,
    cancelled TINYINT(1) NOT NULL,
    version INT NOT NULL,
    calendarId CHAR(36) NULL,
    sourceKey CHAR(64) NULL,
    readAs VARCHAR(160) NULL,
    KEY bookings_of_days (crewId, startsAt),
    UNIQUE KEY bookings_source (calendarId, sourceKey),
    CONSTRAINT bookings_crew FOREIGN KEY (crewId) REFERENCES crews (id),
    CONSTRAINT bookings_person FOREIGN KEY (personId) REFERENCES people (id)
  )`,
  `CREATE TABLE IF NOT EXISTS booked_days (
    crewId CHAR(36) NOT NULL,
    day DATE NOT NULL,
    laidFrom CHAR(64) NOT NULL,
    gap DOUBLE NOT NULL,
    missed JSON NOT NULL,
    PRIMARY KEY (crewId, day),
    CONSTRAINT booked_days_crew FOREIGN KEY (crewId) REFERENCES crews (id)
  )`,
  `CREATE TABLE IF NOT EXISTS booked_sessions (
    id CHAR(36) NOT NULL PRIMARY KEY,
    crewId CHAR(36) NOT NULL,
    personId CHAR(36) NOT NULL,
    day DATE NOT NULL,
    kind VARCHAR(16) NOT NULL,
    programId CHAR(36) NOT NULL,
    sessionId CHAR(36) NOT NULL,
    startsAt DATETIME(3) NOT NULL,
    lengthMin INT NOT NULL,
    afterId CHAR(36) NULL,
    KEY booked_sessions_day (crewId, day),
    CONSTRAINT booked_sessions_crew FOREIGN KEY (crewId) REFERENCES crews (id),
    CONSTRAINT booked_sessions_person FOREIGN KEY (personId) REFERENCES people (id)
  )`,
];
const DOWN = ["booked_sessions", "booked_days", "bookings", "booking_calendars", "booking_books"].map(
  (table) => `DROP TABLE IF EXISTS ${table}`,
);

export const bookings = { up: inTurn(UP), down: inTurn(DOWN) };
