/** A run under way, as the browser keeps it for going on after a reload. It is offered to whoever began it, and only while it is fresh. */
import type { CountedBout } from "@kind-grip/core/meter";
import type { MarkKind, RunClock } from "@kind-grip/core/run";
import type { QuickReadings } from "../quicktest/quick-readings";
import type { Session } from "@kind-grip/core/session";

export interface RunUnderWay {
  runId: string;
  /** E-mail address of whoever leads it; for a session followed on a phone, the person. Empty for one of an earlier version. */
  owner: string;
  /** The session as it is led, easier forms chosen on the way included. */
  session: Session;
  /** As it was before it was made shorter; left out by an earlier version. */
  written?: Session;
  clock: RunClock;
  startedAt: string | null;
  /** Who is not here, by the roll call; left out by an earlier version. */
  away?: readonly string[];
  /** Everybody who takes part, with the items they did not do so far, by id; left out by an earlier version. */
  leftOut?: Readonly<Record<string, readonly string[]>>;
  /** Readings of the quick test; left out by an earlier version. */
  quick?: QuickReadings;
  /** What the phone in the hand counted; left out by an earlier version. */
  counted?: readonly CountedBout[];
  marks: { personId: string; kind: MarkKind; itemId: string | null }[];
  /** Real time of the last note, for offering only what is fresh. */
  keptAtMs: number;
}

const FRESH_MS = 12 * 3600_000;
const underWayKey = (programId: string, sessionId: string) => `kind-grip.run.${programId}.${sessionId}`;

export function keepUnderWay(programId: string, sessionId: string, run: RunUnderWay): void {
  localStorage.setItem(underWayKey(programId, sessionId), JSON.stringify(run));
}

export function underWay(programId: string, sessionId: string, owner: string): RunUnderWay | undefined {
  try {
    const run = JSON.parse(localStorage.getItem(underWayKey(programId, sessionId)) ?? "null") as RunUnderWay | null;
    return run && Date.now() - run.keptAtMs < FRESH_MS && (!run.owner || run.owner === owner) ? run : undefined;
  } catch {
    return undefined;
  }
}

export function dropUnderWay(programId: string, sessionId: string): void {
  localStorage.removeItem(underWayKey(programId, sessionId));
}
