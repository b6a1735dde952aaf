/** What was watched at the line. */
import { inTurn } from "../in-turn";

const UP = [
  `CREATE TABLE IF NOT EXISTS observations (
    id CHAR(36) NOT NULL PRIMARY KEY,
    crewId CHAR(36) NOT NULL,
    taskId CHAR(36) NOT NULL,
    personId CHAR(36) NULL,
    startedAt DATETIME(3) NOT NULL,
    counts TINYINT(1) NOT NULL,
    document JSON NOT NULL,
    format SMALLINT NOT NULL,
    KEY observations_task (crewId, taskId),
    CONSTRAINT observations_crew FOREIGN KEY (crewId) REFERENCES crews (id),
    CONSTRAINT observations_person FOREIGN KEY (personId) REFERENCES people (id) ON DELETE SET NULL
  )`,
];

export const observations = { up: inTurn(UP), down: inTurn(["DROP TABLE IF EXISTS observations"]) };
