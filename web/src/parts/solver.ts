/** A solver in a worker of its own, for a while: what is being worked out for an older question ends with it. */
import type { Solver } from "@kind-grip/core/solver";
import { startWorker } from "./worker";
import type { SolverWorker } from "./solver.worker";

export function startSolver(): { solve: Solver; stop(): void } {
  const { remote, unlessBroken, stop } = startWorker<SolverWorker>(
    new Worker(new URL("./solver.worker.ts", import.meta.url), { type: "module", name: "solver" }),
  );
  return { solve: (lp, effort) => unlessBroken(remote.solve(lp, effort)), stop };
}
