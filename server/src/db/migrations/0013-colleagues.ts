/** Trainers who share a crew: invited by its trainer, in once they accept. The statement may be run again after a broken start. */
import type { QueryInterface } from "sequelize";

const run = (statement: string) => async (query: QueryInterface) => void (await query.sequelize.query(statement));

export const colleagues = {
  up: run(`CREATE TABLE IF NOT EXISTS crew_colleagues (
    crewId CHAR(36) NOT NULL, accountId CHAR(36) NOT NULL, invitedBy CHAR(36) NOT NULL, invitedAt DATETIME(3) NOT NULL, acceptedAt DATETIME(3) NULL,
    PRIMARY KEY (crewId, accountId), KEY crew_colleagues_account (accountId),
    CONSTRAINT crew_colleagues_crew FOREIGN KEY (crewId) REFERENCES crews (id), CONSTRAINT crew_colleagues_who FOREIGN KEY (accountId) REFERENCES accounts (id))`),
  down: run("DROP TABLE IF EXISTS crew_colleagues"),
};
