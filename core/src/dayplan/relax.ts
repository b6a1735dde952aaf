/** When not everything finds a place: the smallest change of one limit after which it does. */
import type { Solver } from "../solver";
import type { DayProblem } from "./day-problem";
import { optimalPlan } from "./plan-day";

export type Relaxation =
  | { change: "leaders"; to: number }
  | { change: "mostOffJob"; job: number; to: number }
  | { change: "reach"; addMin: number };

/** @param withReach the same problem with windows wider by so many minutes @returns one for each limit that helps by itself, the least first */
export async function minimalRelaxations(
  problem: DayProblem,
  withReach: (addMin: number) => DayProblem,
  solve: Solver,
): Promise<Relaxation[]> {
  const groups = Math.max(0, ...problem.requests.map(({ group }) => group)) + 1;
  const sizes = (job: number) => [...new Set(problem.requests.filter((request) => request.job === job).map(({ people }) => people))];
  const tries: Relaxation[][] = [
    Array.from({ length: Math.max(0, Math.min(2, groups - problem.leaders)) }, (_, i) => ({
      change: "leaders",
      to: problem.leaders + i + 1,
    })),
    ...problem.jobs.map(({ mostOffJob }, job) =>
      [...new Set(sizes(job).flatMap((size) => [size, size * 2, size * 3]))]
        .filter((size) => size > mostOffJob)
        .sort((a, b) => a - b)
        .slice(0, 2)
        .map((to): Relaxation => ({ change: "mostOffJob", job, to })),
    ),
    [30, 60].map((addMin) => ({ change: "reach", addMin })),
  ];
  const found: Relaxation[] = [];
  for (const list of tries)
    for (const relaxation of list) {
      const eased = easedBy(relaxation, problem, withReach);
      const { plan } = await optimalPlan(eased, solve, { timeLimitSec: 2, gap: 0.5 });
      if (plan.size < eased.requests.length) continue;
      found.push(relaxation);
      break;
    }
  return found;
}

function easedBy(relaxation: Relaxation, problem: DayProblem, withReach: (addMin: number) => DayProblem): DayProblem {
  switch (relaxation.change) {
    case "reach":
      return withReach(relaxation.addMin);
    case "leaders":
      return { ...problem, leaders: relaxation.to };
    case "mostOffJob":
      return { ...problem, jobs: problem.jobs.map((job, i) => (i === relaxation.job ? { ...job, mostOffJob: relaxation.to } : job)) };
  }
}
