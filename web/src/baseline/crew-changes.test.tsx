/** A crew's round against the first: each person a line, dark beyond noise, the middle and the counts in words. */
import { screen, within } from "@testing-library/react";
import { emptyRecord, type BaselineRecord } from "@kind-grip/core/baseline";
import { showCrewPage } from "../testing/crew-page";
import { sampleCrew, samplePerson } from "../testing/sample";
import CrewChangesPage from "./CrewChangesPage";

const crew = sampleCrew();
const people = ["Ada Fenn", "Bo Marsh", "Cy Rill"].map((name) => samplePerson({ name }));
const [first, second, third] = ["11", "22", "33"].map((n) => `019d0000-0000-7000-8000-0000000000${n}`) as [string, string, string];
const round = (id: string, name: string) => ({
  id,
  crewId: crew.id,
  name,
  startedOn: "2026-03-02",
  closed: false,
  asksOnPhones: false,
  begun: 3,
  finished: 3,
});

function record(flexion: number | null, effort: number | null = null): BaselineRecord {
  const made = structuredClone(emptyRecord());
  made.range.wristFlexion.right.active = flexion;
  made.functionTest = { test: "twistLid", left: effort, right: null };
  return made;
}
const entries = (records: readonly BaselineRecord[]) =>
  records.map((each, i) => ({ personId: people[i]!.id, version: 1, changedAt: "2026-03-26T06:00:00.000Z", record: each }));

function open(answers: { rounds: ReturnType<typeof round>[]; records: Record<string, readonly BaselineRecord[]> }) {
  return showCrewPage(<CrewChangesPage />, "baseline/:roundId/crew", {
    crew,
    people,
    at: `baseline/${third}/crew`,
    answers: {
      [`GET /crews/${crew.id}/rounds`]: answers.rounds,
      ...Object.fromEntries(Object.entries(answers.records).map(([id, records]) => [`GET /rounds/${id}/records`, entries(records)])),
    },
  });
}
const ROUNDS = [round(third, "June"), round(second, "April"), round(first, "March")];

it("is held against the very first round; who changed beyond noise is counted, in drawing and in words", async () => {
  open({
    rounds: ROUNDS,
    records: {
      [first]: [record(50, 6), record(60, 5), record(70)],
      [second]: [],
      [third]: [record(65, 3), record(62, 5), record(55)],
    },
  });
  expect(await screen.findByText(/^June against March\./)).toBeVisible();
  expect(await screen.findByText("Better beyond noise: 2. Worse: 1.")).toBeVisible();
  const flexion = within(screen.getByRole("region", { name: "Wrist bends forward" }));
  const drawing = flexion.getByRole("img", { name: /right hand: 1 better, 1 worse of 3\. The middle went from 60° to 62°\./ });
  expect([...drawing.querySelectorAll("title")].map(({ textContent }) => textContent)).toEqual([
    "Bo Marsh: 60° → 62°",
    "Ada Fenn: 50° → 65°",
    "Cy Rill: 70° → 55°",
  ]);
  expect(within(screen.getByRole("region", { name: "Function test" })).getByText(/less is better/)).toBeVisible();
  expect(screen.queryByRole("region", { name: "Grip" })).toBeNull();
});

it("another earlier round is chosen; a later one is not offered", async () => {
  const { user } = open({
    rounds: [round("019d0000-0000-7000-8000-000000000044", "July"), ...ROUNDS],
    records: { [first]: [record(50)], [second]: [record(64)], [third]: [record(65)] },
  });
  await screen.findByText("Better beyond noise: 1. Worse: 0.");
  await user.click(screen.getByRole("combobox", { name: "Compared with" }));
  expect(screen.getAllByRole("option").map(({ textContent }) => textContent)).toEqual(["April", "March"]);
  await user.click(screen.getByRole("option", { name: "April" }));
  expect(await screen.findByText("Nothing changed beyond noise.")).toBeVisible();
});

it.each([
  ["without an earlier round", [round(third, "June")], { [third]: [record(50)] }, "There is no earlier round"],
  ["with nobody measured twice", ROUNDS, { [first]: [record(null)], [third]: [record(50)] }, "Nobody is measured in both"],
])("%s it says so", async (_, rounds, records, title) => {
  open({ rounds, records: { [first]: [], [second]: [], ...records } });
  expect(await screen.findByRole("heading", { name: title })).toBeVisible();
});
