/** What a migration does: its statements, one after the other. Each of them can be run again where a start was killed between. */
import type { QueryInterface } from "sequelize";

export const inTurn = (statements: readonly string[]) => async (query: QueryInterface) => {
  for (const statement of statements) await query.sequelize.query(statement);
};
