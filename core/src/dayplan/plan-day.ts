/** Groups' sessions placed on a shift: a quick first answer, then the best there is (0/1 programme, docs/dayplan.md). */
import { gapOf, lpText, type Effort, type Row, type Solver, type Term } from "../solver";
import { cellsOf, COST, costOf, isInBreak, tooClose, type DayProblem, type Wish } from "./day-problem";

/** Wish id → start; wishes that found no place are missing. */
export type DayPlan = ReadonlyMap<string, number>;

/** The sum of all costs; what found no place counts very much. */
export function planCost({ wishes, jobs }: DayProblem, plan: DayPlan): number {
  return wishes.reduce((sum, wish) => {
    const at = plan.get(wish.id);
    return sum + (at === undefined ? COST.unplaced : costOf(wish, at, jobs[wish.job]!.breaks));
  }, 0);
}

/** Each wish in turn, the least free first, at the cheapest start that still fits. */
export function firstFit(problem: DayProblem): DayPlan {
  const plan = new Map<string, number>();
  const cost = (wish: Wish, at: number) => costOf(wish, at, problem.jobs[wish.job]!.breaks);
  const taken = new Taken();
  const order = [...problem.wishes].sort((a, b) => a.starts.length - b.starts.length || a.idealMs - b.idealMs || a.id.localeCompare(b.id));
  for (const wish of order) {
    const at = [...wish.starts]
      .sort((a, b) => cost(wish, a) - cost(wish, b) || a - b)
      .find((start) => fits(wish, start, problem, plan, taken));
    if (at === undefined) continue;
    plan.set(wish.id, at);
    for (const cell of cellsOf(wish, at)) taken.add(wish, cell, isInBreak(cell, at + wish.lengthMs, problem.jobs[wish.job]!.breaks));
  }
  return plan;
}

/** How many are led, and how many are off each job, cell by cell. */
class Taken {
  private readonly leading = new Map<number, number>();
  private readonly away = new Map<string, number>();
  led = (cell: number) => this.leading.get(cell) ?? 0;
  off = (job: number, cell: number) => this.away.get(`${job} ${cell}`) ?? 0;
  add({ job, people }: Wish, cell: number, inBreak: boolean): void {
    this.leading.set(cell, this.led(cell) + 1);
    if (!inBreak) this.away.set(`${job} ${cell}`, this.off(job, cell) + people);
  }
}

function fits(wish: Wish, at: number, { wishes, jobs, leaders }: DayProblem, plan: DayPlan, taken: Taken): boolean {
  const { breaks, mostOffJob } = jobs[wish.job]!;
  const room = cellsOf(wish, at).every(
    (cell) =>
      taken.led(cell) < leaders && (isInBreak(cell, at + wish.lengthMs, breaks) || taken.off(wish.job, cell) + wish.people <= mostOffJob),
  );
  return (
    room && wishes.every((other) => other.group !== wish.group || !plan.has(other.id) || !tooClose(wish, at, other, plan.get(other.id)!))
  );
}

export interface BestPlan {
  plan: DayPlan;
  /** By how much of its cost the best there could be is cheaper; 0 is proven best, Infinity when nothing is known. */
  gap: number;
}

/** The best plan by the solver, which begins at the first fit; or the first fit where that is no worse. */
export async function bestPlan(problem: DayProblem, solve: Solver, effort: Effort): Promise<BestPlan> {
  const first = firstFit(problem);
  if (problem.wishes.length === 0) return { plan: first, gap: 0 };
  const solved = await solve(lpOf(problem), { ...effort, start: columnsOf(problem, first) });
  if (!solved) return { plan: first, gap: Infinity };
  const best = new Map(
    problem.wishes.flatMap((wish, w): [string, number][] => {
      const s = wish.starts.findIndex((_, i) => (solved.columns.get(x(w, i)) ?? 0) > 0.5);
      return s < 0 ? [] : [[wish.id, wish.starts[s]!]];
    }),
  );
  const plan = planCost(problem, best) <= planCost(problem, first) ? best : first;
  return { plan, gap: gapOf({ objective: planCost(problem, plan), bound: solved.bound }) };
}

function columnsOf({ wishes }: DayProblem, plan: DayPlan): Map<string, number> {
  return new Map(
    wishes.flatMap((wish, w): [string, number][] => [
      ...wish.starts.map((at, s): [string, number] => [x(w, s), plan.get(wish.id) === at ? 1 : 0]),
      [`u${w}`, plan.has(wish.id) ? 0 : 1],
    ]),
  );
}

const x = (wish: number, start: number) => `x${wish}_${start}`;

/** The 0/1 programme; one function a family of rows. */
function lpOf(problem: DayProblem): string {
  const { wishes, jobs } = problem;
  return lpText({
    aim: "Minimize",
    objective: wishes.flatMap((wish, w): Term[] => [
      ...wish.starts.map((at, s): Term => [costOf(wish, at, jobs[wish.job]!.breaks), x(w, s)]),
      [COST.unplaced, `u${w}`],
    ]),
    rows: [...onePlaceEach(wishes), ...notTooMany(problem), ...apart(wishes)],
    binaries: wishes.flatMap((wish, w) => [...wish.starts.map((_, s) => x(w, s)), `u${w}`]),
  });
}

const each = (columns: readonly string[]): Term[] => columns.map((column) => [1, column]);

function onePlaceEach(wishes: readonly Wish[]): Row[] {
  return wishes.map((wish, w) => ({ terms: each([...wish.starts.map((_, s) => x(w, s)), `u${w}`]), sense: "=", bound: 1 }));
}

/** In each 5-minute cell: no more led than there are leaders, no more off the job than allowed. */
function notTooMany({ wishes, jobs, leaders }: DayProblem): Row[] {
  const cells = new Map<number, { led: string[]; off: Term[][] }>();
  wishes.forEach((wish, w) =>
    wish.starts.forEach((at, s) => {
      for (const cell of cellsOf(wish, at)) {
        const there = cells.get(cell) ?? { led: [], off: jobs.map(() => []) };
        there.led.push(x(w, s));
        if (!isInBreak(cell, at + wish.lengthMs, jobs[wish.job]!.breaks)) there.off[wish.job]!.push([wish.people, x(w, s)]);
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
function apart(wishes: readonly Wish[]): Row[] {
  return wishes.flatMap((a, i) =>
    wishes.flatMap((b, j) => {
      if (j <= i || a.group !== b.group) return [];
      return a.starts.flatMap((aAt, s): Row[] => {
        const close = b.starts.flatMap((bAt, t) => (tooClose(a, aAt, b, bAt) ? [x(j, t)] : []));
        return close.length > 0 ? [{ terms: each([x(i, s), ...close]), sense: "<=", bound: 1 }] : [];
      });
    }),
  );
}
