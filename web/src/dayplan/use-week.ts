/** The week that is being planned, as a document. */
import { WEEK_DOCUMENT, type Placement } from "@kind-grip/core/dayplan";
import type { WeekPlanEntry } from "@kind-grip/core/api";
import { dayPlanApi } from "./api";
import { useOwner } from "../base/api";
import { useDocument } from "../document/use-document";

/** @param entry as the server has it when the page opens */
export function useWeek({ crewId, weekStart, version, placements }: WeekPlanEntry) {
  const [save] = dayPlanApi.useSavePlanMutation();
  const owner = useOwner();
  return useDocument<Placement[]>({
    draft: { storage: localStorage, owner, id: `${crewId}/${weekStart}`, of: WEEK_DOCUMENT },
    start: { version, value: placements },
    save: (from, value) => save({ crewId, weekStart, version: from, placements: value }),
    theirsFrom: (detail) => {
      const newer = detail as WeekPlanEntry | undefined;
      return newer?.placements ? { version: newer.version, value: newer.placements } : null;
    },
  });
}
