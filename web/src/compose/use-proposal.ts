/** A proposal for the limits as they are now: a first answer soon, a better one after it. A change throws away what is being worked out. */
import { wrap } from "comlink";
import { useEffect, useState } from "react";
import { compose, type ComposeInput, type Proposal } from "@kind-grip/core/compose";
import { v7 as uuid } from "uuid";
import type { SolverWorker } from "../parts/solver.worker";

/** Changes come in bursts: a stepper held down, a slider pulled. */
const AFTER_MS = 350;
/** The first answer is there within the blink of a change, or the best one follows without it. */
const FIRST = { timeLimitSec: 0.25, gap: 0.2 } as const;
const BEST = { timeLimitSec: 8, gap: 0.01 } as const;

export interface ProposalState {
  proposal?: Proposal;
  /** `first`: good, not proven; `best`: within 1 % of the best there is, or the best found in eight seconds. */
  stage: "working" | "first" | "best" | "none";
}

export function useProposal(input: ComposeInput | null): ProposalState {
  const [state, setState] = useState<ProposalState & { key: string }>({ stage: "working", key: "" });
  const key = JSON.stringify(input);
  useEffect(() => {
    const asked = JSON.parse(key) as ComposeInput | null;
    if (!asked) return;
    let worker: Worker | undefined;
    const timer = setTimeout(async () => {
      worker = new Worker(new URL("../parts/solver.worker.ts", import.meta.url), { type: "module", name: "solver" });
      const remote = wrap<SolverWorker>(worker);
      const solve = (lp: string, effort: { timeLimitSec: number; gap: number }) => remote.solve(lp, effort);
      const first = await compose({ ...asked, rough: true }, solve, FIRST, () => uuid());
      if (first) setState({ proposal: first, stage: "first", key });
      const best = await compose(asked, solve, BEST, () => uuid());
      // Never a step back: the search may run out of time before it is as good as the first answer.
      const better = !first || (best && best.covered >= first.covered - 1e-9) ? best : first;
      setState(better ? { proposal: better, stage: "best", key } : { stage: "none", key });
      worker.terminate();
    }, AFTER_MS);
    return () => {
      clearTimeout(timer);
      worker?.terminate();
    };
  }, [key]);
  // What was proposed for other limits is shown, but not as an answer.
  return state.key === key ? state : { proposal: state.proposal, stage: "working" };
}
