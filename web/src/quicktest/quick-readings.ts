/** Readings of a run before they are kept with it: of each person what was before and what is after. */
import type { QuickResult, QuickTest } from "@kind-grip/core/quicktest";

export type QuickReadings = Readonly<Record<string, { before: number | null; after: number | null }>>;

export const NO_READING = { before: null, after: null } as const;

export function withReading(readings: QuickReadings, personId: string, when: "before" | "after", value: number | null): QuickReadings {
  return { ...readings, [personId]: { ...(readings[personId] ?? NO_READING), [when]: value } };
}

/** @returns null where neither was taken; what cannot be read is none */
export function quickResult(test: QuickTest | null, readings: QuickReadings, personId: string): QuickResult | null {
  const { before, after } = readings[personId] ?? NO_READING;
  const [was, is] = [before, after].map((each) => (each === null || Number.isNaN(each) ? null : each)) as [number | null, number | null];
  return test === null || (was === null && is === null) ? null : { test, before: was, after: is };
}
