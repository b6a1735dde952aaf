/** Betters a rotation by exchanging turns, between two people or round a ring of several, the hardest first. */
import type { Pattern, Patterns } from "./patterns";
import type { Kind } from "./problem";

/** One person's share of the turns. */
export interface Share {
  kind: Kind;
  pattern: Pattern;
}

/** A difference of strain that is none. */
const SAME = 1e-9;
/** More people in a ring find next to nothing more. */
const RING = 5;

type Change = readonly [person: number, pattern: Pattern];

/**
 * The hardest gives turns of one task for as many of another; who takes them gives others, until what was asked for comes round; where all
 * of them then have it easier than the hardest had it. When nothing is found for the hardest of all, the next is looked at. Every task keeps
 * its turns.
 */
export function exchanged(start: readonly Share[], patterns: Patterns): Share[] {
  const shares = [...start];
  for (let rank = 0; rank < shares.length;) {
    const inOrder = [...shares.keys()].sort((a, b) => shares[b]!.pattern.strain - shares[a]!.pattern.strain);
    const found = ringFor(shares, inOrder[rank]!, patterns);
    for (const [person, pattern] of found ?? []) shares[person] = { ...shares[person]!, pattern };
    // Somebody harder may have a way now that there was not before.
    rank = found ? 0 : rank + 1;
  }
  return shares;
}

/** The shortest ring that helps, and of the shortest with two people the one that helps most. */
function ringFor(shares: readonly Share[], person: number, patterns: Patterns): Change[] | undefined {
  const own = shares[person]!;
  const limit = own.pattern.strain - SAME;
  const after = (of: number, give: number, take: number, turns: number) => {
    const { kind, pattern } = shares[of]!;
    const made = kind.may[take] ? patterns.after(pattern, give, take, turns) : undefined;
    return made && made.strain < limit ? made : undefined;
  };
  const tasks = [...own.pattern.turns.keys()];
  const others = [...shares.keys()].filter((other) => other !== person);
  let best: { changes: Change[]; hardest: number } | undefined;
  for (const give of tasks)
    for (const take of tasks)
      for (let turns = 1; give !== take && turns <= own.pattern.turns[give]!; turns++) {
        const mine = after(person, give, take, turns);
        if (!mine || mine.strain >= (best?.hardest ?? Infinity)) continue;
        for (const other of others) {
          const theirs = after(other, take, give, turns);
          const hardest = Math.max(mine.strain, theirs?.strain ?? Infinity);

          if (!theirs || hardest >= (best?.hardest ?? Infinity)) continue;
          const changes: Change[] = [
            [person, mine],
            [other, theirs],
          ];
          best = { changes, hardest };
        }
      }
  if (best) return best.changes;
  for (const give of tasks)
    for (const take of tasks)
      for (let turns = 1; give !== take && turns <= own.pattern.turns[give]!; turns++) {
        const mine = after(person, give, take, turns);
        const chain = mine && chainOf(tasks, others, give, take, (of, gives, takes) => after(of, gives, takes, turns));
        if (chain) return [[person, mine], ...chain];
      }
  return undefined;
}

/** From who takes the task that is given away to who gives the task that is asked for, each person once; breadth first. */
function chainOf(
  tasks: readonly number[],
  people: readonly number[],
  given: number,
  asked: number,
  after: (person: number, give: number, take: number) => Pattern | undefined,
): Change[] | undefined {
  const reached = new Set([given]);
  let ends: { task: number; changes: Change[] }[] = [{ task: given, changes: [] }];
  for (let length = 1; length < RING && ends.length > 0; length++) {
    const next: typeof ends = [];
    for (const { task, changes } of ends)
      for (const give of tasks) {
        if (reached.has(give)) continue;
        const person = people.find((each) => !changes.some(([taken]) => taken === each) && after(each, give, task) !== undefined);
        if (person === undefined) continue;
        const longer: Change[] = [...changes, [person, after(person, give, task)!]];
        if (give === asked) return longer;
        reached.add(give);
        next.push({ task: give, changes: longer });
      }
    ends = next;
  }
  return undefined;
}
