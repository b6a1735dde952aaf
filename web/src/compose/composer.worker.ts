/** Composes off the page's thread: one question a worker, which ends with it. */
import { expose } from "comlink";
import loadHighs from "highs";
import wasm from "highs/runtime?url";
import { v7 as uuid } from "uuid";
import {
  composer,
  besideSession,
  notchGains,
  type Alternative,
  type ComposeInput,
  type Composer,
  type BesideSession,
  type NotchGain,
  type Proposal,
} from "@kind-grip/core/compose";
import { libraryOf, type CustomMovement } from "@kind-grip/core/library";
import type { BesideSlot } from "@kind-grip/core/session";
import { solverWith } from "@kind-grip/core/solver";
import { ALTERNATIVE, BEST } from "./effort";

const solve = solverWith(() => loadHighs({ locateFile: () => wasm }));

/** A question as plain data: what a page can send. */
export interface SentQuestion {
  question: Omit<ComposeInput, "library" | "movements">;
  custom: readonly CustomMovement[];
  /** Ids of what may be proposed. */
  offered: readonly string[];
}

let input: ComposeInput | undefined;
let ask: Composer | undefined;
let shown: Proposal | undefined;

const composing = {
  first({ question, custom, offered }: SentQuestion): Proposal | undefined {
    const library = libraryOf(custom);
    input = { ...question, library, movements: library.movements.filter(({ id }) => offered.includes(id)) };
    ask = composer(input, () => uuid());
    return (shown = ask.first());
  },
  async best(): Promise<Proposal | undefined> {
    return (shown = (await ask!.best(solve, BEST)) ?? shown);
  },
  alternatives(tell: (soFar: Alternative[]) => void): Promise<Alternative[]> {
    return ask!.alternatives(solve, ALTERNATIVE, tell);
  },
  beside(slots: readonly BesideSlot[], names: Readonly<Record<BesideSlot, string>>): BesideSession[] {
    return shown ? slots.flatMap((slot) => besideSession(input!, slot, shown!, names[slot], () => uuid()) ?? []) : [];
  },
  notches(): NotchGain[] {
    return shown ? notchGains(input!, shown, () => uuid()) : [];
  },
};
export type ComposerWorker = typeof composing;
expose(composing);
