/** A proposal for the limits as they are now: a first answer soon, a better one after it. A change throws away what is being worked out. */
import { useEffect, useRef, useState } from "react";
import type { Alternative, ComposeInput, NotchGain, Proposal } from "@kind-grip/core/compose";
import type { Library, Movement } from "@kind-grip/core/library";
import { startComposer, type StartedComposer } from "./start-composer";

/** Changes come in bursts: a stepper held down, a slider pulled. */
const AFTER_MS = 350;

export interface ProposalState {
  proposal?: Proposal;
  /** `first`: in shape and full, not proven; `best`: the best found, whose gap says how near; `none`: nothing keeps to the limits. */
  stage: "working" | "first" | "best" | "none";
  /** What one notch of each limit brings, and other programs nearly as good: there after the best. */
  notches?: NotchGain[];
  alternatives?: Alternative[];
}

/** What is asked, as plain data: two equal questions are one. */
export type Question = Omit<ComposeInput, "library" | "movements">;

/** The later aims may cost the cover this much; what costs more was a search that ran out of time. */
const MAY_COST = 0.985;

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
    let started: StartedComposer | undefined;
    const timer = setTimeout(async () => {
      const { library: all, movements: offered } = latest.current;
      started = startComposer({
        question: JSON.parse(asked) as Question,
        custom: all.movements.flatMap(({ id }) => all.custom(id) ?? []),
        offered: offered.map(({ id }) => id),
      });
      const first = await started.first();
      if (first) setState({ proposal: first, stage: "first", key });
      const best = await started.best();
      const better = !first || (best && best.covered >= first.covered * MAY_COST) ? best : first;
      if (!better) {
        setState({ stage: "none", key });
        return started.stop();
      }
      setState({ proposal: better, stage: "best", key });
      const notches = await started.notches();
      setState({ proposal: better, stage: "best", notches, key });
      const alternatives = await started.alternatives();
      setState({ proposal: better, stage: "best", notches, alternatives, key });
      started.stop();
    }, AFTER_MS);
    return () => {
      clearTimeout(timer);
      started?.stop();
    };
  }, [key, asked]);
  // What was proposed for other limits is shown, but not as an answer.
  return state.key === key ? state : { proposal: state.proposal, stage: "working" };
}
