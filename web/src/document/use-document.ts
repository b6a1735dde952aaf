/**
 * A document on a screen: undo and redo, a draft in the browser until the server has confirmed it, saving shortly after each change,
 * trying again at growing distances while the server is away, a clear choice when somebody else saved first. Each subject gives its
 * format, its address and its words.
 */
import { isEqual } from "es-toolkit";
import { useCallback, useEffect, useReducer, useRef } from "react";
import { problemOf } from "../base/api";
import { isFinal } from "../base/final";
import { useAppSelector } from "../base/store";
import { documentReducer, openedDocument, type DocumentState, type FieldProblem, type Versioned } from "./document-state";
import { dropDraft, keepDraft, readDraft, type DraftPlace } from "./draft";

const AFTER_MS = 500;
const FIRST_AGAIN_MS = 3000;
const LONGEST_AGAIN_MS = 60_000;

export type DocumentStatus = "saved" | "saving" | "unsaved" | "away" | "refused" | "conflict";

export interface DocumentOptions<T> {
  draft: DraftPlace<T>;
  /** What the server has. */
  start: Versioned<T>;
  save(version: number, value: T): Promise<{ data?: { version: number }; error?: unknown }>;
  /** The newer document out of a refusal as stale. */
  theirsFrom(detail: unknown): Versioned<T> | null;
  /** Takes over a newer `start` while nothing is unsaved here: a document that others write too, as phones do. */
  takesNewer?: boolean;
  /** False for a document that is stored when its maker says so. */
  autosave?: boolean;
}

export interface EditedDocument<T> {
  value: T;
  version: number;
  status: DocumentStatus;
  /** What the server found wrong with it as it is. */
  problems: readonly FieldProblem[];
  theirs: Versioned<T> | null;
  canUndo: boolean;
  canRedo: boolean;
  /** @param gesture changes that carry the same one are one step of undo */
  change(next: T, gesture?: string): void;
  endGesture(): void;
  undo(): void;
  redo(): void;
  keepMine(): void;
  takeTheirs(): void;
  /** Saves now. @returns whether the server has confirmed it */
  saveNow(): Promise<boolean>;
}

/** What waits between two tries, ms. @param failedTries in a row, from 1 */
export function waitAgainMs(failedTries: number): number {
  return Math.min(LONGEST_AGAIN_MS, FIRST_AGAIN_MS * 2 ** (failedTries - 1));
}

function opened<T>({ start, draft }: DocumentOptions<T>): DocumentState<T> {
  const kept = readDraft(draft);
  return openedDocument(start, kept && !isEqual(kept.value, start.value) ? kept : undefined);
}

/** @param options its draft, its start and its address are those of the first call, unless it takes newer ones: a screen of another document is another screen */
export function useDocument<T>(options: DocumentOptions<T>): EditedDocument<T> {
  const [state, act] = useReducer(documentReducer<T>, options, opened);
  const { value, saved, version, saving, failedTries, refused, theirs } = state;
  const isUnsaved = value !== saved && !isEqual(value, saved);
  const isRefused = refused?.value === value;
  const isAway = useAppSelector(({ connection }) => connection.away);
  const latest = useRef(options);
  useEffect(() => {
    latest.current = options;
  });

  useEffect(() => {
    const { draft } = latest.current;
    if (isUnsaved) keepDraft(draft, { version, value });
    else dropDraft(draft);
  }, [isUnsaved, version, value]);

  const { takesNewer = false, start } = options;
  const newest = takesNewer ? start.version : 0;
  useEffect(() => {
    if (newest > 0) act({ kind: "newer", newer: latest.current.start });
  }, [newest]);

  /** The save under way, for whoever has to wait for it: the version it led to. */
  const underWay = useRef<Promise<number | undefined>>(Promise.resolve(undefined));
  const saveNow = useCallback(async (): Promise<boolean> => {
    act({ kind: "saving" });
    const sending = latest.current.save(version, value);
    underWay.current = sending.then(({ data }) => data?.version);
    const answer = await sending;
    if (answer.data) {
      act({ kind: "saved", version: answer.data.version, value });
      dropDraft(latest.current.draft);
      return true;
    }
    const problem = problemOf(answer.error);
    const newer = problem.code === "stale" ? latest.current.theirsFrom(problem.detail) : null;
    if (newer) act({ kind: "stale", theirs: newer });
    else if (!isFinal((answer.error as { status?: number | string }).status)) act({ kind: "failed" });
    else act({ kind: "refused", value, problems: problem.fields.length > 0 ? problem.fields : [{ path: "", message: problem.message }] });
    return false;
  }, [version, value]);

  const isWaitedFor = options.autosave !== false && isUnsaved && !saving && !theirs && !isRefused;
  useEffect(() => {
    if (!isWaitedFor) return;
    // Back after having been away: the wait that had grown is over.
    const timer = setTimeout(() => void saveNow(), failedTries === 0 || !isAway ? AFTER_MS : waitAgainMs(failedTries));
    return () => clearTimeout(timer);
  }, [isWaitedFor, failedTries, isAway, saveNow]);

  // Leaving the page does not wait for the timer; the draft stays until the server has confirmed.
  const leaving = useRef(() => undefined as void);
  useEffect(() => {
    leaving.current = () => {
      if (options.autosave === false || !isUnsaved || theirs || isRefused) return;
      const last = async () => {
        const reached = saving ? await underWay.current : undefined;
        const { data } = await latest.current.save(reached ?? version, value);
        const kept = readDraft(latest.current.draft);
        if (data && kept && isEqual(kept.value, value)) dropDraft(latest.current.draft);
      };
      void last();
    };
  });
  useEffect(() => () => leaving.current(), []);

  useEffect(() => {
    if (!isUnsaved) return;
    const warn = (event: BeforeUnloadEvent) => event.preventDefault();
    addEventListener("beforeunload", warn);
    return () => removeEventListener("beforeunload", warn);
  }, [isUnsaved]);

  return {
    value,
    version,
    status: statusOf(state, isUnsaved, isRefused, options.autosave !== false),
    problems: isRefused ? refused.problems : [],
    theirs,
    canUndo: state.past.length > 0,
    canRedo: state.future.length > 0,
    change: useCallback((next: T, gesture?: string) => act({ kind: "change", value: next, gesture }), []),
    endGesture: useCallback(() => act({ kind: "gestureEnd" }), []),
    undo: useCallback(() => act({ kind: "undo" }), []),
    redo: useCallback(() => act({ kind: "redo" }), []),
    keepMine: useCallback(() => act({ kind: "keepMine" }), []),
    takeTheirs: useCallback(() => act({ kind: "takeTheirs" }), []),
    saveNow,
  };
}

function statusOf<T>(
  { saving, failedTries, theirs }: DocumentState<T>,
  isUnsaved: boolean,
  isRefused: boolean,
  autosave: boolean,
): DocumentStatus {
  if (theirs) return "conflict";
  if (isRefused) return "refused";
  if (failedTries > 0) return "away";
  if (saving || (isUnsaved && autosave)) return "saving";
  return isUnsaved ? "unsaved" : "saved";
}
