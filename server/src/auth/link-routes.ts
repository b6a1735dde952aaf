/** One-time addresses: what one is for, using it, and asking for a way back. */
import { Forgotten, LinkToken, Me, OneTimeLink, UsedLink, WayBack } from "@kind-grip/core/api";
import type { AppContext } from "../context";
import { Problem } from "../http/problem";
import type { Routes } from "../http/route";
import { passwordMail } from "../message/mail";
import { attempted } from "./attempts";
import { applyLink, makePasswordLink, pathOf, readLink } from "./one-time-links";
import { openSession, whoIs } from "./who-is";

export function addLinkRoutes(routes: Routes, { db, now, mail, addressOf }: AppContext): void {
  routes.add({
    id: "oneTimeLink",
    method: "post",
    path: "/api/link",
    summary: "Whom a one-time address is for",
    answer: OneTimeLink,
    roles: "anyone",
    body: LinkToken,
    handle: ({ body }) => readLink(db, body.token, new Date()),
  });

  routes.add({
    id: "useOneTimeLink",
    method: "post",
    path: "/api/link/use",
    summary: "Begin a practice, accept an invitation or set a password anew; signs in, unless a second step or a passkey is asked for",
    answer: Me,
    roles: "anyone",
    body: UsedLink,
    async handle({ body, request, response }) {
      const at = new Date();
      const { account, opens } = await applyLink(db, body, at);
      if (opens) await openSession(db, account, "signed in with a one-time address", { request, response, at });
      return whoIs(db, now, request);
    },
  });

  routes.add({
    id: "wayBack",
    method: "get",
    path: "/api/forgotten",
    summary: "Whether a way back can be sent by e-mail",
    answer: WayBack,
    roles: "anyone",
    handle: async () => ({ byMail: mail() !== undefined }),
  });

  routes.add({
    id: "forgotten",
    method: "post",
    path: "/api/forgotten",
    summary: "Have a way back sent; the same answer whether there is such an address or not",
    roles: "anyone",
    body: Forgotten,
    async handle({ body, request }) {
      const send = mail();
      if (!send)
        throw new Problem(409, "noMail", "This server sends no e-mail. Whoever runs it can make you a way back: bin/admin password.");
      const at = new Date();
      // Each one counts: nobody's inbox is filled.
      await attempted(
        db,
        { account: `way back of ${body.email}`.slice(0, 160), address: request.ip ?? "unknown" },
        at,
        async () => undefined,
      );
      // Not waited for: how long an answer takes tells nobody whether there is such an account.
      void (async () => {
        const made = await makePasswordLink(db, body.email, at);
        if (made) await send(passwordMail(body.email, made.account.name, addressOf(request) + pathOf(made.token)));
      })().catch((error: unknown) => request.log.warn({ err: error }, "a way back could not be sent"));
    },
  });
}
