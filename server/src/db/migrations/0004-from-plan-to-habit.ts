/** Roles and crew members, check-ins, decisions, roll-ups, groups, messages, calendar links, what a practice sets for itself. */
import type { QueryInterface } from "sequelize";

/** Each step can be begun again: a start that was killed in the middle goes on at the next. */
const TABLES = [
  `CREATE TABLE IF NOT EXISTS crew_access (
    accountId CHAR(36) NOT NULL, crewId CHAR(36) NOT NULL, PRIMARY KEY (accountId, crewId), KEY crew_access_crew (crewId),
    CONSTRAINT crew_access_account FOREIGN KEY (accountId) REFERENCES accounts (id), CONSTRAINT crew_access_crew_key FOREIGN KEY (crewId) REFERENCES crews (id))`,
  `CREATE TABLE IF NOT EXISTS member_access (
    personId CHAR(36) NOT NULL PRIMARY KEY, crewId CHAR(36) NOT NULL, number INT NOT NULL, pinHash VARCHAR(160) NOT NULL, cardHash CHAR(64) NOT NULL, issuedAt DATETIME(3) NOT NULL,
    UNIQUE KEY member_access_number (crewId, number), UNIQUE KEY member_access_card (cardHash), CONSTRAINT member_access_person FOREIGN KEY (personId) REFERENCES people (id))`,
  `CREATE TABLE IF NOT EXISTS check_ins (
    id CHAR(36) NOT NULL PRIMARY KEY, crewId CHAR(36) NOT NULL, personId CHAR(36) NOT NULL, day DATE NOT NULL, level INT NOT NULL, regions JSON NOT NULL, tingling BOOLEAN NOT NULL, at DATETIME(3) NOT NULL,
    UNIQUE KEY check_ins_day (personId, day), KEY check_ins_crew (crewId, day), CONSTRAINT check_ins_person FOREIGN KEY (personId) REFERENCES people (id))`,
  `CREATE TABLE IF NOT EXISTS tells (
    id CHAR(36) NOT NULL PRIMARY KEY, crewId CHAR(36) NOT NULL, personId CHAR(36) NOT NULL, movementId VARCHAR(60) NULL, kind VARCHAR(20) NOT NULL, words VARCHAR(600) NULL, at DATETIME(3) NOT NULL,
    seenAt DATETIME(3) NULL, seenBy CHAR(36) NULL, KEY tells_crew (crewId, seenAt), CONSTRAINT tells_person FOREIGN KEY (personId) REFERENCES people (id))`,
  `CREATE TABLE IF NOT EXISTS decisions (
    id CHAR(36) NOT NULL PRIMARY KEY, crewId CHAR(36) NOT NULL, personId CHAR(36) NOT NULL, programId CHAR(36) NOT NULL, itemId CHAR(36) NOT NULL, movementId VARCHAR(60) NOT NULL,
    proposed VARCHAR(20) NOT NULL, decided VARCHAR(20) NOT NULL, why VARCHAR(600) NULL, response JSON NOT NULL, was JSON NOT NULL, settings JSON NOT NULL, settingsVersion INT NOT NULL,
    decidedBy CHAR(36) NOT NULL, decidedAt DATETIME(3) NOT NULL, resumedAt DATETIME(3) NULL, resumedWhy VARCHAR(600) NULL,
    KEY decisions_crew (crewId, decidedAt), KEY decisions_person (personId, itemId, decidedAt), CONSTRAINT decisions_person_key FOREIGN KEY (personId) REFERENCES people (id))`,
  `CREATE TABLE IF NOT EXISTS proposals (
    personId CHAR(36) NOT NULL, itemId CHAR(36) NOT NULL, crewId CHAR(36) NOT NULL, programId CHAR(36) NOT NULL, movementId VARCHAR(60) NOT NULL, kind VARCHAR(20) NOT NULL, madeAt DATETIME(3) NOT NULL,
    PRIMARY KEY (personId, itemId), KEY proposals_crew (crewId, kind), CONSTRAINT proposals_person FOREIGN KEY (personId) REFERENCES people (id))`,
  `CREATE TABLE IF NOT EXISTS person_days (
    personId CHAR(36) NOT NULL, day DATE NOT NULL, crewId CHAR(36) NOT NULL, itemsDue INT NOT NULL, itemsDone INT NOT NULL, doneSec DOUBLE NOT NULL, runs INT NOT NULL, effortSum INT NOT NULL, efforts INT NOT NULL, marks INT NOT NULL,
    PRIMARY KEY (personId, day), KEY person_days_crew (crewId, day), CONSTRAINT person_days_person FOREIGN KEY (personId) REFERENCES people (id))`,
  `CREATE TABLE IF NOT EXISTS absences (
    id CHAR(36) NOT NULL PRIMARY KEY, crewId CHAR(36) NOT NULL, personId CHAR(36) NOT NULL, fromDay DATE NOT NULL, untilDay DATE NOT NULL,
    KEY absences_crew (crewId, untilDay), CONSTRAINT absences_person FOREIGN KEY (personId) REFERENCES people (id))`,
  `CREATE TABLE IF NOT EXISTS calendar_links (
    id CHAR(36) NOT NULL PRIMARY KEY, crewId CHAR(36) NOT NULL, personId CHAR(36) NULL, name VARCHAR(160) NOT NULL, tokenHash CHAR(64) NOT NULL, madeAt DATETIME(3) NOT NULL, withdrawnAt DATETIME(3) NULL, lastReadAt DATETIME(3) NULL,
    UNIQUE KEY calendar_links_token (tokenHash), KEY calendar_links_crew (crewId), CONSTRAINT calendar_links_crew_key FOREIGN KEY (crewId) REFERENCES crews (id))`,
  `CREATE TABLE IF NOT EXISTS messages (
    id CHAR(36) NOT NULL PRIMARY KEY, practiceId CHAR(36) NOT NULL, crewId CHAR(36) NOT NULL, personId CHAR(36) NOT NULL, placementId CHAR(36) NULL, text VARCHAR(600) NOT NULL, queuedAt DATETIME(3) NOT NULL,
    state VARCHAR(10) NOT NULL, tries INT NOT NULL, nextTryAt DATETIME(3) NOT NULL, sentAt DATETIME(3) NULL, problem VARCHAR(160) NULL,
    UNIQUE KEY messages_once (placementId, personId), KEY messages_due (state, nextTryAt), KEY messages_crew (crewId, queuedAt), CONSTRAINT messages_person FOREIGN KEY (personId) REFERENCES people (id))`,
];
const COLUMNS: readonly [table: string, column: string, type: string][] = [
  ["practices", "settings", "JSON NULL"],
  ["practices", "settingsVersion", "INT NOT NULL DEFAULT 1"],
  ["crews", "code", "VARCHAR(20) NULL UNIQUE"],
  ["placements", "people", "JSON NULL"],
  ["placements", "groupName", "VARCHAR(160) NULL"],
  ["runs", "alone", "BOOLEAN NOT NULL DEFAULT FALSE"],
];

