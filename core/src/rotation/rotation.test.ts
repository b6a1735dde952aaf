import fc from "fast-check";
import loadHighs from "highs";
import {
  countPatterns,
  fewestChanges,
  gapOfRotation,
  levelRotation,
  MOST_PATTERNS,
  patternsOf,
  turnByTurn,
  type Rotation,
  type RotationProblem,
} from ".";
import { crewsByChance } from "./crews.sample";
import { exchanged, type Share } from "./exchange";
import { solverWith, type Solved, type Solver } from "../solver";
import { harderHand, type Task } from "../strain";
import { sampleDay, sampleEffort, sampleTask } from "../strain/sample";

const solve = solverWith(() => loadHighs());
const task = (effort: number, hands: "left" | "right" | "both" = "right") =>
  sampleTask(`effort ${effort}`, [sampleEffort("effort", { effort, hands, perMin: 8 })]);
const people = (count: number, not: readonly string[] = []) => Array.from({ length: count }, (_, i) => ({ id: `p${i}`, not }));
const level = async (problem: RotationProblem) => (await levelRotation(problem, solve)) as Rotation;

/** By another way: the strain of a person's row as a day of work. */
const strainOf = (tasks: readonly Task[], taskIds: readonly (string | null)[], turnMin: number) => {
  const day = sampleDay(
    tasks.map((each) => [each, turnMin * taskIds.filter((id) => id === each.id).length] as const).filter(([, min]) => min > 0),
  );
  return harderHand({ tasks: [...tasks], days: [day] }, day).value;
};

/** Everything a rotation must be, whatever was asked. */
function check({ tasks, turns, turnMin, needed, people: crew }: RotationProblem, { rows, hardest, bound }: Rotation): void {
  expect(rows.map(({ personId }) => personId)).toEqual(crew.map(({ id }) => id));
  for (let turn = 0; turn < turns; turn++)
    tasks.forEach((each, t) => expect(rows.filter(({ taskIds }) => taskIds[turn] === each.id)).toHaveLength(needed[t]!));
  rows.forEach(({ taskIds, strain }, i) => {
    expect(taskIds).toHaveLength(turns);
    expect(taskIds.some((id) => id !== null && crew[i]!.not.includes(id))).toBe(false);
    expect(strain).toBeCloseTo(strainOf(tasks, taskIds, turnMin), 9);
  });
  expect(hardest).toBe(Math.max(...rows.map(({ strain }) => strain)));
  expect(bound).toBeLessThanOrEqual(hardest + 1e-9);
}

it("shares out turns in every way there is", () => {
  expect(patternsOf([task(3), task(5)], 4, 60, false).list).toHaveLength(5);
  expect(patternsOf([task(3), task(5)], 4, 60, true).list).toHaveLength(15);
});

it("two people at a hard and a light task change over at half-time, proven best", async () => {
  const problem = { tasks: [task(6), task(1)], turns: 8, turnMin: 60, needed: [1, 1], people: people(2) };
  const rotation = await level(problem);
  check(problem, rotation);
  expect(rotation.rows.map(({ taskIds }) => taskIds.filter((id) => id === problem.tasks[0]!.id).length)).toEqual([4, 4]);
  expect(rotation.hardest).toBe(rotation.bound);
});

it("tasks of different hands go together", async () => {
  const [left, right] = [task(5, "left"), task(5, "right")];
  const problem = { tasks: [left, right], turns: 4, turnMin: 60, needed: [2, 2], people: people(4) };
  const rotation = await level(problem);
  check(problem, rotation);
  // Two turns of each for everybody: each hand rests while the other works.
  expect(rotation.rows.every(({ taskIds }) => taskIds.filter((id) => id === left.id).length === 2)).toBe(true);
});

it("whoever may not do a task never does it; the others do more of it", async () => {
  const tasks = [task(6), task(2)];
  const problem = { tasks, turns: 6, turnMin: 60, needed: [1, 2], people: [...people(2), { id: "out", not: [tasks[0]!.id] }] };
  const rotation = await level(problem);
  check(problem, rotation);
  expect(rotation.rows.at(-1)!.taskIds.every((id) => id === tasks[1]!.id)).toBe(true);
});

