/** A composer in a worker of its own, for one question: what is being worked out for an older one ends with it. */
import { proxy } from "comlink";
import type { Alternative, BesideSession, NotchGain, Proposal } from "@kind-grip/core/compose";
import type { BesideSlot } from "@kind-grip/core/session";
import { SESSION_NAMES } from "../program/session-names";
import { startWorker, type StartedWorker } from "../parts/worker";
import type { ComposerWorker, SentQuestion } from "./composer.worker";

/** Every answer is refused once its worker broke. */
export interface StartedComposer {
  first(): Promise<Proposal | undefined>;
  /** To be asked after the first. */
  best(): Promise<Proposal | undefined>;
  /** To be asked after the best. @param tell hears of those that are found, each time there is one more */
  alternatives(tell: (soFar: Alternative[]) => void): Promise<Alternative[]>;
  notches(): Promise<NotchGain[]>;
  /** To be asked after the best, which it goes with. */
  beside(slots: readonly BesideSlot[]): Promise<BesideSession[]>;
  stop(): void;
}

function load(): StartedWorker<ComposerWorker> {
  const loaded: StartedWorker<ComposerWorker> = startWorker(
    new Worker(new URL("./composer.worker.ts", import.meta.url), { type: "module", name: "composer" }),
    () => {
      if (spare === loaded) spare = undefined;
    },
  );
  return loaded;
}
/** One that has loaded already, for the next question: loading takes longer than the first answer. */
let spare: StartedWorker<ComposerWorker> | undefined;

export function startComposer(sent: SentQuestion): StartedComposer {
  const { remote, unlessBroken, stop } = spare ?? load();
  spare = undefined;
  return {
    first: () => unlessBroken(remote.first(sent)),
    best: () => unlessBroken(remote.best()),
    alternatives: (tell) => unlessBroken(remote.alternatives(proxy(tell))),
    notches: () => unlessBroken(remote.notches()),
    beside: (slots) => unlessBroken(remote.beside(slots, SESSION_NAMES)),
    stop: () => {
      stop();
      spare ??= load();
    },
  };
}