async function up(query: QueryInterface): Promise<void> {
  for (const table of TABLES) await query.sequelize.query(table);
  for (const [table, column, type] of COLUMNS)
    await query.sequelize.query(`ALTER TABLE ${table} ADD COLUMN IF NOT EXISTS ${column} ${type}`);
  // Days that were before there were roll-ups, by the UTC day: close enough for what is only ever read by the week.
  await query.sequelize.query(
    `INSERT IGNORE INTO person_days (personId, day, crewId, itemsDue, itemsDone, doneSec, runs, effortSum, efforts, marks)
     SELECT rp.personId, DATE(r.startedAt), r.crewId, SUM(i.items), SUM(IF(rp.present, i.done, 0)), SUM(IF(rp.present, i.doneSec, 0)), SUM(rp.present), SUM(COALESCE(rp.effort, 0)), SUM(rp.effort IS NOT NULL), SUM(rp.markCount)
     FROM runs r JOIN run_people rp ON rp.runId = r.id
     JOIN (SELECT runId, COUNT(*) AS items, SUM(status = 'done') AS done, SUM(doneSec) AS doneSec FROM run_items GROUP BY runId) i ON i.runId = r.id
     GROUP BY rp.personId, DATE(r.startedAt), r.crewId`,
  );
}

async function down(query: QueryInterface): Promise<void> {
  for (const [table, column] of COLUMNS) await query.sequelize.query(`ALTER TABLE ${table} DROP COLUMN IF EXISTS ${column}`);
  for (const table of [...TABLES].reverse()) await query.sequelize.query(`DROP TABLE IF EXISTS ${/EXISTS (\w+)/.exec(table)![1]}`);
}

export const fromPlanToHabit = { up, down };