it.each([
  ["more hands wanted than there are", { needed: [2, 2] }, "tooFewPeople"],
  ["a task nobody may do", { nobody: true }, "notAllowed"],
])("%s is said", async (_, { needed = [1, 1], nobody = false }: { needed?: number[]; nobody?: boolean }, why) => {
  const tasks = [task(3), task(4)];
  expect(await levelRotation({ tasks, turns: 4, turnMin: 60, needed, people: people(2, nobody ? [tasks[1]!.id] : []) }, solve)).toBe(why);
});

it("random crews: every task has its people every turn, and trying everything finds nothing easier", async () => {
  const random = fc.record({
    efforts: fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 2, maxLength: 3 }),
    turns: fc.integer({ min: 2, max: 3 }),
    spare: fc.integer({ min: 0, max: 1 }),
    out: fc.boolean(),
  });
  await fc.assert(
    fc.asyncProperty(random, async ({ efforts, turns, spare, out }) => {
      const tasks = efforts.map((effort, i) => task(effort, i % 2 === 0 ? "right" : "both"));
      const crew = people(tasks.length + spare).map((person, i) => (out && i === 0 ? { ...person, not: [tasks[0]!.id] } : person));
      const problem = { tasks, turns, turnMin: 60, needed: tasks.map(() => 1), people: crew };
      const rotation = await level(problem);
      check(problem, rotation);
      expect(rotation.hardest).toBeCloseTo(bestByTrying(problem), 9);
    }),
    { numRuns: 15 },
  );
});

it("a crew of fourteen at six tasks, some kept from some: near the bound, and proven so", async () => {
  const tasks = [2, 3, 4, 5, 6, 7].map((effort, i) => task(effort, (["left", "right", "both"] as const)[i % 3]));
  const crew = people(14).map((person, i) => (i < 4 ? { ...person, not: [tasks[5 - (i % 2)]!.id] } : person));
  const problem = { tasks, turns: 8, turnMin: 58, needed: [3, 2, 2, 2, 2, 1], people: crew };
  const rotation = await level(problem);
  check(problem, rotation);
  expect(gapOfRotation(rotation)).toBeLessThan(0.01);
});

it("a crew of twenty-four whose bound is far from what exchanging turns finds: near it all the same, and proven so", async () => {
  const problem = crewsByChance(4, (name, effort) => sampleTask(name, [sampleEffort("effort", effort)]))[3]!;
  const rotation = await level(problem);
  check(problem, rotation);
  expect(gapOfRotation(rotation)).toBeLessThan(0.01);
}, 60_000);

it("round a ring of three, where no two can exchange", () => {
  const tasks = [task(6, "right"), task(3, "both"), task(6, "left")];
  const patterns = patternsOf(tasks, 3, 60, false);
  const shares = [
    { turns: [3, 0, 0, 0], may: [true, true, false, true] },
    { turns: [0, 3, 0, 0], may: [false, true, true, true] },
    { turns: [0, 0, 3, 0], may: [true, false, true, true] },
  ].map(({ turns, may }) => ({ kind: { members: ["p"], may }, pattern: patterns.of(turns)! }));
  const after = exchanged(shares, patterns);
  const hardest = (list: readonly Share[]) => Math.max(...list.map(({ pattern }) => pattern.strain));
  expect(hardest(after)).toBeLessThan(hardest(shares));
  for (const t of tasks.keys()) expect(after.reduce((sum, { pattern }) => sum + pattern.turns[t]!, 0)).toBe(3);
  after.forEach(({ pattern, kind }) => expect(pattern.turns.every((each, t) => each === 0 || kind.may[t])).toBe(true));
});

