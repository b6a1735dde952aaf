/** Whole people shared out among patterns of turns. */
import { columnName, type Solver } from "../solver";
import type { Share } from "./exchange";
import type { Patterns } from "./patterns";
import { isFor, type Kind } from "./problem";
import { leastMissing, NOTHING, type Column } from "./shares";

const SOLVE_SEC = 1;

/** Whether a task has just its turns, or may have too many. */
export type SenseOfTask = "just" | "atLeast";

/**
 * The columns up to a strain that whole people can be in: a pattern with so few turns of a task that everybody else at their most could not
 * fill it is in no rotation.
 * @param wanted turns of each task, the last at nothing
 */
export function columnsWithin(kinds: readonly Kind[], { list }: Patterns, wanted: readonly number[], most: number): Column[] {
  const within = list.filter(({ strain }) => strain <= most);
  let columns = kinds.flatMap((kind, k) =>
    within.flatMap((pattern): Column[] => (isFor(kind, pattern.turns) ? [{ kind: k, pattern }] : [])),
  );
  for (let before = Infinity; columns.length < before;) {
    before = columns.length;
    for (const [task, turns] of wanted.entries()) {
      const mostOf = kinds.map(() => 0);
      for (const { kind, pattern } of columns) mostOf[kind] = Math.max(mostOf[kind]!, pattern.turns[task]!);
      const tooMany = kinds.reduce((sum, { members }, k) => sum + members.length * mostOf[k]!, 0) - turns;
      columns = columns.filter(({ kind, pattern }) => mostOf[kind]! - pattern.turns[task]! <= tooMany);
    }
  }
  return columns;
}

/** Those without a turn at nothing that could be one at a task: enough to see that whole people do not, as tasks may have turns too many. */
export function fullest(kinds: readonly Kind[], patterns: Patterns, columns: readonly Column[], most: number): Column[] {
  return columns.filter(({ kind, pattern }) => {
    const nothing = pattern.turns.length - 1;
    return !kinds[kind]!.may.some((may, task) => {
      const fuller = may && task !== nothing ? patterns.after(pattern, nothing, task, 1) : undefined;
      return fuller !== undefined && fuller.strain <= most;
    });
  });
}

/**
 * Whole people in the columns; none where there is proof that there are none, unknown where the time was too short.
 * @param wanted turns of each task, the last at nothing
 */
export async function wholeIn(
  kinds: readonly Kind[],
  columns: readonly Column[],
  wanted: readonly number[],
  sense: SenseOfTask,
  solve: Solver,
): Promise<Share[] | "none" | "unknown"> {
  // Counting alone has left nobody anything.
  if (columns.length === 0) return "none";
  const programme =
    sense === "just"
      ? leastMissing(kinds, columns, wanted, { whole: true })
      : leastMissing(kinds, columns, wanted.slice(0, -1), { whole: true, senseOfTask: ">=" });
  const solved = await solve(programme, { timeLimitSec: SOLVE_SEC, gap: 0 });
  if (!solved) return "unknown";
  if (solved.objective > 0.5) return solved.bound > NOTHING ? "none" : "unknown";
  return columns.flatMap(({ kind, pattern }, c) =>
    Array.from({ length: Math.round(solved.columns.get(columnName("y", c)) ?? 0) }, (): Share => ({ kind: kinds[kind]!, pattern })),
  );
}
