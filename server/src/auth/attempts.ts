/**
 * Guessing a password or a PIN is slow: by account, by crew and by address, kept in the database so that it holds across server processes.
 * An attempt is counted before it is looked at, so that a burst of them counts as what it is; one that was turned away is not counted, so
 * that nobody is kept out for as long as somebody hammers. A browser that signed in before goes by its own count: strangers' failures do
 * not keep its owner out.
 */
import { createHash, randomBytes } from "node:crypto";
import { parse } from "cookie";
import type { Request, Response } from "express";
import { Op, type WhereOptions } from "sequelize";
import type { Db } from "../db/connection";
import { Problem } from "../http/problem";
import type { SignInAttemptRow } from "./tables";

const MINUTE_MS = 60_000;
/** Failures that go without a wait, and how far back they are looked for. */
export const LIMIT = {
  perAccount: { failures: 8, windowMin: 24 * 60 },
  /** Of all people of a crew together. */
  perCrew: { failures: 60, windowMin: 60 },
  perAddress: { failures: 30, windowMin: 15 },
} as const;
/** The first wait, doubled with every further failure up to the longest. */
const FIRST_WAIT_MIN = 1;
const LONGEST_WAIT_MIN = 15;

export const waitMin = (failures: number, limit: number): number =>
  failures < limit ? 0 : Math.min(LONGEST_WAIT_MIN, FIRST_WAIT_MIN * 2 ** (failures - limit));

export interface Attempt {
  /** What is guessed at: an e-mail address, a crew's number. */
  account: string;
  /** What the accounts of a crew begin with. */
  crew?: string;
  /** Only the address is counted: what is guessed at cannot be told. */
  addressOnly?: boolean;
  address: string;
  /** Hash of the browser's own secret, when it signed in to this account before. */
  device?: string;
}

/**
 * @param check the attempt itself; undefined when it fails
 * @throws Problem 429 while a wait is on
 */
export async function attempted<Result>(
  { models }: Db,
  attempt: Attempt,
  at: Date,
  check: () => Promise<Result | undefined>,
): Promise<Result | undefined> {
  const known = attempt.device !== undefined;
  const email = known ? `device ${attempt.device!.slice(0, 40)} ${attempt.account}`.slice(0, 160) : attempt.account;
  const own = await models.SignInAttempt.create({ email, address: known ? "" : attempt.address, at });
  const before = async (where: WhereOptions<SignInAttemptRow>, { failures, windowMin }: { failures: number; windowMin: number }) => {
    const rows = await models.SignInAttempt.findAll({
      where: { ...(where as object), at: { [Op.gt]: new Date(at.getTime() - windowMin * MINUTE_MS) }, id: { [Op.ne]: own.get().id! } },
      attributes: ["at"],
      raw: true,
    });
    const last = Math.max(...rows.map((row) => new Date((row as unknown as SignInAttemptRow).at).getTime()));
    return rows.length < failures ? 0 : last + waitMin(rows.length, failures) * MINUTE_MS - at.getTime();
  };
  const waits = await Promise.all([
    attempt.addressOnly ? 0 : before({ email }, LIMIT.perAccount),
    attempt.crew && !known ? before({ email: { [Op.startsWith]: attempt.crew } }, LIMIT.perCrew) : 0,
    known ? 0 : before({ address: attempt.address }, LIMIT.perAddress),
  ]);
  const wait = Math.max(...waits);
  if (wait > 0) {
    await own.destroy();
    const minutes = Math.max(1, Math.ceil(wait / MINUTE_MS));
    throw new Problem(429, "tooManyAttempts", `Too many attempts. Wait ${minutes} ${minutes === 1 ? "minute" : "minutes"} and try again.`);
  }
  const result = await check();
  if (result !== undefined)
    await models.SignInAttempt.destroy({
      where: { [Op.or]: [{ email }, { id: own.get().id! }, { at: { [Op.lt]: new Date(at.getTime() - 24 * 60 * MINUTE_MS) } }] },
    });
  return result;
}

const COOKIE = "kind-grip-device";
const KEPT_DAYS = 400;
const hashOf = (secret: string) => createHash("sha256").update(secret).digest("hex");

/** The browser's own secret as a hash, when it signed in to this account before. */
export async function knownDevice({ models }: Db, request: Request, accountId: string | undefined): Promise<string | undefined> {
  const secret = parse(request.headers.cookie ?? "")[COOKIE];
  if (!secret || !accountId) return undefined;
  const deviceHash = hashOf(secret);
  return (await models.KnownDevice.count({ where: { deviceHash, accountId } })) > 0 ? deviceHash : undefined;
}

/** After a sign-in the browser is known. */
export async function rememberDevice({ models }: Db, request: Request, response: Response, accountId: string, at: Date): Promise<void> {
  const secret = parse(request.headers.cookie ?? "")[COOKIE] ?? randomBytes(24).toString("base64url");
  await models.KnownDevice.upsert({ deviceHash: hashOf(secret), accountId, lastAt: at });
  response.cookie(COOKIE, secret, { httpOnly: true, sameSite: "strict", secure: request.secure, maxAge: KEPT_DAYS * 86_400_000 });
}
