/** What was decided, newest first: by whom, what it rested on, what was overruled and why; a pause is ended with a reason. */
import { screen, waitFor, within } from "@testing-library/react";
import type { DecisionEntry } from "@kind-grip/core/api";
import { USUAL_THRESHOLDS } from "@kind-grip/core/response";
import { showCrewPage } from "../testing/crew-page";
import { sampleCrew, sampleDecision, sampleId, samplePerson } from "../testing/sample";
import { refusal, type Answers } from "../testing/screen";
import { DecisionHistory } from "./DecisionHistory";

const crew = sampleCrew();
const ann = samplePerson({ name: "Ann Early" });
const decision = (change: Partial<DecisionEntry> = {}): DecisionEntry => {
  const { was, response, programId, itemId, movementId } = sampleDecision();
  return {
    id: sampleId(),
    personId: ann.id,
    programId,
    itemId,
    movementId,
    proposed: "progress",
    decided: "progress",
    why: null,
    was,
    response,
    settings: USUAL_THRESHOLDS,
    settingsVersion: 2,
    decidedBy: sampleId(),
    decidedAt: "2026-03-25T09:30:00.000Z",
    resumedAt: null,
    resumedWhy: null,
    by: "Maren",
    ...change,
  };
};
const path = `GET /crews/${crew.id}/decisions/history`;
const page = (decisions: DecisionEntry[], total = decisions.length) => ({ decisions, total, pageSize: 2 });
const open = (answers: Answers) => showCrewPage(<DecisionHistory crew={crew} />, "progress", { crew, people: [ann], answers });

it("says of each who, what, when and by whom, with what it rested on; why it was not what was proposed", async () => {
  const { user } = open({ [path]: page([decision(), decision({ decided: "hold", why: "Wait for the roof" })]) });
  const [taken, overruled] = await screen.findAllByRole("article", { name: /^Ann Early, Palm-away stretch, 25 Mar, 09:30$/ });
  await user.click(within(taken!).getByText("By Maren: what it rested on"));
  expect(taken).toHaveTextContent("Thresholds, version 2: 3 clean runs, effort 1 below the cap");
  expect(overruled).toHaveTextContent("Instead of progress: Wait for the roof");
});

it("goes back page by page, and to the newer ones", async () => {
  const list = [decision(), decision(), decision({ by: "Teo" })];
  const { user } = open({ [`${path}?page=0`]: page(list.slice(0, 2), 3), [`${path}?page=1`]: page(list.slice(2), 3) });
  expect(await screen.findByText("1–2 of 3")).toBeVisible();
  expect(screen.getByRole("button", { name: "Newer" })).toBeDisabled();
  await user.click(screen.getByRole("button", { name: "Older" }));
  expect(await screen.findByText("3–3 of 3")).toBeVisible();
  expect(screen.getByText("By Teo: what it rested on")).toBeVisible();
  expect(screen.getByRole("button", { name: "Older" })).toBeDisabled();
});

it("with nothing decided says what is kept here; nobody is called gone while it is not known who is here", async () => {
  const { unmount } = open({ [path]: page([]) });
  expect(await screen.findByText("Nothing decided yet")).toBeVisible();
  unmount();
  open({ [path]: page([decision()]), [`GET /crews/${crew.id}/people`]: refusal(503, "busy", "The server is busy.") });
  expect((await screen.findAllByText("The server is busy.")).length).toBeGreaterThan(0);
  expect(document.body).not.toHaveTextContent("somebody gone");
});

describe("a pause", () => {
  const paused = decision({ proposed: "pauseAndRefer", decided: "pauseAndRefer" });
  const resume = `POST /decisions/${paused.id}/resume`;
  const ask = async (answers: Answers) => {
    const shown = open({ [path]: page([paused]), ...answers });
    await shown.user.click(await screen.findByRole("button", { name: "Take up again" }));
    const dialog = await screen.findByRole("dialog", { name: "Ann Early: palm-away stretch again" });
    const send = () => within(dialog).getByRole("button", { name: "Take up again" });
    expect(send()).toBeDisabled();
    await shown.user.type(within(dialog).getByRole("textbox"), "Dr Rowan: fine");
    await shown.user.click(send());
    return { ...shown, dialog };
  };
  it("is ended with who looked at it and what they said", async () => {
    const { server } = await ask({ [resume]: null });
    await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
    expect(server.calls("POST")).toEqual([{ call: resume, body: { why: "Dr Rowan: fine" } }]);
  });
  it("that could not be ended keeps what was typed, and says why", async () => {
    const { dialog } = await ask({ [resume]: refusal(503, "busy", "The server is busy.") });
    expect(await within(dialog).findByText("The server is busy.")).toBeVisible();
    expect(within(dialog).getByRole("textbox")).toHaveValue("Dr Rowan: fine");
  });
});
