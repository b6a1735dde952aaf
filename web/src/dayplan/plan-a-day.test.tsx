/** Planning a day for groups: who is counted, what is pinned, what is stored of it, and with another crew. */
import { act, screen, waitFor, within } from "@testing-library/react";
import type { ChangedWeek, PersonEntry, WeekPlanEntry } from "@kind-grip/core/api";
import type { PlanGroup } from "@kind-grip/core/dayplan";
import { showCrewPage } from "../testing/crew-page";
import { sampleCrew, sampleId, samplePerson, sampleProgram, sampleSession, sampleToday } from "../testing/sample";
import { refusal, type Answers } from "../testing/screen";
import DayPlanPage from "./DayPlanPage";

jest.setTimeout(30_000);

/** It is Thursday, nine in the morning. */
const WEEK = "2026-03-23";
const crew = sampleCrew({ mostOffJob: 2 });
const warmUp = sampleSession(["shake-out"], { name: "Warm-up" });
const pause = sampleSession(["palm-away"], { name: "Break", slot: "break" });
const coolDown = sampleSession(["shake-out"], { name: "Cool-down", slot: "postShift" });
const program = sampleProgram(crew.id, [warmUp, pause, coolDown]);
const named = (...names: string[]) => names.map((name) => samplePerson({ name }));
const weekOf = (crewId: string, groups: PlanGroup[] = []): WeekPlanEntry => ({
  crewId,
  weekStart: WEEK,
  version: 1,
  standing: { groups, series: [] },
  placements: [],
  kept: [],
  neighbours: [],
});

async function open(people: PersonEntry[], groups: PlanGroup[] = [], answers: Answers = {}) {
  localStorage.clear();
  let entry = weekOf(crew.id, groups);
  const address = `/crews/${crew.id}/plan/${WEEK}`;
  const shown = showCrewPage(<DayPlanPage />, "day-plan/:weekStart?", {
    crew,
    people,
    at: `day-plan/${WEEK}`,
    answers: {
      [`GET /crews/${crew.id}/programs`]: [program],
      [`GET /crews/${crew.id}/work`]: { version: 0, work: { tasks: [], days: [] } },
      "GET /crews": [{ ...crew, people: people.length, programs: 1, sharedBy: null }],
      [`GET ${address}`]: () => entry,
      [`PUT ${address}`]: (body: unknown) => {
        const { placements, standing } = body as ChangedWeek;
        entry = { ...entry, version: entry.version + 1, placements, standing: standing ?? entry.standing };
        return entry;
      },
      ...answers,
    },
  });
  await shown.user.click(await screen.findByRole("button", { name: "Plan a day" }));
  const dialog = await screen.findByRole("dialog", { name: "Plan a day for groups" });
  const stored = () => shown.server.calls(`PUT ${address}`).at(-1)?.body as ChangedWeek | undefined;
  const row = (name: string) => within(dialog).getByRole("region", { name });
  const sessionsOf = (name: string) =>
    within(row(name))
      .getAllByRole("button")
      .map((each) => each.textContent);
  return { ...shown, dialog, stored, row, sessionsOf };
}

it("counts who is in the crew on the day that is planned: whoever begins on Friday, and not whose last day is Thursday", async () => {
  const { user, dialog } = await open([
    samplePerson({ name: "Ann Early" }),
    samplePerson({ name: "Bo Leaving", leftOn: "2026-03-26" }),
    samplePerson({ name: "Cy Coming", startedOn: "2026-03-27" }),
    samplePerson({ name: "Di Gone", leftOn: "2026-03-20" }),
  ]);
  expect(await within(dialog).findByText(/^2 people;/)).toBeVisible();
  const names = () => [...dialog.querySelectorAll("section > p")].map((each) => each.textContent);
  expect(names().join()).toMatch(/Ann Early, Bo Leaving/);
  await user.click(within(dialog).getByRole("radio", { name: "Fri 27" }));
  await waitFor(() => expect(names().join()).toMatch(/Ann Early, Cy Coming/));
  expect(names().join()).not.toMatch(/Leaving|Gone/);
});

it("makes as few groups as the job allows; more where that is asked, and never more than people", async () => {
  const { user, dialog } = await open(named("Ann", "Bo", "Cy", "Di"));
  expect(within(dialog).getByText("4 people; 2 groups are needed for the job and the kit.")).toBeVisible();
  const more = within(dialog).getByRole("button", { name: /Groups.*more|More.*groups|Groups: one more/i });
  for (let i = 0; i < 5; i++) await user.click(more);
  expect(within(dialog).getAllByRole("region")).toHaveLength(4);
});

it("a pin stays where it is put, by keys too, and never beyond the shift; one press lets it go", async () => {
  const { user, dialog, row } = await open(named("Ann", "Bo"));
  await user.click(within(dialog).getByRole("radio", { name: "Fri 27" }));
  const session = (name: string) => within(row("Group 1")).getByRole("button", { name: new RegExp(name) });
  const timeOf = (name: string) => session(name).textContent!.slice(0, 5);
  const press = async (name: string, keys: string) => {
    act(() => session(name).focus());
    await user.keyboard(keys);
  };
  const [begins, ends] = [timeOf("Warm-up"), timeOf("Cool-down")];
  await press("Warm-up", "{ArrowLeft}");
  expect([timeOf("Warm-up"), session("Warm-up").getAttribute("aria-pressed")]).toEqual([begins, "true"]);
  await press("Warm-up", "{ArrowRight}");
  expect(timeOf("Warm-up") > begins).toBe(true);
  // The last session ends with the shift: a little later is the latest it can be.
  await press("Cool-down", "{ArrowRight>4/}");
  const { start, lengthMin } = crew.shiftPattern.shifts[0]!;
  const minutes = (time: string) => Number(time.slice(0, 2)) * 60 + Number(time.slice(3));
  expect(minutes(timeOf("Cool-down"))).toBeGreaterThanOrEqual(minutes(ends));
  expect(minutes(timeOf("Cool-down"))).toBeLessThan(minutes(start) + lengthMin);
  await user.click(within(dialog).getByRole("button", { name: "Let go of 2 pins" }));
  expect([timeOf("Warm-up"), timeOf("Cool-down")]).toEqual([begins, ends]);
  expect(session("Warm-up")).toHaveAttribute("aria-pressed", "false");
});

