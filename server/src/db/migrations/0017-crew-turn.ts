/** Counted up by every change of a crew's records, so that changes take turns on several database nodes too. */
import type { QueryInterface } from "sequelize";

const run = (statement: string) => async (query: QueryInterface) => void (await query.sequelize.query(statement));

export const crewTurn = {
  up: run("ALTER TABLE crews ADD COLUMN IF NOT EXISTS turn BIGINT NOT NULL DEFAULT 0"),
  down: run("ALTER TABLE crews DROP COLUMN IF EXISTS turn"),
};
