/** What Today counts up is read from indexes alone. Each statement may be run again after a broken start. */
import type { QueryInterface } from "sequelize";

const UP = [
  "ALTER TABLE people ADD INDEX IF NOT EXISTS people_crew_version (crewId, version)",
  "ALTER TABLE baseline_records ADD INDEX IF NOT EXISTS baseline_records_version (roundId, version)",
];
const DOWN = [
  "ALTER TABLE baseline_records DROP INDEX IF EXISTS baseline_records_version",
  "ALTER TABLE people DROP INDEX IF EXISTS people_crew_version",
];

const run = (statements: readonly string[]) => async (query: QueryInterface) => {
  for (const statement of statements) await query.sequelize.query(statement);
};

export const todayIndex = { up: run(UP), down: run(DOWN) };
