/** Files that take a while: asked for, watched, taken back, fetched; or waited for at an address of their own. */
import * as v from "valibot";
import { HandOut, Job, NewPaper } from "@kind-grip/core/api";
import { Language } from "@kind-grip/core/language";
import { Id } from "@kind-grip/core/units";
import type { Response } from "express";
import { noteSeen } from "../audit/audit";
import type { Caller } from "../auth/caller";
import type { AppContext } from "../context";
import { reportOf } from "../followup/report";
import { crewOf } from "../crew/crews";
import { sendFile } from "../http/file";
import { Problem } from "../http/problem";
import type { Routes } from "../http/route";
import { ask, contentKeyOf, fileOf, jobOf, leave, told, type AskedWork } from "./jobs";
import { paperWork, sheetOf } from "./papers";

/** Between two looks at work that is waited for. */
const LOOK_MS = 150;

const ProgramParams = v.object({ programId: Id });
const CrewParams = v.object({ crewId: Id });
/** Left out: the crew's, or everybody's own. */
const InLanguage = v.object({ language: v.optional(Language) });
const JobParams = v.object({ jobId: Id });

export function addJobRoutes(routes: Routes, { db, now, worker }: AppContext): void {
  const askFor = async (caller: Caller, work: AskedWork) => {
    const job = await ask(db, caller, work);
    worker.wake();
    return job;
  };
  const paper = async (caller: Caller, programId: string, kind: "handOut" | "personalSheets", language?: Language) =>
    paperWork(db, caller, await now(caller), programId, kind, language);
  const everythingOf = async (caller: Caller, crewId: string): Promise<AskedWork> => {
    const crew = await crewOf(db, caller, crewId);
    const at = await now(caller);
    await noteSeen(db, caller, at, { crewId, personId: null, subject: "export", what: "everything of the crew" });
    const { role, accountId, practiceId } = caller;
    const task = { kind: "crewExport", caller: { role, accountId, practiceId }, at: at.toISOString(), crewId } as const;
    return { crewId, subjectId: crewId, fileName: `${crew.name}.kind-grip-crew.json`, task };
  };
  /** Answers with the file as soon as it is made; who goes away before that does not wait any more. */
  const answerWhenMade = async (caller: Caller, work: AskedWork, response: Response) => {
    const { id } = await askFor(caller, work);
    let gone = false;
    response.once("close", () => {
      gone = true;
      void leave(db, id).catch(() => undefined);
    });
    for (;;) {
      const job = await jobOf(db, caller, id);
      if (gone) return;
      if (job.state === "made") return send(response, job, await fileOf(db, job));
      if (job.state === "failed") throw new Problem(503, "notMade", job.problem ?? "It could not be made. Ask for it again.");
      if (job.state === "cancelled") await ask(db, caller, work);
      await new Promise((resolve) => setTimeout(resolve, LOOK_MS));
    }
  };

  routes.add({
    id: "askForPaper",
    method: "post",
    path: "/api/programs/:programId/papers",
    summary: "Ask for a program on paper; what is asked for twice is made once",
    answer: Job,
    params: ProgramParams,
    body: NewPaper,
    handle: async ({ caller, params, body }) => askFor(caller, await paper(caller, params.programId, body.kind, body.language)),
  });
  routes.add({
    id: "askForCrewExport",
    method: "post",
    path: "/api/crews/:crewId/export",
    summary: "Ask for everything that is kept of a crew, as one open file",
    answer: Job,
    params: CrewParams,
    handle: async ({ caller, params }) => askFor(caller, await everythingOf(caller, params.crewId)),
  });
  routes.add({
    id: "askForTrail",
    method: "post",
    path: "/api/practice/trail/export",
    summary: "Ask for the whole trail of the practice with its seals, as an open file (docs/formats/trail.md)",
    answer: Job,
    handle: async ({ caller: { practiceId, ...caller } }) => {
      const task = { kind: "trailExport", practiceId, at: new Date().toISOString() } as const;
      return askFor({ ...caller, practiceId }, { crewId: null, subjectId: practiceId, fileName: "trail.kind-grip-trail.json", task });
    },
  });
  routes.add({
    id: "job",
    method: "get",
    path: "/api/jobs/:jobId",
    summary: "How far something that takes a while is",
    answer: Job,
    params: JobParams,
    handle: async ({ caller, params }) => told(await jobOf(db, caller, params.jobId)),
  });
  routes.add({
    id: "leaveJob",
    method: "delete",
    path: "/api/jobs/:jobId",
    summary: "Wait for it no longer; it is not made when nobody else does",
    params: JobParams,
    async handle({ caller, params }) {
      await leave(db, (await jobOf(db, caller, params.jobId)).id);
    },
  });
  routes.add({
    id: "jobFile",
    method: "get",
    path: "/api/jobs/:jobId/file",
    summary: "What was made; paper only as long as everything on it is still so",
    file: "application/pdf",
    params: JobParams,
    async handle({ caller, params, response }) {
      const job = await jobOf(db, caller, params.jobId);
      const file = await fileOf(db, job);
      // Somebody may be held out since, a form eased, a movement changed.
      if (
        isPaper(job.kind) &&
        contentKeyOf(caller, await paper(caller, job.subjectId, job.kind, job.language ?? undefined)) !== job.contentKey
      )
        throw new Problem(409, "outdated", "Something on it has changed since. Ask for it again.");
      send(response, job, file);
    },
  });
  routes.add({
    id: "personalSheets",
    method: "get",
    path: "/api/programs/:programId/sheets.pdf",
    summary: "Personal sheets: a page for each person and session, in their own forms",
    file: "application/pdf",
    params: ProgramParams,
    query: InLanguage,
    handle: async ({ caller, params, query, response }) =>
      answerWhenMade(caller, await paper(caller, params.programId, "personalSheets", query.language), response),
  });
  routes.add({
    id: "handOut",
    method: "get",
    scope: "programs.read",
    path: "/api/programs/:programId/hand-out.pdf",
    summary: "The program on paper, one page a session",
    file: "application/pdf",
    params: ProgramParams,
    query: InLanguage,
    handle: async ({ caller, params, query, response }) =>
      answerWhenMade(caller, await paper(caller, params.programId, "handOut", query.language), response),
  });
  routes.add({
    id: "handOutContent",
    method: "get",
    scope: "programs.read",
    path: "/api/programs/:programId/hand-out",
    summary: "What stands on the hand-out or on somebody's own sheet, for a page that is read aloud, enlarged or printed by the browser",
    answer: HandOut,
    params: ProgramParams,
    query: v.object({ ...InLanguage.entries, personId: v.optional(Id) }),
    async handle({ caller, params, query }) {
      if (query.personId) return sheetOf(db, caller, await now(caller), params.programId, query.personId, query.language);
      const { task } = await paper(caller, params.programId, "handOut", query.language);
      if (task.kind !== "handOut") throw new Error("a hand-out is no other paper");
      const { crewName, program, language, names } = task;
      return {
        crewName,
        programName: program.name,
        language,
        sessions: program.sessions.filter(({ items }) => items.length > 0),
        people: names.map(([id, name]) => ({ id, name })),
      };
    },
  });
  routes.add({
    id: "exportCrew",
    method: "get",
    path: "/api/crews/:crewId/export.json",
    summary: "Everything that is kept of a crew, as one open file",
    file: "application/json",
    params: CrewParams,
    handle: async ({ caller, params, response }) => answerWhenMade(caller, await everythingOf(caller, params.crewId), response),
  });
  routes.add({
    id: "reportPaper",
    method: "get",
    scope: "reports.read",
    path: "/api/crews/:crewId/report.pdf",
    summary: "The crew report on paper",
    file: "application/pdf",
    roles: ["trainer", "employer"],
    params: CrewParams,
    async handle({ caller, params, response }) {
      const report = await reportOf(db, caller, await now(caller), params.crewId);
      const fileName = `${report.crew.name} report.pdf`;
      const work: AskedWork = { crewId: params.crewId, subjectId: params.crewId, fileName, task: { kind: "crewReport", report } };
      return answerWhenMade(caller, work, response);
    },
  });
}

const isPaper = (kind: Job["kind"]): kind is "handOut" | "personalSheets" => kind === "handOut" || kind === "personalSheets";

function send(response: Response, { kind, fileName }: { kind: Job["kind"]; fileName: string }, file: Buffer): void {
  const isPdf = isPaper(kind) || kind === "crewReport";
  if (!isPdf) response.setHeader("Content-Encoding", "gzip");
  sendFile(response, fileName, isPdf ? "application/pdf" : "application/json", file);
}
