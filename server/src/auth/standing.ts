/** Where an account stands at every call: whether it is still there, and whether its practice asks for more than its password. */
import { QueryTypes } from "sequelize";
import type { Db } from "../db/connection";
import type { Caller } from "./caller";

export interface Standing {
  asksSecondStep: boolean;
  hasSecondStep: boolean;
  hasPasskey: boolean;
}

/** @returns undefined for an account that is gone, or has another role by now; for crew members too */
export async function standingOf(
  { sequelize }: Db,
  { accountId, role }: Pick<Caller, "accountId" | "role">,
): Promise<Standing | undefined> {
  if (role === "member") return undefined;
  const [row] = await sequelize.query<{ asks: number; totp: number; passkeys: number }>(
    `SELECT p.asksSecondStep AS asks, a.totpSince IS NOT NULL AS totp, EXISTS (SELECT 1 FROM passkeys k WHERE k.accountId = a.id) AS passkeys
     FROM accounts a JOIN practices p ON p.id = a.practiceId WHERE a.id = :accountId AND a.role = :role`,
    { replacements: { accountId, role }, type: QueryTypes.SELECT },
  );
  // Only trainers are asked: leads and employer contacts see no health answers.
  return row && { asksSecondStep: role === "trainer" && row.asks > 0, hasSecondStep: row.totp > 0, hasPasskey: row.passkeys > 0 };
}

/** Whether nothing may be done before a second step or a passkey was added. */
export function needsSecondStep(standing: Standing | undefined): boolean {
  return standing !== undefined && standing.asksSecondStep && !standing.hasSecondStep && !standing.hasPasskey;
}

/** Whether a password alone is not enough, and there is a passkey for it. */
export function onlyWithPasskey({ asksSecondStep, hasSecondStep, hasPasskey }: Standing): boolean {
  return asksSecondStep && !hasSecondStep && hasPasskey;
}
