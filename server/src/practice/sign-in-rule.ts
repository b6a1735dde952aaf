/** Whether a practice asks its trainers for more than a password. */
import type { SignInRule } from "@kind-grip/core/api";
import { noteSignIn } from "../audit/audit";
import type { Caller } from "../auth/caller";
import { standingOf } from "../auth/standing";
import type { Db } from "../db/connection";
import { Problem } from "../http/problem";

export async function signInRuleOf({ models }: Db, { practiceId }: Caller): Promise<SignInRule> {
  const practice = await models.Practice.findByPk(practiceId, { attributes: ["asksSecondStep"], rejectOnEmpty: true });
  return { asksSecondStep: Boolean(practice.get().asksSecondStep) };
}

/** @throws Problem 409 for somebody who would be the first to be kept out by it */
export async function changeSignInRule(db: Db, caller: Caller, { asksSecondStep }: SignInRule): Promise<SignInRule> {
  const standing = await standingOf(db, caller);
  if (asksSecondStep && !standing?.hasSecondStep && !standing?.hasPasskey)
    throw new Problem(409, "firstYourself", "Turn on a second step or add a passkey yourself first.");
  await db.models.Practice.update({ asksSecondStep }, { where: { id: caller.practiceId } });
  await noteSignIn(db, caller, asksSecondStep ? "asks every trainer for a second step" : "asks for a second step no longer");
  return { asksSecondStep };
}
