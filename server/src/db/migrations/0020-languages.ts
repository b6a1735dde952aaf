/** What somebody reads and hears, how quantities and times are written, and a practice's own words. */
import { inTurn } from "../in-turn";

const UP = [
  "ALTER TABLE jobs ADD COLUMN IF NOT EXISTS language VARCHAR(16) NULL",
  "ALTER TABLE practices ADD COLUMN IF NOT EXISTS language VARCHAR(16) NULL",
  "ALTER TABLE practices ADD COLUMN IF NOT EXISTS measures JSON NULL",
  "ALTER TABLE accounts ADD COLUMN IF NOT EXISTS measures JSON NULL",
  "ALTER TABLE people ADD COLUMN IF NOT EXISTS language VARCHAR(16) NULL",
  `CREATE TABLE IF NOT EXISTS text_corrections (
    practiceId CHAR(36) NOT NULL,
    language VARCHAR(16) NOT NULL,
    textKey VARCHAR(160) NOT NULL,
    text VARCHAR(600) NOT NULL,
    PRIMARY KEY (practiceId, language, textKey),
    CONSTRAINT text_corrections_practice FOREIGN KEY (practiceId) REFERENCES practices (id)
  )`,
  `CREATE TABLE IF NOT EXISTS language_readings (
    practiceId CHAR(36) NOT NULL,
    language VARCHAR(16) NOT NULL,
    readBy VARCHAR(160) NOT NULL,
    readOn DATE NOT NULL,
    PRIMARY KEY (practiceId, language),
    CONSTRAINT language_readings_practice FOREIGN KEY (practiceId) REFERENCES practices (id)
  )`,
];
const DOWN = [
  "DROP TABLE IF EXISTS language_readings",
  "DROP TABLE IF EXISTS text_corrections",
  "ALTER TABLE jobs DROP COLUMN IF EXISTS language",
  "ALTER TABLE people DROP COLUMN IF EXISTS language",
  "ALTER TABLE accounts DROP COLUMN IF EXISTS measures",
  "ALTER TABLE practices DROP COLUMN IF EXISTS measures",
  "ALTER TABLE practices DROP COLUMN IF EXISTS language",
];

export const languages = { up: inTurn(UP), down: inTurn(DOWN) };
