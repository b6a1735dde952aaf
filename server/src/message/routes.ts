/** Reminders of a crew, and what became of them. */
import { MessageEntry, Reminded, Reminder, ReminderRule } from "@kind-grip/core/api";
import * as v from "valibot";
import type { AppContext } from "../context";
import { CrewParams } from "../http/params";
import type { Routes } from "../http/route";
import { crewOf } from "../crew/crews";
import { listMessages, remind } from "./queue";
import { changeRule, ruleOf } from "./wishes";

export function addMessageRoutes(routes: Routes, { db, now, ways }: AppContext): void {
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
    id: "reminderRule",
    method: "get",
    path: "/api/crews/:crewId/reminder-rule",
    summary: "How long before a session the crew is reminded by itself",
    answer: ReminderRule,
    params: CrewParams,
    async handle({ caller, params }) {
      await crewOf(db, caller, params.crewId);
      return ruleOf(db, params.crewId);
    },
  });
  routes.add({
    id: "changeReminderRule",
    method: "put",
    path: "/api/crews/:crewId/reminder-rule",
    summary: "Say how long before a session the crew is reminded by itself; null for not at all",
    answer: ReminderRule,
    params: CrewParams,
    body: ReminderRule,
    handle: ({ caller, params, body }) => changeRule(db, caller, params.crewId, body),
  });
  routes.add({
    id: "remind",
    method: "post",
    path: "/api/crews/:crewId/reminders",
    summary: "Remind everybody of a placed session; nobody twice",
    answer: Reminded,
    params: CrewParams,
    body: Reminder,
    handle: async ({ caller, params, body }) => remind(db, caller, await now(caller), params.crewId, body, ways()),
  });
}
