/** The first tables: practice, sign-in, crews, people, programs, week plans, runs. */
import type { QueryInterface } from "sequelize";

/** Each step can be begun again: a start that was killed in the middle goes on at the next. */
const TABLES = [
  `CREATE TABLE IF NOT EXISTS practices (
    id CHAR(36) NOT NULL PRIMARY KEY, name VARCHAR(160) NOT NULL, demoNow DATETIME(3) NULL)`,
  `CREATE TABLE IF NOT EXISTS accounts (
    id CHAR(36) NOT NULL PRIMARY KEY, practiceId CHAR(36) NOT NULL, role VARCHAR(20) NOT NULL, email VARCHAR(160) NOT NULL, name VARCHAR(160) NOT NULL, passwordHash VARCHAR(160) NOT NULL,
    UNIQUE KEY accounts_email (email), CONSTRAINT accounts_practice FOREIGN KEY (practiceId) REFERENCES practices (id))`,
  `CREATE TABLE IF NOT EXISTS signed_in_sessions (
    sid VARCHAR(64) NOT NULL PRIMARY KEY, expires DATETIME NULL, data TEXT NULL, createdAt DATETIME NOT NULL, updatedAt DATETIME NOT NULL, KEY signed_in_sessions_expires (expires))`,
  `CREATE TABLE IF NOT EXISTS sign_in_attempts (
    id BIGINT NOT NULL AUTO_INCREMENT PRIMARY KEY, email VARCHAR(160) NOT NULL, address VARCHAR(160) NOT NULL, at DATETIME(3) NOT NULL,
    KEY sign_in_attempts_email (email, at), KEY sign_in_attempts_address (address, at))`,
  `CREATE TABLE IF NOT EXISTS crews (
    id CHAR(36) NOT NULL PRIMARY KEY, trainerId CHAR(36) NOT NULL, name VARCHAR(160) NOT NULL, detail JSON NOT NULL, version INT NOT NULL, removedAt DATETIME(3) NULL,
    KEY crews_trainer (trainerId, removedAt), CONSTRAINT crews_trainer_account FOREIGN KEY (trainerId) REFERENCES accounts (id))`,
  `CREATE TABLE IF NOT EXISTS people (
    id CHAR(36) NOT NULL PRIMARY KEY, crewId CHAR(36) NOT NULL, name VARCHAR(160) NOT NULL, badge VARCHAR(40) NULL, handedness VARCHAR(10) NULL, startedOn DATE NULL, leftOn DATE NULL, version INT NOT NULL,
    UNIQUE KEY people_badge (crewId, badge), CONSTRAINT people_crew FOREIGN KEY (crewId) REFERENCES crews (id))`,
  `CREATE TABLE IF NOT EXISTS programs (
    id CHAR(36) NOT NULL PRIMARY KEY, crewId CHAR(36) NOT NULL, name VARCHAR(160) NOT NULL, document JSON NOT NULL, version INT NOT NULL, changedAt DATETIME(3) NOT NULL, removedAt DATETIME(3) NULL,
    KEY programs_crew (crewId, removedAt), CONSTRAINT programs_crew_key FOREIGN KEY (crewId) REFERENCES crews (id))`,
  `CREATE TABLE IF NOT EXISTS week_plans (
    crewId CHAR(36) NOT NULL, weekStart DATE NOT NULL, version INT NOT NULL, PRIMARY KEY (crewId, weekStart), CONSTRAINT week_plans_crew FOREIGN KEY (crewId) REFERENCES crews (id))`,
  `CREATE TABLE IF NOT EXISTS placements (
    id CHAR(36) NOT NULL PRIMARY KEY, crewId CHAR(36) NOT NULL, weekStart DATE NOT NULL, programId CHAR(36) NOT NULL, sessionId CHAR(36) NOT NULL, startsAt DATETIME(3) NOT NULL,
    KEY placements_crew_start (crewId, startsAt), CONSTRAINT placements_week FOREIGN KEY (crewId, weekStart) REFERENCES week_plans (crewId, weekStart), CONSTRAINT placements_program FOREIGN KEY (programId) REFERENCES programs (id))`,
  `CREATE TABLE IF NOT EXISTS runs (
    id CHAR(36) NOT NULL PRIMARY KEY, crewId CHAR(36) NOT NULL, ledBy CHAR(36) NOT NULL, programId CHAR(36) NULL, placementId CHAR(36) NULL, sessionName VARCHAR(160) NOT NULL, slot VARCHAR(20) NOT NULL, session JSON NOT NULL,
    startedAt DATETIME(3) NOT NULL, endedAt DATETIME(3) NOT NULL, plannedSec DOUBLE NOT NULL, doneSec DOUBLE NOT NULL,
    KEY runs_crew_start (crewId, startedAt), KEY runs_placement (placementId), CONSTRAINT runs_crew FOREIGN KEY (crewId) REFERENCES crews (id))`,
  `CREATE TABLE IF NOT EXISTS run_people (
    runId CHAR(36) NOT NULL, personId CHAR(36) NOT NULL, present BOOLEAN NOT NULL, effort INT NULL, markCount INT NOT NULL, marks JSON NOT NULL, forms JSON NOT NULL,
    PRIMARY KEY (runId, personId), KEY run_people_person (personId), CONSTRAINT run_people_run FOREIGN KEY (runId) REFERENCES runs (id), CONSTRAINT run_people_person_key FOREIGN KEY (personId) REFERENCES people (id))`,
  `CREATE TABLE IF NOT EXISTS run_items (
    runId CHAR(36) NOT NULL, position INT NOT NULL, itemId CHAR(36) NOT NULL, movementId VARCHAR(60) NOT NULL, formId VARCHAR(40) NOT NULL, plannedSec DOUBLE NOT NULL, doneSec DOUBLE NOT NULL, status VARCHAR(10) NOT NULL,
    PRIMARY KEY (runId, position), CONSTRAINT run_items_run FOREIGN KEY (runId) REFERENCES runs (id))`,
];

async function up(query: QueryInterface): Promise<void> {
  for (const table of TABLES) await query.sequelize.query(table);
}

async function down(query: QueryInterface): Promise<void> {
  for (const table of [...TABLES].reverse()) await query.sequelize.query(`DROP TABLE IF EXISTS ${/EXISTS (\w+)/.exec(table)![1]}`);
}

export const wholePath = { up, down };
