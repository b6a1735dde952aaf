/** The path of a crew's job, from its people to the report: how far each step is. */
import * as v from "valibot";

export const STEPS = ["people", "work", "baseline", "program", "plan", "runs", "progress", "report"] as const;
export type Step = (typeof STEPS)[number];

export const StepState = v.picklist(["empty", "part", "ready", "needsYou"]);
export type StepState = v.InferOutput<typeof StepState>;

export interface PathFacts {
  /** Who has not left, and who of them is held out of everything. */
  people: number;
  heldOut: number;
  tasks: number;
  /** The newest round of measuring, in how many people something is measured, and in how many of those here neither finished nor held out. */
  round: { closed: boolean; begun: number; unmeasured: number } | null;
  programs: number;
  /** A session stands in a plan, or something is booked. */
  planned: boolean;
  runs: number;
  /** People for whom something else than going on waits for a decision. */
  waiting: number;
  /** Blocks of the report that can be read. */
  reports: number;
}

/** How far each step is. "part" is begun: a round that is still open with people to measure, runs of which no report can be read yet. */
export function pathOf({ people, heldOut, tasks, round, programs, planned, runs, waiting, reports }: PathFacts): Record<Step, StepState> {
  const is = (there: boolean): StepState => (there ? "ready" : "empty");
  return {
    people: heldOut > 0 ? "needsYou" : is(people > 0),
    work: is(tasks > 0),
    baseline: !round || round.begun === 0 ? "empty" : round.closed || round.unmeasured === 0 ? "ready" : "part",
    program: is(programs > 0),
    plan: is(planned),
    runs: is(runs > 0),
    progress: waiting > 0 ? "needsYou" : is(runs > 0),
    report: reports > 0 ? "ready" : runs > 0 ? "part" : "empty",
  };
}
