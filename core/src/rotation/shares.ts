/** Whether shares of people can fill every task with no hand above a strain: what shares cannot do, whole people cannot either. */
import { columnName, lpText, type Row, type Solver, type Term } from "../solver";
import type { Pattern } from "./patterns";
import { isFor, type Kind } from "./problem";

/** One pattern for one kind of people. */
export interface Column {
  kind: number;
  pattern: Pattern;
}

/** A solver's 0. */
export const NOTHING = 1e-6;
const SOLVE_SEC = 5;
/** So many of the best new columns of a kind join at once: fewer rounds than one by one. */
const AT_ONCE = 6;

export interface Shares {
  /** @param most no hand above this strain @returns whether the turns of every task can be covered */
  cover(most: number): Promise<boolean>;
  /** Every column that was of use so far. */
  columns(): Column[];
}

/**
 * A programme of a few rows, its columns looked for as they are needed (column generation): what the turns of a task and a person of a kind
 * are worth in the answer so far says which pattern would help, and all patterns are looked through for the best. None left that helps is
 * the proof that there is no answer.
 * @param patterns in the order of their strain
 */
export function sharesOf(kinds: readonly Kind[], patterns: readonly Pattern[], wanted: readonly number[], solve: Solver): Shares {
  const allowed = kinds.map((kind) => patterns.filter(({ turns }) => isFor(kind, turns)));
  const known = kinds.map(() => new Set<Pattern>());
  const columns = (most = Infinity) =>
    known.flatMap((set, kind) => [...set].filter(({ strain }) => strain <= most).map((pattern): Column => ({ kind, pattern })));
  return {
    columns,
    async cover(most) {
      for (;;) {
        const solved = await solve(leastMissing(kinds, columns(most), wanted), { timeLimitSec: SOLVE_SEC, gap: 0 });
        if (!solved) throw new RangeError("a programme that always has an answer was left without one");
        if (solved.objective < NOTHING) return true;
        const task = wanted.map((_, t) => solved.prices.get(taskRow(t)) ?? 0);
        const found = kinds.map((_, k) => helpful(allowed[k]!, most, task, solved.prices.get(kindRow(k)) ?? 0, known[k]!));
        if (found.every(({ length }) => length === 0)) return false;
        found.forEach((list, k) => list.forEach((pattern) => known[k]!.add(pattern)));
      }
    },
  };
}

const taskRow = (t: number) => columnName("task", t);
const kindRow = (k: number) => columnName("kind", k);

/** The patterns that would lessen what is missing the most. */
function helpful(
  patterns: readonly Pattern[],
  most: number,
  task: readonly number[],
  person: number,
  known: ReadonlySet<Pattern>,
): Pattern[] {
  const best: { pattern: Pattern; worth: number }[] = [];
  for (const pattern of patterns) {
    if (pattern.strain > most) break;
    let worth = person;
    for (let t = 0; t < task.length; t++) worth += task[t]! * pattern.turns[t]!;
    if (worth <= NOTHING || (best.length === AT_ONCE && worth <= best.at(-1)!.worth) || known.has(pattern)) continue;
    best.push({ pattern, worth });
    best.sort((a, b) => b.worth - a.worth);
    if (best.length > AT_ONCE) best.pop();
  }
  return best.map(({ pattern }) => pattern);
}

/** People of each kind shared out among the columns, so that the turns without anybody are few. */
export function leastMissing(kinds: readonly Kind[], columns: readonly Column[], wanted: readonly number[], whole = false): string {
  const missing = wanted.map((_, t) => columnName("missing", t));
  const names = columns.map((_, c) => columnName("y", c));
  const rows: Row[] = [
    ...wanted.map((turns, t) => ({
      name: taskRow(t),
      terms: [
        ...columns.flatMap(({ pattern }, c): Term[] => (pattern.turns[t]! > 0 ? [[pattern.turns[t]!, names[c]!]] : [])),
        [1, missing[t]!] as const,
      ],
      sense: "=" as const,
      bound: turns,
    })),
    ...kinds.flatMap(({ members }, k): Row[] => {
      const terms = columns.flatMap(({ kind }, c): Term[] => (kind === k ? [[1, names[c]!]] : []));
      return terms.length > 0 ? [{ name: kindRow(k), terms, sense: "<=", bound: members.length }] : [];
    }),
  ];
  return lpText({
    aim: "Minimize",
    objective: missing.map((column) => [1, column] as const),
    rows,
    upTo: new Map([
      ...columns.map(({ kind }, c) => [names[c]!, kinds[kind]!.members.length] as const),
      ...wanted.map((turns, t) => [missing[t]!, turns] as const),
    ]),
    integers: whole ? names : [],
    binaries: [],
  });
}
