/** A second step of signing in: a secret shared with a telephone, and codes for when it is lost. */
import type { QueryInterface } from "sequelize";

const COLUMNS = [
  ["totpSecret", "VARCHAR(64) NULL"],
  ["totpSince", "DATETIME(3) NULL"],
  ["totpLastStep", "BIGINT NULL"],
  ["recoveryHashes", "JSON NULL"],
] as const;

async function up(query: QueryInterface): Promise<void> {
  for (const [column, type] of COLUMNS) await query.sequelize.query(`ALTER TABLE accounts ADD COLUMN IF NOT EXISTS ${column} ${type}`);
}

async function down(query: QueryInterface): Promise<void> {
  for (const [column] of COLUMNS) await query.sequelize.query(`ALTER TABLE accounts DROP COLUMN IF EXISTS ${column}`);
}

export const secondFactor = { up, down };
