/** What all of the demo practice stands on: its moment, the weeks before it, where chance begins. */
import type { Program } from "@kind-grip/core/program";

/** A Thursday, twenty minutes before the slate crew's shift; the clocks change on the Sunday after. */
export const DEMO_NOW = new Date("2026-03-26T06:40:00Z");
export const SEED = 20260326;
/** The history: eight weeks, the last one running. */
export const WEEKS = { from: "2026-02-02", count: 8 } as const;

export interface SeededCrew {
  id: string;
  people: { id: string; name: string }[];
  programId?: string;
  program?: Program;
}
