/** Runs and their CSV. */
import { writeCsv } from "@kind-grip/core/exchange";
import { RunRecord } from "@kind-grip/core/run";
import { Id } from "@kind-grip/core/units";
import * as v from "valibot";
import type { AppContext } from "../context";
import { crewOf } from "../crew/crews";
import { sendFile } from "../http/file";
import { CrewParams, Page } from "../http/params";
import { invalid } from "../http/problem";
import type { Routes } from "../http/route";
import { runRows } from "./rows";
import { listRuns, runOf, storeRun } from "./runs";

const RunParams = v.object({ runId: Id });

export function addRunRoutes(routes: Routes, { db }: AppContext): void {
  routes.add({
    method: "get",
    path: "/api/crews/:crewId/runs",
    summary: "Runs of a crew, newest first, a page at a time",
    params: CrewParams,
    query: Page,
    handle: ({ caller, params, query }) => listRuns(db, caller, params.crewId, query.page),
  });
  routes.add({
    method: "get",
    path: "/api/runs/:runId",
    summary: "One run, whole",
    params: RunParams,
    handle: ({ caller, params }) => runOf(db, caller, params.runId),
  });
  routes.add({
    method: "put",
    path: "/api/runs/:runId",
    summary: "Store a run; sending it again changes nothing",
    roles: ["trainer", "lead"],
    params: RunParams,
    body: RunRecord,
    bodyLimit: "1mb",
    async handle({ caller, params, body }) {
      if (params.runId !== body.id) throw invalid([{ path: "id", message: "is not the id in the address" }]);
      return storeRun(db, caller, body);
    },
  });
  routes.add({
    method: "get",
    path: "/api/crews/:crewId/runs.csv",
    summary: "Runs of a crew as CSV, one row a person and run",
    params: CrewParams,
    async handle({ caller, params, response }) {
      const crew = await crewOf(db, caller, params.crewId);
      const rows = await runRows(db, crew.id);
      const csv = writeCsv(
        ["startedAt", "session", "slot", "plannedSec", "doneSec", "person", "badge", "present", "effort", "marks"],
        rows.map((row) => [
          row.startedAt.toISOString(),
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
