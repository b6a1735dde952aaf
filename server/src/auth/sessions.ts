/** One's own sessions: where one is signed in, and ending them. */
import type { SignedInSession } from "@kind-grip/core/api";
import { Op, type Transaction } from "sequelize";
import type { Caller } from "./caller";
import type { Db } from "../db/connection";
import { notFound } from "../http/problem";

/** Latest first. @param sid of the session that asks */
export async function sessionsOf({ models }: Db, { accountId }: Caller, sid: string, now: Date): Promise<SignedInSession[]> {
  const rows = await models.SignedInSession.findAll({ where: { accountId, expires: { [Op.gt]: now } }, order: [["updatedAt", "DESC"]] });
  return rows
    .map((row) => row.get({ plain: true }))
    .flatMap(({ publicId, device, createdAt, updatedAt, sid: each }) =>
      publicId === null
        ? []
        : [{ id: publicId, device: device ?? "", since: createdAt!.toISOString(), seenAt: updatedAt!.toISOString(), here: each === sid }],
    );
}

/** @throws Problem 404 for a session that is not the caller's */
export async function endSession({ models }: Db, { accountId }: Caller, publicId: string): Promise<void> {
  if ((await models.SignedInSession.destroy({ where: { accountId, publicId } })) === 0) throw notFound("session");
}

/** Ends every session of accounts or crew members, but the one that asks for it. Part of the change that calls for it. */
export async function endSessions(
  { models }: Db,
  accountIds: readonly string[],
  transaction: Transaction,
  exceptSid?: string,
): Promise<void> {
  const others = exceptSid === undefined ? {} : { sid: { [Op.ne]: exceptSid } };
  await models.SignedInSession.destroy({ where: { accountId: [...accountIds], ...others }, transaction });
}
