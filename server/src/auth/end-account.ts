/** Ends a sign-in with everything that hangs on it; what was led and written stays in the records. */
import type { Transaction } from "sequelize";
import type { Db } from "../db/connection";
import { endSessions } from "./sessions";

export async function endAccount(db: Db, accountId: string, transaction: Transaction): Promise<void> {
  const { models } = db;
  await endSessions(db, [accountId], transaction);
  await models.OneTimeLink.destroy({ where: { madeBy: accountId }, transaction });
  await models.CrewAccess.destroy({ where: { accountId }, transaction });
  await models.CrewColleague.destroy({ where: { accountId }, transaction });
  await models.LeadApproval.destroy({ where: { accountId }, transaction });
  // What they were to lead is the crew's trainer's again.
  await models.PlacementLeader.destroy({ where: { leaderId: accountId }, transaction });
  await models.CalendarLink.destroy({ where: { leaderId: accountId }, transaction });
  await models.Passkey.destroy({ where: { accountId }, transaction });
  await models.KnownDevice.destroy({ where: { accountId }, transaction });
  await models.Account.destroy({ where: { id: accountId }, transaction });
}
