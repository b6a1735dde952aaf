/** Who may do what, restrictions, clearances, the referral note. */
import { AnsweredAlerts, AuditPage, HeldOut, NewRestriction, Page, ParticipationEntry, Stored, Why } from "@kind-grip/core/api";
import { NewClearance, SymptomReport } from "@kind-grip/core/safety";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import { auditOf, noteSeen } from "../audit/audit";
import { refuseOtherOwner } from "../auth/caller";
import type { AppContext } from "../context";
import { crewOf } from "../crew/crews";
import { sendFile } from "../http/file";
import { CrewParams } from "../http/params";
import { invalid } from "../http/problem";
import type { Routes } from "../http/route";
import { enterClearance, enterRestriction, heldOut, restrictionOf, withdrawClearance, withdrawRestriction } from "./restrictions";
import { participationsIn } from "./participations";
import { answerAlerts, storeReport } from "./symptom-alerts";

export function addSafetyRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    id: "participation",
    method: "get",
    scope: "health.read",
    path: "/api/crews/:crewId/participation",
    summary: "Who cannot do everything, and what; no health answers, no reasons",
    answer: v.array(ParticipationEntry),
    roles: ["trainer", "lead"],
    params: CrewParams,
    async handle({ caller, params }) {
      const crew = await crewOf(db, caller, params.crewId);
      const people = await participationsIn(db, { id: crew.id, timeZone: crew.detail.timeZone }, await now(caller));
      return [...people].map(([personId, participation]) => ({ personId, ...participation }));
    },
  });
  routes.add({
    id: "heldOut",
    method: "get",
    scope: "health.read",
    path: "/api/crews/:crewId/held-out",
    summary: "Restrictions and clearances of a crew with their reasons",
    answer: HeldOut,
    params: CrewParams,
    async handle({ caller, params }) {
      const answer = await heldOut(db, caller, params.crewId);
      await noteSeen(db, caller, await now(caller), {
        crewId: params.crewId,
        personId: null,
        subject: "restriction",
        what: "holds and clearances",
      });
      return answer;
    },
  });
  routes.add({
    id: "enterRestriction",
    method: "post",
    path: "/api/crews/:crewId/restrictions",
    summary: "Hold a person out, for one of the safety questions, sharp pain, or something else in words",
    answer: HeldOut,
    params: CrewParams,
    body: NewRestriction,
    handle: async ({ caller, params, body }) => enterRestriction(db, caller, await now(caller), params.crewId, body),
  });
  routes.add({
    id: "answerAlerts",
    method: "post",
    path: "/api/crews/:crewId/people/:personId/alerts/answer",
    summary: "Answer what a person reported: give back, ease, keep paused, or refer and hold out; with a reply to them",
    params: v.object({ crewId: Id, personId: Id }),
    body: AnsweredAlerts,
    async handle({ caller, params, body }) {
      await answerAlerts(db, caller, await now(caller), { ...params, alertIds: body.alertIds }, body.answer);
    },
  });
  routes.add({
    id: "reportInRun",
    method: "put",
    path: "/api/crews/:crewId/people/:personId/symptom-reports/:reportId",
    summary: "What somebody felt in a run that is being led; pauses at once. Sending it again changes nothing",
    answer: Stored,
    roles: ["trainer", "lead"],
    params: v.object({ crewId: Id, personId: Id, reportId: Id }),
    body: SymptomReport,
    async handle({ caller, params: { crewId, personId, reportId }, body, request }) {
      await refuseOtherOwner(db, request, caller);
      if (reportId !== body.id) throw invalid([{ path: "id", message: "is not the id in the address" }]);
      return storeReport(db, caller, await now(caller), { crewId, personId, cause: "run" }, body);
    },
  });
  routes.add({
    id: "withdrawRestriction",
    method: "post",
    path: "/api/restrictions/:restrictionId/withdraw",
    summary: "End a restriction that was entered by mistake",
    answer: HeldOut,
    params: v.object({ restrictionId: Id }),
    body: Why,
    handle: async ({ caller, params, body }) => withdrawRestriction(db, caller, await now(caller), params.restrictionId, body.why),
  });
  routes.add({
    id: "enterClearance",
    method: "post",
    path: "/api/crews/:crewId/clearances",
    summary: "Enter a clinician's clearance",
    answer: HeldOut,
    params: CrewParams,
    body: NewClearance,
    handle: async ({ caller, params, body }) => enterClearance(db, caller, await now(caller), params.crewId, body),
  });
  routes.add({
    id: "withdrawClearance",
    method: "post",
    path: "/api/clearances/:clearanceId/withdraw",
    summary: "Withdraw a clearance",
    answer: HeldOut,
    params: v.object({ clearanceId: Id }),
    body: Why,
    handle: async ({ caller, params, body }) => withdrawClearance(db, caller, await now(caller), params.clearanceId, body.why),
  });
  routes.add({
    id: "referralNote",
    method: "get",
    path: "/api/restrictions/:restrictionId/referral.pdf",
    summary: "A referral note for the person: plain words, no diagnosis",
    file: "application/pdf",
    params: v.object({ restrictionId: Id }),
    async handle({ caller, params, response }) {
      const restriction = await restrictionOf(db, caller, params.restrictionId);
      const at = await now(caller);
      await noteSeen(db, caller, at, {
        crewId: restriction.crewId,
        personId: restriction.personId,
        subject: "referral",
        what: "referral note",
      });
      sendFile(response, "referral note.pdf", "application/pdf", await (await import("./referral-note")).referralNote(db, restriction, at));
    },
  });
  routes.add({
    id: "audit",
    method: "get",
    path: "/api/crews/:crewId/audit",
    summary: "Who saw or changed health answers of a crew, newest first, a page at a time",
    answer: AuditPage,
    params: CrewParams,
    query: Page,
    handle: ({ caller, params, query }) => auditOf(db, caller, params.crewId, query.page),
  });
}
