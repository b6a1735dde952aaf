/** When somebody was forgotten, and how long a practice keeps what. */
import { inTurn } from "../in-turn";

const UP = [
  "ALTER TABLE people ADD COLUMN IF NOT EXISTS erasedAt DATETIME(3) NULL",
  `CREATE TABLE IF NOT EXISTS retention_rules (
    practiceId CHAR(36) NOT NULL PRIMARY KEY,
    healthMonths INT NULL,
    runsMonths INT NULL,
    trailMonths INT NULL,
    version INT NOT NULL,
    setBy CHAR(36) NOT NULL,
    setByName VARCHAR(160) NOT NULL,
    setAt DATETIME(3) NOT NULL,
    doneOn DATE NULL,
    CONSTRAINT retention_practice FOREIGN KEY (practiceId) REFERENCES practices (id) ON DELETE CASCADE
  )`,
];
const DOWN = ["DROP TABLE IF EXISTS retention_rules", "ALTER TABLE people DROP COLUMN IF EXISTS erasedAt"];

export const personalData = { up: inTurn(UP), down: inTurn(DOWN) };
