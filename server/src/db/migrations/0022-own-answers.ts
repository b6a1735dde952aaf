/** What people answer on their own phones: before a round, and of a session that is led. */
import { inTurn } from "../in-turn";

const UP = [
  "ALTER TABLE baseline_rounds ADD COLUMN IF NOT EXISTS asksOnPhones TINYINT(1) NOT NULL DEFAULT 0",
  "ALTER TABLE placements ADD COLUMN IF NOT EXISTS ledUntil DATETIME(3) NULL",
  `CREATE TABLE IF NOT EXISTS own_answers (
    id CHAR(36) NOT NULL PRIMARY KEY,
    crewId CHAR(36) NOT NULL,
    personId CHAR(36) NOT NULL,
    placementId CHAR(36) NULL,
    runId CHAR(36) NULL,
    effort INT NULL,
    at DATETIME(3) NOT NULL,
    KEY own_answers_of_placement (crewId, placementId),
    KEY own_answers_of_person (personId, at),
    CONSTRAINT own_answers_person FOREIGN KEY (personId) REFERENCES people (id) ON DELETE CASCADE
  )`,
];
const DOWN = [
  "DROP TABLE IF EXISTS own_answers",
  "ALTER TABLE placements DROP COLUMN IF EXISTS ledUntil",
  "ALTER TABLE baseline_rounds DROP COLUMN IF EXISTS asksOnPhones",
];

export const ownAnswers = { up: inTurn(UP), down: inTurn(DOWN) };
