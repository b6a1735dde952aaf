/** A file that takes a while: how far it is, saved when it is made, taken back, tried again. */
import { screen, waitFor, within } from "@testing-library/react";
import type { Job } from "@kind-grip/core/api";
import { NoticeBar } from "../base/NoticeBar";
import { sampleId } from "../testing/sample";
import { refusal, showPage, SIGNED_IN, TestServer, type Answers } from "../testing/screen";
import { FileButton } from "./FileButton";

const programId = sampleId();
const id = sampleId();
const ask = `POST /programs/${programId}/papers`;
const look = `GET /jobs/${id}`;
const job = (state: Job["state"], change: Partial<Job> = {}): Job => ({
  id,
  kind: "personalSheets",
  state,
  progress: null,
  problem: null,
  ...change,
});

let saved: string[];
beforeEach(() => {
  saved = [];
  jest.spyOn(HTMLAnchorElement.prototype, "click").mockImplementation(function (this: HTMLAnchorElement) {
    saved.push(new URL(this.href).pathname);
  });
});
afterEach(() => jest.restoreAllMocks());

async function press(answers: Answers) {
  const server = new TestServer({ ...SIGNED_IN, [`DELETE /jobs/${id}`]: null, ...answers });
  const shown = showPage(
    <>
      <FileButton wanted={{ kind: "personalSheets", programId }} what="Personal sheets">
        Sheets
      </FileButton>
      <NoticeBar />
    </>,
  );
  await shown.user.click(screen.getByRole("button", { name: "Sheets" }));
  return { server, ...shown };
}
const dialog = async () => within(await screen.findByRole("dialog", { name: "Personal sheets" }));

it("that was made before is saved at once", async () => {
  const { server } = await press({ [ask]: job("made", { progress: 1 }) });
  await waitFor(() => expect(saved).toEqual([`/api/jobs/${id}/file`]));
  expect(screen.queryByRole("dialog")).toBeNull();
  expect(await screen.findByText("Personal sheets: saved by your browser.")).toBeInTheDocument();
  expect(server.calls("POST")[0]!.body).toEqual({ kind: "personalSheets" });
});

it("says how far it is, and is saved once when it is made", async () => {
  const states = [job("waiting"), job("making", { progress: 0.42 }), job("made", { progress: 1 })];
  const { server } = await press({ [ask]: job("waiting"), [look]: () => (states.length > 1 ? states.shift()! : states[0]!) });
  const shown = await dialog();
  expect(shown.getByRole("status")).toHaveTextContent("Waits for its turn …");
  expect(await shown.findByText("Being made: 42 %")).toBeInTheDocument();
  expect(shown.getByRole("progressbar")).toHaveAttribute("aria-valuenow", "42");
  await waitFor(() => expect(saved).toEqual([`/api/jobs/${id}/file`]));
  await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
  expect(server.calls("DELETE")).toEqual([]);
});

it("goes on being made when the dialog is left, and is there when it is asked for again", async () => {
  const { server, user } = await press({ [ask]: job("waiting"), [look]: job("making") });
  await user.click((await dialog()).getByRole("button", { name: "Go on meanwhile" }));
  expect(screen.queryByRole("dialog")).toBeNull();
  server.answers = { ...server.answers, [ask]: job("made", { progress: 1 }) };
  await user.click(screen.getByRole("button", { name: "Sheets" }));
  await waitFor(() => expect(saved).toHaveLength(1));
  expect(server.calls("DELETE")).toEqual([]);
});

it("is taken back with Cancel", async () => {
  const { server, user } = await press({ [ask]: job("waiting"), [look]: job("making") });
  await user.click((await dialog()).getByRole("button", { name: "Cancel" }));
  await waitFor(() => expect(server.calls("DELETE")).toHaveLength(1));
  expect(screen.queryByRole("dialog")).toBeNull();
  expect(saved).toEqual([]);
});

it("that failed says why and is asked for again", async () => {
  const answers = { [ask]: job("making"), [look]: job("failed", { problem: "It was begun several times and never finished." }) };
  const { server, user } = await press(answers);
  const shown = await dialog();
  expect(await shown.findByRole("alert")).toHaveTextContent("never finished");
  server.answers = { ...server.answers, [ask]: job("made", { progress: 1 }) };
  await user.click(shown.getByRole("button", { name: "Try again" }));
  await waitFor(() => expect(saved).toHaveLength(1));
});

it("that is refused says why; closing it takes nothing back", async () => {
  const { server, user } = await press({ [ask]: refusal(404, "notFound", "There is no such program.") });
  const shown = await dialog();
  expect(shown.getByRole("alert")).toHaveTextContent("There is no such program.");
  await user.click(shown.getByRole("button", { name: "Close" }));
  expect(server.calls("DELETE")).toEqual([]);
});

it("keeps waiting while the server is away", async () => {
  const { server } = await press({ [ask]: job("waiting"), [look]: job("making", { progress: 0.5 }) });
  const shown = await dialog();
  await shown.findByText("Being made: 50 %");
  server.away = true;
  expect(await shown.findByText(/it goes on making it/)).toBeInTheDocument();
  server.away = false;
  expect(await shown.findByText("Being made: 50 %")).toBeInTheDocument();
});
