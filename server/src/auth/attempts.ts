/** Rate limit on sign-in, kept in the database so that it holds across server processes. */
import { Op } from "sequelize";
import type { Db } from "../db/connection";
import { Problem } from "../http/problem";

export const LIMIT = { windowMin: 15, perAccount: 8, perAddress: 30 };

/** @throws Problem 429 after too many failures for this account or from this address */
export async function refuseTooManyAttempts(
  { models }: Db,
  email: string,
  address: string,
  now: Date,
  only: { address?: boolean } = {},
): Promise<void> {
  const since = { [Op.gt]: new Date(now.getTime() - LIMIT.windowMin * 60_000) };
  const [forAccount, fromAddress] = await Promise.all([
    models.SignInAttempt.count({ where: { email, at: since } }),
    models.SignInAttempt.count({ where: { address, at: since } }),
  ]);
  if ((!only.address && forAccount >= LIMIT.perAccount) || fromAddress >= LIMIT.perAddress) {
    throw new Problem(429, "tooManyAttempts", `Too many attempts. Wait ${LIMIT.windowMin} minutes and try again.`);
  }
}

export async function noteFailedAttempt({ models }: Db, email: string, address: string, now: Date): Promise<void> {
  await models.SignInAttempt.create({ email, address, at: now });
}

/** A right password clears the account's failures; old rows go at the same time. */
export async function clearAttempts({ models }: Db, email: string, now: Date): Promise<void> {
  await models.SignInAttempt.destroy({ where: { [Op.or]: [{ email }, { at: { [Op.lt]: new Date(now.getTime() - 24 * 3600_000) } }] } });
}
