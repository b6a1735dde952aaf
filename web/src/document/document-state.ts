/**
 * A document that is edited here and stored whole with a version, as a pure state: its history, where saving stands, what the server
 * refused, and what somebody else stored meanwhile.
 */
import { isEqual } from "es-toolkit";

const MOST_STEPS = 200;

export interface FieldProblem {
  path: string;
  message: string;
}

export interface Versioned<T> {
  version: number;
  value: T;
}

export interface DocumentState<T> {
  value: T;
  /** As the server last confirmed it. */
  saved: T;
  /** Of the server's document that `value` grew from; 0 for one it has never seen. */
  version: number;
  past: readonly T[];
  future: readonly T[];
  /** Changes that carry the same gesture are one step of undo: a pulled edge, a held stepper. */
  gesture: string | null;
  saving: boolean;
  /** Saves in a row that did not reach the server. */
  failedTries: number;
  /** The document the server refused, and why; it is not sent again until it changes. */
  refused: { value: T; problems: readonly FieldProblem[] } | null;
  /** What somebody else stored meanwhile, until a choice is made. */
  theirs: Versioned<T> | null;
}

export type DocumentStep<T> =
  | { kind: "change"; value: T; gesture?: string }
  /** The next change is a step of its own. */
  | { kind: "gestureEnd" }
  | { kind: "undo" }
  | { kind: "redo" }
  | { kind: "saving" }
  | { kind: "saved"; version: number; value: T }
  | { kind: "failed" }
  | { kind: "refused"; value: T; problems: readonly FieldProblem[] }
  | { kind: "stale"; theirs: Versioned<T> }
  /** Somebody else stored it, and it was heard of before anything was changed here. */
  | { kind: "newer"; newer: Versioned<T> }
  | { kind: "keepMine" }
  | { kind: "takeTheirs" };

/**
 * @param start what the server has
 * @param draft unsaved work of an earlier visit; when it grew from an older version than the server's, a choice is asked for
 */
export function openedDocument<T>(start: Versioned<T>, draft?: Versioned<T>): DocumentState<T> {
  return {
    value: draft ? draft.value : start.value,
    saved: start.value,
    version: start.version,
    past: draft ? [start.value] : [],
    future: [],
    gesture: null,
    saving: false,
    failedTries: 0,
    refused: null,
    theirs: draft && draft.version !== start.version ? start : null,
  };
}

export function documentReducer<T>(state: DocumentState<T>, step: DocumentStep<T>): DocumentState<T> {
  switch (step.kind) {
    case "change": {
      const isSameGesture = step.gesture !== undefined && step.gesture === state.gesture;
      const past = isSameGesture ? state.past : withLast(state.past, state.value);
      return { ...state, value: step.value, past, future: [], gesture: step.gesture ?? null };
    }
    case "gestureEnd":
      return state.gesture === null ? state : { ...state, gesture: null };
    case "undo": {
      if (state.past.length === 0) return state;
      const past = state.past.slice(0, -1);
      return { ...state, value: state.past.at(-1)!, past, future: [state.value, ...state.future], gesture: null };
    }
    case "redo": {
      if (state.future.length === 0) return state;
      const [value, ...future] = state.future;
      return { ...state, value: value!, past: withLast(state.past, state.value), future, gesture: null };
    }
    case "saving":
      return { ...state, saving: true };
    case "saved":
      return { ...state, saving: false, failedTries: 0, refused: null, version: step.version, saved: step.value };
    case "failed":
      return { ...state, saving: false, failedTries: state.failedTries + 1 };
    case "refused":
      return { ...state, saving: false, failedTries: 0, refused: { value: step.value, problems: step.problems } };
    case "stale":
      return { ...state, saving: false, failedTries: 0, theirs: step.theirs };
    case "newer":
      return state.saving || step.newer.version <= state.version || !isEqual(state.value, state.saved)
        ? state
        : // What was undone before would take back what somebody else stored.
          { ...state, ...startingFrom(step.newer), value: step.newer.value, past: [], future: [], gesture: null };
    case "keepMine":
      // Mine goes over theirs, knowingly; theirs stays one step of undo away.
      return state.theirs ? { ...state, ...startingFrom(state.theirs), past: withLast(state.past, state.theirs.value) } : state;
    case "takeTheirs":
      return state.theirs
        ? {
            ...state,
            ...startingFrom(state.theirs),
            value: state.theirs.value,
            past: withLast(state.past, state.value),
            future: [],
            gesture: null,
          }
        : state;
  }
}

function startingFrom<T>({ version, value }: Versioned<T>) {
  return { version, saved: value, theirs: null, refused: null };
}

function withLast<T>(past: readonly T[], value: T): readonly T[] {
  return [...past, value].slice(-MOST_STEPS);
}
