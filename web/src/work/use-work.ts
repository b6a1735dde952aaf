/** The crew's work as it is edited: kept, saved, undone. */
import { workProblems, type Work } from "@kind-grip/core/strain";
import { longestWorkMin } from "@kind-grip/core/calendar";
import { serverApi, type CrewEntry, type WorkEntry } from "../app/api";
import { useKeptDocument } from "../parts/kept-document";

export function useWork(crew: CrewEntry, entry: WorkEntry) {
  const [save] = serverApi.useSaveWorkMutation();
  const kept = useKeptDocument<Work>({
    key: `kind-grip.work.${crew.id}`,
    storage: localStorage,
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
