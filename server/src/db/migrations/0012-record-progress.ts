/** How far a baseline record is stands beside it: counting a round reads no health answers. */
import type { QueryInterface } from "sequelize";

const run = (statement: string) => async (query: QueryInterface) => void (await query.sequelize.query(statement));

export const recordProgress = {
  up: run("ALTER TABLE baseline_records ADD COLUMN IF NOT EXISTS progress VARCHAR(160) NULL"),
  down: run("ALTER TABLE baseline_records DROP COLUMN IF EXISTS progress"),
};
