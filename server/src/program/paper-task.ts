/** What is put on paper, as it goes to the thread that does it: plain values, the practice's own movements among them. */
import { libraryOf, type CustomMovement, type Library } from "@kind-grip/core/library";
import type { Program } from "@kind-grip/core/program";
import type { Participation } from "@kind-grip/core/safety";
import { handOut, personalSheets } from "./hand-out";

interface Paper {
  customMovements: CustomMovement[];
  program: Program;
  crewName: string;
}

export type PaperTask =
  | (Paper & { kind: "handOut"; names: [personId: string, name: string][] })
  | (Paper & { kind: "sheets"; people: { id: string; name: string; participation: Participation | undefined }[] });

export function customMovementsOf(library: Library): CustomMovement[] {
  return library.movements.flatMap(({ id }) => library.custom(id) ?? []);
}

/** The work itself, in the thread it was sent to. */
export default async function onPaper(task: PaperTask): Promise<Buffer> {
  const library = libraryOf(task.customMovements);
  return task.kind === "handOut"
    ? handOut(library, task.program, task.crewName, new Map(task.names))
    : personalSheets(library, task.program, task.crewName, task.people);
}
