import { useMemo } from "react";
import { CUSTOM_PREFIX, type Movement } from "@kind-grip/core/library";
import { libraryApi } from "./api";
import { useLibrary } from "../base/library";

/** Everything that can be chosen: what ships, and what this practice made and has not taken out. */
export function useOffered(): readonly Movement[] {
  const library = useLibrary();
  const { data } = libraryApi.useMovementsQuery();
  return useMemo(() => {
    const removed = new Set(data?.filter((entry) => entry.removed).map(({ id }) => CUSTOM_PREFIX + id));
    return library.movements.filter(({ id }) => !removed.has(id));
  }, [library, data]);
}
