/** The crew report and the review, and the report as files: for the trainer and for the employer contact alike. */
import { ReportEntry } from "@kind-grip/core/api";
import { writeCsv } from "@kind-grip/core/exchange";
import { ReviewAnswer } from "@kind-grip/core/followup";
import { wordsOf } from "@kind-grip/core/language";
import { SHIPPED_LIBRARY } from "@kind-grip/core/library";
import * as v from "valibot";
import type { AppContext } from "../context";
import { sendFile } from "../http/file";
import { CrewParams } from "../http/params";
import type { Routes } from "../http/route";
import { reportOf } from "./report";
import { reviewOf } from "./review";

const ReviewQuery = v.object({
  weeks: v.optional(v.pipe(v.picklist(["4", "8"], "must be 4 or 8"), v.transform(Number)), "4"),
});
/** Columns of the CSV file (docs/formats/csv.md). */
const CSV_FIGURES = ["people", "adherence", "secPerPersonDay", "meanEffort", "morningsRaised", "minutesGiven", "workStrain"] as const;
const READERS = ["trainer", "employer"] as const;

export function addReportRoutes(routes: Routes, { db, now }: AppContext): void {
  routes.add({
    id: "report",
    method: "get",
    scope: "reports.read",
    path: "/api/crews/:crewId/report",
    summary: "Crew figures by frozen blocks of four weeks; none of fewer than five people",
    answer: ReportEntry,
    roles: READERS,
    params: CrewParams,
    handle: async ({ caller, params }) => reportOf(db, caller, await now(caller), params.crewId),
  });
  routes.add({
    id: "review",
    method: "get",
    scope: "health.read",
    path: "/api/crews/:crewId/review",
    summary: "The review of a block, down to the person",
    answer: ReviewAnswer,
    params: CrewParams,
    query: ReviewQuery,
    handle: async ({ caller, params, query }) => reviewOf(db, caller, await now(caller), params.crewId, query.weeks),
  });
  routes.add({
    id: "reportCsv",
    method: "get",
    scope: "reports.read",
    path: "/api/crews/:crewId/report.csv",
    summary: "The same as CSV",
    file: "text/csv",
    roles: READERS,
    params: CrewParams,
    async handle({ caller, params, response }) {
      const report = await reportOf(db, caller, await now(caller), params.crewId);
      const csv = writeCsv(
        ["from", "until", ...CSV_FIGURES],
        report.blocks.map(({ from, until, figures }) => [from, until, ...CSV_FIGURES.map((key) => figures[key])]),
      );
      sendFile(response, `${report.crew.name} report.csv`, "text/csv", csv);
    },
  });
  routes.add({
    id: "reportWorkbook",
    method: "get",
    scope: "reports.read",
    path: "/api/crews/:crewId/report.xlsx",
    summary: "The same as a workbook",
    file: "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
    roles: READERS,
    params: CrewParams,
    async handle({ caller, params, response }) {
      const report = await reportOf(db, caller, await now(caller), params.crewId);
      const type = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";
      sendFile(
        response,
        `${report.crew.name} report.xlsx`,
        type,
        await (await import("./report-workbook")).reportWorkbook(report, wordsOf(SHIPPED_LIBRARY)),
      );
    },
  });
}
