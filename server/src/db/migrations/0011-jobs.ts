/**
 * Long work that is asked for and fetched later: it outlives a server that is killed and is done once, however many servers there are.
 * Each statement may be run again after a broken start.
 */
import type { QueryInterface } from "sequelize";

const UP = [
  `CREATE TABLE IF NOT EXISTS jobs (
    id CHAR(36) NOT NULL PRIMARY KEY, practiceId CHAR(36) NOT NULL, crewId CHAR(36) NULL, subjectId CHAR(36) NOT NULL,
    kind VARCHAR(160) NOT NULL, contentKey CHAR(64) NOT NULL, fileName VARCHAR(160) NOT NULL, task LONGTEXT NULL,
    state VARCHAR(160) NOT NULL, progress DOUBLE NULL, asking INTEGER NOT NULL, askedAt DATETIME(3) NOT NULL,
    takenBy CHAR(36) NULL, takenUntil DATETIME(3) NULL, tries INTEGER NOT NULL, problem VARCHAR(600) NULL, file LONGBLOB NULL,
    UNIQUE KEY jobs_content (contentKey), KEY jobs_state (state, askedAt))`,
];
const DOWN = ["DROP TABLE IF EXISTS jobs"];

const run = (statements: readonly string[]) => async (query: QueryInterface) => {
  for (const statement of statements) await query.sequelize.query(statement);
};

export const jobs = { up: run(UP), down: run(DOWN) };
