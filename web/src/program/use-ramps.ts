/** Who of a crew is on the way in or back today. */
import { useMemo } from "react";
import type { RampEntry } from "@kind-grip/core/api";
import type { Ramps } from "@kind-grip/core/program";
import { crewApi } from "../crew/api";

export function rampsFrom(entries: readonly RampEntry[] | undefined): Ramps {
  return new Map(entries?.map(({ personId, days, form, loadWaits }) => [personId, { days, form, loadWaits }]));
}

/** Empty until the answer is there: only for screens that show, not for those that hand out items. */
export function useRamps(crewId: string): { ramps: Ramps; entries: readonly RampEntry[] } {
  const { data } = crewApi.useRampsQuery(crewId, { refetchOnMountOrArgChange: true });
  return useMemo(() => ({ ramps: rampsFrom(data), entries: data ?? [] }), [data]);
}
