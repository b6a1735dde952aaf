/** A proposal for the limits as they are now: a first answer soon, a better one after it. A change throws away what is being worked out. */
import { useEffect, useRef, useState } from "react";
import type { Alternative, ComposeInput, BesideSession, NotchGain, Proposal } from "@kind-grip/core/compose";
import type { Library, Movement } from "@kind-grip/core/library";
import type { BesideSlot } from "@kind-grip/core/session";
import { startComposer, type StartedComposer } from "./start-composer";

/** Changes come in bursts: a stepper held down, a slider pulled. */
const AFTER_MS = 200;

export interface ProposalState {
  proposal?: Proposal;
  /** `first`: in shape and full, not proven; `best`: the best found, whose gap says how near; `none`: nothing keeps to the limits; `failed`: it broke. */
  stage: "working" | "first" | "best" | "none" | "failed";
  /** What one notch of each limit brings, what goes beside it, and other programs nearly as good: there after the best. */
  notches?: NotchGain[];
  beside?: BesideSession[];
  alternatives?: Alternative[];
}

/** What is asked, as plain data: two equal questions are one. */
export type Question = Omit<ComposeInput, "library" | "movements">;

/** @param movements what may be proposed @param slots which sessions are proposed beside those of a shift */
export function useProposal(
  question: Question,
  library: Library,
  movements: readonly Movement[],
  slots: readonly BesideSlot[],
): ProposalState & { again(): void } {
  const [attempt, setAttempt] = useState(0);
  const again = () => setAttempt(attempt + 1);
  const [state, setState] = useState<ProposalState & { key: string }>({ stage: "working", key: "" });
  const asked = JSON.stringify(question);
  const key = [asked, attempt, library.revision, ...movements.map(({ id }) => id)].join(" ");
  const latest = useRef({ library, movements, slots });
  useEffect(() => {
    latest.current = { library, movements, slots };
  });
  useEffect(() => {
    let started: StartedComposer | undefined;
    let stopped = false;
    const compose = async (composer: StartedComposer) => {
      const first = await composer.first();
      if (first) setState({ proposal: first, stage: "first", key });
      const best = (await composer.best()) ?? first;
      if (!best) return setState({ stage: "none", key });
      setState({ proposal: best, stage: "best", key });
      const notches = await composer.notches();
      setState({ proposal: best, stage: "best", notches, key });
      const beside = await composer.beside(latest.current.slots);
      setState({ proposal: best, stage: "best", notches, beside, key });
      const found = (alternatives: Alternative[]) => setState({ proposal: best, stage: "best", notches, beside, alternatives, key });
      found(await composer.alternatives((soFar) => !stopped && found(soFar)));
    };
    const timer = setTimeout(async () => {
      const { library: all, movements: offered } = latest.current;
      started = startComposer({
        question: JSON.parse(asked) as Question,
        custom: all.movements.flatMap(({ id }) => all.custom(id) ?? []),
        offered: offered.map(({ id }) => id),
      });
      try {
        await compose(started);
      } catch {
        // What was found until then stays to be looked at, but it is no answer.
        setState((before) => ({ proposal: before.key === key ? before.proposal : undefined, stage: "failed", key }));
      }
      started.stop();
    }, AFTER_MS);
    return () => {
      stopped = true;
      clearTimeout(timer);
      started?.stop();
    };
  }, [key, asked]);
  // What was proposed for other limits is shown, but not as an answer.
  return state.key === key ? { ...state, again } : { proposal: state.proposal, stage: "working", again };
}
