/** Symptom reports that pause by themselves and are answered; late runs that clash; crew figures that are frozen; when a placement changed. */
import type { QueryInterface } from "sequelize";

/** Each step can be begun again: a start that was killed in the middle goes on at the next. */
const TABLES = [
  `CREATE TABLE IF NOT EXISTS symptom_alerts (
    id CHAR(36) NOT NULL PRIMARY KEY, crewId CHAR(36) NOT NULL, personId CHAR(36) NOT NULL, cause VARCHAR(20) NOT NULL, causeId CHAR(36) NOT NULL, kind VARCHAR(20) NOT NULL,
    side VARCHAR(5) NULL, regions JSON NOT NULL, since DATETIME(3) NOT NULL, answer VARCHAR(20) NULL, reply VARCHAR(600) NULL, answeredAt DATETIME(3) NULL, answeredBy CHAR(36) NULL, endedAt DATETIME(3) NULL,
    UNIQUE KEY symptom_alerts_cause (personId, causeId), KEY symptom_alerts_crew (crewId, endedAt), KEY symptom_alerts_person (personId, since), CONSTRAINT symptom_alerts_person_key FOREIGN KEY (personId) REFERENCES people (id))`,
  `CREATE TABLE IF NOT EXISTS frozen_blocks (
    crewId CHAR(36) NOT NULL, blockStart DATE NOT NULL, frozenAt DATETIME(3) NOT NULL, figures JSON NOT NULL, behind JSON NOT NULL,
    PRIMARY KEY (crewId, blockStart), CONSTRAINT frozen_blocks_crew FOREIGN KEY (crewId) REFERENCES crews (id))`,
  `CREATE TABLE IF NOT EXISTS frozen_changes (
    crewId CHAR(36) NOT NULL, roundId CHAR(36) NOT NULL, frozenAt DATETIME(3) NOT NULL, changes JSON NOT NULL, behind JSON NOT NULL,
    PRIMARY KEY (crewId, roundId), CONSTRAINT frozen_changes_crew FOREIGN KEY (crewId) REFERENCES crews (id))`,
];
const COLUMNS: readonly [table: string, column: string, type: string][] = [
  ["placements", "changedAt", "DATETIME(3) NULL"],
  ["holds", "words", "VARCHAR(600) NULL"],
  ["tells", "side", "VARCHAR(5) NULL"],
  ["tells", "regions", "JSON NULL"],
  ["tells", "stillThere", "BOOLEAN NULL"],
  ["tells", "freshInjury", "BOOLEAN NULL"],
  ["check_ins", "stillThere", "BOOLEAN NULL"],
  ["runs", "receivedAt", "DATETIME(3) NULL"],
  ["run_people", "clash", "VARCHAR(20) NULL"],
  ["run_people", "clashAnswer", "VARCHAR(20) NULL"],
];

async function up(query: QueryInterface): Promise<void> {
  for (const table of TABLES) await query.sequelize.query(table);
  for (const [table, column, type] of COLUMNS)
    await query.sequelize.query(`ALTER TABLE ${table} ADD COLUMN IF NOT EXISTS ${column} ${type}`);
  await query.sequelize.query("ALTER TABLE run_people ADD INDEX IF NOT EXISTS run_people_clash (clash, clashAnswer)");
  // What was told and not seen yet acts like what is told from now on: no place was named, so everything waits for the answer.
  await query.sequelize.query(
    `INSERT IGNORE INTO symptom_alerts (id, crewId, personId, cause, causeId, kind, regions, since, endedAt)
     SELECT id, crewId, personId, 'report', id, kind, '[]', at, IF(kind = 'other', at, NULL) FROM tells WHERE seenAt IS NULL`,
  );
}

async function down(query: QueryInterface): Promise<void> {
  await query.sequelize.query("ALTER TABLE run_people DROP INDEX IF EXISTS run_people_clash");
  for (const [table, column] of COLUMNS) await query.sequelize.query(`ALTER TABLE ${table} DROP COLUMN IF EXISTS ${column}`);
  for (const table of [...TABLES].reverse()) await query.sequelize.query(`DROP TABLE IF EXISTS ${/EXISTS (\w+)/.exec(table)![1]}`);
}

export const theLoopCloses = { up, down };
