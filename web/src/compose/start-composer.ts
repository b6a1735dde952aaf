/** A composer in a worker of its own, for one question: what is being worked out for an older one ends with it. */
import { wrap } from "comlink";
import type { Alternative, NotchGain, Proposal } from "@kind-grip/core/compose";
import type { ComposerWorker, SentQuestion } from "./composer.worker";

export interface StartedComposer {
  first(): Promise<Proposal | undefined>;
  /** To be asked after the first. */
  best(): Promise<Proposal | undefined>;
  /** To be asked after the best. */
  alternatives(): Promise<Alternative[]>;
  notches(): Promise<NotchGain[]>;
  stop(): void;
}

const newWorker = () => new Worker(new URL("./composer.worker.ts", import.meta.url), { type: "module", name: "composer" });
/** One that has loaded already, for the next question: loading takes longer than the first answer. */
let spare: Worker | undefined;

export function startComposer(sent: SentQuestion): StartedComposer {
  const worker = spare ?? newWorker();
  spare = undefined;
  const remote = wrap<ComposerWorker>(worker);
  return {
    first: () => remote.first(sent),
    best: () => remote.best(),
    alternatives: () => remote.alternatives(),
    notches: () => remote.notches(),
    stop: () => {
      worker.terminate();
      spare ??= newWorker();
    },
  };
}
