/**
 * The trail is written to and never over: each reading is a row of its own with an id nobody can count on, lines of the list are rows of
 * one `lineId`, and sealed segments are chained by their hashes. Rows of before are carried over; a broken start may run it again.
 */
import { QueryTypes, type QueryInterface } from "sequelize";

const TABLES = [
  `CREATE TABLE IF NOT EXISTS trail_entries (
    id CHAR(36) NOT NULL PRIMARY KEY, lineId CHAR(36) NOT NULL, practiceId CHAR(36) NOT NULL, crewId CHAR(36) NULL, personId CHAR(36) NULL,
    accountId CHAR(36) NOT NULL, act VARCHAR(10) NOT NULL, subject VARCHAR(20) NOT NULL, what VARCHAR(160) NOT NULL, at DATETIME(3) NOT NULL,
    times INT NOT NULL, segmentId CHAR(36) NULL,
    KEY trail_entries_crew (crewId, at), KEY trail_entries_practice (practiceId, segmentId, at), KEY trail_entries_reading (accountId, crewId, act, subject, at))`,
  `CREATE TABLE IF NOT EXISTS trail_segments (
    id CHAR(36) NOT NULL PRIMARY KEY, practiceId CHAR(36) NOT NULL, number INT NOT NULL, entries INT NOT NULL, fromAt DATETIME(3) NOT NULL,
    untilAt DATETIME(3) NOT NULL, previousHash CHAR(64) NOT NULL, hash CHAR(64) NOT NULL, sealedAt DATETIME(3) NOT NULL, removedAt DATETIME(3) NULL,
    UNIQUE KEY trail_segments_number (practiceId, number))`,
];

/** The same id for the same row of before, and none that can be guessed from its number. */
const idOf = (part: string) => {
  const digits = `MD5(CONCAT('${part}', e.id, e.crewId, e.accountId, e.at))`;
  return `INSERT(INSERT(INSERT(INSERT(${digits}, 9, 0, '-'), 14, 0, '-'), 19, 0, '-'), 24, 0, '-')`;
};
/** A line that stood for several readings becomes its first and its last, the last counting for the rest. */
const carryOver = (part: "first" | "last") => `
  INSERT IGNORE INTO trail_entries (id, lineId, practiceId, crewId, personId, accountId, act, subject, what, at, times)
  SELECT ${idOf(part)}, ${idOf("first")}, a.practiceId, e.crewId, e.personId, e.accountId, e.act, e.subject, e.what,
    ${part === "first" ? "e.at, 1" : "e.lastAt, e.times - 1"}
  FROM audit_entries e JOIN crews c ON c.id = e.crewId JOIN accounts a ON a.id = c.trainerId ${part === "last" ? "WHERE e.times > 1" : ""}`;

async function up({ sequelize }: QueryInterface): Promise<void> {
  for (const table of TABLES) await sequelize.query(table);
  const before = await sequelize.query("SHOW TABLES LIKE 'audit_entries'", { type: QueryTypes.SELECT });
  if (before.length === 0) return;
  for (const part of ["first", "last"] as const) await sequelize.query(carryOver(part));
  await sequelize.query("DROP TABLE audit_entries");
}

async function down({ sequelize }: QueryInterface): Promise<void> {
  await sequelize.query("DROP TABLE IF EXISTS trail_segments");
  await sequelize.query("DROP TABLE IF EXISTS trail_entries");
}

export const trail = { up, down };