it("what is left out is not placed; used for the day it is stored once, for every such shift as its pattern", async () => {
  const day = await open(named("Ann", "Bo"));
  await day.user.click(within(day.dialog).getByRole("radio", { name: "Fri 27" }));
  for (const name of [/^Break/, /^Cool-down/]) await day.user.click(within(day.dialog).getByRole("button", { name }));
  expect(day.sessionsOf("Group 1")).toEqual([expect.stringMatching(/Warm-up$/)]);
  await day.user.click(within(day.dialog).getByRole("button", { name: "Use it for Fri 27" }));
  await waitFor(() => expect(day.stored()?.placements).toMatchObject([{ sessionId: warmUp.id, people: null, groupName: null }]));
  expect(day.stored()?.placements[0]!.startsAt).toMatch(/^2026-03-27T/);
  day.unmount();
  const pattern = await open(named("Ann", "Bo", "Cy", "Di"));
  await pattern.user.click(within(pattern.dialog).getByRole("button", { name: /^Use it for every day shift from/ }));
  await waitFor(() => expect(pattern.stored()?.standing?.series.length).toBeGreaterThan(1));
  expect(pattern.stored()!.standing!.groups.map(({ people }) => people.length)).toEqual([2, 2]);
});

it("of the crew's own groups: whoever is in none is named, as nothing is planned for them", async () => {
  const [ann, bo, cy] = named("Ann", "Bo", "Cy") as [PersonEntry, PersonEntry, PersonEntry];
  const { user, dialog, sessionsOf } = await open([ann, bo, cy], [{ id: sampleId(), name: "Ladder side", people: [ann.id, bo.id] }]);
  expect(within(dialog).getByText("In no group, so nothing is planned for them: Cy.")).toBeVisible();
  expect(sessionsOf("Ladder side").length).toBeGreaterThan(0);
  await user.click(within(dialog).getByRole("button", { name: "The crew's own groups" }));
  expect(within(dialog).queryByText(/In no group/)).toBeNull();
});

describe("with another crew", () => {
  const other = sampleCrew({ name: "Oyster line" });
  const theirs = sampleProgram(other.id, [sampleSession(["shake-out"], { name: "Quay warm-up" })]);
  const answers = (put: Answers[string]): Answers => ({
    "GET /crews": [crew, other].map((each) => ({ ...each, people: 2, programs: 1, sharedBy: null })),
    "GET /today": sampleToday(),
    [`GET /crews/${other.id}/programs`]: [theirs],
    [`GET /crews/${other.id}/people`]: named("Quin"),
    [`GET /crews/${other.id}/work`]: { version: 0, work: { tasks: [], days: [] } },
    [`GET /crews/${other.id}/participation`]: [],
    [`GET /crews/${other.id}/plan/${WEEK}`]: weekOf(other.id),
    [`PUT /crews/${other.id}/plan/${WEEK}`]: put,
  });
  it("both are planned and stored, the other first; all is said with a way back", async () => {
    const { user, dialog, server, stored } = await open(
      named("Ann"),
      [],
      answers((body) => ({ ...weekOf(other.id), ...(body as object), version: 2 })),
    );
    await user.click(within(dialog).getByRole("button", { name: "Oyster line" }));
    expect(await within(dialog).findByRole("region", { name: "Oyster line" })).toHaveTextContent("Quin");
    await user.click(within(dialog).getByRole("button", { name: /^Use it for Thu 26/ }));
    await waitFor(() => expect(stored()?.placements.length).toBeGreaterThan(0));
    expect(server.calls("PUT").map(({ call }) => call.includes(other.id))).toEqual([true, false]);
    expect(await screen.findByText("Planned for Oyster line too.")).toBeVisible();
  });
  it("that cannot be stored keeps the dialog open with what was planned, and nothing of either is", async () => {
    const { user, dialog, stored } = await open(
      named("Ann"),
      [],
      answers(refusal(409, "stale", "Somebody else changed this week meanwhile.")),
    );
    await user.click(within(dialog).getByRole("button", { name: "Oyster line" }));
    await within(dialog).findByRole("region", { name: "Oyster line" });
    await user.click(within(dialog).getByRole("button", { name: /^Use it for Thu 26/ }));
    expect(await within(dialog).findByText("Oyster line: Somebody else changed this week meanwhile.")).toBeVisible();
    expect(stored()).toBeUndefined();
  });
  it("that has no session says so", async () => {
    const { user, dialog } = await open(named("Ann"), [], { ...answers({}), [`GET /crews/${other.id}/programs`]: [] });
    await user.click(within(dialog).getByRole("button", { name: "Oyster line" }));
    expect(await within(dialog).findByText("Oyster line has no session to place yet.")).toBeVisible();
  });
});
