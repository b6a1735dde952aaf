/** Up to which day a person's ramps were ended by the trainer. */
import type { QueryInterface } from "sequelize";

const run = (statement: string) => async (query: QueryInterface) => void (await query.sequelize.query(statement));

export const ramps = {
  up: run("ALTER TABLE people ADD COLUMN IF NOT EXISTS rampsEndedOn DATE NULL"),
  down: run("ALTER TABLE people DROP COLUMN IF EXISTS rampsEndedOn"),
};
