/** Plans a day: the first fit at once, the best a moment later from the solver, and what would help when not everything fits. */
import { useEffect, useMemo, useState } from "react";
import {
  optimalPlan,
  greedyPlan,
  planCost,
  minimalRelaxations,
  type DayPlan,
  type DayProblem,
  type Relaxation,
} from "@kind-grip/core/dayplan";
import { startSolver } from "../parts/solver";

const BEST = { timeLimitSec: 6, gap: 0.01 } as const;
/** Steppers and pins come in bursts. */
const AFTER_MS = 250;

export interface Planned {
  plan: DayPlan;
  stage: "first" | "best";
  /** By how much of its cost the best there could be is cheaper; Infinity while nothing is known. */
  gap: number;
  /** What the best saved against the first answer, as a share of its cost. */
  saved: number;
  relaxations: Relaxation[];
}

/** @param problem, withReach have to stay the same ones as long as nothing changed */
export function useDayPlanner(problem: DayProblem, withReach: (addMin: number) => DayProblem): Planned {
  const first = useMemo(() => greedyPlan(problem), [problem]);
  const [better, setBetter] = useState<{ problem: DayProblem; plan: DayPlan; gap: number; relaxations: Relaxation[] } | null>(null);
  useEffect(() => {
    let solver: ReturnType<typeof startSolver> | undefined;
    const timer = setTimeout(async () => {
      solver = startSolver();
      try {
        const best = await optimalPlan(problem, solver.solve, BEST);
        setBetter({ problem, ...best, relaxations: [] });
        if (best.plan.size < problem.requests.length)
          setBetter({ problem, ...best, relaxations: await minimalRelaxations(problem, withReach, solver.solve) });
      } catch {
        // The solver could not be loaded: the first plan stands, and is not called more than that.
      }
      solver.stop();
    }, AFTER_MS);
    return () => {
      clearTimeout(timer);
      solver?.stop();
    };
  }, [problem, withReach]);
  if (better?.problem !== problem) return { plan: first, stage: "first", gap: Infinity, saved: 0, relaxations: [] };
  const before = planCost(problem, first);
  return { ...better, stage: "best", saved: before === 0 ? 0 : 1 - planCost(problem, better.plan) / before };
}
