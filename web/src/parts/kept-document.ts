/**
 * A document that is edited here and saved whole with a version: undo and redo, a draft in the browser until the server has confirmed
 * it, saving shortly after each change, trying again while the server is away, a clear choice when somebody else saved first.
 */
import { useCallback, useEffect, useReducer, useRef } from "react";
import { problemOf } from "../app/api";

const AFTER_MS = 500;
const AGAIN_MS = 3000;
const MOST_STEPS = 100;

export interface FieldProblem {
  path: string;
  message: string;
}

interface State<T> {
  value: T;
  saved: T;
  version: number;
  past: T[];
  future: T[];
  gesture: string | null;
  saving: boolean;
  failed: boolean;
  /** The document the server refused, and why; it is sent again when it has changed. */
  refused: { value: T; problems: FieldProblem[] } | null;
  theirs: { version: number; value: T } | null;
}

type Step<T> =
  | { kind: "change"; value: T; gesture?: string }
  | { kind: "undo" }
  | { kind: "redo" }
  | { kind: "saving" }
  | { kind: "saved"; version: number; value: T }
  | { kind: "failed" }
  | { kind: "refused"; value: T; problems: FieldProblem[] }
  | { kind: "stale"; theirs: { version: number; value: T } }
  | { kind: "mine" }
  | { kind: "theirs" };

export function reduceKept<T>(state: State<T>, step: Step<T>): State<T> {
  switch (step.kind) {
    case "change": {
      const same = step.gesture !== undefined && step.gesture === state.gesture;
      return {
        ...state,
        value: step.value,
        past: same ? state.past : [...state.past, state.value].slice(-MOST_STEPS),
        future: [],
        gesture: step.gesture ?? null,
      };
    }
    case "undo":
      return state.past.length === 0
        ? state
        : { ...state, value: state.past.at(-1)!, past: state.past.slice(0, -1), future: [state.value, ...state.future], gesture: null };
    case "redo":
      return state.future.length === 0
        ? state
        : { ...state, value: state.future[0]!, past: [...state.past, state.value], future: state.future.slice(1), gesture: null };
    case "saving":
      return { ...state, saving: true };
    case "saved":
      return { ...state, saving: false, failed: false, refused: null, version: step.version, saved: step.value };
    case "failed":
      return { ...state, saving: false, failed: true };
    case "refused":
      return { ...state, saving: false, failed: false, refused: { value: step.value, problems: step.problems } };
    case "stale":
      return { ...state, saving: false, theirs: step.theirs };
    case "mine":
      return state.theirs
        ? { ...state, version: state.theirs.version, saved: state.theirs.value, past: [...state.past, state.theirs.value], theirs: null }
        : state;
    case "theirs":
      return state.theirs
        ? {
            ...state,
            version: state.theirs.version,
            saved: state.theirs.value,
            value: state.theirs.value,
            past: [...state.past, state.value],
            future: [],
            theirs: null,
          }
        : state;
  }
}

interface Options<T> {
  /** Of the draft in the browser. */
  key: string;
  /** Health answers are kept for this tab only. */
  storage: Storage;
  start: { version: number; value: T };
  save(version: number, value: T): Promise<{ data?: { version: number }; error?: unknown }>;
  /** The newer version out of a refusal as stale. */
  theirsFrom(detail: unknown): { version: number; value: T } | null;
}

export function useKeptDocument<T>({ key, storage, start, save, theirsFrom }: Options<T>) {
  const [state, act] = useReducer(reduceKept<T>, undefined, (): State<T> => {
    const draft = readDraft<T>(storage, key);
    const differs = draft && !same(draft.value, start.value);
    return {
      value: differs ? draft.value : start.value,
      saved: start.value,
      version: start.version,
      past: differs ? [start.value] : [],
      future: [],
      gesture: null,
      saving: false,
      failed: false,
      refused: null,
      // The draft grew from an older version than the server's: ask, do not overwrite.
      theirs: differs && draft.version !== start.version ? start : null,
    };
  });
  const { value, saved, version, saving, failed, refused, theirs } = state;
  const unsaved = value !== saved && !same(value, saved);
  const waits = refused?.value === value;
  const latest = useRef({ save, theirsFrom });
  useEffect(() => {
    latest.current = { save, theirsFrom };
  });

  useEffect(() => {
    if (unsaved) storage.setItem(key, JSON.stringify({ version, value }));
    else storage.removeItem(key);
  }, [unsaved, storage, key, version, value]);

  /** The save under way, for whoever has to wait for it: the version it led to. */
  const underWay = useRef<Promise<number | undefined>>(Promise.resolve(undefined));
  const send = useCallback(async () => {
    act({ kind: "saving" });
    const saving = latest.current.save(version, value);
    underWay.current = saving.then(({ data }) => data?.version);
    const answer = await saving;
    if (answer.data) return act({ kind: "saved", version: answer.data.version, value });
    const problem = problemOf(answer.error);
    const newer = problem.code === "stale" ? latest.current.theirsFrom(problem.detail) : null;
    if (newer) return act({ kind: "stale", theirs: newer });
    if (problem.code === "away" || problem.code === "databaseAway") return act({ kind: "failed" });
    act({ kind: "refused", value, problems: problem.fields.length > 0 ? problem.fields : [{ path: "", message: problem.message }] });
  }, [version, value]);

  useEffect(() => {
    if (!unsaved || saving || theirs || waits) return;
    const timer = setTimeout(() => void send(), failed ? AGAIN_MS : AFTER_MS);
    return () => clearTimeout(timer);
  }, [unsaved, saving, theirs, waits, failed, send]);

  // Leaving the page does not wait for the timer; the draft stays until the server has confirmed.
  const leaving = useRef(() => undefined as void);
  useEffect(() => {
    leaving.current = () => {
      if (!unsaved || theirs || waits) return;
      const last = async () => {
        const reached = saving ? await underWay.current : undefined;
        const { data } = await latest.current.save(reached ?? version, value);
        const draft = readDraft<T>(storage, key);
        if (data && draft && same(draft.value, value)) storage.removeItem(key);
      };
      void last();
    };
  });
  useEffect(() => () => leaving.current(), []);

  useEffect(() => {
    if (!unsaved) return;
    const warn = (event: BeforeUnloadEvent) => event.preventDefault();
    addEventListener("beforeunload", warn);
    return () => removeEventListener("beforeunload", warn);
  }, [unsaved]);

  return {
    value,
    version,
    status: theirs ? "conflict" : waits ? "refused" : failed ? "away" : unsaved || saving ? "saving" : "saved",
    problems: waits ? refused.problems : [],
    theirs,
    canUndo: state.past.length > 0,
    canRedo: state.future.length > 0,
    change: useCallback((next: T, gesture?: string) => act({ kind: "change", value: next, gesture }), []),
    undo: useCallback(() => act({ kind: "undo" }), []),
    redo: useCallback(() => act({ kind: "redo" }), []),
    keepMine: useCallback(() => act({ kind: "mine" }), []),
    takeTheirs: useCallback(() => act({ kind: "theirs" }), []),
  } as const;
}

function same(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}

function readDraft<T>(storage: Storage, key: string): { version: number; value: T } | undefined {
  try {
    const text = storage.getItem(key);
    return text ? (JSON.parse(text) as { version: number; value: T }) : undefined;
  } catch {
    return undefined;
  }
}
