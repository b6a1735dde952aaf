import fc from "fast-check";
import loadHighs from "highs";
import { columnName, lpText, solverWith, type LinearProgram } from ".";

const solve = solverWith(() => loadHighs());
const EXACT = { timeLimitSec: 10, gap: 0 };

it("writes a programme the way solvers read it", () => {
  const text = lpText({
    aim: "Maximize",
    objective: [
      [2, "a"],
      [-0.5, "b"],
    ],
    rows: [
      { name: "room", terms: [[1, "a"]], sense: "<=", bound: 1 },
      { terms: [], sense: ">=", bound: -3 },
    ],
    upTo: new Map([["b", 4]]),
    binaries: ["a"],
  });
  expect(text).toBe(
    [
      "Maximize",
      " objective: + 2 a - 0.5 b",
      "Subject To",
      " room: + 1 a <= 1",
      " r1: 0 nothing >= -3",
      "Bounds",
      " 0 <= b <= 4",
      "Binary",
      " a",
      "End",
      "",
    ].join("\n"),
  );
});

it("keeps its lines short however many terms there are", () => {
  const columns = Array.from({ length: 500 }, (_, i) => `x${i}`);
  const text = lpText({ aim: "Minimize", objective: columns.map((column) => [1, column]), rows: [], binaries: columns });
  expect(Math.max(...text.split("\n").map((line) => line.length))).toBeLessThan(255);
});

it.each([NaN, Infinity])("does not hand %d to a solver", (bound) => {
  expect(() => lpText({ aim: "Maximize", objective: [], rows: [{ terms: [[1, "a"]], sense: "<=", bound }], binaries: ["a"] })).toThrow(
    RangeError,
  );
});

it("makes names the format takes", () => expect(columnName("y", "palm-away", 3)).toBe("y_palm_away_3"));

it("what it writes is solved to what counting every choice finds", async () => {
  const choices = fc.array(fc.record({ worth: fc.integer({ min: -5, max: 20 }), weight: fc.integer({ min: 0, max: 9 }) }), {
    minLength: 1,
    maxLength: 7,
  });
  await fc.assert(
    fc.asyncProperty(choices, fc.integer({ min: 0, max: 25 }), async (things, room) => {
      const program: LinearProgram = {
        aim: "Maximize",
        objective: things.map(({ worth }, i) => [worth, `x${i}`]),
        rows: [{ terms: things.map(({ weight }, i) => [weight, `x${i}`]), sense: "<=", bound: room }],
        binaries: things.map((_, i) => `x${i}`),
      };
      let best = 0;
      for (let mask = 0; mask < 2 ** things.length; mask++) {
        const chosen = things.filter((_, i) => mask & (1 << i));
        if (chosen.reduce((sum, { weight }) => sum + weight, 0) <= room)
          best = Math.max(
            best,
            chosen.reduce((sum, { worth }) => sum + worth, 0),
          );
      }
      expect((await solve(lpText(program), EXACT))!.objective).toBeCloseTo(best, 6);
    }),
    { numRuns: 40 },
  );
});
