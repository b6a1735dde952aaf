/** A proposal for the limits as they are now: a first answer soon, a better one after it. A change throws away what is being worked out. */
import { useEffect, useRef, useState } from "react";
import { composer, type ComposeInput, type Proposal } from "@kind-grip/core/compose";
import type { Library, Movement } from "@kind-grip/core/library";
import { v7 as uuid } from "uuid";
import { startSolver } from "../parts/solver";

/** Changes come in bursts: a stepper held down, a slider pulled. */
const AFTER_MS = 350;
/** The first answer is there within the blink of a change, or the best one follows without it. */
const FIRST_SEC = 0.2;
const BEST = { timeLimitSec: 8, gap: 0.01 } as const;

export interface ProposalState {
  proposal?: Proposal;
  /** `first`: good, not proven; `best`: within 1 % of the best there is, or the best found in eight seconds; its gap says which. */
  stage: "working" | "first" | "best" | "none";
}

/** What is asked, as plain data: two equal questions are one. */
export type Question = Omit<ComposeInput, "library" | "movements">;

/** @param movements what may be proposed */
export function useProposal(question: Question, library: Library, movements: readonly Movement[]): ProposalState {
  const [state, setState] = useState<ProposalState & { key: string }>({ stage: "working", key: "" });
  const asked = JSON.stringify(question);
  const key = [asked, library.revision, ...movements.map(({ id }) => id)].join(" ");
  const latest = useRef({ library, movements });
  useEffect(() => {
    latest.current = { library, movements };
  });
  useEffect(() => {
    let solver: ReturnType<typeof startSolver> | undefined;
    const timer = setTimeout(async () => {
      solver = startSolver();
      const ask = composer({ ...(JSON.parse(asked) as Question), ...latest.current }, () => uuid());
      const first = await ask.first(solver.solve, FIRST_SEC);
      if (first) setState({ proposal: first, stage: "first", key });
      const best = await ask.best(solver.solve, { ...BEST, from: first });
      // Never a step back: the search may run out of time before it is as good as the first answer.
      const better = !first || (best && best.covered >= first.covered - 1e-9) ? best : first;
      setState(better ? { proposal: better, stage: "best", key } : { stage: "none", key });
      solver.stop();
    }, AFTER_MS);
    return () => {
      clearTimeout(timer);
      solver?.stop();
    };
  }, [key, asked]);
  // What was proposed for other limits is shown, but not as an answer.
  return state.key === key ? state : { proposal: state.proposal, stage: "working" };
}
