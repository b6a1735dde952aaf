/** Solves 0/1 programmes (LP text) off the page's thread. */
import { expose } from "comlink";
import loadHighs from "highs";
import wasm from "highs/runtime?url";

let loaded: ReturnType<typeof loadHighs> | undefined;

const solver = {
  async solve(lp: string, { timeLimitSec, gap }: { timeLimitSec: number; gap: number }): Promise<Map<string, number> | undefined> {
    loaded ??= loadHighs({ locateFile: () => wasm });
    const { Status, Columns } = (await loaded).solve(lp, { time_limit: timeLimitSec, mip_rel_gap: gap });
    if (Status !== "Optimal" && Status !== "Time limit reached") return undefined;
    const values = Object.entries(Columns).map(([name, column]): [string, number] => [name, "Primal" in column ? column.Primal : 0]);
    return values.every(([, value]) => value === 0) ? undefined : new Map(values);
  },
};
export type SolverWorker = typeof solver;
expose(solver);
