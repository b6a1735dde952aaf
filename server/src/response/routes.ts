/** Decisions waiting and taken. */
import { NewDecision } from "@kind-grip/core/response";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import { noteSeen } from "../audit/audit";
import type { AppContext } from "../context";
import { CrewParams, Page, Why } from "../http/params";
import type { Routes } from "../http/route";
import { decide, decisionHistory, resume, waitingDecisions } from "./decisions";

const MOST_DECISIONS_AT_ONCE = 500;

export function addResponseRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    method: "get",
    path: "/api/crews/:crewId/decisions",
    summary: "What waits for a decision, most urgent first; with all=yes, holds too",
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
    method: "post",
    path: "/api/crews/:crewId/decisions",
    summary: "Confirm or overrule proposals, all or none; 409 when the records say something else by now",
    params: CrewParams,
    body: v.strictObject({
      decisions: v.pipe(
        v.array(NewDecision),
        v.minLength(1, "names none"),
        v.maxLength(MOST_DECISIONS_AT_ONCE, `at most ${MOST_DECISIONS_AT_ONCE} at once`),
      ),
    }),
    bodyLimit: "1mb",
    handle: async ({ caller, params, body }) => decide(db, caller, await now(caller), params.crewId, body.decisions),
  });
  routes.add({
    method: "get",
    path: "/api/crews/:crewId/decisions/history",
    summary: "Decisions taken, newest first, a page at a time",
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
    method: "post",
    path: "/api/decisions/:decisionId/resume",
    summary: "End a pause: the item is the person's again",
    params: v.object({ decisionId: Id }),
    body: Why,
    handle: async ({ caller, params, body }) => resume(db, caller, await now(caller), params.decisionId, body.why),
  });
}
