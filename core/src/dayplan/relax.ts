/** When not everything finds a place: the smallest change of one limit after which it does. */
import type { Solver } from "../solver";
import type { DayProblem } from "./day-problem";
import { bestPlan } from "./plan-day";

export type Relaxation = { change: "leaders"; to: number } | { change: "mostOffJob"; to: number } | { change: "reach"; addMin: number };

/** @param withReach the same problem with windows wider by so many minutes @returns one for each limit that helps by itself, the least first */
export async function relaxationsOf(problem: DayProblem, withReach: (addMin: number) => DayProblem, solve: Solver): Promise<Relaxation[]> {
  const groups = Math.max(0, ...problem.wishes.map(({ group }) => group)) + 1;
  const sizes = [...new Set(problem.wishes.map(({ people }) => people))];
  const tries: Relaxation[][] = [
    Array.from({ length: Math.max(0, Math.min(2, groups - problem.leaders)) }, (_, i) => ({
      change: "leaders",
      to: problem.leaders + i + 1,
    })),
    [...new Set([...sizes, ...sizes.map((size) => size * 2), ...sizes.map((size) => size * 3)])]
      .filter((size) => size > problem.mostOffJob)
      .sort((a, b) => a - b)
      .slice(0, 2)
      .map((to) => ({ change: "mostOffJob", to })),
    [30, 60].map((addMin) => ({ change: "reach", addMin })),
  ];
  const found: Relaxation[] = [];
  for (const list of tries)
    for (const relaxation of list) {
      const eased = relaxation.change === "reach" ? withReach(relaxation.addMin) : { ...problem, [relaxation.change]: relaxation.to };
      const { plan } = await bestPlan(eased, solve, { timeLimitSec: 2, gap: 0.5 });
      if (plan.size < eased.wishes.length) continue;
      found.push(relaxation);
      break;
    }
  return found;
}

export function relaxationText(relaxation: Relaxation): string {
  switch (relaxation.change) {
    case "leaders":
      return `With ${relaxation.to} leaders everything finds a place.`;
    case "mostOffJob":
      return `With ${relaxation.to} people off the job at once everything finds a place.`;
    case "reach":
      return `Up to ${relaxation.addMin} min further from the ideal times everything finds a place.`;
  }
}
