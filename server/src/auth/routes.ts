/** Signing in and out, and who is signed in. */
import { Me, NewPassword, SignIn, STAFF_ROLES } from "@kind-grip/core/api";
import type { Request } from "express";
import type { AppContext } from "../context";
import type { AccountRow } from "./tables";
import { Problem } from "../http/problem";
import type { Routes } from "../http/route";
import { clearAttempts, noteFailedAttempt, refuseTooManyAttempts } from "./attempts";
import { hashPassword, passwordMatches } from "./password";
import { csrfToken, freshSession } from "./session";

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
    async handle({ body, request }) {
      const at = new Date();
      const address = request.ip ?? "unknown";
      await refuseTooManyAttempts(db, body.email, address, at);
      const account = (await db.models.Account.findOne({ where: { email: body.email } }))?.get() as AccountRow | undefined;
      if (!(await passwordMatches(account?.passwordHash, body.password)) || !account) {
        await noteFailedAttempt(db, body.email, address, at);
        throw new Problem(401, "wrongSignIn", "This e-mail address and password do not belong together.");
      }
      await clearAttempts(db, body.email, at);
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
    async handle({ body, caller }) {
      const { accountId } = caller;
      const account = await db.models.Account.findByPk(accountId);
      if (!(await passwordMatches(account?.get().passwordHash, body.current)))
        throw new Problem(400, "invalid", "Some fields need another look.", [{ path: "current", message: "is not your password" }]);
      await account!.update({ passwordHash: await hashPassword(body.next) });
      return undefined;
    },
  });
}
