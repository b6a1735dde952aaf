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

/** What the server said of a run that names somebody who was held out. */
export interface HeldOutRefusal {
  withoutPeople: string[];
  withoutItems: Record<string, string[]>;
}
const REFUSED = "kind-grip.run-refused";

export function refusals(): Record<string, HeldOutRefusal> {
  return read<Record<string, HeldOutRefusal>>(REFUSED) ?? {};
}
export function noteRefusal(runId: string, refusal: HeldOutRefusal | undefined): void {
  const { [runId]: _old, ...others } = refusals();
  write(REFUSED, refusal ? { ...others, [runId]: refusal } : others);
}

/** The same run with whoever was held out marked as not there, and with what others were held out of left out. */
export function without(run: RunRecord, { withoutPeople, withoutItems }: HeldOutRefusal): RunRecord {
  return {
    ...run,
    people: run.people.map((person) => {
      if (withoutPeople.includes(person.personId)) return { ...person, present: false, effort: null, forms: {}, marks: [] };
      const out = withoutItems[person.personId];
      if (!out) return person;
      const forms = Object.fromEntries(Object.entries(person.forms).filter(([itemId]) => !out.includes(itemId)));
      return { ...person, forms, leftOut: [...new Set([...person.leftOut, ...out])] };
    }),
  };
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
