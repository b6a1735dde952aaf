/** One's own API tokens: made with the password, looked through, withdrawn. */
import { ApiTokens, ApiTokenUses, MadeApiToken, NewApiToken } from "@kind-grip/core/api";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import { withOwnPassword } from "../auth/own-password";
import type { AppContext } from "../context";
import type { Routes } from "../http/route";
import { makeToken, tokensOf, usesOf, withdrawToken } from "./tokens";

const TokenParams = v.object({ tokenId: Id });

export function addTokenRoutes(routes: Routes, { db }: AppContext): void {
  routes.add({
    id: "apiTokens",
    method: "get",
    path: "/api/practice/tokens",
    summary: "One's own API tokens; those that ended for 90 days more",
    answer: ApiTokens,
    handle: ({ caller }) => tokensOf(db, caller),
  });
  routes.add({
    id: "makeApiToken",
    method: "post",
    path: "/api/practice/tokens",
    summary: "Make an API token, with one's password; this answer is the only one that has it",
    answer: MadeApiToken,
    body: NewApiToken,
    async handle({ caller, body, request }) {
      await withOwnPassword(db, caller, request, body.password, "password");
      return makeToken(db, caller, body, new Date());
    },
  });
  routes.add({
    id: "withdrawApiToken",
    method: "delete",
    path: "/api/practice/tokens/:tokenId",
    summary: "Withdraw an API token",
    params: TokenParams,
    handle: ({ caller, params }) => withdrawToken(db, caller, params.tokenId, new Date()),
  });
  routes.add({
    id: "apiTokenUses",
    method: "get",
    path: "/api/practice/tokens/:tokenId/uses",
    summary: "What an API token was used for, day by day",
    answer: ApiTokenUses,
    params: TokenParams,
    handle: ({ caller, params }) => usesOf(db, caller, params.tokenId),
  });
}
