/** Long work as it goes to the thread that does it: plain values, the practice's own movements among them. */
import type { MessagePort } from "node:worker_threads";
import type { ReportEntry } from "@kind-grip/core/api";
import type { Language } from "@kind-grip/core/language";
import type { Corrections, CustomMovement } from "@kind-grip/core/library";
import type { Program } from "@kind-grip/core/program";
import type { Participation } from "@kind-grip/core/safety";
import type { Measures } from "@kind-grip/core/units";
import type { Caller } from "../auth/caller";

interface ProgramPaper {
  customMovements: CustomMovement[];
  corrections: Corrections;
  measures: Measures;
  program: Program;
  crewName: string;
}

/** Made by make-paper.ts. */
export type PaperTask =
  | (ProgramPaper & { kind: "handOut"; names: [personId: string, name: string][]; language: Language })
  | (ProgramPaper & { kind: "personalSheets"; people: { id: string; name: string; participation?: Participation; language: Language }[] })
  | { kind: "crewReport"; report: ReportEntry };

/** Made by make-export.ts. */
export type ExportTask =
  | { kind: "crewExport"; caller: Caller; at: string; crewId: string }
  | { kind: "trailExport"; practiceId: string; at: string };

export type JobTask = PaperTask | ExportTask;

export interface TakenJob {
  id: string;
  takenBy: string;
}

export interface ThreadPaper {
  task: PaperTask;
  /** Hears how far it is, 0 to 1. */
  progress: MessagePort;
}

export interface ThreadExport {
  task: ExportTask;
  job: TakenJob;
  databaseUrl: string;
  dataKeys: string;
}
