/** A quick test before and after a run: what a crew and a person are asked, and the readings with the run. */
import { inTurn } from "../in-turn";

const UP = [
  "ALTER TABLE run_people ADD COLUMN IF NOT EXISTS quick JSON NULL",
  `CREATE TABLE IF NOT EXISTS quick_test_rules (
    crewId CHAR(36) NOT NULL PRIMARY KEY,
    test TEXT NULL,
    CONSTRAINT quick_test_rules_crew FOREIGN KEY (crewId) REFERENCES crews (id)
  )`,
  `CREATE TABLE IF NOT EXISTS quick_test_wishes (
    personId CHAR(36) NOT NULL PRIMARY KEY,
    crewId CHAR(36) NOT NULL,
    test TEXT NOT NULL,
    KEY quick_test_wishes_crew (crewId),
    CONSTRAINT quick_test_wishes_person FOREIGN KEY (personId) REFERENCES people (id) ON DELETE CASCADE
  )`,
];
const DOWN = [
  "DROP TABLE IF EXISTS quick_test_wishes",
  "DROP TABLE IF EXISTS quick_test_rules",
  "ALTER TABLE run_people DROP COLUMN IF EXISTS quick",
];

export const quickTests = { up: inTurn(UP), down: inTurn(DOWN) };
