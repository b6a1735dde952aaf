/** People of the practice who sign in with a password: trainers, crew leads, employer contacts. */
import type { StaffEntry } from "@kind-grip/core/api";
import type { Transaction } from "sequelize";
import type { Caller } from "../auth/caller";
import { endAccount } from "../auth/end-account";
import type { AccountRow } from "../auth/tables";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { invalid, notFound, Problem } from "../http/problem";

/** Everybody of the practice, so that a colleague's lead can be given one's own crew too; with the caller's crews only. */
export async function listStaff({ models }: Db, caller: Caller): Promise<StaffEntry[]> {
  const accounts = await models.Account.findAll({ where: { practiceId: caller.practiceId }, order: ["name"] });
  const own = (await models.Crew.findAll({ where: { trainerId: caller.accountId }, attributes: ["id"] })).map((row) => row.get().id);
  const given = (await models.CrewAccess.findAll({ where: { crewId: own } })).map((row) => row.get());
  return accounts.map((account) => {
    const { id, name, email, role } = account.get();
    return { id, name, email, role, crewIds: given.filter(({ accountId }) => accountId === id).map(({ crewId }) => crewId) };
  });
}

export async function changeCrewsOf(db: Db, caller: Caller, accountId: string, crewIds: readonly string[]): Promise<StaffEntry[]> {
  await staffMember(db, caller, accountId);
  await refuseForeignCrews(db, caller, crewIds);
  await inTransaction(db, (transaction) => giveCrews(db, caller, accountId, crewIds, transaction));
  return listStaff(db, caller);
}

/**
 * Their sign-in ends at once. What they led stays in the record.
 * @throws Problem 409 for somebody who has a colleague's crew, or has none and their sign-in from a colleague: it is not the caller's to end
 */
export async function removeStaff(db: Db, caller: Caller, accountId: string): Promise<StaffEntry[]> {
  const { givenBy } = await staffMember(db, caller, accountId);
  await inTransaction(db, async (transaction) => {
    const crewIds = (await db.models.CrewAccess.findAll({ where: { accountId }, transaction })).map((row) => row.get().crewId);
    const own = await db.models.Crew.count({ where: { id: crewIds, trainerId: caller.accountId }, transaction });
    if (own < crewIds.length)
      throw new Problem(409, "shared", "They have a colleague's crew too. Take your crews back; that colleague can end the sign-in.");
    if (crewIds.length === 0 && givenBy && givenBy !== caller.accountId)
      throw new Problem(409, "shared", "A colleague gave this sign-in, and only they can end it.");
    await endAccount(db, accountId, transaction);
  });
  return listStaff(db, caller);
}

/** Only the caller's own crews are given and taken; what a colleague gave stays. */
async function giveCrews(
  { models }: Db,
  caller: Caller,
  accountId: string,
  crewIds: readonly string[],
  transaction: Transaction,
): Promise<void> {
  const own = (await models.Crew.findAll({ where: { trainerId: caller.accountId }, attributes: ["id"], transaction })).map(
    (row) => row.get().id,
  );
  await models.CrewAccess.destroy({ where: { accountId, crewId: own.filter((id) => !crewIds.includes(id)) }, transaction });
  await models.CrewAccess.bulkCreate(
    crewIds.map((crewId) => ({ accountId, crewId })),
    { ignoreDuplicates: true, transaction },
  );
}

export async function refuseForeignCrews({ models }: Db, caller: Caller, crewIds: readonly string[]): Promise<void> {
  const own = await models.Crew.count({ where: { trainerId: caller.accountId, id: [...crewIds], removedAt: null } });
  if (own !== new Set(crewIds).size) throw invalid([{ path: "crewIds", message: "names a crew that is not yours" }]);
}

async function staffMember({ models }: Db, caller: Caller, accountId: string): Promise<AccountRow> {
  const account = (await models.Account.findOne({ where: { id: accountId, practiceId: caller.practiceId } }))?.get({ plain: true });
  if (!account) throw notFound("account");
  if (account.role === "trainer") throw new Problem(409, "trainer", "A trainer's sign-in cannot be changed here.");
  return account;
}
