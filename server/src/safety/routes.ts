/** Who may do what, holds, clearances, the referral note. */
import { NewClearance, QUESTION_IDS } from "@kind-grip/core/safety";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import { auditOf, noteSeen } from "../audit/audit";
import type { AppContext } from "../context";
import { crewOf } from "../crew/crews";
import { sendFile } from "../http/file";
import { CrewParams, Page, Why } from "../http/params";
import type { Routes } from "../http/route";
import { enterClearance, enterHold, heldOut, holdOf, withdrawClearance, withdrawHold } from "./holds";
import { participationsIn } from "./participations";
import { referralNote } from "./referral-note";

export function addSafetyRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    method: "get",
    path: "/api/crews/:crewId/participation",
    summary: "Who cannot do everything, and what; no health answers, no reasons",
    roles: ["trainer", "lead"],
    params: CrewParams,
    async handle({ caller, params }) {
      const crew = await crewOf(db, caller, params.crewId);
      const people = await participationsIn(db, { id: crew.id, timeZone: crew.detail.timeZone }, await now(caller));
      return [...people].map(([personId, participation]) => ({ personId, ...participation }));
    },
  });
  routes.add({
    method: "get",
    path: "/api/crews/:crewId/held-out",
    summary: "Holds and clearances of a crew with their reasons",
    params: CrewParams,
    async handle({ caller, params }) {
      const answer = await heldOut(db, caller, params.crewId);
      await noteSeen(db, caller, await now(caller), {
        crewId: params.crewId,
        personId: null,
        subject: "hold",
        what: "holds and clearances",
      });
      return answer;
    },
  });
  routes.add({
    method: "post",
    path: "/api/crews/:crewId/holds",
    summary: "Hold a person out, for one of the safety questions",
    params: CrewParams,
    body: v.strictObject({ personId: Id, question: v.picklist(QUESTION_IDS, "is not one of the safety questions") }),
    handle: async ({ caller, params, body }) => enterHold(db, caller, await now(caller), params.crewId, body),
  });
  routes.add({
    method: "post",
    path: "/api/holds/:holdId/withdraw",
    summary: "End a hold that was entered by mistake",
    params: v.object({ holdId: Id }),
    body: Why,
    handle: async ({ caller, params, body }) => withdrawHold(db, caller, await now(caller), params.holdId, body.why),
  });
  routes.add({
    method: "post",
    path: "/api/crews/:crewId/clearances",
    summary: "Enter a clinician's clearance",
    params: CrewParams,
    body: NewClearance,
    handle: async ({ caller, params, body }) => enterClearance(db, caller, await now(caller), params.crewId, body),
  });
  routes.add({
    method: "post",
    path: "/api/clearances/:clearanceId/withdraw",
    summary: "Withdraw a clearance",
    params: v.object({ clearanceId: Id }),
    body: Why,
    handle: async ({ caller, params, body }) => withdrawClearance(db, caller, await now(caller), params.clearanceId, body.why),
  });
  routes.add({
    method: "get",
    path: "/api/holds/:holdId/referral.pdf",
    summary: "A referral note for the person: plain words, no diagnosis",
    params: v.object({ holdId: Id }),
    async handle({ caller, params, response }) {
      const hold = await holdOf(db, caller, params.holdId);
      const at = await now(caller);
      await noteSeen(db, caller, at, { crewId: hold.crewId, personId: hold.personId, subject: "referral", what: "referral note" });
      sendFile(response, "referral note.pdf", "application/pdf", await referralNote(db, hold, at));
    },
  });
  routes.add({
    method: "get",
    path: "/api/crews/:crewId/audit",
    summary: "Who saw or changed health answers of a crew, newest first, a page at a time",
    params: CrewParams,
    query: Page,
    handle: ({ caller, params, query }) => auditOf(db, caller, params.crewId, query.page),
  });
}
