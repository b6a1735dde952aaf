/** One's own name and address, and leaving a practice. */
import type { OwnName } from "@kind-grip/core/api";
import type { Request } from "express";
import { noteSignIn } from "../audit/audit";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { Problem } from "../http/problem";
import type { Caller } from "./caller";
import { endAccount } from "./end-account";
import { refuseTaken } from "./one-time-links";
import { withOwnPassword } from "./own-password";

/** @throws Problem 400 where the address changes and the password is not right */
export async function changeOwnName(db: Db, caller: Caller, request: Request, { name, email, password = "" }: OwnName): Promise<void> {
  const account = (await db.models.Account.findByPk(caller.accountId))!.get({ plain: true });
  if (email !== account.email) await withOwnPassword(db, caller, request, password, "password");
  await inTransaction(db, async (transaction) => {
    if (email !== account.email) {
      await refuseTaken(db, email, transaction);
      await noteSignIn(db, caller, "e-mail address changed", transaction);
    }
    await db.models.Account.update({ name, email }, { where: { id: caller.accountId }, transaction });
  });
}

/**
 * Ends one's own sign-in; what one did stays in the records.
 * @throws Problem 409 for a trainer who has crews still, or is the last one
 */
export async function leavePractice(db: Db, caller: Caller, request: Request, password: string): Promise<void> {
  await withOwnPassword(db, caller, request, password, "password");
  await inTransaction(db, async (transaction) => {
    const { accountId, practiceId, role } = caller;
    if (role === "trainer") {
      // All trainers of the practice, so that two who leave at once do not both go.
      const trainers = await db.models.Account.findAll({
        where: { practiceId, role: "trainer" },
        attributes: ["id"],
        transaction,
        lock: transaction.LOCK.UPDATE,
      });
      const crews = await db.models.Crew.findAll({ where: { trainerId: accountId, removedAt: null }, attributes: ["name"], transaction });
      if (crews.length > 0)
        throw new Problem(409, "hasCrews", `Hand your crews to a colleague first: ${crews.map((crew) => crew.get().name).join(", ")}.`);
      if (trainers.length === 1)
        throw new Problem(409, "lastTrainer", "You are the last trainer of this practice. Invite another one first.");
      // Crews that were removed stay with somebody who can bring them back.
      const heir = trainers.find((trainer) => trainer.get().id !== accountId)!.get().id;
      await db.models.Crew.update({ trainerId: heir }, { where: { trainerId: accountId }, transaction });
    }
    await noteSignIn(db, caller, "left the practice", transaction);
    await endAccount(db, accountId, transaction);
  });
  await new Promise<void>((resolve) => request.session.destroy(() => resolve()));
}
