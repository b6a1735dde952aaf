/** The week being planned: placements with their undo history, saved whole shortly after each change. */
import { useCallback, useEffect, useReducer } from "react";
import type { Placement } from "@kind-grip/core/dayplan";
import { problemOf, serverApi, type WeekPlanEntry } from "../app/api";

export interface PlanState {
  version: number;
  placements: Placement[];
  saved: Placement[];
  past: Placement[][];
  future: Placement[][];
  /** Somebody else's newer week, until the trainer chooses. */
  conflict: WeekPlanEntry | null;
  failed: string | null;
  saving: boolean;
}

type Action =
  | { type: "changed"; placements: Placement[] }
  | { type: "undone" | "redone" | "saveStarted" | "mineKept" | "theirsTaken" }
  | { type: "saveDone"; version: number; placements: Placement[] }
  | { type: "saveFailed"; message: string }
  | { type: "conflict"; entry: WeekPlanEntry };

export function reducePlan(state: PlanState, action: Action): PlanState {
  switch (action.type) {
    case "changed":
      return { ...state, placements: action.placements, past: [...state.past, state.placements].slice(-100), future: [] };
    case "undone": {
      const placements = state.past.at(-1);
      return placements ? { ...state, placements, past: state.past.slice(0, -1), future: [state.placements, ...state.future] } : state;
    }
    case "redone": {
      const [placements, ...future] = state.future;
      return placements ? { ...state, placements, past: [...state.past, state.placements], future } : state;
    }
    case "saveStarted":
      return { ...state, saving: true };
    case "saveDone":
      return { ...state, saving: false, failed: null, version: action.version, saved: action.placements };
    case "saveFailed":
      return { ...state, saving: false, failed: action.message };
    case "conflict":
      return { ...state, saving: false, conflict: action.entry };
    case "mineKept":
      return state.conflict ? { ...state, version: state.conflict.version, saved: state.conflict.placements, conflict: null } : state;
    case "theirsTaken":
      return state.conflict
        ? {
            ...state,
            version: state.conflict.version,
            saved: state.conflict.placements,
            placements: state.conflict.placements,
            past: [...state.past, state.placements],
            conflict: null,
          }
        : state;
  }
}

export function usePlan(entry: WeekPlanEntry) {
  const [state, dispatch] = useReducer(reducePlan, {
    version: entry.version,
    placements: entry.placements,
    saved: entry.placements,
    past: [],
    future: [],
    conflict: null,
    failed: null,
    saving: false,
  });
  const [save] = serverApi.useSavePlanMutation();
  const { crewId, weekStart } = entry;
  const { placements, saved, saving, conflict, failed, version } = state;
  const unsaved = placements !== saved;

  useEffect(() => {
    if (!unsaved || saving || conflict) return;
    const timer = setTimeout(
      async () => {
        dispatch({ type: "saveStarted" });
        const answer = await save({ crewId, weekStart, version, placements });
        if (answer.data) return dispatch({ type: "saveDone", version: answer.data.version, placements });
        const problem = problemOf(answer.error);
        if (problem.code === "stale") dispatch({ type: "conflict", entry: problem.detail as WeekPlanEntry });
        else dispatch({ type: "saveFailed", message: problem.fields.map((field) => field.message).join("; ") || problem.message });
      },
      failed ? 3000 : 500,
    );
    return () => clearTimeout(timer);
  }, [unsaved, saving, conflict, failed, version, placements, crewId, weekStart, save]);

  useEffect(() => {
    if (!unsaved) return;
    const warn = (event: BeforeUnloadEvent) => event.preventDefault();
    addEventListener("beforeunload", warn);
    return () => removeEventListener("beforeunload", warn);
  }, [unsaved]);

  const change = useCallback((next: Placement[]) => dispatch({ type: "changed", placements: next }), []);
  return { ...state, unsaved, change, dispatch };
}
