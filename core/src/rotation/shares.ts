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
/** So many are nearly of use for each person of a kind: whole people need more to choose from than shares of people do. */
const NEARLY = 10;
const NEARLY_AT_LEAST = 40;

export interface Shares {
  /** @param most no hand above this strain @returns whether the turns of every task can be covered */
  cover(most: number): Promise<boolean>;
  /** Every column that was of use so far. */
  columns(): Column[];
  /** @returns of each kind the columns up to a strain that come nearest to being of use where the tasks could only just not be covered */
  nearlyOfUse(most: number): Column[];
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
  /** At the highest strain at which shares did not do: there every turn counts. */
  let scarce: { most: number; worth: Worth } | undefined;
  return {
    columns,
    nearlyOfUse(most) {
      const { worth } = scarce ?? {};
      if (!worth) return [];
      return kinds.flatMap(({ members }, kind) => {
        const count = Math.max(NEARLY_AT_LEAST, NEARLY * members.length);
        return mostWorth(withUpTo(allowed[kind]!, most), worthOf(worth, kind), count).map((pattern) => ({ kind, pattern }));
      });
    },
    async cover(most) {
      for (;;) {
        const solved = await solve(leastMissing(kinds, columns(most), wanted), { timeLimitSec: SOLVE_SEC, gap: 0 });
        if (!solved) throw new RangeError("a programme that always has an answer was left without one");
        if (solved.objective < NOTHING) return true;
        const worth: Worth = {
          task: wanted.map((_, t) => solved.prices.get(taskRow(t)) ?? 0),
          person: kinds.map((_, k) => solved.prices.get(kindRow(k)) ?? 0),
        };
        const found = kinds.map((_, k) => {
          const isNew = withUpTo(allowed[k]!, most).filter((pattern) => !known[k]!.has(pattern));
          return mostWorth(isNew, worthOf(worth, k), AT_ONCE, NOTHING);
        });
        if (found.every(({ length }) => length === 0)) {
          if (!scarce || most > scarce.most) scarce = { most, worth };
          return false;
        }
        found.forEach((list, k) => list.forEach((pattern) => known[k]!.add(pattern)));
      }
    },
  };
}

const taskRow = (t: number) => columnName("task", t);
const kindRow = (k: number) => columnName("kind", k);

/** How much less would be missing with one more turn of each task, and with one more person of each kind. */
interface Worth {
  task: readonly number[];
  person: readonly number[];
}

const worthOf =
  ({ task, person }: Worth, kind: number) =>
  ({ turns }: Pattern): number => {
    let worth = person[kind]!;
    for (let t = 0; t < task.length; t++) worth += task[t]! * turns[t]!;
    return worth;
  };

/** Of patterns in the order of their strain those up to one. */
function withUpTo(patterns: readonly Pattern[], most: number): readonly Pattern[] {
  const end = patterns.findIndex(({ strain }) => strain > most);
  return end < 0 ? patterns : patterns.slice(0, end);
}

/** The best of the patterns, the best first. */
function mostWorth(patterns: readonly Pattern[], worthOfOne: (pattern: Pattern) => number, count: number, above = -Infinity): Pattern[] {
  const best: { pattern: Pattern; worth: number }[] = [];
  for (const pattern of patterns) {
    const worth = worthOfOne(pattern);
    if (worth <= above || (best.length === count && worth <= best.at(-1)!.worth)) continue;
    best.push({ pattern, worth });
    best.sort((a, b) => b.worth - a.worth);
    if (best.length > count) best.pop();
  }
  return best.map(({ pattern }) => pattern);
}

/**
 * People of each kind shared out among the columns, so that the turns without anybody are few.
 * @param senseOfTask whether a task has just its turns, or may have too many
 */
export function leastMissing(
  kinds: readonly Kind[],
  columns: readonly Column[],
  wanted: readonly number[],
  { whole = false, senseOfTask = "=" }: { whole?: boolean; senseOfTask?: "=" | ">=" } = {},
): string {
  const missing = wanted.map((_, t) => columnName("missing", t));
  const names = columns.map((_, c) => columnName("y", c));
  const rows: Row[] = [
    ...wanted.map((turns, t) => ({
      name: taskRow(t),
      terms: [
        ...columns.flatMap(({ pattern }, c): Term[] => (pattern.turns[t]! > 0 ? [[pattern.turns[t]!, names[c]!]] : [])),
        [1, missing[t]!] as const,
      ],
      sense: senseOfTask,
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
