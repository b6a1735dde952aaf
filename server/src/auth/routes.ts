/** Signing in and out, and who is signed in. */
import {
  Me,
  NewPassword,
  NewSecondFactor,
  OwnMeasures,
  OwnName,
  OwnPassword,
  RecoveryCodes,
  SecondFactorCode,
  SecondFactorState,
  SignedInSessions,
  SignIn,
  STAFF_ROLES,
} from "@kind-grip/core/api";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import type { AppContext } from "../context";
import type { AccountRow } from "./tables";
import { inTransaction } from "../db/transaction";
import { invalid, Problem } from "../http/problem";
import type { Routes } from "../http/route";
import { noteSignIn } from "../audit/audit";
import { attempted, knownDevice } from "./attempts";
import { hashPassword, passwordMatches } from "./password";
import { beginSecondFactor, confirmSecondFactor, endSecondFactor, secondFactorMatches, secondFactorOf } from "./second-factor";
import { refuseGuessed } from "./guessed";
import { changeOwnName, leavePractice } from "./own-account";
import { withOwnPassword } from "./own-password";
import { onlyWithPasskey, standingOf } from "./standing";
import { openSession, whoIs } from "./who-is";
import { endSession, endSessions, sessionsOf } from "./sessions";

export function addAuthRoutes(routes: Routes, { db, now }: AppContext): void {
  /** @throws Problem 401 when a code is asked for and none was given; it counts as an attempt, or guessing codes would be free between */
  const secondStep = async ({ id, totpSince }: AccountRow, code: string | undefined, at: Date): Promise<boolean> => {
    if (!totpSince) return true;
    if (!code) throw new Problem(401, "secondFactor", "Enter the six digits your telephone shows, or one of your codes on paper.");
    return secondFactorMatches(db, id, code, at);
  };

  routes.add({
    id: "me",
    method: "get",
    path: "/api/me",
    summary: "Who is signed in, and the token that every change must carry",
    answer: Me,
    roles: "anyone",
    handle: ({ request }) => whoIs(db, now, request),
  });

  routes.add({
    id: "ownMeasures",
    method: "put",
    path: "/api/me/measures",
    summary: "In which units, clock and dates one reads; null for the practice's",
    answer: OwnMeasures,
    roles: STAFF_ROLES,
    body: OwnMeasures,
    async handle({ caller, body }) {
      await db.models.Account.update({ measures: body.measures }, { where: { id: caller.accountId } });
      return body;
    },
  });

  routes.add({
    id: "signIn",
    method: "post",
    path: "/api/sign-in",
    summary: "Sign in as a trainer",
    answer: Me,
    roles: "anyone",
    body: SignIn,
    async handle({ body, request, response }) {
      const at = new Date();
      const found = (await db.models.Account.findOne({ where: { email: body.email } }))?.get() as AccountRow | undefined;
      const attempt = { account: body.email, address: request.ip ?? "unknown", device: await knownDevice(db, request, found?.id) };
      const account = await attempted(db, attempt, at, async () =>
        (await passwordMatches(found?.passwordHash, body.password)) && (await secondStep(found!, body.code, at)) ? found : undefined,
      );
      // Not waited for: how long an answer takes tells nobody whether there is such an account.
      if (!account && found)
        void noteSignIn(db, signInOf(found), body.code ? "wrong code of the second step" : "wrong password").catch(() => undefined);
      if (!account)
        throw body.code
          ? new Problem(401, "wrongCode", "This code is not right, or was used before.")
          : new Problem(401, "wrongSignIn", "This e-mail address and password do not belong together.");
      const standing = await standingOf(db, signInOf(account));
      if (standing && onlyWithPasskey(standing))
        throw new Problem(401, "usePasskey", "Your practice asks for more than a password. Sign in with your passkey.");
      await openSession(db, account, body.code ? "signed in with a second step" : "signed in", { request, response, at });
      return whoIs(db, now, request);
    },
  });

  routes.add({
    id: "signOut",
    method: "post",
    path: "/api/sign-out",
    summary: "Sign out",
    roles: "anyone",
    async handle({ request, response }) {
      const { caller } = request.session;
      if (caller && caller.role !== "member") await noteSignIn(db, caller, "signed out");
      await new Promise<void>((resolve, reject) => request.session.destroy((error) => (error ? reject(error) : resolve())));
      response.clearCookie("kind-grip");
      return undefined;
    },
  });

  routes.add({
    id: "changePassword",
    method: "put",
    path: "/api/me/password",
    summary: "Change one's own password",
    roles: STAFF_ROLES,
    body: NewPassword,
    async handle({ body, caller, request }) {
      const { id: accountId, name, email } = await withOwnPassword(db, caller, request, body.current, "current");
      refuseGuessed(body.next, [name, email], "next");
      const passwordHash = await hashPassword(body.next);
      await inTransaction(db, async (transaction) => {
        await db.models.Account.update({ passwordHash }, { where: { id: accountId }, transaction });
        // Whoever may have known the old one is out at once.
        await endSessions(db, [accountId], transaction, request.sessionID);
        await noteSignIn(db, caller, "password changed", transaction);
      });
      return undefined;
    },
  });

  routes.add({
    id: "ownName",
    method: "put",
    path: "/api/me/name",
    summary: "Change one's own name and, with one's password, e-mail address",
    roles: STAFF_ROLES,
    body: OwnName,
    handle: ({ caller, body, request }) => changeOwnName(db, caller, request, body),
  });
  routes.add({
    id: "leavePractice",
    method: "post",
    path: "/api/me/leave",
    summary: "End one's own sign-in; a trainer hands their crews on first",
    roles: STAFF_ROLES,
    body: OwnPassword,
    handle: ({ caller, body, request }) => leavePractice(db, caller, request, body.password),
  });

  routes.add({
    id: "secondFactor",
    method: "get",
    path: "/api/me/second-factor",
    summary: "Whether signing in takes a second step, and how many codes on paper are left",
    answer: SecondFactorState,
    roles: STAFF_ROLES,
    handle: ({ caller }) => secondFactorOf(db, caller),
  });
  routes.add({
    id: "beginSecondFactor",
    method: "post",
    path: "/api/me/second-factor",
    summary: "A new secret for a second step; it counts once a code of it was given",
    answer: NewSecondFactor,
    roles: STAFF_ROLES,
    handle: ({ caller }) => beginSecondFactor(db, caller),
  });
  routes.add({
    id: "confirmSecondFactor",
    method: "put",
    path: "/api/me/second-factor",
    summary: "Turn the second step on with a code of the new secret; the codes on paper are shown this once",
    answer: RecoveryCodes,
    roles: STAFF_ROLES,
    body: SecondFactorCode,
    async handle({ caller, body, request }) {
      const at = new Date();
      const attempt = { account: `second factor of ${caller.accountId}`, address: request.ip ?? "unknown" };
      const codes = await attempted(db, attempt, at, () => confirmSecondFactor(db, caller, body.code, at));
      if (!codes) throw invalid([{ path: "code", message: "is not what the telephone shows now" }]);
      await noteSignIn(db, caller, "second step turned on");
      return { codes };
    },
  });
  routes.add({
    id: "endSecondFactor",
    method: "post",
    path: "/api/me/second-factor/end",
    summary: "Turn the second step off, with one's password",
    roles: STAFF_ROLES,
    body: OwnPassword,
    async handle({ caller, body, request }) {
      await withOwnPassword(db, caller, request, body.password, "password");
      await endSecondFactor(db, caller);
      await noteSignIn(db, caller, "second step turned off");
      return undefined;
    },
  });

  routes.add({
    id: "sessions",
    method: "get",
    path: "/api/me/sessions",
    summary: "Where one is signed in",
    answer: SignedInSessions,
    roles: STAFF_ROLES,
    handle: ({ caller, request }) => sessionsOf(db, caller, request.sessionID, new Date()),
  });

  routes.add({
    id: "endSession",
    method: "delete",
    path: "/api/me/sessions/:sessionId",
    summary: "End one of one's own sessions",
    roles: STAFF_ROLES,
    params: v.object({ sessionId: Id }),
    async handle({ caller, params }) {
      await endSession(db, caller, params.sessionId);
      await noteSignIn(db, caller, "another session ended");
    },
  });
}

const signInOf = ({ id, role, practiceId }: AccountRow) => ({ accountId: id, role, practiceId });
