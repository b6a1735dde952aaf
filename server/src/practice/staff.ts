/** People of the practice who sign in with a password: trainers, crew leads, employer contacts. */
import type { NewStaff, StaffEntry } from "@kind-grip/core/api";
import { randomBytes } from "node:crypto";
import type { Transaction } from "sequelize";
import type { Caller } from "../auth/caller";
import { hashPassword } from "../auth/password";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { invalid, notFound, Problem } from "../http/problem";

/** Colleagues, and those who were given one of the caller's crews. */
export async function listStaff({ models }: Db, caller: Caller): Promise<StaffEntry[]> {
  const accounts = await models.Account.findAll({ where: { practiceId: caller.practiceId }, order: ["name"] });
  const own = (await models.Crew.findAll({ where: { trainerId: caller.accountId }, attributes: ["id"] })).map((row) => row.get().id);
  const given = (await models.CrewAccess.findAll({ where: { crewId: own } })).map((row) => row.get());
  return accounts.map((account) => {
    const { id, name, email, role } = account.get();
    return { id, name, email, role, crewIds: given.filter(({ accountId }) => accountId === id).map(({ crewId }) => crewId) };
  });
}

/** A first password is made and shown once. Sending the same again after a lost answer makes a new password, not a second account. */
export async function addStaff(db: Db, caller: Caller, staff: NewStaff): Promise<{ staff: StaffEntry[]; password: string }> {
  await refuseForeignCrews(db, caller, staff.crewIds);
  const password = randomBytes(9).toString("base64url");
  const passwordHash = await hashPassword(password);
  await inTransaction(db, async (transaction) => {
    const taken = (await db.models.Account.findOne({ where: { email: staff.email }, transaction }))?.get();
    if (taken && taken.id !== staff.id) throw invalid([{ path: "email", message: "has a sign-in already" }]);
    // An id names the same request sent again, and nothing else: no account is written over by it.
    const before = (await db.models.Account.findByPk(staff.id, { transaction, lock: transaction.LOCK.UPDATE }))?.get();
    const again = before && before.practiceId === caller.practiceId && before.email === staff.email && before.role === staff.role;
    if (before && !again) throw new Problem(409, "taken", "This id belongs to another sign-in.");
    const { crewIds, ...account } = staff;
    await db.models.Account.upsert({ ...account, practiceId: caller.practiceId, passwordHash }, { transaction });
    await giveCrews(db, caller, staff.id, crewIds, transaction);
  });
  return { staff: await listStaff(db, caller), password };
}

export async function changeCrewsOf(db: Db, caller: Caller, accountId: string, crewIds: readonly string[]): Promise<StaffEntry[]> {
  await staffMember(db, caller, accountId);
  await refuseForeignCrews(db, caller, crewIds);
  await inTransaction(db, (transaction) => giveCrews(db, caller, accountId, crewIds, transaction));
  return listStaff(db, caller);
}

/** Their sign-in ends at once. What they led stays in the record. */
export async function removeStaff(db: Db, caller: Caller, accountId: string): Promise<StaffEntry[]> {
  await staffMember(db, caller, accountId);
  await inTransaction(db, async (transaction) => {
    await db.models.CrewAccess.destroy({ where: { accountId }, transaction });
    await db.models.Account.destroy({ where: { id: accountId }, transaction });
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

async function refuseForeignCrews({ models }: Db, caller: Caller, crewIds: readonly string[]): Promise<void> {
  const own = await models.Crew.count({ where: { trainerId: caller.accountId, id: [...crewIds], removedAt: null } });
  if (own !== new Set(crewIds).size) throw invalid([{ path: "crewIds", message: "names a crew that is not yours" }]);
}

async function staffMember({ models }: Db, caller: Caller, accountId: string): Promise<void> {
  const account = (await models.Account.findOne({ where: { id: accountId, practiceId: caller.practiceId } }))?.get();
  if (!account) throw notFound("account");
  if (account.role === "trainer") throw new Problem(409, "trainer", "A trainer's sign-in cannot be changed here.");
}
