/** Who leads what: a session handed over for a day, crew leads who were shown a session, ways between places, calendars of a leader. */
import { inTurn } from "../in-turn";

const UP = [
  `CREATE TABLE IF NOT EXISTS placement_leaders (
    placementId CHAR(36) NOT NULL PRIMARY KEY,
    crewId CHAR(36) NOT NULL,
    leaderId CHAR(36) NOT NULL,
    KEY placement_leaders_crew (crewId),
    CONSTRAINT placement_leaders_crew_key FOREIGN KEY (crewId) REFERENCES crews (id),
    CONSTRAINT placement_leaders_account FOREIGN KEY (leaderId) REFERENCES accounts (id)
  )`,
  `CREATE TABLE IF NOT EXISTS lead_approvals (
    accountId CHAR(36) NOT NULL,
    sessionId CHAR(36) NOT NULL,
    crewId CHAR(36) NOT NULL,
    approvedBy CHAR(36) NOT NULL,
    at DATETIME(3) NOT NULL,
    shown JSON NOT NULL,
    PRIMARY KEY (accountId, sessionId),
    KEY lead_approvals_crew (crewId),
    CONSTRAINT lead_approvals_account FOREIGN KEY (accountId) REFERENCES accounts (id),
    CONSTRAINT lead_approvals_crew_key FOREIGN KEY (crewId) REFERENCES crews (id)
  )`,
  `CREATE TABLE IF NOT EXISTS ways (
    practiceId CHAR(36) NOT NULL,
    fromPlace VARCHAR(160) NOT NULL,
    toPlace VARCHAR(160) NOT NULL,
    minutes INT NOT NULL,
    PRIMARY KEY (practiceId, fromPlace, toPlace),
    CONSTRAINT ways_practice FOREIGN KEY (practiceId) REFERENCES practices (id)
  )`,
  "ALTER TABLE calendar_links MODIFY COLUMN crewId CHAR(36) NULL",
  "ALTER TABLE calendar_links ADD COLUMN IF NOT EXISTS leaderId CHAR(36) NULL",
];
const DOWN = [
  "DELETE FROM calendar_links WHERE crewId IS NULL",
  "ALTER TABLE calendar_links DROP COLUMN IF EXISTS leaderId",
  "ALTER TABLE calendar_links MODIFY COLUMN crewId CHAR(36) NOT NULL",
  "DROP TABLE IF EXISTS ways",
  "DROP TABLE IF EXISTS lead_approvals",
  "DROP TABLE IF EXISTS placement_leaders",
];

export const ownWeek = { up: inTurn(UP), down: inTurn(DOWN) };
