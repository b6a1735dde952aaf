/** Groups' sessions placed on a shift: a quick first answer, then the best there is (0/1 programme, docs/dayplan.md). */
import { gapOf, lpText, type Effort, type Row, type Solver, type Term } from "../solver";
import { cellsOf, COST, costOf, isInBreak, tooClose, type DayProblem, type SessionRequest } from "./day-problem";

/** SessionRequest id → start; requests that found no place are missing. */
export type DayPlan = ReadonlyMap<string, number>;

/** The sum of all costs; what found no place counts very much. */
export function planCost({ requests, jobs }: DayProblem, plan: DayPlan): number {
  return requests.reduce((sum, request) => {
    const at = plan.get(request.id);
    return sum + (at === undefined ? COST.unplaced : costOf(request, at, jobs[request.job]!.breaks));
  }, 0);
}

/** Each request in turn, the least free first, at the cheapest start that still fits. */
export function greedyPlan(problem: DayProblem): DayPlan {
  const plan = new Map<string, number>();
  const cost = (request: SessionRequest, at: number) => costOf(request, at, problem.jobs[request.job]!.breaks);
  const taken = new Taken();
  const order = [...problem.requests].sort(
    (a, b) => a.starts.length - b.starts.length || a.idealMs - b.idealMs || a.id.localeCompare(b.id),
  );
  for (const request of order) {
    const at = [...request.starts]
      .sort((a, b) => cost(request, a) - cost(request, b) || a - b)
      .find((start) => fits(request, start, problem, plan, taken));
    if (at === undefined) continue;
    plan.set(request.id, at);
    for (const cell of cellsOf(request, at))
      taken.add(request, cell, isInBreak(cell, at + request.lengthMs, problem.jobs[request.job]!.breaks));
  }
  return plan;
}

/** How many are led, and how many are off each job, cell by cell. */
class Taken {
  private readonly leading = new Map<number, number>();
  private readonly away = new Map<string, number>();
  led = (cell: number) => this.leading.get(cell) ?? 0;
  off = (job: number, cell: number) => this.away.get(`${job} ${cell}`) ?? 0;
  add({ job, people }: SessionRequest, cell: number, inBreak: boolean): void {
    this.leading.set(cell, this.led(cell) + 1);
    if (!inBreak) this.away.set(`${job} ${cell}`, this.off(job, cell) + people);
  }
}

function fits(request: SessionRequest, at: number, { requests, jobs, leaders }: DayProblem, plan: DayPlan, taken: Taken): boolean {
  const { breaks, mostOffJob } = jobs[request.job]!;
  const room = cellsOf(request, at).every(
    (cell) =>
      taken.led(cell) < leaders &&
      (isInBreak(cell, at + request.lengthMs, breaks) || taken.off(request.job, cell) + request.people <= mostOffJob),
  );
  return (
    room &&
    requests.every((other) => other.group !== request.group || !plan.has(other.id) || !tooClose(request, at, other, plan.get(other.id)!))
  );
}

export interface OptimalPlan {
  plan: DayPlan;
  /** By how much of its cost the best there could be is cheaper; 0 is proven best, Infinity when nothing is known. */
  gap: number;
}

/** The best plan by the solver, which begins at the first fit; or the first fit where that is no worse. */
export async function optimalPlan(problem: DayProblem, solve: Solver, effort: Effort): Promise<OptimalPlan> {
  const first = greedyPlan(problem);
  if (problem.requests.length === 0) return { plan: first, gap: 0 };
  const solved = await solve(lpOf(problem), { ...effort, start: columnsOf(problem, first) });
  if (!solved) return { plan: first, gap: Infinity };
  const best = new Map(
    problem.requests.flatMap((request, w): [string, number][] => {
      const s = request.starts.findIndex((_, i) => (solved.columns.get(x(w, i)) ?? 0) > 0.5);
      return s < 0 ? [] : [[request.id, request.starts[s]!]];
    }),
  );
  const plan = planCost(problem, best) <= planCost(problem, first) ? best : first;
  return { plan, gap: gapOf({ objective: planCost(problem, plan), bound: solved.bound }) };
}

function columnsOf({ requests }: DayProblem, plan: DayPlan): Map<string, number> {
  return new Map(
    requests.flatMap((request, w): [string, number][] => [
      ...request.starts.map((at, s): [string, number] => [x(w, s), plan.get(request.id) === at ? 1 : 0]),
      [`u${w}`, plan.has(request.id) ? 0 : 1],
    ]),
  );
}

const x = (request: number, start: number) => `x${request}_${start}`;

/** The 0/1 programme; one function a family of rows. */
function lpOf(problem: DayProblem): string {
  const { requests, jobs } = problem;
  return lpText({
    aim: "Minimize",
    objective: requests.flatMap((request, w): Term[] => [
      ...request.starts.map((at, s): Term => [costOf(request, at, jobs[request.job]!.breaks), x(w, s)]),
      [COST.unplaced, `u${w}`],
    ]),
    rows: [...onePlaceEach(requests), ...notTooMany(problem), ...apart(requests)],
    binaries: requests.flatMap((request, w) => [...request.starts.map((_, s) => x(w, s)), `u${w}`]),
  });
}

const each = (columns: readonly string[]): Term[] => columns.map((column) => [1, column]);

function onePlaceEach(requests: readonly SessionRequest[]): Row[] {
  return requests.map((request, w) => ({ terms: each([...request.starts.map((_, s) => x(w, s)), `u${w}`]), sense: "=", bound: 1 }));
}

/** In each 5-minute cell: no more led than there are leaders, no more off the job than allowed. */
function notTooMany({ requests, jobs, leaders }: DayProblem): Row[] {
  const cells = new Map<number, { led: string[]; off: Term[][] }>();
  requests.forEach((request, w) =>
    request.starts.forEach((at, s) => {
      for (const cell of cellsOf(request, at)) {
        const there = cells.get(cell) ?? { led: [], off: jobs.map(() => []) };
        there.led.push(x(w, s));
        if (!isInBreak(cell, at + request.lengthMs, jobs[request.job]!.breaks)) there.off[request.job]!.push([request.people, x(w, s)]);
        cells.set(cell, there);
      }
    }),
  );
  return [...cells.values()].flatMap(({ led, off }): Row[] => [
    ...(led.length > leaders ? [{ terms: each(led), sense: "<=" as const, bound: leaders }] : []),
    ...off.flatMap((terms, job): Row[] => (terms.length > 0 ? [{ terms, sense: "<=", bound: jobs[job]!.mostOffJob }] : [])),
  ]);
}

/** Sessions of one group keep their distance: a start and all the starts of another that are too close to it, at most one of them. */
function apart(requests: readonly SessionRequest[]): Row[] {
  return requests.flatMap((a, i) =>
    requests.flatMap((b, j) => {
      if (j <= i || a.group !== b.group) return [];
      return a.starts.flatMap((aAt, s): Row[] => {
        const close = b.starts.flatMap((bAt, t) => (tooClose(a, aAt, b, bAt) ? [x(j, t)] : []));
        return close.length > 0 ? [{ terms: each([x(i, s), ...close]), sense: "<=", bound: 1 }] : [];
      });
    }),
  );
}
