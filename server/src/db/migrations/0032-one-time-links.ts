/** One-time addresses: a practice's first day, invitations, a forgotten password; and what a practice's new crews begin with. */
import { inTurn } from "../in-turn";

const UP = [
  `CREATE TABLE IF NOT EXISTS one_time_links (
    id CHAR(36) NOT NULL PRIMARY KEY,
    secretHash CHAR(64) NOT NULL,
    kind VARCHAR(16) NOT NULL,
    practiceId CHAR(36) NULL,
    accountId CHAR(36) NULL,
    madeBy CHAR(36) NULL,
    name VARCHAR(160) NOT NULL,
    email VARCHAR(160) NOT NULL,
    role VARCHAR(160) NOT NULL,
    crewIds JSON NOT NULL,
    madeAt DATETIME(3) NOT NULL,
    until DATETIME(3) NOT NULL,
    UNIQUE KEY one_time_links_secret (secretHash),
    KEY one_time_links_practice (practiceId, kind),
    CONSTRAINT one_time_links_practice FOREIGN KEY (practiceId) REFERENCES practices (id) ON DELETE CASCADE,
    CONSTRAINT one_time_links_account FOREIGN KEY (accountId) REFERENCES accounts (id) ON DELETE CASCADE
  )`,
  "ALTER TABLE practices ADD COLUMN IF NOT EXISTS place VARCHAR(160) NULL",
  "ALTER TABLE practices ADD COLUMN IF NOT EXISTS timeZone VARCHAR(160) NULL",
];
const DOWN = [
  "ALTER TABLE practices DROP COLUMN IF EXISTS timeZone",
  "ALTER TABLE practices DROP COLUMN IF EXISTS place",
  "DROP TABLE IF EXISTS one_time_links",
];

export const oneTimeLinks = { up: inTurn(UP), down: inTurn(DOWN) };
