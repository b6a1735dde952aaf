/** What a trainer writes down of a person, with a photo or a PDF. */
import { inTurn } from "../in-turn";

const UP = [
  `CREATE TABLE IF NOT EXISTS person_notes (
    id CHAR(36) NOT NULL PRIMARY KEY,
    crewId CHAR(36) NOT NULL,
    personId CHAR(36) NOT NULL,
    writtenBy CHAR(36) NOT NULL,
    at DATETIME(3) NOT NULL,
    text LONGTEXT NOT NULL,
    fileName VARCHAR(160) NULL,
    fileType VARCHAR(160) NULL,
    fileBytes INT NULL,
    content LONGBLOB NULL,
    KEY person_notes_of_person (personId, at),
    CONSTRAINT person_notes_person FOREIGN KEY (personId) REFERENCES people (id)
  )`,
];
const DOWN = ["DROP TABLE IF EXISTS person_notes"];

export const notes = { up: inTurn(UP), down: inTurn(DOWN) };
