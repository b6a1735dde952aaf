/** Reminders of a crew, and what became of them. */
import { MessageEntry, Reminded, Reminder } from "@kind-grip/core/api";
import * as v from "valibot";
import type { AppContext } from "../context";
import { CrewParams } from "../http/params";
import type { Routes } from "../http/route";
import { listMessages, remind } from "./queue";

export function addMessageRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    id: "messages",
    method: "get",
    path: "/api/crews/:crewId/messages",
    summary: "The latest reminders and what became of them",
    answer: v.array(MessageEntry),
    params: CrewParams,
    handle: ({ caller, params }) => listMessages(db, caller, params.crewId),
  });
  routes.add({
    id: "remind",
    method: "post",
    path: "/api/crews/:crewId/reminders",
    summary: "Remind everybody of a placed session; nobody twice",
    answer: Reminded,
    params: CrewParams,
    body: Reminder,
    handle: async ({ caller, params, body }) => remind(db, caller, await now(caller), params.crewId, body.placementId),
  });
}
