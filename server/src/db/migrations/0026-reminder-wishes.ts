/** Who wants to be reminded, and how long before: of a crew, and of whoever wants it otherwise. */
import { inTurn } from "../in-turn";

const UP = [
  `CREATE TABLE IF NOT EXISTS reminder_rules (
    crewId CHAR(36) NOT NULL PRIMARY KEY,
    minutesBefore INT NULL,
    CONSTRAINT reminder_rules_crew FOREIGN KEY (crewId) REFERENCES crews (id)
  )`,
  `CREATE TABLE IF NOT EXISTS reminder_wishes (
    personId CHAR(36) NOT NULL PRIMARY KEY,
    crewId CHAR(36) NOT NULL,
    minutesBefore INT NULL,
    KEY reminder_wishes_crew (crewId),
    CONSTRAINT reminder_wishes_person FOREIGN KEY (personId) REFERENCES people (id) ON DELETE CASCADE
  )`,
];
const DOWN = ["DROP TABLE IF EXISTS reminder_wishes", "DROP TABLE IF EXISTS reminder_rules"];

export const reminderWishes = { up: inTurn(UP), down: inTurn(DOWN) };
