/** A movement and its item as the benches look at it. */
import { useMemo } from "react";
import { DEFAULT_STYLE, movementOf, newItem, type Style } from "@kind-grip/core/library";
import type { Item } from "@kind-grip/core/session";

const BENCH_ITEM = "00000000-0000-7000-8000-00000000be0c";

export function useBenchItem(movementId: string, sides?: Item["sides"], style: Style = DEFAULT_STYLE): Item {
  return useMemo(() => {
    const item = newItem(movementOf(movementId), style, BENCH_ITEM);
    return sides ? { ...item, sides } : item;
  }, [movementId, sides, style]);
}
