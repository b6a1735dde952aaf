/** Signing in and out, and who is signed in. */
import {
  Me,
  NewPassword,
  NewSecondFactor,
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
import type { Request } from "express";
import type { AppContext } from "../context";
import type { AccountRow } from "./tables";
import { inTransaction } from "../db/transaction";
import { invalid, Problem } from "../http/problem";
import type { Routes } from "../http/route";
import { attempted, knownDevice, rememberDevice } from "./attempts";
import { hashPassword, passwordMatches } from "./password";
import { csrfToken, freshSession } from "./session";
import { beginSecondFactor, confirmSecondFactor, endSecondFactor, secondFactorMatches, secondFactorOf } from "./second-factor";
import { endSession, endSessions, sessionsOf } from "./sessions";

export function addAuthRoutes(routes: Routes, { db, now }: AppContext): void {
  const me = async (request: Request) => {
    const caller = request.session.caller;
    // Without a sign-in nothing else would notice that the records are away.
    if (!caller) await db.sequelize.authenticate();
    const account = caller && (await db.models.Account.findByPk(caller.accountId));
    const person = caller?.role === "member" ? await db.models.Person.findByPk(caller.accountId) : undefined;
    const practice = caller && (await db.models.Practice.findByPk(caller.practiceId));
    return {
      csrfToken: csrfToken(request),
      account:
        caller && (account || person) && practice
          ? {
              role: caller.role,
              name: (account ?? person)!.get().name,
              email: account?.get().email ?? "",
              practice: practice.get().name,
              demo: practice.get().demoNow !== null,
              now: (await now(caller)).toISOString(),
            }
          : null,
    };
  };

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
    handle: ({ request }) => me(request),
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
      if (!account)
        throw body.code
          ? new Problem(401, "wrongCode", "This code is not right, or was used before.")
          : new Problem(401, "wrongSignIn", "This e-mail address and password do not belong together.");
      if (!account.firstSignInAt) await db.models.Account.update({ firstSignInAt: at }, { where: { id: account.id } });
      await rememberDevice(db, request, response, account.id, at);
      await freshSession(request, { role: account.role, accountId: account.id, practiceId: account.practiceId });
      return me(request);
    },
  });

  routes.add({
    id: "signOut",
    method: "post",
    path: "/api/sign-out",
    summary: "Sign out",
    roles: "anyone",
    async handle({ request, response }) {
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
      const { accountId } = caller;
      const attempt = { account: `password of ${accountId}`, address: request.ip ?? "unknown" };
      const account = (await db.models.Account.findByPk(accountId))?.get();
      const right = await attempted(db, attempt, new Date(), async () =>
        (await passwordMatches(account?.passwordHash, body.current)) ? true : undefined,
      );
      if (!right) throw invalid([{ path: "current", message: "is not your password" }]);
      const passwordHash = await hashPassword(body.next);
      await inTransaction(db, async (transaction) => {
        await db.models.Account.update({ passwordHash }, { where: { id: accountId }, transaction });
        // Whoever may have known the old one is out at once.
        await endSessions(db, [accountId], transaction, request.sessionID);
      });
      return undefined;
    },
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
      const attempt = { account: `password of ${caller.accountId}`, address: request.ip ?? "unknown" };
      const account = (await db.models.Account.findByPk(caller.accountId))?.get();
      const right = await attempted(db, attempt, new Date(), async () =>
        (await passwordMatches(account?.passwordHash, body.password)) ? true : undefined,
      );
      if (!right) throw invalid([{ path: "password", message: "is not your password" }]);
      await endSecondFactor(db, caller);
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
    handle: ({ caller, params }) => endSession(db, caller, params.sessionId),
  });
}
