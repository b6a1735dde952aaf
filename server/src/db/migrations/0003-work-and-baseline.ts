/** The work of a crew, baseline rounds, holds and clearances, and the trail of who saw or changed health answers. */
import type { QueryInterface } from "sequelize";

/** Each step can be begun again: a start that was killed in the middle goes on at the next. */
const TABLES = [
  `CREATE TABLE IF NOT EXISTS works (
    crewId CHAR(36) NOT NULL PRIMARY KEY, document JSON NOT NULL, version INT NOT NULL, changedAt DATETIME(3) NOT NULL,
    CONSTRAINT works_crew FOREIGN KEY (crewId) REFERENCES crews (id))`,
  `CREATE TABLE IF NOT EXISTS baseline_rounds (
    id CHAR(36) NOT NULL PRIMARY KEY, crewId CHAR(36) NOT NULL, name VARCHAR(160) NOT NULL, startedOn DATE NOT NULL, closedAt DATETIME(3) NULL,
    KEY baseline_rounds_crew (crewId, startedOn), CONSTRAINT baseline_rounds_crew_key FOREIGN KEY (crewId) REFERENCES crews (id))`,
  `CREATE TABLE IF NOT EXISTS baseline_records (
    roundId CHAR(36) NOT NULL, personId CHAR(36) NOT NULL, document JSON NOT NULL, symptoms JSON NOT NULL, version INT NOT NULL, changedAt DATETIME(3) NOT NULL,
    PRIMARY KEY (roundId, personId), KEY baseline_records_person (personId, changedAt),
    CONSTRAINT baseline_records_round FOREIGN KEY (roundId) REFERENCES baseline_rounds (id), CONSTRAINT baseline_records_person_key FOREIGN KEY (personId) REFERENCES people (id))`,
  `CREATE TABLE IF NOT EXISTS holds (
    id CHAR(36) NOT NULL PRIMARY KEY, crewId CHAR(36) NOT NULL, personId CHAR(36) NOT NULL, question VARCHAR(40) NOT NULL, since DATETIME(3) NOT NULL, roundId CHAR(36) NULL,
    withdrawnAt DATETIME(3) NULL, withdrawnWhy VARCHAR(600) NULL,
    KEY holds_crew (crewId, since), KEY holds_person (personId), CONSTRAINT holds_crew_key FOREIGN KEY (crewId) REFERENCES crews (id), CONSTRAINT holds_person_key FOREIGN KEY (personId) REFERENCES people (id))`,
  `CREATE TABLE IF NOT EXISTS clearances (
    id CHAR(36) NOT NULL PRIMARY KEY, crewId CHAR(36) NOT NULL, personId CHAR(36) NOT NULL, holdId CHAR(36) NOT NULL, givenBy VARCHAR(160) NOT NULL, profession VARCHAR(160) NOT NULL,
    allows JSON NOT NULL, fromDay DATE NOT NULL, untilDay DATE NOT NULL, note VARCHAR(600) NULL, enteredAt DATETIME(3) NOT NULL, withdrawnAt DATETIME(3) NULL, withdrawnWhy VARCHAR(600) NULL,
    KEY clearances_crew (crewId, untilDay), CONSTRAINT clearances_hold FOREIGN KEY (holdId) REFERENCES holds (id))`,
  `CREATE TABLE IF NOT EXISTS audit_entries (
    id BIGINT NOT NULL AUTO_INCREMENT PRIMARY KEY, crewId CHAR(36) NOT NULL, personId CHAR(36) NULL, accountId CHAR(36) NOT NULL, act VARCHAR(10) NOT NULL, subject VARCHAR(20) NOT NULL,
    what VARCHAR(160) NOT NULL, at DATETIME(3) NOT NULL, lastAt DATETIME(3) NOT NULL, times INT NOT NULL,
    KEY audit_entries_crew (crewId, id), KEY audit_entries_reading (crewId, accountId, act, subject, lastAt), CONSTRAINT audit_entries_crew_key FOREIGN KEY (crewId) REFERENCES crews (id))`,
];

async function up(query: QueryInterface): Promise<void> {
  for (const table of TABLES) await query.sequelize.query(table);
  await query.sequelize.query("ALTER TABLE run_people ADD COLUMN IF NOT EXISTS leftOut JSON NOT NULL DEFAULT '[]'");
}

async function down(query: QueryInterface): Promise<void> {
  await query.sequelize.query("ALTER TABLE run_people DROP COLUMN IF EXISTS leftOut");
  for (const table of [...TABLES].reverse()) await query.sequelize.query(`DROP TABLE IF EXISTS ${/EXISTS (\w+)/.exec(table)![1]}`);
}

export const workAndBaseline = { up, down };
