/**
 * The second step of signing in: six digits of a telephone (TOTP, RFC 6238: SHA-1, 30 s, 6 digits, the step before and after are taken
 * too), or one of ten codes kept on paper, each good once. The digits of a step are good once as well.
 */
import { createHash, randomBytes } from "node:crypto";
import { Secret, TOTP } from "otpauth";
import type { NewSecondFactor, SecondFactorState } from "@kind-grip/core/api";
import type { Caller } from "./caller";
import type { AccountRow } from "./tables";
import type { Db } from "../db/connection";
import { inRow } from "../db/encrypted";
import { inTransaction } from "../db/transaction";
import { Problem } from "../http/problem";

const ISSUER = "Kind Grip";
const STEP_SEC = 30;
const STEPS_AROUND = 1;
const RECOVERY_CODES = 10;

const totp = (secret: Secret, label: string) => new TOTP({ issuer: ISSUER, label, secret, period: STEP_SEC });
const hashOf = (code: string) =>
  createHash("sha256")
    .update(code.toLowerCase().replace(/[^a-z0-9]/g, ""))
    .digest("hex");

async function accountOf({ models }: Db, { accountId }: Caller): Promise<AccountRow> {
  return (await models.Account.findByPk(accountId, { rejectOnEmpty: true })).get({ plain: true });
}

export async function secondFactorOf(db: Db, caller: Caller): Promise<SecondFactorState> {
  const { totpSince, recoveryHashes } = await accountOf(db, caller);
  return { since: totpSince?.toISOString() ?? null, codesLeft: totpSince ? (recoveryHashes ?? []).length : 0 };
}

/** A new secret, which counts only once a code of it was given. @throws Problem 409 while a second step is on */
export async function beginSecondFactor(db: Db, caller: Caller): Promise<NewSecondFactor> {
  const account = await accountOf(db, caller);
  if (account.totpSince) throw new Problem(409, "taken", "A second step is on already. End it first.");
  const secret = new Secret({ size: 20 });
  await db.models.Account.update(inRow(db.models.Account, [account.id], { totpSecret: secret.base32 }), { where: { id: account.id } });
  return { secret: secret.base32, address: totp(secret, account.email).toString() };
}

/** @returns the codes for when the telephone is lost, shown this once; undefined for a code that is not of the new secret */
export async function confirmSecondFactor(db: Db, caller: Caller, code: string, at: Date): Promise<string[] | undefined> {
  const account = await accountOf(db, caller);
  const step = account.totpSecret && !account.totpSince ? stepOf(account.totpSecret, code, at) : null;
  if (step === null) return undefined;
  const codes = Array.from({ length: RECOVERY_CODES }, () => {
    const text = randomBytes(5).toString("hex");
    return `${text.slice(0, 5)}-${text.slice(5)}`;
  });
  await db.models.Account.update(
    { totpSince: at, totpLastStep: step, recoveryHashes: codes.map(hashOf) },
    { where: { id: account.id, totpSince: null } },
  );
  return codes;
}

export async function endSecondFactor({ models }: Db, { accountId }: Caller): Promise<void> {
  await models.Account.update(
    { totpSecret: null, totpSince: null, totpLastStep: null, recoveryHashes: null },
    { where: { id: accountId } },
  );
}

/** Whether a code is right now, for an account whose second step is on; it is used up by asking. */
export async function secondFactorMatches(db: Db, accountId: string, code: string, at: Date): Promise<boolean> {
  return inTransaction(db, async (transaction) => {
    const row = (await db.models.Account.findByPk(accountId, { transaction, lock: transaction.LOCK.UPDATE }))?.get({ plain: true });
    if (!row?.totpSecret || !row.totpSince) return false;
    const step = stepOf(row.totpSecret, code, at);
    if (step !== null && step > Number(row.totpLastStep ?? 0)) {
      await db.models.Account.update({ totpLastStep: step }, { where: { id: accountId }, transaction });
      return true;
    }
    const hash = hashOf(code);
    const left = (row.recoveryHashes ?? []).filter((each) => each !== hash);
    if (left.length === (row.recoveryHashes ?? []).length) return false;
    await db.models.Account.update({ recoveryHashes: left }, { where: { id: accountId }, transaction });
    return true;
  });
}

/** Which step's digits these are; null when they are none of about now. */
function stepOf(secret: string, code: string, at: Date): number | null {
  const token = code.replace(/\s/g, "");
  if (!/^\d{6}$/.test(token)) return null;
  const delta = totp(Secret.fromBase32(secret), "").validate({ token, timestamp: at.getTime(), window: STEPS_AROUND });
  return delta === null ? null : Math.floor(at.getTime() / 1000 / STEP_SEC) + delta;
}
