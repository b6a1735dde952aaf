import loadHighs from "highs";
import { patternsOf } from "./patterns";
import type { Kind } from "./problem";
import { columnsWithin, fullest, wholeIn, type SenseOfTask } from "./whole";
import { solverWith } from "../solver";
import { sampleEffort, sampleTask } from "../strain/sample";

const solve = solverWith(() => loadHighs());
const tasks = [9, 4, 2].map((effort) => sampleTask(`effort ${effort}`, [sampleEffort("effort", { effort, hands: "right", perMin: 8 })]));
const patterns = patternsOf(tasks, 4, 60, true);
const strainOf = (...turns: number[]) => patterns.of(turns)!.strain;
const crew = (...may: boolean[][]): Kind[] => may.map((each, k) => ({ members: [`${k} a`, `${k} b`], may: [...each, true] }));
const ANYTHING = [true, true, true];
const turnsOf = (columns: ReturnType<typeof columnsWithin>) => columns.map(({ pattern }) => pattern.turns);

/** Two turns of the hardest task are too many, one is not. */
const ONE_OF_THE_HARDEST = strainOf(2, 0, 0, 2) - 1e-6;

describe("which patterns of turns whole people can be in", () => {
  it("where everybody must have a turn of a task, no pattern without one", () => {
    const columns = columnsWithin(crew(ANYTHING), patterns, [2, 2, 2, 2], ONE_OF_THE_HARDEST);
    expect(columns.length).toBeGreaterThan(0);
    expect(turnsOf(columns).every(([hardest]) => hardest === 1)).toBe(true);
  });

  it("with one turn less wanted, one person may be without", () => {
    const without = turnsOf(columnsWithin(crew(ANYTHING), patterns, [1, 2, 2, 3], ONE_OF_THE_HARDEST)).filter(([hardest]) => hardest === 0);
    expect(without.length).toBeGreaterThan(0);
  });

  it("only those who may do a task are counted on for it", () => {
    const columns = columnsWithin(crew(ANYTHING, [false, true, true]), patterns, [2, 4, 4, 6], ONE_OF_THE_HARDEST);
    expect(columns.filter(({ kind }) => kind === 0).every(({ pattern }) => pattern.turns[0] === 1)).toBe(true);
    expect(columns.filter(({ kind }) => kind === 1).every(({ pattern }) => pattern.turns[0] === 0)).toBe(true);
  });

  it("the fullest have no turn at nothing that could be at a task within the strain", () => {
    const kinds = crew(ANYTHING);
    const most = strainOf(1, 3, 0, 0);
    const columns = columnsWithin(kinds, patterns, [0, 0, 0, 8], most);
    const full = fullest(kinds, patterns, columns, most);
    expect(full.length).toBeLessThan(columns.length);
    for (const { pattern } of full)
      for (const task of tasks.keys()) expect(patterns.after(pattern, 3, task, 1)?.strain ?? Infinity).toBeGreaterThan(most);
    // Every other one leads to one of them, a turn at a time.
    for (const { pattern } of columns.filter((column) => !full.includes(column)))
      expect(tasks.some((_, task) => (patterns.after(pattern, 3, task, 1)?.strain ?? Infinity) <= most)).toBe(true);
  });
});

describe("whole people in patterns of turns", () => {
  const within = (
    wanted: readonly number[],
    most: number,
    sense: SenseOfTask,
    only = (columns: ReturnType<typeof columnsWithin>) => columns,
  ) => {
    const kinds = crew(ANYTHING);
    return wholeIn(kinds, only(columnsWithin(kinds, patterns, wanted, most)), wanted, sense, solve);
  };

  it("each task has just its turns, each person one pattern", async () => {
    const shares = await within([2, 2, 2, 2], strainOf(1, 3, 0, 0), "just");
    if (typeof shares === "string") throw new Error(shares);
    expect(shares).toHaveLength(2);
    expect(shares.reduce((sum, { pattern }) => sum.map((each, t) => each + pattern.turns[t]!), [0, 0, 0, 0])).toEqual([2, 2, 2, 2]);
  });

  it("that there are none is proven, in just the turns and in no fewer", async () => {
    for (const sense of ["just", "atLeast"] as const) expect(await within([3, 2, 2, 1], ONE_OF_THE_HARDEST, sense)).toBe("none");
  });

  it("halves of people would do where whole ones do not", async () => {
    // Three turns of the hardest for two people: one and a half each.
    const most = strainOf(2, 0, 0, 2) - 1e-6;
    expect(await within([3, 0, 0, 5], most, "just")).toBe("none");
    expect(await within([2, 0, 0, 6], most, "just")).toHaveLength(2);
  });

  it("what was left open is no proof", async () => {
    const kinds = crew(ANYTHING);
    const columns = columnsWithin(kinds, patterns, [2, 2, 2, 2], ONE_OF_THE_HARDEST);
    expect(await wholeIn(kinds, columns, [2, 2, 2, 2], "just", () => Promise.resolve(undefined))).toBe("unknown");
    const open = { columns: new Map(), objective: 2, bound: 0, prices: new Map() };
    expect(await wholeIn(kinds, columns, [2, 2, 2, 2], "just", () => Promise.resolve(open))).toBe("unknown");
  });
});
