/** Reminders of a crew, and what became of them. */
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import type { AppContext } from "../context";
import { CrewParams } from "../http/params";
import type { Routes } from "../http/route";
import { listMessages, remind } from "./queue";

export function addMessageRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    method: "get",
    path: "/api/crews/:crewId/messages",
    summary: "The latest reminders and what became of them",
    params: CrewParams,
    handle: ({ caller, params }) => listMessages(db, caller, params.crewId),
  });
  routes.add({
    method: "post",
    path: "/api/crews/:crewId/reminders",
    summary: "Remind everybody of a placed session; nobody twice",
    params: CrewParams,
    body: v.strictObject({ placementId: Id }),
    handle: async ({ caller, params, body }) => remind(db, caller, await now(caller), params.crewId, body.placementId),
  });
}
