/** What the browser keeps of runs: the one under way, for going on after a reload, and finished ones not yet confirmed. */
import type { MarkKind, RunClock, RunRecord } from "@kind-grip/core/run";
import type { Session } from "@kind-grip/core/session";

export interface RunUnderWay {
  runId: string;
  /** The session as it is led, easier forms chosen on the way included. */
  session: Session;
  clock: RunClock;
  startedAt: string | null;
  marks: { personId: string; kind: MarkKind; itemId: string | null }[];
  /** Real time of the last note, for offering only what is fresh. */
  keptAtMs: number;
}

const FRESH_MS = 12 * 3600_000;
const underWayKey = (programId: string, sessionId: string) => `kind-grip.run.${programId}.${sessionId}`;
const OUTBOX = "kind-grip.run-outbox";

export function keepUnderWay(programId: string, sessionId: string, run: RunUnderWay): void {
  write(underWayKey(programId, sessionId), run);
}

export function underWay(programId: string, sessionId: string): RunUnderWay | undefined {
  const run = read<RunUnderWay>(underWayKey(programId, sessionId));
  return run && Date.now() - run.keptAtMs < FRESH_MS ? run : undefined;
}

export function dropUnderWay(programId: string, sessionId: string): void {
  localStorage.removeItem(underWayKey(programId, sessionId));
}

/** Puts a finished run where it stays until the server has confirmed it. */
export function putInOutbox(run: RunRecord): void {
  write(OUTBOX, [...outbox().filter((each) => each.id !== run.id), run]);
}

export function outbox(): RunRecord[] {
  return read<RunRecord[]>(OUTBOX) ?? [];
}

export function dropFromOutbox(runId: string): void {
  write(
    OUTBOX,
    outbox().filter((each) => each.id !== runId),
  );
}

function write(key: string, value: unknown): void {
  localStorage.setItem(key, JSON.stringify(value));
}

function read<T>(key: string): T | undefined {
  try {
    const text = localStorage.getItem(key);
    return text === null ? undefined : (JSON.parse(text) as T);
  } catch {
    return undefined;
  }
}
