/** Who is invited to the practice: trainers, crew leads, employer contacts. Whoever invited may renew it and take it back. */
import type { NewStaffInvitation, StaffInvitation } from "@kind-grip/core/api";
import type { Caller } from "../auth/caller";
import { makeLink, refuseTaken } from "../auth/one-time-links";
import type { OneTimeLinkRow } from "../auth/tables";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { invalid, notFound, Problem } from "../http/problem";
import { refuseForeignCrews } from "./staff";

/** Everybody's of the practice; with the caller's crews only. */
export async function listInvitations({ models }: Db, caller: Caller, at: Date): Promise<StaffInvitation[]> {
  const where = { practiceId: caller.practiceId, kind: "invitation" as const };
  const [rows, accounts, crews] = await Promise.all([
    models.OneTimeLink.findAll({ where, order: ["name"] }),
    models.Account.findAll({ where: { practiceId: caller.practiceId }, attributes: ["id", "name"] }),
    models.Crew.findAll({ where: { trainerId: caller.accountId, removedAt: null }, attributes: ["id"] }),
  ]);
  const own = new Set(crews.map((crew) => crew.get().id));
  return rows.map((row) => {
    const { id, name, email, role, crewIds, madeBy, until } = row.get();
    return {
      id,
      name,
      email,
      role,
      crewIds: crewIds.filter((crewId) => own.has(crewId)),
      by: accounts.find((account) => account.get().id === madeBy)?.get().name ?? "",
      own: madeBy === caller.accountId,
      until: until.toISOString(),
      expired: until <= at,
    };
  });
}

/**
 * Sent again it is the same invitation with a new address, and the one before ends.
 * @returns the secret of the address, the only time it is known
 * @throws Problem 400 for an e-mail address that is taken or invited by somebody else, and for a crew that is not the caller's
 */
export async function inviteStaff(db: Db, caller: Caller, invitation: NewStaffInvitation, at: Date): Promise<string> {
  await refuseForeignCrews(db, caller, invitation.crewIds);
  return inTransaction(db, async (transaction) => {
    await refuseTaken(db, invitation.email, transaction);
    const before = (await db.models.OneTimeLink.findByPk(invitation.id, { transaction, lock: transaction.LOCK.UPDATE }))?.get();
    const again = before && before.kind === "invitation" && before.madeBy === caller.accountId;
    if ((before && !again) || (await db.models.Account.findByPk(invitation.id, { attributes: ["id"], transaction })))
      throw new Problem(409, "taken", "This id belongs to another invitation.");
    const where = { practiceId: caller.practiceId, kind: "invitation" as const, email: invitation.email };
    const other = (await db.models.OneTimeLink.findOne({ where, transaction }))?.get();
    if (other && other.id !== invitation.id) throw invalid([{ path: "email", message: "is invited already" }]);
    const link: Pick<OneTimeLinkRow, "kind"> & NewStaffInvitation = { kind: "invitation", ...invitation };
    return makeLink(db, { ...link, practiceId: caller.practiceId, madeBy: caller.accountId }, at, transaction);
  });
}

/** @throws Problem 404 for one that is not the caller's */
export async function withdrawInvitation({ models }: Db, caller: Caller, id: string): Promise<void> {
  const gone = await models.OneTimeLink.destroy({ where: { id, kind: "invitation", madeBy: caller.accountId } });
  if (gone === 0) throw notFound("invitation");
}
