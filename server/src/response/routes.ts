/** Decisions waiting and taken. */
import { DecisionPage, NewDecisions, Page, WaitingDecision, Why } from "@kind-grip/core/api";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import { noteSeen } from "../audit/audit";
import type { AppContext } from "../context";
import { CrewParams } from "../http/params";
import type { Routes } from "../http/route";
import { decide, decisionHistory, resume, waitingDecisions } from "./decisions";

export function addResponseRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    id: "decisions",
    method: "get",
    scope: "health.read",
    path: "/api/crews/:crewId/decisions",
    summary: "What waits for a decision, most urgent first; with all=yes, holds too",
    answer: v.array(WaitingDecision),
    params: CrewParams,
    query: v.object({ all: v.optional(v.picklist(["yes", "no"], "must be yes or no"), "no") }),
    async handle({ caller, params, query }) {
      const at = await now(caller);
      const answer = await waitingDecisions(db, caller, at, params.crewId, query.all === "yes");
      await noteSeen(db, caller, at, { crewId: params.crewId, personId: null, subject: "decision", what: "decisions waiting" });
      return answer;
    },
  });
  routes.add({
    id: "decide",
    method: "post",
    path: "/api/crews/:crewId/decisions",
    summary: "Confirm or overrule proposals, all or none; 409 when the records say something else by now",
    params: CrewParams,
    body: NewDecisions,
    bodyLimit: "1mb",
    handle: async ({ caller, params, body }) => decide(db, caller, await now(caller), params.crewId, body.decisions),
  });
  routes.add({
    id: "decisionHistory",
    method: "get",
    scope: "health.read",
    path: "/api/crews/:crewId/decisions/history",
    summary: "Decisions taken, newest first, a page at a time",
    answer: DecisionPage,
    params: CrewParams,
    query: v.object({ ...Page.entries, personId: v.optional(Id) }),
    async handle({ caller, params, query }) {
      const history = await decisionHistory(db, caller, params.crewId, query);
      const personId = query.personId ?? null;
      await noteSeen(db, caller, await now(caller), { crewId: params.crewId, personId, subject: "decision", what: "decisions taken" });
      return history;
    },
  });
  routes.add({
    id: "resume",
    method: "post",
    path: "/api/decisions/:decisionId/resume",
    summary: "End a pause: the item is the person's again",
    params: v.object({ decisionId: Id }),
    body: Why,
    handle: async ({ caller, params, body }) => resume(db, caller, await now(caller), params.decisionId, body.why),
  });
}
