/**
 * What was done at the line and is not stored yet: finished runs, what somebody felt in one that is being led, and what was watched. It belongs to whoever made
 * it: it waits in this browser until they are signed in here, is sent as theirs, and leaves only when the server has it or its maker has
 * seen that it will never be taken.
 */
import { useMemo, useSyncExternalStore } from "react";
import type { Observation } from "@kind-grip/core/observe";
import type { RunRecord } from "@kind-grip/core/run";
import { markAlarm, reportPauses, type SymptomReport } from "@kind-grip/core/safety";

/** What the server said of a run that names somebody who was held out. */
export interface HeldOutRefusal {
  withoutPeople: string[];
  withoutItems: Record<string, string[]>;
}

export type Sending =
  | { kind: "run"; run: RunRecord; heldOut?: HeldOutRefusal }
  | { kind: "report"; crewId: string; personId: string; report: SymptomReport }
  | { kind: "observation"; observation: Observation };

export type Waiting = Sending & {
  id: string;
  /** E-mail address of whoever made it; empty for what an earlier version kept, which is whoever's is signed in. */
  owner: string;
  /** Why the server will never take it; stays until it is read. */
  refused?: string;
};

const KEY = "kind-grip.outbox";
const CHANGED = "kind-grip-outbox";
/** Where earlier versions kept it. */
const EARLIER = { runs: "kind-grip.run-outbox", refused: "kind-grip.run-refused", reports: "kind-grip.report-outbox" };

export function putRun(run: RunRecord, owner: string): void {
  put({ kind: "run", run, id: run.id, owner });
}

export function putReport(report: { crewId: string; personId: string; report: SymptomReport }, owner: string): void {
  put({ kind: "report", ...report, id: report.report.id, owner });
}

export function putObservation(observation: Observation, owner: string): void {
  put({ kind: "observation", observation, id: observation.id, owner });
}

/** In the order it was made. */
export function everythingWaiting(): Waiting[] {
  return [...earlier(), ...(read<Waiting[]>(KEY) ?? [])];
}

export function isOf({ owner }: Waiting, account: string): boolean {
  return owner === "" || owner === account;
}

export function drop(id: string): void {
  write(everythingWaiting().filter((each) => each.id !== id));
}

/** It stays where it is, with a reason. */
export function refuse(id: string, why: string): void {
  write(everythingWaiting().map((each) => (each.id === id ? { ...each, refused: why } : each)));
}

/** Waits for its maker's word: who was held out is left out, or it stays. */
export function holdBack(id: string, heldOut: HeldOutRefusal): void {
  write(everythingWaiting().map((each) => (each.id === id && each.kind === "run" ? { ...each, heldOut } : each)));
}

/** The same run with whoever was held out marked as not there, and with what others were held out of left out. */
export function without(run: RunRecord, { withoutPeople, withoutItems }: HeldOutRefusal): RunRecord {
  return {
    ...run,
    people: run.people.map((person) => {
      if (withoutPeople.includes(person.personId))
        return { ...person, present: false, effort: null, forms: {}, marks: [], quick: null, counted: null };
      const out = withoutItems[person.personId];
      if (!out) return person;
      const forms = Object.fromEntries(Object.entries(person.forms).filter(([itemId]) => !out.includes(itemId)));
      const counted = person.counted?.filter(({ itemId }) => !out.includes(itemId)) ?? [];
      return { ...person, forms, counted: counted.length === 0 ? null : counted, leftOut: [...new Set([...person.leftOut, ...out])] };
    }),
  };
}

/** People of a crew of whom something that pauses waits here: the server does not know of it, or has not said yet what follows. */
export function whoStopped(waiting: readonly Waiting[], crewId: string): string[] {
  const stopped = waiting.flatMap((each) => {
    if (each.kind === "report" && each.crewId === crewId) return reportPauses(each.report) ? [each.personId] : [];
    if (each.kind !== "run" || each.run.crewId !== crewId) return [];
    return each.run.people.filter(({ marks }) => markAlarm(marks) !== null).map(({ personId }) => personId);
  });
  return [...new Set(stopped)].sort();
}

/** Those of {@link whoStopped}: nobody hands them anything on this device, whatever the connection. */
export function useWhoStopped(crewId: string): ReadonlySet<string> {
  const ids = whoStopped(useOutbox(), crewId).join(" ");
  return useMemo(() => new Set(ids.split(" ").filter(Boolean)), [ids]);
}

/** Follows what waits; every part of the page sees the same. */
export function useOutbox(): readonly Waiting[] {
  const text = useSyncExternalStore(onOutboxChange, snapshot);
  return JSON.parse(text) as Waiting[];
}

/** @returns stops following */
export function onOutboxChange(changed: () => void): () => void {
  addEventListener(CHANGED, changed);
  // Another tab of this browser.
  addEventListener("storage", changed);
  return () => {
    removeEventListener(CHANGED, changed);
    removeEventListener("storage", changed);
  };
}

function snapshot(): string {
  return JSON.stringify(everythingWaiting());
}

function put(waiting: Waiting): void {
  write([...everythingWaiting().filter(({ id }) => id !== waiting.id), waiting]);
}

function write(list: readonly Waiting[]): void {
  localStorage.setItem(KEY, JSON.stringify(list));
  // It is in the list now.
  for (const key of Object.values(EARLIER)) localStorage.removeItem(key);
  dispatchEvent(new Event(CHANGED));
}

function earlier(): Waiting[] {
  const refused = read<Record<string, HeldOutRefusal>>(EARLIER.refused) ?? {};
  const reports = read<{ crewId: string; personId: string; report: SymptomReport }[]>(EARLIER.reports) ?? [];
  const runs = read<RunRecord[]>(EARLIER.runs) ?? [];
  return [
    ...reports.map((each): Waiting => ({ kind: "report", ...each, id: each.report.id, owner: "" })),
    ...runs.map((run): Waiting => ({ kind: "run", run, id: run.id, owner: "", ...(refused[run.id] ? { heldOut: refused[run.id] } : {}) })),
  ];
}

function read<T>(key: string): T | undefined {
  try {
    const text = localStorage.getItem(key);
    return text === null ? undefined : (JSON.parse(text) as T);
  } catch {
    return undefined;
  }
}
