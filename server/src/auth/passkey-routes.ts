/** Passkeys: one's own, and signing in with one. */
import { Me, NewPasskey, OwnPassword, PasskeyQuestion, Passkeys, PasskeySignIn, STAFF_ROLES } from "@kind-grip/core/api";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import { noteSignIn } from "../audit/audit";
import type { AppContext } from "../context";
import { Problem } from "../http/problem";
import type { Routes } from "../http/route";
import { attempted } from "./attempts";
import { accountOfAnswer, addPasskey, askForNew, askForSignIn, listPasskeys, PasskeyQuestions, removePasskey, siteOf } from "./passkeys";
import { withOwnPassword } from "./own-password";
import { openSession, whoIs } from "./who-is";

export function addPasskeyRoutes(routes: Routes, { db, now, secret }: AppContext): void {
  const questions = new PasskeyQuestions(db, secret);

  routes.add({
    id: "passkeys",
    method: "get",
    path: "/api/me/passkeys",
    summary: "One's own passkeys",
    answer: Passkeys,
    roles: STAFF_ROLES,
    handle: ({ caller }) => listPasskeys(db, caller),
  });
  routes.add({
    id: "askForPasskey",
    method: "post",
    path: "/api/me/passkeys/question",
    summary: "What the browser is asked to make a passkey, with one's password",
    answer: PasskeyQuestion,
    roles: STAFF_ROLES,
    body: OwnPassword,
    async handle({ caller, body, request }) {
      const account = await withOwnPassword(db, caller, request, body.password, "password");
      return askForNew(db, questions, account, siteOf(request), new Date());
    },
  });
  routes.add({
    id: "addPasskey",
    method: "post",
    path: "/api/me/passkeys",
    summary: "Keep a passkey the browser made",
    answer: Passkeys,
    roles: STAFF_ROLES,
    body: NewPasskey,
    async handle({ caller, body, request }) {
      const list = await addPasskey(db, questions, caller, siteOf(request), body, new Date());
      await noteSignIn(db, caller, "passkey added");
      return list;
    },
  });
  routes.add({
    id: "removePasskey",
    method: "delete",
    path: "/api/me/passkeys/:passkeyId",
    summary: "Take a passkey out",
    answer: Passkeys,
    roles: STAFF_ROLES,
    params: v.object({ passkeyId: Id }),
    async handle({ caller, params }) {
      const list = await removePasskey(db, caller, params.passkeyId);
      await noteSignIn(db, caller, "passkey taken out");
      return list;
    },
  });
  routes.add({
    id: "askForPasskeySignIn",
    method: "post",
    path: "/api/sign-in/passkey/question",
    summary: "What the browser is asked to sign in with a passkey",
    answer: PasskeyQuestion,
    roles: "anyone",
    handle: ({ request }) => askForSignIn(questions, siteOf(request), new Date()),
  });
  routes.add({
    id: "signInWithPasskey",
    method: "post",
    path: "/api/sign-in/passkey",
    summary: "Sign in with a passkey; neither password nor second step is asked for",
    answer: Me,
    roles: "anyone",
    body: PasskeySignIn,
    async handle({ body, request, response }) {
      const at = new Date();
      const attempt = { account: "passkey", addressOnly: true, address: request.ip ?? "unknown" };
      const account = await attempted(db, attempt, at, () => accountOfAnswer(db, questions, siteOf(request), body.answer, at));
      if (!account)
        throw new Problem(401, "wrongPasskey", "This passkey is not known here any more, or the answer came too late. Try again.");
      await openSession(db, account, "signed in with a passkey", { request, response, at });
      return whoIs(db, now, request);
    },
  });
}
