/** Programs a practice keeps as templates. May be run again after a broken start. */
import type { QueryInterface } from "sequelize";

const UP = `CREATE TABLE IF NOT EXISTS templates (
  id CHAR(36) NOT NULL PRIMARY KEY, practiceId CHAR(36) NOT NULL, name VARCHAR(160) NOT NULL, why VARCHAR(600) NOT NULL,
  document JSON NOT NULL, format SMALLINT NOT NULL, keptAt DATETIME(3) NOT NULL, removedAt DATETIME(3) NULL,
  KEY templates_practice (practiceId, removedAt), CONSTRAINT templates_practice_key FOREIGN KEY (practiceId) REFERENCES practices (id))`;

const run = (statement: string) => async (query: QueryInterface) => void (await query.sequelize.query(statement));

export const templates = { up: run(UP), down: run("DROP TABLE IF EXISTS templates") };
