/**
 * API tokens. A token calls in the name of the trainer who made it: what that trainer may not see it does not get, and of the rest only
 * what its scopes name. Only its hash is kept; real time counts, also in a demo practice.
 */
import { ApiTokenEntry, type ApiTokenUse, type MadeApiToken, type NewApiToken, type Scope } from "@kind-grip/core/api";
import { createHash, randomBytes } from "node:crypto";
import { Op, QueryTypes } from "sequelize";
import { v7 as uuid } from "uuid";
import type * as v from "valibot";
import { noteSignIn } from "../audit/audit";
import type { Caller } from "../auth/caller";
import type { Db } from "../db/connection";
import { inTransaction } from "../db/transaction";
import { invalid, notFound } from "../http/problem";

const DAY_MS = 86_400_000;
/** What tokens were used for is kept so long, and those that ended are listed so long. */
export const KEPT_DAYS = 90;
/** More than that and nobody knows any more which is which. */
export const MOST_TOKENS = 20;

const PREFIX = "kg_";
const BEGINS_LETTERS = 8;
const hashOf = (token: string): string => createHash("sha256").update(token).digest("hex");

/** Who calls with a token, and what it is for. */
export interface TokenCaller {
  caller: Caller;
  scopes: readonly Scope[];
}

/** @throws Problem 400 for a name that another token has, or with too many */
export async function makeToken(db: Db, caller: Caller, { name, scopes, days }: NewApiToken, at: Date): Promise<MadeApiToken> {
  const token = PREFIX + randomBytes(32).toString("base64url");
  const id = uuid();
  await inTransaction(db, async (transaction) => {
    const { ApiToken, ApiTokenUse } = db.models;
    const long = new Date(at.getTime() - KEPT_DAYS * DAY_MS);
    const { accountId } = caller;
    await ApiToken.destroy({
      where: { accountId, [Op.or]: [{ until: { [Op.lt]: long } }, { withdrawnAt: { [Op.lt]: long } }] },
      transaction,
    });
    await ApiTokenUse.destroy({ where: { lastAt: { [Op.lt]: long } }, transaction });
    const good = await ApiToken.findAll({
      where: { accountId, withdrawnAt: null, until: { [Op.gt]: at } },
      attributes: ["id", "name"],
      transaction,
    });
    if (good.some((each) => each.get().name === name)) throw invalid([{ path: "name", message: "is the name of another of your tokens" }]);
    if (good.length >= MOST_TOKENS)
      throw invalid([{ path: "name", message: `cannot be given: ${MOST_TOKENS} tokens are the most; withdraw one` }]);
    await ApiToken.create(
      {
        id,
        accountId,
        name,
        secretHash: hashOf(token),
        begins: token.slice(0, BEGINS_LETTERS),
        scopes,
        madeAt: at,
        until: new Date(at.getTime() + days * DAY_MS),
        withdrawnAt: null,
      },
      { transaction },
    );
    await noteSignIn(db, caller, `API token “${name}” made`, transaction);
  });
  return { token, id };
}

/** One's own, the latest first: those that ended too, for a while. */
export async function tokensOf({ models, sequelize }: Db, { accountId }: Caller): Promise<v.InferOutput<typeof ApiTokenEntry>[]> {
  const rows = await models.ApiToken.findAll({ where: { accountId }, order: [["madeAt", "DESC"]] });
  const used = await sequelize.query<{ tokenId: string; lastAt: Date }>(
    `SELECT u.tokenId, MAX(u.lastAt) AS lastAt FROM api_token_uses u JOIN api_tokens t ON t.id = u.tokenId
     WHERE t.accountId = :accountId AND u.answered > 0 GROUP BY u.tokenId`,
    { replacements: { accountId }, type: QueryTypes.SELECT },
  );
  const lastOf = new Map(used.map(({ tokenId, lastAt }) => [tokenId, new Date(lastAt).toISOString()]));
  return rows.map((row) => {
    const { id, name, begins, scopes, madeAt, until, withdrawnAt } = row.get({ plain: true });
    return {
      id,
      name,
      begins,
      scopes,
      madeAt: madeAt.toISOString(),
      until: until.toISOString(),
      withdrawnAt: withdrawnAt?.toISOString() ?? null,
      usedAt: lastOf.get(id) ?? null,
    };
  });
}

/** Withdrawn it is good for nothing from the next call on; said twice it is still withdrawn. @throws Problem 404 for nobody's own */
export async function withdrawToken(db: Db, caller: Caller, id: string, at: Date): Promise<void> {
  await inTransaction(db, async (transaction) => {
    const row = (await db.models.ApiToken.findOne({ where: { id, accountId: caller.accountId }, transaction }))?.get({ plain: true });
    if (!row) throw notFound("token");
    const [withdrawn] = await db.models.ApiToken.update({ withdrawnAt: at }, { where: { id, withdrawnAt: null }, transaction });
    if (withdrawn > 0) await noteSignIn(db, caller, `API token “${row.name}” withdrawn`, transaction);
  });
}

/** What it was used for, the latest day first. @throws Problem 404 for nobody's own */
export async function usesOf({ models }: Db, { accountId }: Caller, tokenId: string): Promise<ApiTokenUse[]> {
  if ((await models.ApiToken.count({ where: { id: tokenId, accountId } })) === 0) throw notFound("token");
  const rows = await models.ApiTokenUse.findAll({
    where: { tokenId },
    order: [
      ["day", "DESC"],
      ["lastAt", "DESC"],
    ],
  });
  return rows.map((row) => {
    const { tokenId: _token, lastAt, ...use } = row.get({ plain: true });
    return { ...use, lastAt: lastAt.toISOString() };
  });
}

/** @returns undefined for what is no token, not any more, or of somebody who is gone */
export async function callerWith({ sequelize }: Db, token: string, at: Date): Promise<TokenCaller | undefined> {
  const [row] = await sequelize.query<{ id: string; name: string; scopes: Scope[] | string; accountId: string; practiceId: string }>(
    `SELECT t.id, t.name, t.scopes, a.id AS accountId, a.practiceId FROM api_tokens t JOIN accounts a ON a.id = t.accountId
     WHERE t.secretHash = :hash AND t.withdrawnAt IS NULL AND t.until > :at AND a.role = 'trainer'`,
    { replacements: { hash: hashOf(token), at }, type: QueryTypes.SELECT },
  );
  if (!row) return undefined;
  const { id, name, scopes, accountId, practiceId } = row;
  return {
    caller: { role: "trainer", accountId, practiceId, token: { id, name } },
    scopes: typeof scopes === "string" ? (JSON.parse(scopes) as Scope[]) : scopes,
  };
}

/** Counts a call; on several servers and database nodes at once too. */
export async function noteUse(db: Db, tokenId: string, operation: string, answered: boolean, at: Date): Promise<void> {
  const day = at.toISOString().slice(0, 10);
  await inTransaction(db, (transaction) =>
    db.sequelize.query(
      `INSERT INTO api_token_uses (tokenId, day, operation, answered, refused, lastAt) VALUES (:tokenId, :day, :operation, :answered, :refused, :at)
       ON DUPLICATE KEY UPDATE answered = answered + VALUES(answered), refused = refused + VALUES(refused), lastAt = VALUES(lastAt)`,
      {
        replacements: { tokenId, day, operation, answered: Number(answered), refused: Number(!answered), at },
        type: QueryTypes.INSERT,
        transaction,
      },
    ),
  );
}
