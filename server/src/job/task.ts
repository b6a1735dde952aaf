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
  task: JobTask;
  databaseUrl: string;
  dataKeys: string;
  /** Hears how far it is, 0 to 1. */
  progress: MessagePort;
}

/** The work itself. @returns the file; an export packed with gzip, as it is stored and sent */
export default async function doTask({ task, databaseUrl, dataKeys, progress }: ThreadTask): Promise<Buffer> {
  const open = () => connect(databaseUrl, DataKeys.read(dataKeys));
  const tell = (share: number) => progress.postMessage(share);
  try {
    if (task.kind === "crewExport") return await packed(open, (db) => exportCrew(db, task.caller, new Date(task.at), task.crewId));
    if (task.kind === "trailExport") return await packed(open, (db) => exportTrail(db, task.practiceId, new Date(task.at)));
    if (task.kind === "crewReport") return await reportPaper(task.report, wordsOf(SHIPPED_LIBRARY), tell);
    const library = libraryOf(task.customMovements, task.corrections);
    const inLanguage = (language: Language) => wordsOf(library, language, task.measures);
    if (task.kind === "handOut")
      return await handOut(library, task.program, task.crewName, new Map(task.names), inLanguage(task.language), tell);
    const people = task.people.map((person) => ({ ...person, words: inLanguage(person.language) }));
    return await personalSheets(library, task.program, task.crewName, people, tell);
  } finally {
    progress.close();
  }
}

async function packed(open: () => Db, read: (db: Db) => Promise<object>): Promise<Buffer> {
  const db = open();
  try {
    return await promisify(gzip)(JSON.stringify(await read(db)));
  } finally {
    await db.sequelize.close();
  }
}
