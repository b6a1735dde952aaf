/** Need by region and hand: bars to choose from, and a working that comes to the same with a pocket calculator. */
import { screen, within } from "@testing-library/react";
import { HALVING_LOAD_MIN, regionNeeds, type NeedFinding } from "@kind-grip/core/need";
import { TASK_STARTERS, type Task, type Work } from "@kind-grip/core/strain";
import { sampleId } from "../testing/sample";
import { showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { Needs } from "./NeedBars";
import { taskFrom, withTask } from "./new-task";

// The picture is drawn by a worker, which is not here: a place is a button with its name.
jest.mock("../figure/HandMapPicture", () => ({ HandMapPicture: () => null }));

/** Two tasks; the first is cold, and has two efforts. */
const work = (): Work => {
  const [first, second] = [TASK_STARTERS[0], TASK_STARTERS[1]].map((starter) => taskFrom(starter)) as [Task, Task];
  const own = first.efforts[0]!;
  const holding = { ...own, id: sampleId(), name: "holding", effort: 2, perMin: 4, secEach: 5 };
  const hammering: Task = { ...first, name: "Hammering", cold: true, efforts: [{ ...own, name: "hitting" }, holding] };
  return withTask(withTask({ tasks: [], days: [] }, hammering, 480), { ...second, name: "Carrying" }, 480);
};
const open = (of: Work, findings: NeedFinding[] = []) => {
  new TestServer(SIGNED_IN);
  const needs = regionNeeds(of, of.days[0], findings);
  return { needs, ...showPage(<Needs needs={needs} work={of} />) };
};
const figures = (text: string, pattern: RegExp) =>
  pattern
    .exec(text)!
    .slice(1)
    .map((each) => Number(each ?? 1));
const near = (is: number, wanted: number) => expect(Math.abs(is / wanted - 1)).toBeLessThan(0.01);

it("whoever multiplies what is shown comes to what is shown: efforts to a task, tasks to load minutes, load minutes to need", () => {
  const { needs } = open(work());
  const most = needs.reduce((best, each) => (each.need > best.need ? each : best));
  const tasks = screen.getAllByText(/^(Hammering|Carrying)$/).map((name) => name.closest("li")!);
  expect(tasks.length).toBeGreaterThan(0);
  let load = 0;
  for (const task of tasks) {
    const efforts = within(task).getAllByRole("listitem");
    const own = task.textContent!.slice(0, task.textContent!.indexOf(efforts[0]!.textContent!));
    const [minutes, sum, harder, comes] = figures(own, /: ([\d.]+) min × √([\d.]+)(?: × ([\d.]+) for cold or vibration)? = ([\d.]+)$/) as [
      number,
      number,
      number,
      number,
    ];
    near(minutes * Math.sqrt(sum) * harder, comes);
    const weights = efforts.map(({ textContent }) => {
      const [duty, effort, share, weight] = figures(
        textContent!,
        /: ([\d.]+) % of the time × \(([\d.]+) of 10\)³ × \(([\d.]+) % share\)² = ([\d.]+)$/,
      ) as [number, number, number, number];
      near((duty / 100) * (effort / 10) ** 3 * (share / 100) ** 2, weight);
      return weight;
    });
    near(
      weights.reduce((all, each) => all + each, 0),
      sum,
    );
    load += comes;
  }
  expect(tasks.find(({ textContent }) => textContent!.startsWith("Hammering"))).toHaveTextContent(/hitting: .*holding: /);
  near(load, most.loadMin);
  const [told, need] = figures(screen.getByText(/load minutes →/).textContent!, /([\d.]+) load minutes → (\d+)/) as [number, number];
  near(told, load);
  expect(Math.round(100 * (1 - 2 ** (-told / HALVING_LOAD_MIN)))).toBe(need);
});

it("a bar shows the working of its region and hand; what was found stands with what it adds", async () => {
  const of = work();
  const { user } = open(of, [{ side: "left", region: "supinators", by: "weakGrip", points: 15 }]);
  const bar = () => screen.getByRole("button", { name: /^Left supinators: need \d+, show the working$/ });
  expect(bar()).toHaveAttribute("aria-pressed", "false");
  await user.click(bar());
  expect(bar()).toHaveAttribute("aria-pressed", "true");
  expect(screen.getByRole("heading", { name: "Supinators" })).toBeInTheDocument();
  expect(screen.getByText("+ 15 for the weaker grip")).toBeInTheDocument();
});

it("a region nothing asks for says so, and without any work there is nothing to show", async () => {
  const of = work();
  const { user, unmount } = open(of);
  await user.click(screen.getAllByRole("button", { name: /: need 0, show the working$/ })[0]!);
  expect(screen.getByText("Neither the work nor the measurements ask for anything here.")).toBeInTheDocument();
  unmount();
  open({ tasks: [], days: [] });
  expect(screen.getByText("Nothing to show yet")).toBeInTheDocument();
});
