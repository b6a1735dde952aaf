import loadHighs from "highs";
import { gapOf, solverWith } from ".";

const solve = solverWith(() => loadHighs());
const EXACT = { timeLimitSec: 10, gap: 0 };
/** Worth 10, 7, 6 at weights 5, 4, 3: of 7 the last two are best. */
const KNAPSACK = (room: number) => `Maximize\n v: 10 a + 7 b + 6 c\nSubject To\n w: 5 a + 4 b + 3 c <= ${room}\nBinary\n a b c\nEnd\n`;

it("finds the best and proves it", async () => {
  const solved = (await solve(KNAPSACK(7), EXACT))!;
  expect([...solved.columns].map(([name, value]) => [name, Math.round(value)])).toEqual([
    ["a", 0],
    ["b", 1],
    ["c", 1],
  ]);
  expect(solved.objective).toBeCloseTo(13, 6);
  expect(gapOf(solved)).toBeCloseTo(0, 6);
});

it.each([
  [0, 0],
  [3, 6],
  [5, 10],
  [8, 16],
  [9, 17],
  [12, 23],
])("room for %d is worth %d, from a known start too", async (room, worth) => {
  expect((await solve(KNAPSACK(room), EXACT))!.objective).toBeCloseTo(worth, 6);
  const start = new Map([
    ["c", room >= 3 ? 1 : 0],
    ["unknown", 1],
  ]);
  expect((await solve(KNAPSACK(room), { ...EXACT, start }))!.objective).toBeCloseTo(worth, 6);
});

it("a start that is no answer does no harm", async () => {
  const start = new Map([
    ["a", 1],
    ["b", 1],
    ["c", 1],
  ]);
  expect((await solve(KNAPSACK(7), { ...EXACT, start }))!.objective).toBeCloseTo(13, 6);
});

it("answers nothing where there is nothing", async () => {
  expect(await solve("Maximize\n v: a\nSubject To\n r: a >= 2\nBinary\n a\nEnd\n", EXACT)).toBeUndefined();
});

it.each([
  [10, 11, 0.1],
  [10, 10, 0],
  [-10, -9, 0.1],
  [10, Infinity, Infinity],
])("an answer of %d with a bound of %d is %d away", (objective, bound, gap) => {
  expect(gapOf({ objective, bound })).toBeCloseTo(gap, 9);
});
