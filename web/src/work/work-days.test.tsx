/** Who does what: levelled by the real solver, tried before it is kept, exchanged, rested, with the plan's answer. */
import { act, screen, waitFor, within } from "@testing-library/react";
import loadHighs from "highs";
import { patternPreset } from "@kind-grip/core/calendar";
import { levelRotation, type RotationProblem } from "@kind-grip/core/rotation";
import { solverWith } from "@kind-grip/core/solver";
import { TASK_STARTERS, workProblems, type Work } from "@kind-grip/core/strain";
import { showCrewPage } from "../testing/crew-page";
import { sampleCrew, samplePerson } from "../testing/sample";
import type { Answers } from "../testing/screen";
import { taskFrom, withTask } from "./new-task";
import { startLeveller } from "./start-leveller";
import WorkPage from "./WorkPage";

jest.mock("./start-leveller", () => ({ startLeveller: jest.fn() }));
jest.setTimeout(60_000);

const start = startLeveller as jest.MockedFunction<typeof startLeveller>;
const solve = solverWith(() => loadHighs());
const stopped = jest.fn();
const crew = sampleCrew({ shiftPattern: patternPreset("weekdays", "2026-03-02") });
const SHIFT_MIN = 480;
const hard = { ...taskFrom(TASK_STARTERS[0]), name: "Nailing" };
const light = { ...taskFrom(TASK_STARTERS[3]), name: "Rope pull", efforts: taskFrom(TASK_STARTERS[3]).efforts.slice(0, 1) };
const people = ["Ada Fenn", "Bo Marsh", "Cy Rill"].map((name) => samplePerson({ name }));
const [ada, bo, cy] = people as [(typeof people)[0], (typeof people)[0], (typeof people)[0]];
const tasks = withTask(withTask({ tasks: [], days: [] }, hard, SHIFT_MIN), light, SHIFT_MIN);
const work: Work = {
  ...tasks,
  days: [
    { ...tasks.days[0]!, name: "On the rope", parts: [{ taskId: light.id, minutes: 400 }] },
    { id: taskFrom(undefined).id, name: "At the nails", parts: [{ taskId: hard.id, minutes: 400 }], personIds: [ada.id] },
  ],
};

beforeEach(() => {
  localStorage.clear();
  start.mockImplementation((problem: RotationProblem) => ({ answer: levelRotation(problem, solve), stop: stopped }));
});

function open(shownWork: Work = work, answers: Answers = {}) {
  const entry = { crewId: crew.id, version: 1, work: shownWork };
  return showCrewPage(<WorkPage />, "work", {
    crew,
    people,
    search: "?view=shift",
    answers: {
      [`GET /crews/${crew.id}/work`]: entry,
      [`PUT /crews/${crew.id}/work`]: (body) => ({ ...entry, version: 2, work: (body as { work: Work }).work }),
      ...answers,
    },
  });
}
type Shown = ReturnType<typeof open>;
const saved = async ({ server }: Shown): Promise<Work> => {
  await waitFor(() => expect(server.calls("PUT").length).toBeGreaterThan(0));
  return (server.calls("PUT").at(-1)!.body as { work: Work }).work;
};
const rows = async () => within(await screen.findByRole("list", { name: "People, the hardest hand first" })).getAllByRole("button");
const figure = (row: HTMLElement) => Number(/: ([\d.]+) in the/.exec(row.getAttribute("aria-label")!)![1]);
const press = (name: string | RegExp) => screen.getByRole("button", { name });
const choose = async ({ user }: Shown, label: string, option: string) => {
  await user.click(screen.getByRole("combobox", { name: label }));
  await user.click(screen.getByRole("option", { name: option }));
};

it("everybody's shift stands on the clock, the hardest hand first and named", async () => {
  open();
  const shown = await rows();
  expect(shown.map((row) => row.getAttribute("aria-label")!.split(",")[0])).toEqual(["Ada Fenn", "Bo Marsh", "Cy Rill"]);
  expect(shown[0]).toHaveAccessibleName(/^Ada Fenn, At the nails: .* Nailing 400 min$/);
  expect(figure(shown[0]!)).toBeGreaterThan(figure(shown[1]!));
  expect(screen.getByText(/^Hardest hand:/)).toHaveTextContent(/, Ada Fenn$/);
});

it("a levelled rotation is tried, held against how it was, kept in one step, and undone in one", async () => {
  const shown = open();
  const before = figure((await rows())[0]!);
  await shown.user.click(press("Level the hardest hand"));
  expect(screen.getByText("Everybody is at a task all the time.")).toBeVisible();
  await shown.user.click(press("Find the rotation"));
  await screen.findByText(/^No rotation leaves the hardest hand below/);
  const after = (await rows()).map(figure);
  expect(Math.max(...after)).toBeLessThan(before);
  expect(screen.getByText(/^Hardest hand:/)).toHaveTextContent(`${before.toFixed(1)} → ${Math.max(...after).toFixed(1)}`);
  expect(screen.getByText(/This is tried, not kept/)).toBeVisible();
  expect(shown.server.calls("PUT")).toHaveLength(0);

  await shown.user.click(press("Keep it so"));
  const kept = await saved(shown);
  expect(workProblems(kept, SHIFT_MIN)).toEqual([]);
  expect(kept.days.flatMap(({ personIds }) => personIds).sort()).toEqual(people.map(({ id }) => id).sort());
  expect(kept.rotation).toMatchObject({ turns: 7, not: [] });
  await shown.user.click(within(screen.getByRole("status", { name: "Notice" })).getByRole("button", { name: "Undo" }));
  expect(figure((await rows())[0]!)).toBeCloseTo(before, 1);
});

