/** Plans a day: the first fit at once, the best a moment later from the solver, and what would help when not everything fits. */
import { wrap } from "comlink";
import { useEffect, useMemo, useState } from "react";
import { bestPlan, firstFit, planCost, relaxationsOf, type DayPlan, type DayProblem, type Relaxation } from "@kind-grip/core/dayplan";
import type { SolverWorker } from "../parts/solver.worker";

const BEST = { timeLimitSec: 6, gap: 0.01 } as const;
/** Steppers and pins come in bursts. */
const AFTER_MS = 250;

export interface Planned {
  plan: DayPlan;
  stage: "first" | "best";
  /** What the best saved against the first answer, as a share of its cost. */
  saved: number;
  relaxations: Relaxation[];
}

/** @param problem, withReach have to stay the same ones as long as nothing changed */
export function useDayPlanner(problem: DayProblem, withReach: (addMin: number) => DayProblem): Planned {
  const first = useMemo(() => firstFit(problem), [problem]);
  const [better, setBetter] = useState<{ problem: DayProblem; plan: DayPlan; relaxations: Relaxation[] } | null>(null);
  useEffect(() => {
    let worker: Worker | undefined;
    const timer = setTimeout(async () => {
      worker = new Worker(new URL("../parts/solver.worker.ts", import.meta.url), { type: "module", name: "solver" });
      const remote = wrap<SolverWorker>(worker);
      const solve = (lp: string, effort: { timeLimitSec: number; gap: number }) => remote.solve(lp, effort);
      const plan = await bestPlan(problem, solve, BEST);
      setBetter({ problem, plan, relaxations: [] });
      if (plan.size < problem.wishes.length) setBetter({ problem, plan, relaxations: await relaxationsOf(problem, withReach, solve) });
      worker.terminate();
    }, AFTER_MS);
    return () => {
      clearTimeout(timer);
      worker?.terminate();
    };
  }, [problem, withReach]);
  if (better?.problem !== problem) return { plan: first, stage: "first", saved: 0, relaxations: [] };
  const before = planCost(problem, first);
  return { ...better, stage: "best", saved: before === 0 ? 0 : 1 - planCost(problem, better.plan) / before };
}
