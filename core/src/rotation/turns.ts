/** From turns of each task to who does what in which turn. */

/**
 * One task for each person, no task with more people than it takes; by augmenting paths.
 * @param may whether each person may be at each task @param places people each task takes
 * @returns undefined where there is no way
 */
export function matching(may: readonly (readonly boolean[])[], places: readonly number[]): number[] | undefined {
  const at: number[] = may.map(() => -1);
  const placed = (person: number, seen: Set<number>): boolean => {
    for (const [task, most] of places.entries()) {
      if (!may[person]![task] || seen.has(task)) continue;
      seen.add(task);
      const there = at.flatMap((of, other) => (of === task ? [other] : []));
      if (there.length < most || there.some((other) => placed(other, seen))) {
        at[person] = task;
        return true;
      }
    }
    return false;
  };
  return [...may.keys()].every((person) => placed(person, new Set())) ? at : undefined;
}

/**
 * Every turn takes as many people of each task as it needs, each person one. With equal needs in every turn there always is a way (König:
 * a regular bipartite graph falls into perfect matchings).
 * @param shared turns of each task for each person, as many in all for each @param places people at each task in every turn
 * @returns task of each person in each turn
 * @throws RangeError where the turns do not add up
 */
export function turnByTurn(shared: readonly (readonly number[])[], places: readonly number[]): number[][] {
  const left = shared.map((row) => [...row]);
  const turns = left[0]?.reduce((sum, each) => sum + each, 0) ?? 0;
  const rows: number[][] = shared.map(() => []);
  for (let turn = 0; turn < turns; turn++) {
    const at = matching(
      left.map((row) => row.map((each) => each > 0)),
      places,
    );
    if (!at) throw new RangeError("the turns of the people are not those that are needed");
    at.forEach((task, person) => {
      left[person]![task]! -= 1;
      rows[person]!.push(task);
    });
  }
  return rows;
}

/**
 * The same turns in the order in which people change their task least often: the shortest way through all turns, by what was gone through
 * and where it ended (Held and Karp 1962).
 * @param rows task of each person in each of at most 12 turns
 */
export function fewestChanges(rows: readonly (readonly number[])[]): number[][] {
  const turns = rows[0]?.length ?? 0;
  const changes = (from: number, to: number) => rows.filter((row) => row[from] !== row[to]).length;
  const between = Array.from({ length: turns }, (_, from) => Array.from({ length: turns }, (__, to) => changes(from, to)));
  const sets = 1 << turns;
  const cost = Array.from({ length: sets }, () => new Array<number>(turns).fill(Infinity));
  const before = Array.from({ length: sets }, () => new Array<number>(turns).fill(-1));
  for (let turn = 0; turn < turns; turn++) cost[1 << turn]![turn] = 0;
  for (let set = 1; set < sets; set++)
    for (let last = 0; last < turns; last++) {
      if (cost[set]![last] === Infinity) continue;
      for (let next = 0; next < turns; next++) {
        if (set & (1 << next)) continue;
        const more = cost[set]![last]! + between[last]![next]!;
        const joined = set | (1 << next);
        if (more < cost[joined]![next]!) {
          cost[joined]![next] = more;
          before[joined]![next] = last;
        }
      }
    }
  const order: number[] = [];
  let set = sets - 1;
  let last = cost[set]!.indexOf(Math.min(...cost[set]!));
  while (last >= 0) {
    order.unshift(last);
    const previous = before[set]![last]!;
    set &= ~(1 << last);
    last = previous;
  }
  return rows.map((row) => order.map((turn) => row[turn]!));
}