describe("a solver that is out of time", () => {
  const tasks = [task(6), task(4), task(2)];
  const problem = { tasks, turns: 4, turnMin: 60, needed: [1, 1, 1], people: people(3) };
  const outOfTime =
    (answer: Solved | undefined): Solver =>
    (lp, effort) =>
      lp.includes("General") ? Promise.resolve(answer) : solve(lp, effort);
  const undecided = { columns: new Map(), objective: 3, bound: 0, prices: new Map() };

  it.each([
    ["found nothing", undefined],
    ["left it open", undecided],
  ])("%s proves nothing: the bound stays that of shares of people", async (_, answer) => {
    const rotation = (await levelRotation(problem, outOfTime(answer))) as Rotation;
    check(problem, rotation);
    expect(rotation.bound).toBeLessThanOrEqual((await level(problem)).bound + 1e-9);
    expect(rotation.bound).toBeLessThanOrEqual(bestByTrying(problem) + 1e-9);
  });

  it("one that proves there is none raises it", async () => {
    const rotation = (await levelRotation(problem, outOfTime({ ...undecided, bound: 1 }))) as Rotation;
    expect(rotation.bound).toBeCloseTo(rotation.hardest, 9);
  });
});

it("turns are put in the order in which tasks change least, and stay the same turns", () => {
  const rows = [
    [0, 1, 0, 1],
    [1, 0, 1, 0],
  ];
  const inOrder = fewestChanges(rows);
  const changes = inOrder[0]!.filter((each, i) => i > 0 && each !== inOrder[0]![i - 1]).length;
  expect(changes).toBe(1);
  expect(inOrder.map((row) => [...row].sort())).toEqual(rows.map((row) => [...row].sort()));
  inOrder[0]!.forEach((each, turn) => expect(inOrder[1]![turn]).toBe(1 - each));
  expect(fewestChanges([])).toEqual([]);
});

it("more ways than can be looked through are said, just above as many as can", async () => {
  expect(countPatterns(8, 8, false)).toBe(6435);
  expect(patternsOf([task(2), task(3), task(4)], 5, 60, true).list).toHaveLength(countPatterns(3, 5, true));
  const tasks = Array.from({ length: 12 }, () => task(3));
  expect(countPatterns(12, 8, false)).toBeGreaterThan(MOST_PATTERNS);
  expect(await levelRotation({ tasks, turns: 8, turnMin: 60, needed: tasks.map(() => 1), people: people(12) }, solve)).toBe("tooManyWays");
  expect(countPatterns(12, 6, false)).toBeLessThan(MOST_PATTERNS);
});

it.each([0, 1.5, 13])("%d turns are no shift", async (turns) => {
  await expect(levelRotation({ tasks: [task(3)], turns, turnMin: 60, needed: [1], people: people(1) }, solve)).rejects.toThrow(RangeError);
});

it("a gap is a share of the hardest, and none below it", () => {
  expect(gapOfRotation({ hardest: 10, bound: 9 })).toBeCloseTo(0.1, 12);
  expect(gapOfRotation({ hardest: 10, bound: 11 })).toBe(0);
  expect(gapOfRotation({ hardest: 0, bound: 0 })).toBe(0);
});

it("turns that do not add up are no rotation", () => {
  expect(() =>
    turnByTurn(
      [
        [2, 0],
        [2, 0],
      ],
      [1, 1],
    ),
  ).toThrow(RangeError);
});

/** Shares no code with the model: patterns are given to one person after the other. */
function bestByTrying({ tasks, turns, turnMin, needed, people: crew }: RotationProblem): number {
  const idle = crew.length - needed.reduce((sum, each) => sum + each, 0);
  const ids: (string | null)[] = [...tasks.map(({ id }) => id), null];
  const rows: (string | null)[][] = [[]];
  for (let turn = 0; turn < turns; turn++) rows.splice(0, rows.length, ...rows.flatMap((row) => ids.map((id) => [...row, id])));
  const ways = [...new Map(rows.map((row) => [[...row].map(String).sort().join(), row])).values()].map((row) => ({
    counts: ids.map((id) => row.filter((each) => each === id).length),
    strain: strainOf(tasks, row, turnMin),
  }));
  const best = (person: number, left: readonly number[]): number => {
    if (person === crew.length) return 0;
    return Math.min(
      ...ways
        .filter(({ counts }) => counts.every((count, i) => count <= left[i]! && !(count > 0 && crew[person]!.not.includes(String(ids[i])))))
        .map(({ counts, strain }) =>
          Math.max(
            strain,
            best(
              person + 1,
              left.map((each, i) => each - counts[i]!),
            ),
          ),
        ),
    );
  };
  return best(
    0,
    [...needed, idle].map((each) => each * turns),
  );
}
