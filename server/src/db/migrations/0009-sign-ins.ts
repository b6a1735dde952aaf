/**
 * Sessions know whose they are, so that one's own can be listed and ended; browsers somebody signed in with before are known, so that a
 * stranger's wrong passwords do not lock them out; an account knows who gave it. Each statement may be run again after a broken start.
 */
import type { QueryInterface } from "sequelize";

const UP = [
  "ALTER TABLE signed_in_sessions ADD COLUMN IF NOT EXISTS publicId CHAR(36) NULL, ADD COLUMN IF NOT EXISTS accountId CHAR(36) NULL, ADD COLUMN IF NOT EXISTS device VARCHAR(300) NULL",
  "ALTER TABLE signed_in_sessions ADD KEY IF NOT EXISTS signed_in_sessions_account (accountId)",
  "UPDATE signed_in_sessions SET publicId = UUID(), accountId = JSON_VALUE(data, '$.caller.accountId') WHERE publicId IS NULL",
  `CREATE TABLE IF NOT EXISTS known_devices (
    deviceHash CHAR(64) NOT NULL, accountId CHAR(36) NOT NULL, lastAt DATETIME(3) NOT NULL,
    PRIMARY KEY (deviceHash, accountId), KEY known_devices_account (accountId))`,
  "ALTER TABLE accounts ADD COLUMN IF NOT EXISTS givenBy CHAR(36) NULL, ADD COLUMN IF NOT EXISTS firstSignInAt DATETIME(3) NULL",
];
const DOWN = [
  "ALTER TABLE accounts DROP COLUMN IF EXISTS givenBy, DROP COLUMN IF EXISTS firstSignInAt",
  "DROP TABLE IF EXISTS known_devices",
  "ALTER TABLE signed_in_sessions DROP KEY IF EXISTS signed_in_sessions_account",
  "ALTER TABLE signed_in_sessions DROP COLUMN IF EXISTS publicId, DROP COLUMN IF EXISTS accountId, DROP COLUMN IF EXISTS device",
];

const run = (statements: readonly string[]) => async (query: QueryInterface) => {
  for (const statement of statements) await query.sequelize.query(statement);
};

export const signIns = { up: run(UP), down: run(DOWN) };
