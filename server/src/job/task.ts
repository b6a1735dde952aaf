/** Long work as it goes to the thread that does it: plain values, the practice's own movements among them. */
import type { MessagePort } from "node:worker_threads";
import { promisify } from "node:util";
import { gzip } from "node:zlib";
import "@kind-grip/core/language/all";
import { wordsOf, type Language } from "@kind-grip/core/language";
import { libraryOf, SHIPPED_LIBRARY, type Corrections, type CustomMovement } from "@kind-grip/core/library";
import type { Program } from "@kind-grip/core/program";
import type { Participation } from "@kind-grip/core/safety";
import type { Measures } from "@kind-grip/core/units";
import type { ReportEntry } from "@kind-grip/core/api";
import type { Caller } from "../auth/caller";
import { exportCrew } from "../crew/export";
import { exportTrail } from "../audit/seal";
import { connect, type Db } from "../db/connection";
import { DataKeys } from "../db/data-keys";
import { inRow } from "../db/encrypted";
import { reportPaper } from "../followup/report-paper";
import { handOut, personalSheets } from "../program/hand-out";

interface Paper {
  customMovements: CustomMovement[];
  corrections: Corrections;
  measures: Measures;
  program: Program;
  crewName: string;
}

export type JobTask =
  | (Paper & { kind: "handOut"; names: [personId: string, name: string][]; language: Language })
  | (Paper & { kind: "personalSheets"; people: { id: string; name: string; participation?: Participation; language: Language }[] })
  | { kind: "crewReport"; report: ReportEntry }
  | { kind: "crewExport"; caller: Caller; at: string; crewId: string }
  | { kind: "trailExport"; practiceId: string; at: string };

export interface ThreadTask {
  job: { id: string; takenBy: string };
  task: JobTask;
  databaseUrl: string;
  dataKeys: string;
  /** Hears how far it is, 0 to 1. */
  progress: MessagePort;
}

/** The work itself, and putting away what was made: megabytes, that would hold up everybody else where requests are answered. */
export default async function doTask({ job, task, databaseUrl, dataKeys, progress }: ThreadTask): Promise<void> {
  const db = connect(databaseUrl, DataKeys.read(dataKeys));
  try {
    const file = await made(db, task, (share) => progress.postMessage(share));
    await db.models.Job.update(
      { state: "made", progress: 1, task: null, ...inRow(db.models.Job, [job.id], { file }, "bytes") },
      // Taken back, or by another meanwhile: nobody waits for it.
      { where: { ...job, state: "making" } },
    );
  } finally {
    progress.close();
    await db.sequelize.close();
  }
}

/** @returns the file; an export packed with gzip, as it is stored and sent */
async function made(db: Db, task: JobTask, tell: (share: number) => void): Promise<Buffer> {
  if (task.kind === "crewExport") return packed(await exportCrew(db, task.caller, new Date(task.at), task.crewId));
  if (task.kind === "trailExport") return packed(await exportTrail(db, task.practiceId, new Date(task.at)));
  if (task.kind === "crewReport") return reportPaper(task.report, wordsOf(SHIPPED_LIBRARY), tell);
  const library = libraryOf(task.customMovements, task.corrections);
  const inLanguage = (language: Language) => wordsOf(library, language, task.measures);
  if (task.kind === "handOut") return handOut(library, task.program, task.crewName, new Map(task.names), inLanguage(task.language), tell);
  const people = task.people.map((person) => ({ ...person, words: inLanguage(person.language) }));
  return personalSheets(library, task.program, task.crewName, people, tell);
}

const packed = (content: object): Promise<Buffer> => promisify(gzip)(JSON.stringify(content));
