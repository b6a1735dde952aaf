/** Personal starts of a session: from what all rounds found of each, taken or left one by one; nothing is proposed of what is not known. */
import { screen, waitFor, within } from "@testing-library/react";
import type { KnownRecord, ProgramEntry } from "@kind-grip/core/api";
import { emptyRecord, type BaselineRecord } from "@kind-grip/core/baseline";
import { showCrewPage } from "../testing/crew-page";
import { sampleCrew, sampleId, samplePerson, sampleProgram, sampleSession } from "../testing/sample";
import { refusal, type Answers } from "../testing/screen";
import ProgramPage from "./ProgramPage";

jest.setTimeout(30_000);
const crew = sampleCrew();
const [ann, bo] = [samplePerson({ name: "Ann Early" }), samplePerson({ name: "Bo Brook" })] as const;
const entry = sampleProgram(crew.id, [sampleSession(["palm-away", "shake-out"])]);
const sore: BaselineRecord = {
  ...emptyRecord(),
  symptoms: [
    {
      id: sampleId(),
      side: "right",
      region: "wristFlexors",
      kind: "ache",
      level: 6,
      since: "2026-03-01",
      nights: "never",
      constant: false,
    },
  ] as never,
  symptomsAsked: true,
};
const known = (personId: string, record: BaselineRecord): KnownRecord => ({ personId, measuredOn: "2026-01-05", record });
const path = `GET /crews/${crew.id}/known-records`;

async function open(answers: Answers = {}) {
  localStorage.clear();
  const shown = showCrewPage(<ProgramPage />, "program/:programId", {
    crew,
    people: [ann, bo],
    at: `program/${entry.id}`,
    answers: {
      [`GET /crews/${crew.id}/programs`]: [entry],
      [`GET /crews/${crew.id}/work`]: { crewId: crew.id, version: 0, work: { tasks: [], days: [] } },
      [`GET /programs/${entry.id}`]: entry,
      "GET /practice/settings": { version: 0, settings: { style: entry.program.style, thresholds: {} } },
      [`PUT /programs/${entry.id}`]: (body: unknown) => ({
        ...entry,
        ...(body as object),
        version: (body as { version: number }).version + 1,
      }),
      ...answers,
    },
  });
  await shown.user.click(await screen.findByRole("button", { name: "Personal starts" }));
  const dialog = await screen.findByRole("dialog", { name: "Personal starts in Warm-up" });
  const saved = () => (shown.server.calls("PUT").at(-1)?.body as { program: ProgramEntry["program"] } | undefined)?.program;
  return { ...shown, dialog, saved };
}

it("of whom something was found starts easier where it matters, with why; set on a press, and taken back", async () => {
  const { user, dialog, saved } = await open({ [path]: [known(ann.id, sore), known(bo.id, emptyRecord())] });
  const mine = await within(dialog).findByRole("group", { name: "Ann Early" });
  expect(mine).toHaveTextContent(/Palm-away stretch.*right wrist flexors felt, 6 of 10/i);
  expect(within(dialog).queryByRole("group", { name: "Bo Brook" })).toBeNull();
  await user.click(within(dialog).getByRole("button", { name: "Set 1 own form" }));
  await waitFor(() => expect(Object.keys(saved()!.sessions[0]!.items[0]!.personal)).toEqual([ann.id]));
  await user.click(within(screen.getByRole("status", { name: "Notice" })).getByRole("button", { name: /Undo/ }));
  await waitFor(() => expect(saved()!.sessions[0]!.items[0]!.personal).toEqual({}));
});

it("what is declined is not set", async () => {
  const { user, dialog } = await open({ [path]: [known(ann.id, sore)] });
  await user.click(await within(dialog).findByRole("button", { name: "Easier", pressed: true }));
  expect(within(dialog).getByRole("button", { name: "Set 0 own forms" })).toBeDisabled();
});

it("says that everybody starts alike only where somebody was measured; else where that is done", async () => {
  const { dialog, unmount } = await open({ [path]: [known(ann.id, emptyRecord())] });
  expect(await within(dialog).findByText("Everybody starts alike")).toBeVisible();
  unmount();
  const { dialog: other } = await open({ [path]: [known(sampleId(), sore)] });
  expect(await within(other).findByText("Nobody was measured yet")).toBeVisible();
  expect(within(other).getByRole("link", { name: "Go to Baseline" })).toHaveAttribute("href", `/crews/${crew.id}/baseline`);
});

it("while what was found cannot be read it says so and claims nothing", async () => {
  const { dialog } = await open({ [path]: refusal(503, "busy", "The server is busy.") });
  expect(await within(dialog).findByText("The server is busy.")).toBeVisible();
  expect(dialog).not.toHaveTextContent(/alike|Nobody was measured/);
  expect(within(dialog).queryByRole("button", { name: /^Set/ })).toBeNull();
});

it("who is kept out of one movement is not said to be out of everything", async () => {
  const may = { personId: ann.id, heldOut: false, outOf: [{ movements: ["palm-away"] }], cappedRegions: [], shortOfEndDeg: null };
  const { dialog } = await open({ [`GET /crews/${crew.id}/participation`]: [may] });
  const mine = await within(dialog).findByRole("group", { name: "Ann Early" });
  expect(mine).toHaveTextContent("Until cleared leaves out: Palm-away stretch");
  expect(mine).not.toHaveTextContent("Held out of everything");
});
