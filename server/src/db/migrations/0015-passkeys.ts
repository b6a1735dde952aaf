/**
 * Passkeys of accounts, the questions they answer (each good once), and whether a practice asks its trainers for a second step. Each
 * statement may be run again after a broken start.
 */
import type { QueryInterface } from "sequelize";

const UP = [
  `CREATE TABLE IF NOT EXISTS passkeys (
    id CHAR(36) NOT NULL PRIMARY KEY, accountId CHAR(36) NOT NULL, credentialId VARCHAR(600) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
    publicKey BLOB NOT NULL, signCount BIGINT NOT NULL, transports JSON NOT NULL, name VARCHAR(160) NOT NULL, addedAt DATETIME(3) NOT NULL,
    usedAt DATETIME(3) NULL, UNIQUE KEY passkeys_credential (credentialId), KEY passkeys_account (accountId),
    CONSTRAINT passkeys_account_key FOREIGN KEY (accountId) REFERENCES accounts (id))`,
  `CREATE TABLE IF NOT EXISTS passkey_challenges (
    challenge VARCHAR(160) CHARACTER SET ascii COLLATE ascii_bin NOT NULL PRIMARY KEY, at DATETIME(3) NOT NULL)`,
  "ALTER TABLE practices ADD COLUMN IF NOT EXISTS asksSecondStep BOOLEAN NOT NULL DEFAULT FALSE",
];
const DOWN = [
  "ALTER TABLE practices DROP COLUMN IF EXISTS asksSecondStep",
  "DROP TABLE IF EXISTS passkey_challenges",
  "DROP TABLE IF EXISTS passkeys",
];

const run = (statements: readonly string[]) => async (query: QueryInterface) => {
  for (const statement of statements) await query.sequelize.query(statement);
};

export const passkeys = { up: run(UP), down: run(DOWN) };
