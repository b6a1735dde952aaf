/** The first-aid book of each crew. May be run again after a broken start. */
import type { QueryInterface } from "sequelize";

const UP = `CREATE TABLE IF NOT EXISTS first_aid_books (
  crewId CHAR(36) NOT NULL PRIMARY KEY, document JSON NOT NULL, format SMALLINT NOT NULL, version INT NOT NULL,
  changedAt DATETIME(3) NOT NULL, CONSTRAINT first_aid_books_crew FOREIGN KEY (crewId) REFERENCES crews (id))`;

const run = (statement: string) => async (query: QueryInterface) => void (await query.sequelize.query(statement));

export const firstAid = { up: run(UP), down: run("DROP TABLE IF EXISTS first_aid_books") };
