/** HiGHS as the solver of LP text. Its options are set for programmes of a few hundred 0/1 columns on one thread. */
import type { Highs } from "highs";

export interface Effort {
  timeLimitSec: number;
  /** Ends as soon as the best found is within this share of the best there could be. */
  gap: number;
  /** Columns of an answer already known, by name: the search begins there. */
  start?: ReadonlyMap<string, number>;
}

export interface Solved {
  /** Value by column name. */
  columns: Map<string, number>;
  objective: number;
  /** Nothing is better than this. */
  bound: number;
  /** By the name of a row: what the objective would change by were its bound one more. Of programmes without whole columns only. */
  prices: Map<string, number>;
}

/** @returns undefined when nothing was found within the effort, or nothing exists */
export type Solver = (lp: string, effort: Effort) => Promise<Solved | undefined>;

/**
 * Starting over and searching round the relaxation cost more than they bring here (measured on random crews, `npm run bench:compose`).
 */
const OPTIONS = { mip_allow_restart: false, mip_heuristic_effort: 0.02, mip_heuristic_run_rens: false };

export function solverWith(load: () => Promise<Highs>): Solver {
  let loaded: Promise<Highs> | undefined;
  return async (lp, { timeLimitSec, gap, start }) => {
    loaded ??= load();
    const highs = await loaded;
    const model = highs.createModel({ format: "lp", data: lp });
    try {
      model.options.set({ output_flag: false, time_limit: timeLimitSec, mip_rel_gap: gap, ...OPTIONS });
      const names = Array.from({ length: model.getDimensions().numCols }, (_, i) => model.getColName(i));
      if (start) {
        const known = names.flatMap((name, index) => (start.has(name) ? [{ index, value: start.get(name)! }] : []));
        model.setSolution({ indices: known.map(({ index }) => index), values: known.map(({ value }) => value) });
      }
      model.run();
      const objective = model.getObjectiveValue();
      const { colValue: values, rowDual } = model.getSolution();
      // 2 is "feasible"; anything else has no values to go by.
      if (Number(model.info.get("primal_solution_status")) !== 2 || !Number.isFinite(objective)) return undefined;
      return {
        columns: new Map(names.map((name, i) => [name, values[i]!])),
        objective,
        bound: Number(model.info.get("mip_dual_bound")),
        prices: new Map(Array.from(rowDual, (price, row) => [model.getRowName(row), price] as const)),
      };
    } finally {
      model.dispose();
    }
  };
}

/** How much better the best there could be is, as a share of the objective; 0 is proven best. */
export function gapOf({ objective, bound }: Pick<Solved, "objective" | "bound">): number {
  if (!Number.isFinite(bound)) return Infinity;
  return Math.abs(bound - objective) / Math.max(1e-9, Math.abs(objective));
}