it("whoever may not do a task is not given it, and it is known the next time", async () => {
  const shown = open();
  await rows();
  await shown.user.click(press("Level the hardest hand"));
  await choose(shown, "Somebody may not do every task", "Bo Marsh");
  expect(press("Nailing")).toHaveAttribute("aria-pressed", "true");
  await shown.user.click(press("Find the rotation"));
  await screen.findByText(/^No rotation leaves/);
  const own = (await rows()).find((row) => row.getAttribute("aria-label")!.startsWith("Bo Marsh"))!;
  expect(own).not.toHaveAccessibleName(/Nailing/);
  await shown.user.click(press("Keep it so"));
  expect((await saved(shown)).rotation!.not).toEqual([{ personId: bo.id, taskIds: [hard.id] }]);
  await shown.user.click(press("Level the hardest hand"));
  expect(screen.getByText("Bo Marsh may not do")).toBeVisible();
});

it.each([
  ["tooFewPeople", /More people are wanted/],
  ["notAllowed", /fewer people who may do it/],
  ["tooManyWays", /fewer, longer turns/],
] as const)("%s is said, and nothing is tried", async (why, text) => {
  start.mockImplementation(() => ({ answer: Promise.resolve(why), stop: stopped }));
  const shown = open();
  await rows();
  await shown.user.click(press("Level the hardest hand"));
  await shown.user.click(press("Find the rotation"));
  expect(await screen.findByRole("alert")).toHaveTextContent(text);
  expect(screen.queryByText(/This is tried/)).toBeNull();
});

it("a worker that breaks is said; one that looks is stopped by a press, and its answer comes to nothing", async () => {
  start.mockImplementation(() => ({ answer: Promise.reject(new Error("broken")), stop: stopped }));
  const shown = open();
  await rows();
  await shown.user.click(press("Level the hardest hand"));
  await shown.user.click(press("Find the rotation"));
  expect(await screen.findByRole("alert")).toHaveTextContent("is there a connection?");

  start.mockImplementation(() => ({ answer: new Promise(() => {}), stop: stopped }));
  stopped.mockClear();
  await shown.user.click(press("Find the rotation"));
  expect(screen.getByRole("progressbar", { name: "Looking" })).toBeVisible();
  await shown.user.click(press("Stop looking"));
  expect(stopped).toHaveBeenCalled();
  expect(screen.queryByRole("progressbar", { name: "Looking" })).toBeNull();
});

it("more people than there are cannot be asked for", async () => {
  const shown = open();
  await rows();
  await shown.user.click(press("Level the hardest hand"));
  for (const more of screen.getAllByRole("button", { name: /^People at .*more|^More/ }).slice(0, 2)) await shown.user.click(more);
  expect(screen.getByText(/are wanted at a time; the crew has 3\./)).toHaveAttribute("role", "alert");
  expect(press("Find the rotation")).toBeDisabled();
});

it("two people exchanged and a break put in are tried, and dropped without a trace", async () => {
  const shown = open();
  const before = (await rows()).map((row) => row.getAttribute("aria-label"));
  await shown.user.click(press("What if …"));
  expect(press("Keep it so")).toHaveFocus();
  expect(press("Exchange them")).toBeDisabled();
  await choose(shown, "Exchange", "Ada Fenn");
  await choose(shown, "with", "Cy Rill");
  await shown.user.click(press("Exchange them"));
  expect((await rows())[0]).toHaveAccessibleName(/^Cy Rill, At the nails/);
  const hardest = figure((await rows())[0]!);
  const nails = within(screen.getByRole("region", { name: "At the nails" }));
  await shown.user.click(nails.getByRole("button", { name: "A break of 10 min in the longest part" }));
  expect(figure((await rows())[0]!)).toBeLessThan(hardest);
  expect((await rows())[0]).toHaveAccessibleName(/Nailing 195 min, rest 10 min, Nailing 195 min/);
  await shown.user.click(press("Back to how it is"));
  expect(press("What if …")).toHaveFocus();
  expect((await rows()).map((row) => row.getAttribute("aria-label"))).toEqual(before);
  await act(() => new Promise((done) => setTimeout(done, 1200)));
  expect(shown.server.calls("PUT")).toHaveLength(0);
});

it("a plan that cannot be read is said beside what is tried", async () => {
  const shown = open();
  await rows();
  await shown.user.click(press("What if …"));
  expect(await screen.findByRole("region", { name: "What the day plan says to it" })).toHaveTextContent("there is no plan to compare");
});

it("of many ways the one that is pressed is there to be changed", async () => {
  const many: Work = {
    ...work,
    days: Array.from({ length: 6 }, (_, i) => ({
      id: taskFrom(undefined).id,
      name: `Way ${i + 1}`,
      parts: [{ taskId: light.id, minutes: 100 + 50 * i }],
      personIds: i === 4 ? [cy.id] : [],
    })),
  };
  const shown = open(many);
  expect(await screen.findByRole("region", { name: "Way 1" })).toBeVisible();
  expect(screen.queryByRole("region", { name: "Way 5" })).toBeNull();
  await shown.user.click((await rows()).find((row) => row.getAttribute("aria-label")!.startsWith("Cy Rill"))!);
  expect(screen.getByRole("region", { name: "Way 5" })).toBeVisible();
  expect(screen.queryByRole("region", { name: "Way 1" })).toBeNull();
});
