import { useMemo } from "react";
import { MOVEMENTS, type Movement } from "@kind-grip/core/library";
import { serverApi } from "../app/api";

/** Everything that can be chosen: what ships, and what this practice made and has not taken out. */
export function useLibrary(): readonly Movement[] {
  const { data } = serverApi.useMovementsQuery();
  return useMemo(() => [...MOVEMENTS, ...(data ?? []).filter(({ removed }) => !removed).map(({ own }) => own.movement)], [data]);
}
