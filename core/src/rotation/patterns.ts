/** Every way one person's turns can be shared out among tasks, with the strain of the harder hand. */
import { cumulativeStrain, taskStrain, type Task } from "../strain";
import { HAND_SIDES } from "../units";

export interface Pattern {
  /** Turns of each task, in the order of the tasks; the last is at nothing that strains the hands. */
  turns: readonly number[];
  /** The harder hand's index, as a verdict is taken by it. */
  strain: number;
}

export interface Patterns {
  /** In the order of their strain. */
  list: readonly Pattern[];
  of(turns: readonly number[]): Pattern | undefined;
  /** The pattern with so many turns of one task given for as many of another; undefined where there are not so many. */
  after(pattern: Pattern, give: number, take: number, turns: number): Pattern | undefined;
}

/** How many ways there are. */
export function countPatterns(tasks: number, turns: number, idle: boolean): number {
  const kinds = tasks + Number(idle);
  let count = 1;
  for (let i = 1; i <= turns; i++) count = (count * (kinds - 1 + i)) / i;
  return Math.round(count);
}

/** @param turns in a shift @param turnMin minutes of one @param idle whether turns may be spent at nothing that strains the hands */
export function patternsOf(tasks: readonly Task[], turns: number, turnMin: number, idle: boolean): Patterns {
  const strainOf = strainOfTurns(tasks, turns, turnMin / 60);
  const list: Pattern[] = [];
  const share = (before: number[], left: number) => {
    if (before.length === tasks.length) {
      if (left === 0 || idle) list.push({ turns: [...before, left], strain: strainOf(before) });
      return;
    }
    for (let at = 0; at <= left; at++) share([...before, at], left - at);
  };
  share([], turns);
  list.sort((a, b) => a.strain - b.strain);

  // Turns as the digits of a number: exchanges are looked up by the thousand.
  const digit = Array.from({ length: tasks.length + 1 }, (_, t) => (turns + 1) ** t);
  const codeOf = (shared: readonly number[]) => shared.reduce((sum, each, t) => sum + each * digit[t]!, 0);
  const byCode = new Map(list.map((pattern) => [codeOf(pattern.turns), pattern]));
  const codes = new Map(list.map((pattern) => [pattern, codeOf(pattern.turns)]));
  return {
    list,
    of: (shared) => byCode.get(codeOf(shared)),
    after: (pattern, give, take, count) =>
      pattern.turns[give]! < count ? undefined : byCode.get(codes.get(pattern)! + count * (digit[take]! - digit[give]!)),
  };
}

/** The harder hand's index for turns of each task; what a task is by itself over one turn, two, … is worked out once. */
function strainOfTurns(tasks: readonly Task[], turns: number, turnHours: number): (shared: readonly number[]) => number {
  const each = tasks.map((task) =>
    HAND_SIDES.map((side) => Array.from({ length: turns }, (_, i) => taskStrain(task, side, (i + 1) * turnHours).index)),
  );
  const ofHand = (shared: readonly number[], s: number) =>
    cumulativeStrain(
      tasks.flatMap((_, t) => {
        const of = shared[t]!;
        const index = of > 0 ? each[t]![s]![of - 1]! : 0;
        return index > 0 ? [{ index, hours: of * turnHours }] : [];
      }),
    ).decisive;
  return (shared) => Math.max(...HAND_SIDES.map((_, s) => ofHand(shared, s)));
}
