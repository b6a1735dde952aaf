/** Runs and their CSV. */
import {
  CardHolder,
  ClashAnswer,
  LastPresence,
  OwnAnswer,
  Page,
  QuickTestRule,
  QuickTestsEntry,
  RunPage,
  ShownCard,
  Stored,
} from "@kind-grip/core/api";
import { dateAt, wallTime } from "@kind-grip/core/calendar";
import { writeCsv } from "@kind-grip/core/exchange";
import { RunRecord } from "@kind-grip/core/run";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import { noteSeen } from "../audit/audit";
import { refuseOtherOwner } from "../auth/caller";
import type { AppContext } from "../context";
import { crewOf } from "../crew/crews";
import { sendFile } from "../http/file";
import { CrewParams } from "../http/params";
import { invalid } from "../http/problem";
import type { Routes } from "../http/route";
import { runRows } from "./rows";
import { answerClash } from "./answer-clash";
import { holderOf, notePlacementEnded, ownAnswersOf } from "./own-answers";
import { changeQuickRule, quickRuleOf, quickTestsOf } from "./quick-tests";
import { lastPresence, listRuns, runOf, storeRun } from "./runs";

const RunParams = v.object({ runId: Id });

export function addRunRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    id: "runs",
    method: "get",
    scope: "sessions.read",
    path: "/api/crews/:crewId/runs",
    summary: "Runs of a crew, newest first, a page at a time",
    answer: RunPage,
    params: CrewParams,
    query: Page,
    handle: ({ caller, params, query }) => listRuns(db, caller, params.crewId, query.page),
  });
  routes.add({
    id: "lastPresence",
    method: "get",
    scope: "sessions.read",
    path: "/api/crews/:crewId/last-presence",
    summary: "Who was not there when the crew was last led; no marks, no efforts",
    answer: LastPresence,
    roles: ["trainer", "lead"],
    params: CrewParams,
    handle: async ({ caller, params }) => lastPresence(db, caller, await now(caller), params.crewId),
  });
  routes.add({
    id: "quickTestRule",
    method: "get",
    scope: "sessions.read",
    path: "/api/crews/:crewId/quick-test",
    summary: "What a crew is asked before and after its runs; null for nothing",
    answer: QuickTestRule,
    roles: ["trainer", "lead"],
    params: CrewParams,
    async handle({ caller, params }) {
      await crewOf(db, caller, params.crewId);
      return quickRuleOf(db, params.crewId);
    },
  });
  routes.add({
    id: "changeQuickTestRule",
    method: "put",
    path: "/api/crews/:crewId/quick-test",
    summary: "Change it",
    answer: QuickTestRule,
    params: CrewParams,
    body: QuickTestRule,
    handle: ({ caller, params, body }) => changeQuickRule(db, caller, params.crewId, body),
  });
  routes.add({
    id: "quickTests",
    method: "get",
    scope: "health.read",
    path: "/api/crews/:crewId/quick-tests",
    summary: "Before and after the runs of the last twelve weeks, person by person and over the crew",
    answer: QuickTestsEntry,
    params: CrewParams,
    query: v.object({ personId: v.optional(Id) }),
    async handle({ caller, params, query: { personId } }) {
      const at = await now(caller);
      const entry = await quickTestsOf(db, caller, params.crewId, at, personId);
      await noteSeen(db, caller, at, {
        crewId: params.crewId,
        personId: personId ?? null,
        subject: "run",
        what: "before and after of runs",
      });
      return entry;
    },
  });
  routes.add({
    id: "ownAnswers",
    method: "get",
    path: "/api/crews/:crewId/placements/:placementId/own-answers",
    summary: "Who said on their own phone that they are here, and how hard it was",
    answer: v.array(OwnAnswer),
    roles: ["trainer", "lead"],
    params: v.object({ crewId: Id, placementId: Id }),
    handle: ({ caller, params }) => ownAnswersOf(db, caller, params.crewId, params.placementId),
  });
  routes.add({
    id: "placementEnded",
    method: "put",
    path: "/api/crews/:crewId/placements/:placementId/ended",
    summary: "Say that a led session has come to its end: phones ask how hard it was",
    roles: ["trainer", "lead"],
    params: v.object({ crewId: Id, placementId: Id }),
    handle: async ({ caller, params }) => notePlacementEnded(db, caller, await now(caller), params.crewId, params.placementId),
  });
  routes.add({
    id: "cardHolder",
    method: "post",
    path: "/api/crews/:crewId/card-holder",
    summary: "Whose card was shown to the camera of the screen that leads; signs nobody in",
    answer: CardHolder,
    roles: ["trainer", "lead"],
    params: CrewParams,
    body: ShownCard,
    handle: ({ caller, params, body }) => holderOf(db, caller, params.crewId, body.token),
  });
  routes.add({
    id: "run",
    method: "get",
    scope: "sessions.read",
    path: "/api/runs/:runId",
    summary: "One run, whole",
    answer: RunRecord,
    params: RunParams,
    async handle({ caller, params }) {
      const run = await runOf(db, caller, params.runId);
      await noteSeen(db, caller, await now(caller), {
        crewId: run.crewId,
        personId: null,
        subject: "run",
        what: "marks and efforts of a run",
      });
      return run;
    },
  });
  routes.add({
    id: "answerClash",
    method: "post",
    path: "/api/runs/:runId/clashes/:personId",
    summary: "Say whether a late run with somebody who is out of it was before, or a mistake",
    params: v.object({ runId: Id, personId: Id }),
    body: ClashAnswer,
    async handle({ caller, params, body }) {
      await answerClash(db, caller, await now(caller), params.runId, params.personId, body.answer);
    },
  });
  routes.add({
    id: "storeRun",
    method: "put",
    path: "/api/runs/:runId",
    summary: "Store a run; sending it again changes nothing",
    answer: Stored,
    roles: ["trainer", "lead"],
    params: RunParams,
    body: RunRecord,
    bodyLimit: "1mb",
    async handle({ caller, params, body, request }) {
      await refuseOtherOwner(db, request, caller);
      if (params.runId !== body.id) throw invalid([{ path: "id", message: "is not the id in the address" }]);
      return storeRun(db, caller, await now(caller), body);
    },
  });
  routes.add({
    id: "runsCsv",
    method: "get",
    scope: "sessions.read",
    path: "/api/crews/:crewId/runs.csv",
    summary: "Runs of a crew as CSV, one row a person and run",
    file: "text/csv",
    params: CrewParams,
    async handle({ caller, params, response }) {
      const crew = await crewOf(db, caller, params.crewId);
      const rows = await runRows(db, crew.id);
      const { timeZone } = crew.detail;
      await noteSeen(db, caller, await now(caller), { crewId: crew.id, personId: null, subject: "export", what: "runs as CSV" });
      const csv = writeCsv(
        [
          "startedAt",
          "localDay",
          "localTime",
          "timeZone",
          "session",
          "slot",
          "plannedSec",
          "doneSec",
          "person",
          "badge",
          "present",
          "effort",
          "marks",
        ],
        rows.map((row) => [
          row.startedAt.toISOString(),
          dateAt(row.startedAt.getTime(), timeZone),
          wallTime(row.startedAt.getTime(), timeZone),
          timeZone,
          row.sessionName,
          row.slot,
          row.plannedSec,
          row.doneSec,
          row.name,
          row.badge,
          row.present ? "yes" : "no",
          row.effort,
          row.markCount,
        ]),
      );
      sendFile(response, `${crew.name} runs.csv`, "text/csv", csv);
    },
  });
}
