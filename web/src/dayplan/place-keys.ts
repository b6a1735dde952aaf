/** A placed session under the keyboard: arrows move it on the grid, Delete takes it out, Enter chooses it. */
import type { KeyboardEvent } from "react";
import { GRID_MIN, type Placed } from "@kind-grip/core/dayplan";
import { t } from "../base/words";

interface Acts {
  /** What was led stays. */
  kept: boolean;
  onMove(startMs: number): void;
  onChoose(): void;
  onRemove(): void;
}

/** Minutes an arrow moves by with Shift, in steps of the grid. */
const FAR = 12;

export function placeKeys(placed: Placed, { kept, onMove, onChoose, onRemove }: Acts) {
  return (event: KeyboardEvent) => {
    const by = kept ? undefined : { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1 }[event.key];
    if (by !== undefined) onMove(placed.startMs + by * GRID_MIN * 60_000 * (event.shiftKey ? FAR : 1));
    else if ((event.key === "Delete" || event.key === "Backspace") && !kept) onRemove();
    else if (event.key === "Enter" || event.key === " ") onChoose();
    else return;
    event.preventDefault();
  };
}

/** @param label when it starts */
export function placedName(name: string, label: string, { kept, clashing }: { kept: boolean; clashing: boolean }): string {
  return kept
    ? t("{{name}} at {{label}}, was led.", { name, label })
    : t("{{name}} at {{label}}{{what}}. Arrow keys move it.", { name, label, what: clashing ? t(", clashes") : "" });
}
