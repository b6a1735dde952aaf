/** Addresses people agreed to be reminded at; a reminder is queued once for each way. */
import { inTurn } from "../in-turn";

const UP = [
  `CREATE TABLE IF NOT EXISTS contacts (
    id CHAR(36) NOT NULL PRIMARY KEY,
    crewId CHAR(36) NOT NULL,
    personId CHAR(36) NOT NULL,
    way VARCHAR(16) NOT NULL,
    address VARCHAR(160) NULL,
    givenAt DATETIME(3) NOT NULL,
    givenBy VARCHAR(160) NULL,
    withdrawnAt DATETIME(3) NULL,
    withdrawnBy VARCHAR(160) NULL,
    KEY contacts_crew (crewId),
    KEY contacts_person (personId, way),
    CONSTRAINT contacts_person FOREIGN KEY (personId) REFERENCES people (id) ON DELETE CASCADE
  )`,
  // Those from before went by name; nobody is reached by that.
  "ALTER TABLE messages ADD COLUMN IF NOT EXISTS way VARCHAR(16) NOT NULL DEFAULT 'telephone'",
  "ALTER TABLE messages ADD UNIQUE KEY IF NOT EXISTS messages_once_a_way (placementId, personId, way)",
  "ALTER TABLE messages DROP INDEX IF EXISTS messages_once",
];
const DOWN = [
  "DELETE one FROM messages one JOIN messages other ON one.placementId = other.placementId AND one.personId = other.personId AND one.id > other.id",
  "ALTER TABLE messages ADD UNIQUE KEY IF NOT EXISTS messages_once (placementId, personId)",
  "ALTER TABLE messages DROP INDEX IF EXISTS messages_once_a_way",
  "ALTER TABLE messages DROP COLUMN IF EXISTS way",
  "DROP TABLE IF EXISTS contacts",
];

export const contacts = { up: inTurn(UP), down: inTurn(DOWN) };
