/** How far each step of a crew's job is. */
import { pathOf, type PathFacts } from ".";

const NOTHING: PathFacts = {
  people: 0,
  heldOut: 0,
  tasks: 0,
  round: null,
  programs: 0,
  planned: false,
  runs: 0,
  waiting: 0,
  reports: 0,
};
const round = (unmeasured: number, begun = 3, closed = false) => ({ closed, begun, unmeasured });

it("a new crew has an empty path", () => {
  expect(new Set(Object.values(pathOf(NOTHING)))).toEqual(new Set(["empty"]));
});
it.each([
  ["people", { people: 1 }, "ready"],
  ["people", { people: 5, heldOut: 1 }, "needsYou"],
  ["work", { tasks: 1 }, "ready"],
  ["baseline", { round: round(2, 0) }, "empty"],
  ["baseline", { round: round(1) }, "part"],
  ["baseline", { round: round(0) }, "ready"],
  ["baseline", { round: round(4, 3, true) }, "ready"],
  ["program", { programs: 1 }, "ready"],
  // A week that is planned is there before anything of it was led.
  ["plan", { planned: true }, "ready"],
  ["plan", { runs: 3 }, "empty"],
  ["runs", { runs: 1 }, "ready"],
  ["progress", { runs: 1 }, "ready"],
  ["progress", { runs: 1, waiting: 1 }, "needsYou"],
  ["report", { runs: 1 }, "part"],
  ["report", { runs: 1, reports: 1 }, "ready"],
] as const)("%s with %j: %s", (step, facts, state) => expect(pathOf({ ...NOTHING, ...facts })[step]).toBe(state));
