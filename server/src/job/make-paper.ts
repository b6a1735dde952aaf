/** Paper, in a thread that loads nothing else. */
import "@kind-grip/core/language/all";
import { wordsOf, type Language } from "@kind-grip/core/language";
import { libraryOf, SHIPPED_LIBRARY } from "@kind-grip/core/library";
import { reportPaper } from "../followup/report-paper";
import { handOut, personalSheets } from "../program/hand-out";
import type { PaperTask, ThreadPaper } from "./task";

export default async function makePaper({ task, progress }: ThreadPaper): Promise<Uint8Array> {
  try {
    return await paper(task, (share) => progress.postMessage(share));
  } finally {
    progress.close();
  }
}

async function paper(task: PaperTask, tell: (share: number) => void): Promise<Buffer> {
  if (task.kind === "crewReport") return reportPaper(task.report, wordsOf(SHIPPED_LIBRARY), tell);
  const library = libraryOf(task.customMovements, task.corrections);
  const inLanguage = (language: Language) => wordsOf(library, language, task.measures);
  if (task.kind === "handOut") return handOut(library, task.program, task.crewName, new Map(task.names), inLanguage(task.language), tell);
  const people = task.people.map((person) => ({ ...person, words: inLanguage(person.language) }));
  return personalSheets(library, task.program, task.crewName, people, tell);
}
