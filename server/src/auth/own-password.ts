/** Asks for one's password before something that somebody at an unlocked screen should not be able to do. */
import type { Request } from "express";
import type { Db } from "../db/connection";
import { invalid } from "../http/problem";
import { attempted } from "./attempts";
import type { Caller } from "./caller";
import { passwordMatches } from "./password";
import type { AccountRow } from "./tables";

/** @param path of the field it was typed in @throws Problem 400 when it is wrong, 429 after too many */
export async function withOwnPassword(
  db: Db,
  { accountId }: Caller,
  request: Request,
  password: string,
  path: string,
): Promise<AccountRow> {
  const attempt = { account: `password of ${accountId}`, address: request.ip ?? "unknown" };
  const account = (await db.models.Account.findByPk(accountId))?.get({ plain: true });
  const right = await attempted(db, attempt, new Date(), async () =>
    (await passwordMatches(account?.passwordHash, password)) ? true : undefined,
  );
  if (!right || !account) throw invalid([{ path, message: "is not your password" }]);
  return account;
}
