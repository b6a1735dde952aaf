/** What was worked out on the bench, sent on: into an item of a program, into a crew's work; what cannot be read or stored is said. */
import { screen, waitFor, within } from "@testing-library/react";
import type { ProgramEntry } from "@kind-grip/core/api";
import { TASK_STARTERS, type Work } from "@kind-grip/core/strain";
import { NoticeBar } from "../base/NoticeBar";
import { sampleCrew, sampleId, sampleProgram, sampleSession } from "../testing/sample";
import { refusal, showPage, SIGNED_IN, TestServer, type Answers } from "../testing/screen";
import { taskFrom, withTask } from "../work/new-task";
import { SendToProgram } from "./SendToProgram";
import { SendToWork } from "./SendToWork";

const crew = sampleCrew();
const listed = { ...crew, people: 3, programs: 1, sharedBy: null };
const program = sampleProgram(crew.id, [sampleSession(["shake-out", "palm-away"])]);
const task = taskFrom(TASK_STARTERS[0]);

async function open(what: "program" | "work", answers: Answers) {
  const server = new TestServer({ ...SIGNED_IN, "GET /crews": [listed], [`GET /crews/${crew.id}`]: crew, ...answers });
  const part =
    what === "program" ? (
      <SendToProgram what="this dose" fits={({ movementId }) => movementId === "palm-away"} change={(item) => ({ ...item, loadKg: 1.5 })} />
    ) : (
      <SendToWork task={task} minutes={90} />
    );
  const shown = showPage(
    <>
      {part}
      <NoticeBar />
    </>,
  );
  const { user } = shown;
  await user.click(screen.getByRole("button"));
  const dialog = screen.getByRole("dialog");
  await user.click(within(dialog).getByRole("combobox", { name: "Crew" }));
  await user.click(await screen.findByRole("option", { name: crew.name }));
  return { ...shown, server, dialog, send: () => within(dialog).getByRole("button", { name: "Use it" }) };
}

describe("into a program", () => {
  const path = `/crews/${crew.id}/programs`;
  const put = `PUT /programs/${program.id}`;
  const stored = (body: unknown) => ({ ...program, ...(body as object), version: 2 });
  const chooseItem = async ({ user, dialog }: Awaited<ReturnType<typeof open>>) => {
    await user.click(await within(dialog).findByRole("combobox", { name: "Item" }));
    await user.click(screen.getByRole("option", { name: /Palm-away stretch/ }));
  };
  it("goes into the item that was chosen, of those it fits, and can be taken back", async () => {
    const shown = await open("program", { [`GET ${path}`]: [program], [put]: stored });
    expect(shown.send()).toBeDisabled();
    await chooseItem(shown);
    await shown.user.click(shown.send());
    expect(await screen.findByText("Slate hands has it.")).toBeVisible();
    const sent = () => (shown.server.calls("PUT").at(-1)!.body as ProgramEntry).program.sessions[0]!.items.map(({ loadKg }) => loadKg);
    expect(sent()).toEqual([null, 1.5]);
    await shown.user.click(screen.getByRole("button", { name: /Undo/ }));
    await waitFor(() => expect(sent()).toEqual([null, null]));
  });
  it("that was changed meanwhile says so, and what was chosen stays", async () => {
    const shown = await open("program", { [`GET ${path}`]: [program], [put]: refusal(409, "stale", "Somebody else saved this program.") });
    await chooseItem(shown);
    await shown.user.click(shown.send());
    expect(await within(shown.dialog).findByText("Somebody else saved this program.")).toBeVisible();
    expect(shown.send()).toBeEnabled();
  });
  it("of a crew without a fitting item says that; of one that cannot be read, why", async () => {
    const { dialog, unmount } = await open("program", { [`GET ${path}`]: [] });
    expect(await within(dialog).findByText("No program of this crew has an item it fits.")).toBeVisible();
    unmount();
    const away = await open("program", { [`GET ${path}`]: refusal(503, "busy", "The server is busy.") });
    expect(await within(away.dialog).findByText("The server is busy.")).toBeVisible();
    expect(away.dialog).not.toHaveTextContent("No program of this crew");
  });
});

describe("into a crew's work", () => {
  const path = `/crews/${crew.id}/work`;
  const answers = (work: Work): Answers => ({
    [`GET ${path}`]: { crewId: crew.id, version: 1, work },
    [`PUT ${path}`]: (body: unknown) => ({ crewId: crew.id, ...(body as object), version: 2 }),
  });
  const send = async (work: Work) => {
    const shown = await open("work", answers(work));
    await shown.user.type(within(shown.dialog).getByLabelText("Name of the task"), "Nail pulling");
    await waitFor(() => expect(shown.send()).toBeEnabled());
    await shown.user.click(shown.send());
    await screen.findByText(/^Slate crew has it under Work/);
    return (shown.server.calls("PUT").at(-1)!.body as { work: Work }).work;
  };
  it("is a task with its minutes in a shift, under ids of its own", async () => {
    const { tasks, days } = await send({ tasks: [], days: [] });
    expect(tasks.map(({ name }) => name)).toEqual(["Nail pulling"]);
    expect(tasks[0]!.id).not.toBe(task.id);
    expect(days.map(({ parts }) => parts)).toEqual([[{ taskId: tasks[0]!.id, minutes: 90 }]]);
    expect(screen.getByText("Slate crew has it under Work.")).toBeVisible();
  });
  it("where no shift has room it says that it is in none", async () => {
    const other = { ...taskFrom(TASK_STARTERS[1]), id: sampleId() };
    const full = withTask({ tasks: [], days: [] }, other, 480, 480);
    const { tasks, days } = await send(full);
    expect([tasks.length, days[0]!.parts.length]).toEqual([2, 1]);
    expect(screen.getByText("Slate crew has it under Work, in no shift: none has room for it.")).toBeVisible();
  });
  it("of a crew whose work cannot be read says why, and sends nothing", async () => {
    const { dialog, send: button } = await open("work", { [`GET ${path}`]: refusal(503, "busy", "The server is busy.") });
    expect(await within(dialog).findByText("The server is busy.")).toBeVisible();
    expect(button()).toBeDisabled();
  });
});

it("crews that cannot be read are not no crews", async () => {
  const server = new TestServer({ ...SIGNED_IN, "GET /crews": refusal(500, "broken", "Something broke.") });
  const { user } = showPage(<SendToWork task={task} minutes={90} />);
  await user.click(screen.getByRole("button"));
  const dialog = within(screen.getByRole("dialog"));
  const said = await dialog.findByText("Your crews could not be read.");
  expect(said).toBeVisible();
  server.answers = { ...server.answers, "GET /crews": [listed] };
  await user.click(dialog.getByRole("button", { name: "Try again" }));
  await waitFor(() => expect(screen.queryByText("Your crews could not be read.")).toBeNull());
  await user.click(dialog.getByRole("combobox", { name: "Crew" }));
  expect(await screen.findByRole("option", { name: crew.name })).toBeInTheDocument();
});
