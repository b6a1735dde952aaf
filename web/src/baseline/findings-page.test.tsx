/** Findings of a round: who stands out first, with what another round found beside it, or why there is nothing beside it. */
import { screen, waitFor, within } from "@testing-library/react";
import type { RecordEntry, RoundEntry } from "@kind-grip/core/api";
import { emptyRecord, type BaselineRecord } from "@kind-grip/core/baseline";
import { showCrewPage } from "../testing/crew-page";
import { sampleCrew, sampleId, samplePerson } from "../testing/sample";
import { refusal, type Answers } from "../testing/screen";
import FindingsPage from "./FindingsPage";

const crew = sampleCrew();
const [ann, bo, cy] = ["Ann Early", "Bo Brook", "Cy Cole"].map((name) => samplePerson({ name })) as [
  ReturnType<typeof samplePerson>,
  ReturnType<typeof samplePerson>,
  ReturnType<typeof samplePerson>,
];
const round = (name: string, startedOn: string): RoundEntry => ({
  id: sampleId(),
  crewId: crew.id,
  name,
  startedOn,
  closed: false,
  asksOnPhones: false,
  repeats: null,
  begun: 2,
  finished: 2,
});
const [autumn, spring] = [round("Autumn", "2026-03-20"), round("Spring", "2026-01-05")];
const extension = (left: number, right: number): BaselineRecord => {
  const record = emptyRecord();
  record.range.wristExtension = { left: { active: left, assisted: null }, right: { active: right, assisted: null } };
  return record;
};
const entry = (personId: string, record: BaselineRecord): RecordEntry => ({
  personId,
  version: 1,
  changedAt: "2026-03-20T08:00:00.000Z",
  record,
});
const open = (answers: Answers = {}, rounds = [autumn, spring]) =>
  showCrewPage(<FindingsPage />, "baseline/:roundId/findings", {
    crew,
    people: [ann, bo, cy],
    at: `baseline/${autumn.id}/findings`,
    answers: {
      [`GET /crews/${crew.id}/rounds`]: rounds,
      [`GET /crews/${crew.id}/work`]: { crewId: crew.id, version: 0, work: { tasks: [], days: [] } },
      [`GET /rounds/${autumn.id}/records`]: [
        entry(ann.id, extension(69, 68)),
        entry(bo.id, extension(40, 66)),
        entry(cy.id, emptyRecord()),
      ],
      [`GET /rounds/${spring.id}/records`]: [entry(bo.id, extension(28, 66)), entry(ann.id, emptyRecord())],
      ...answers,
    },
  });
const people = () => screen.findByRole("list", { name: "People with findings" });

it("shows whoever stands out most first, and everybody of whom something was entered with how much was found", async () => {
  const { user } = open();
  expect(await screen.findByRole("heading", { level: 1 })).toHaveTextContent("Bo Brook");
  const list = await people();
  expect(
    within(list)
      .getAllByRole("button")
      .map((each) => each.textContent),
  ).toEqual(["Ann Early0", "Bo Brook2"]);
  await user.click(within(list).getByRole("button", { name: /Ann Early/ }));
  expect(screen.getByRole("heading", { level: 1 })).toHaveTextContent("Ann Early");
});

it("holds them against the round before; of whom that has nothing it says so, and compares with nothing on wish", async () => {
  const { user } = open();
  await people();
  expect(await screen.findByText(/28/)).toBeInTheDocument();
  expect(screen.queryByText(/there is nothing to compare with/)).toBeNull();
  await user.click(within(await people()).getByRole("button", { name: /Ann Early/ }));
  expect(screen.getByText("Not measured in Spring: there is nothing to compare with.")).toBeVisible();
  await user.click(screen.getByRole("combobox", { name: "Compared with" }));
  await user.click(screen.getByRole("option", { name: "nothing" }));
  await waitFor(() => expect(screen.queryByText(/there is nothing to compare with/)).toBeNull());
});

it("says that the other round could not be read, instead of comparing with nothing in silence", async () => {
  open({ [`GET /rounds/${spring.id}/records`]: refusal(503, "busy", "The server is busy.") });
  expect(await screen.findByRole("alert")).toHaveTextContent("Spring could not be read: nothing is compared.");
});

it("who is held out is said to be, in words", async () => {
  open({
    [`GET /crews/${crew.id}/participation`]: [{ personId: bo.id, heldOut: true, outOf: [], cappedRegions: [], shortOfEndDeg: null }],
  });
  await waitFor(async () => expect(within(await people()).getByRole("button", { name: /Bo Brook/ })).toHaveTextContent("held out"));
});

it("of a round in which nothing was entered says when findings appear, and of a first one compares with none", async () => {
  const { unmount } = open({ [`GET /rounds/${autumn.id}/records`]: [] });
  expect(await screen.findByText("Nothing measured yet")).toBeVisible();
  unmount();
  open({}, [autumn]);
  await people();
  expect(screen.queryByRole("combobox", { name: "Compared with" })).toBeNull();
});
