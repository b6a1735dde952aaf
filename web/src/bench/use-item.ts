/** A movement and its item as the benches look at it. */
import { useMemo } from "react";
import { DEFAULT_STYLE, newItem, type Style } from "@kind-grip/core/library";
import type { Item } from "@kind-grip/core/session";
import { useLibrary } from "../base/library";

const BENCH_ITEM = "00000000-0000-7000-8000-00000000be0c";

export function useBenchItem(movementId: string, sides?: Item["sides"], style: Style = DEFAULT_STYLE): Item {
  const library = useLibrary();
  return useMemo(() => {
    const item = newItem(library.get(movementId), style, BENCH_ITEM);
    return sides ? { ...item, sides } : item;
  }, [library, movementId, sides, style]);
}
