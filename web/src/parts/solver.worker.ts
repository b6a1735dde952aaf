/** Solves 0/1 programmes off the page's thread. */
import { expose } from "comlink";
import loadHighs from "highs";
import wasm from "highs/runtime?url";
import { solverWith } from "@kind-grip/core/solver";

const solve = solverWith(() => loadHighs({ locateFile: () => wasm }));
const solver = { solve };
export type SolverWorker = typeof solver;
expose(solver);
