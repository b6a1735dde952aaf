/** The crew's work as it is edited: kept, saved, undone. */
import { WORK_DOCUMENT, workProblems, type Work } from "@kind-grip/core/strain";
import { longestWorkMin } from "@kind-grip/core/calendar";
import type { CrewEntry, WorkEntry } from "@kind-grip/core/api";
import { workApi } from "./api";
import { useOwner } from "../base/api";
import { useDocument } from "../document/use-document";

export function useWork(crew: CrewEntry, entry: WorkEntry) {
  const [save] = workApi.useSaveWorkMutation();
  const kept = useDocument<Work>({
    draft: {
      storage: localStorage,
      owner: useOwner(),
      id: crew.id,
      of: WORK_DOCUMENT,
      former: { key: `kind-grip.work.${crew.id}`, valueAs: "value" },
    },
    start: { version: entry.version, value: entry.work },
    save: (version, work) => save({ crewId: crew.id, version, work }),
    theirsFrom: (detail) => {
      const newer = detail as WorkEntry | undefined;
      return newer?.work ? { version: newer.version, value: newer.work } : null;
    },
  });
  const own = workProblems(kept.value, longestWorkMin(crew.shiftPattern));
  // The server finds the same; what it alone found is said too.
  const theirs = kept.problems
    .map(({ path, message }) => ({ path: path.replace(/^work\./, ""), message }))
    .filter(({ path, message }) => !own.some((each) => each.path === path && each.message === message));
  const problems = [...own, ...theirs];
  return { ...kept, found: problems, problemAt: (path: string) => problems.find((problem) => problem.path === path)?.message };
}
export type EditedWork = ReturnType<typeof useWork>;
