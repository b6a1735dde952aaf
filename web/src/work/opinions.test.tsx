/** What several methods say of a task: on one scale, with why they differ, what to change first, and where the figures come from. */
import { screen, within } from "@testing-library/react";
import { patternPreset } from "@kind-grip/core/calendar";
import type { Effort, Task, Work } from "@kind-grip/core/strain";
import { showCrewPage } from "../testing/crew-page";
import { sampleCrew, sampleId, samplePerson } from "../testing/sample";
import WorkPage from "./WorkPage";

const crew = sampleCrew({ shiftPattern: patternPreset("weekdays", "2026-03-02") });
const effort = (change: Partial<Effort> = {}): Effort => ({
  id: sampleId(),
  name: "reach",
  hands: "right",
  effort: 2,
  perMin: 12,
  secEach: 1.2,
  flexionDeg: 80,
  tiltDeg: 0,
  turn: "neutral",
  grip: "power",
  ...change,
});
const task = (change: Partial<Task> = {}): Task => ({
  id: sampleId(),
  name: "Reaching",
  tool: null,
  vibration: "none",
  cold: false,
  reach: false,
  efforts: [effort()],
  ...change,
});

function show(of: Task, { search = "", observations = [] as object[] } = {}) {
  const work: Work = { tasks: [of], days: [{ id: sampleId(), name: "Usual", parts: [{ taskId: of.id, minutes: 400 }], personIds: [] }] };
  return showCrewPage(<WorkPage />, "work", {
    crew,
    people: [samplePerson()],
    search,
    answers: {
      [`GET /crews/${crew.id}/work`]: { crewId: crew.id, version: 1, work },
      [`GET /crews/${crew.id}/observations`]: observations,
      [`PUT /crews/${crew.id}/work`]: (body) => ({ crewId: crew.id, version: 2, work: (body as { work: Work }).work }),
      [`PUT /crews/${crew.id}/observations/o1/counts`]: { work: { crewId: crew.id, version: 2, work }, notUsed: "it would not fit" },
    },
  });
}
const opinions = async () => within(await screen.findByRole("region", { name: "Opinions of this task" }));

it("says each verdict, why two differ, and what to change first", async () => {
  show(task());
  const shown = await opinions();
  expect(shown.getAllByRole("img").map((scale) => scale.getAttribute("aria-label"))).toEqual([
    "right hand: change",
    "right hand: fine",
    "right hand: fine",
    "right hand: fine",
  ]);
  expect(shown.getByText(/^Strain index is stricter than Hand activity and peak force because of the bent wrist/)).toBeTruthy();
  expect(shown.getByText(/a straight wrist: 80° bent → straight/)).toBeTruthy();
  expect(shown.getByText("nothing to say: no tool that shakes")).toBeTruthy();
});
it("what a tool's papers say is asked where it shakes, and judged", async () => {
  const { user } = show(task({ vibration: "strong" }));
  expect((await opinions()).getByText("nothing to say: the tool's m/s² are not known")).toBeTruthy();
  await user.click(screen.getByRole("button", { name: "The papers of the tool say …" }));
  expect((await opinions()).getAllByRole("img")).toHaveLength(5);
  await user.click(screen.getByRole("button", { name: "Not known" }));
  expect((await opinions()).getAllByRole("img")).toHaveLength(4);
  await user.click(screen.getByRole("radio", { name: "No vibration" }));
  expect(screen.queryByRole("button", { name: "The papers of the tool say …" })).toBeNull();
});
it("the shift: what makes a figure of it and what speaks by its hardest task; a task is opened from the table", async () => {
  const { user } = show(task(), { search: "?view=opinions" });
  const table = within(await screen.findByRole("table", { name: "Each task by each method" }));
  expect(table.getAllByRole("cell").map(({ textContent }) => textContent)).toEqual(["change", "fine", "fine", "fine", "–"]);
  expect(screen.getAllByText("by the task it finds hardest: Reaching")).toHaveLength(3);
  await user.click(table.getByRole("button", { name: "Reaching" }));
  expect(await screen.findByRole("region", { name: "Task Reaching" })).toBeTruthy();
});
it("figures that were watched say so; said again, they are said", async () => {
  const observed = {
    on: "2026-03-12",
    observations: 2,
    efforts: 148,
    perMinError: 0.04,
    secEachError: 0.03,
    said: { perMin: 12, secEach: 2, flexionDeg: 0 },
  };
  const { user } = show(task({ efforts: [effort({ perMin: 21, observed })] }));
  expect(await screen.findByText("148 efforts, 21 a minute ± 4 %, 1.2 s ± 3 %. Said before: 12 a minute of 2 s.")).toBeTruthy();
  await user.click(screen.getByRole("radio", { name: "Whole hand" }));
  expect(screen.getByText(/^148 efforts/)).toBeTruthy();
  await user.click(screen.getByRole("radio", { name: "Straight" }));
  expect(screen.queryByText(/^148 efforts/)).toBeNull();
});
it("observations are counted or left out; why one that counts changes nothing is said", async () => {
  const of = task();
  const measured = { value: 20, error: 1 };
  const entry = {
    id: "o1",
    taskId: of.id,
    personId: null,
    startedAt: "2026-03-12T09:00:00.000Z",
    from: "video",
    lengthMs: 300_000,
    counts: false,
    hands: [
      {
        side: "right",
        effortId: of.efforts[0]!.id,
        efforts: 100,
        forgotten: 1,
        postures: 0,
        rhythm: { perMin: measured, secEach: { value: 1, error: 0.1 }, duty: { value: 0.3, error: 0.1 } },
      },
    ],
  };
  const { user, server } = show(of, { observations: [entry] });
  await user.click(await screen.findByText("1 observation"));
  expect(screen.getByText(/of film.*right, reach: 100 efforts, 20 a minute of 1 s, 1 not let go of/)).toBeTruthy();
  await user.click(screen.getByRole("button", { name: "Left out" }));
  expect(server.calls("PUT").map(({ body }) => body)).toEqual([{ counts: true }]);
});
