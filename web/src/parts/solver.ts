/** A solver in a worker of its own, for a while: what is being worked out for an older question ends with it. */
import { wrap } from "comlink";
import type { Solver } from "@kind-grip/core/solver";
import type { SolverWorker } from "./solver.worker";

export function startSolver(): { solve: Solver; stop(): void } {
  const worker = new Worker(new URL("./solver.worker.ts", import.meta.url), { type: "module", name: "solver" });
  const remote = wrap<SolverWorker>(worker);
  return { solve: (lp, effort) => remote.solve(lp, effort), stop: () => worker.terminate() };
}
