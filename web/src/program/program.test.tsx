/** The program editor: adding, changing by keyboard, undo, saving, somebody else who saved first; and a crew without a program. */
import { screen, waitFor, within } from "@testing-library/react";
import { Outlet, Route, Routes } from "react-router";
import type { ProgramEntry } from "@kind-grip/core/api";
import CrewFrame from "../crew/CrewFrame";
import { TASK_STARTERS } from "@kind-grip/core/strain";
import { taskFrom, withTask } from "../work/new-task";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { NOW, sampleCrew, samplePerson, sampleProgram, sampleSession } from "../testing/sample";
import ProgramPage from "./ProgramPage";
import ProgramsPage from "./ProgramsPage";

const crew = sampleCrew();
const people = [samplePerson(), samplePerson({ name: "Ben Later" })];
const entry = sampleProgram(crew.id, [sampleSession(["shake-out", "palm-away"])]);
const [session] = entry.program.sessions;
const around = {
  ...SIGNED_IN,
  "GET /today": { now: NOW, crews: [], entries: [], heldOut: [], endingSoon: [], decisions: [], alerts: [], clashes: [] },
  "GET /crews": [{ ...crew, people: 2, programs: 1, sharedBy: null }],
  [`GET /crews/${crew.id}`]: crew,
  [`GET /crews/${crew.id}/people`]: people,
  [`GET /crews/${crew.id}/programs`]: [entry],
  [`GET /crews/${crew.id}/participation`]: [],
  [`GET /crews/${crew.id}/ramps`]: [],
  [`GET /crews/${crew.id}/work`]: { crewId: crew.id, version: 0, work: { tasks: [], days: [] } },
  [`GET /crews/${crew.id}/rounds`]: [],
  [`GET /programs/${entry.id}`]: entry,
  "GET /practice/settings": { version: 0, settings: { style: entry.program.style, thresholds: {} } },
  [`PUT /programs/${entry.id}`]: (body: unknown) => ({ ...entry, ...(body as object), version: (body as { version: number }).version + 1 }),
};
const open = (answers: object = {}, rest = `program/${entry.id}`) => {
  const server = new TestServer({ ...around, ...answers });
  const pages = (
    <Routes>
      <Route path="crews/:crewId" element={<CrewFrame />}>
        <Route path="program" element={<ProgramsPage />} />
        <Route path="program/:programId" element={<ProgramPage />} />
        <Route path="*" element={<Outlet />} />
      </Route>
    </Routes>
  );
  return { server, ...showPage(pages, { at: `/crews/${crew.id}/${rest}`, path: "*" }) };
};
const score = () => screen.findByRole("listbox", { name: "Items of Warm-up" });
const names = () => screen.getAllByRole("option").map((option) => option.textContent);
const saved = (server: TestServer) => server.calls("PUT").map(({ body }) => body as { version: number; program: ProgramEntry["program"] });
const status = (text: string) => waitFor(() => expect(screen.getByText(text, { selector: "[role=status]" })).toBeInTheDocument());

it("a movement from the library comes in after the chosen one, is saved, and can be taken back", async () => {
  const { server, user } = open();
  await score();
  await user.click(screen.getByRole("option", { name: /Shake-out/ }));
  await user.type(screen.getByPlaceholderText("Find a movement"), "wrist nod");
  await user.click(await screen.findByRole("button", { name: "Add Wrist nod" }));
  expect(names()).toHaveLength(3);
  await status("Saved");
  expect(
    saved(server)
      .at(-1)!
      .program.sessions[0]!.items.map(({ movementId }) => movementId),
  ).toEqual(["shake-out", "wrist-nod", "palm-away"]);
  await user.click(screen.getByRole("button", { name: "Undo" }));
  expect(names()).toHaveLength(2);
}, 30_000);

it("goes by keyboard: along the score, longer, doubled, out, and back", async () => {
  const { user } = open();
  const list = await score();
  list.focus();
  await user.keyboard("{ArrowRight}");
  expect(screen.getByRole("region", { name: "Chosen item" })).toHaveTextContent("1. Shake-out");
  await user.keyboard("{ArrowRight}d");
  expect(names()).toHaveLength(3);
  await user.keyboard("{Delete}");
  expect(names()).toHaveLength(2);
  await user.keyboard("{Control>}z{/Control}");
  expect(names()).toHaveLength(3);
  await user.keyboard("{Control>}y{/Control}");
  expect(names()).toHaveLength(2);
  await user.keyboard("{Escape}");
  expect(screen.queryByRole("region", { name: "Chosen item" })).toBeNull();
}, 30_000);

it("what somebody else saved can become another program: both are kept", async () => {
  const theirs = { ...entry, version: 5, program: { ...entry.program, name: "Theirs" } };
  const { server, user } = open({
    [`PUT /programs/${entry.id}`]: refusal(409, "stale", "Newer.", { detail: theirs }),
    [`POST /crews/${crew.id}/programs`]: (body: unknown) => ({ ...entry, ...(body as object) }),
  });
  await score();
  await user.click(screen.getByRole("option", { name: /Shake-out/ }));
  await user.click(screen.getByRole("button", { name: "Take the item out" }));
  const dialog = await screen.findByRole("dialog", { name: "Somebody else saved this program meanwhile" });
  expect(dialog).toHaveTextContent("Warm-up: 1 item,");
  await user.click(within(dialog).getByRole("button", { name: "Keep both" }));
  await waitFor(() => expect(screen.getByLabelText("Name of the program")).toHaveValue("Theirs"));
  const [copy] = server.calls("POST").map(({ body }) => body as { program: ProgramEntry["program"] });
  expect([copy!.program.name, copy!.program.sessions[0]!.items.length]).toEqual(["Slate hands (my version)", 1]);
  expect(copy!.program.sessions[0]!.id).not.toBe(session!.id);
}, 30_000);

it("an empty session says what to do; a crew without a program says what one is for", async () => {
  const empty = { ...entry, program: { ...entry.program, sessions: [sampleSession([])] } };
  open({ [`GET /programs/${entry.id}`]: empty }).unmount();
  const { unmount } = open({ [`GET /programs/${entry.id}`]: empty });
  expect(await screen.findByText("Warm-up is empty")).toBeInTheDocument();
  unmount();
  open({ [`GET /crews/${crew.id}/programs`]: [] }, "program");
  expect(await screen.findByText("No program yet")).toBeInTheDocument();
  expect(screen.getByText(/8'00" before the shift, 3'00" in a break, 14'00" after it/)).toBeInTheDocument();
}, 30_000);

it("of several programs the list says which the crew works by; of one it is plain", async () => {
  const said = /Worked by now: phones show/;
  const draft = { ...sampleProgram(crew.id, [sampleSession(["shake-out"])]), inUse: false };
  draft.program = { ...draft.program, name: "Next block" };
  const { unmount } = open({ [`GET /crews/${crew.id}/programs`]: [draft, { ...entry, inUse: true }] }, "program");
  const line = await screen.findByText(said);
  expect(line.closest("li")).toHaveTextContent(entry.program.name);
  expect(screen.getAllByText(said)).toHaveLength(1);
  unmount();
  open({ [`GET /crews/${crew.id}/programs`]: [{ ...entry, inUse: true }] }, "program");
  await screen.findByRole("link", { name: entry.program.name });
  expect(screen.queryByText(said)).toBeNull();
}, 30_000);

it("a program file that is none says what is wrong with it, and where", async () => {
  const fields = [{ path: "program.sessions.0.items.2.formId", message: "is missing" }];
  const { user } = open(
    { [`POST /crews/${crew.id}/programs/import`]: refusal(400, "invalid", "This file cannot be imported.", { fields }) },
    "program",
  );
  await screen.findByRole("button", { name: "Start a program" });
  await user.upload(screen.getByLabelText("Program file"), new File(["{}"], "p.json", { type: "application/json" }));
  const alert = await screen.findByRole("alert");
  expect(alert).toHaveTextContent("This file cannot be imported.");
  expect(alert).toHaveTextContent("program.sessions.0.items.2.formId is missing");
}, 30_000);

it("switching the style says what follows and what was set by hand and stays", async () => {
  const byHand = structuredClone(entry);
  const [items] = byHand.program.sessions.map((each) => each.items);
  items![1]!.dose = { kind: "holds", reps: 2, holdSec: 11, restSec: 5 };
  const { user, server } = open({ [`GET /programs/${entry.id}`]: byHand });
  await score();
  await user.click(screen.getByRole("button", { name: /Active-assisted/ }));
  const dialog = await screen.findByRole("dialog", { name: "Style of dosing" });
  await user.click(within(dialog).getByRole("radio", { name: /Long hold/ }));
  expect(within(dialog).getByRole("region", { name: "Set by hand: 1 dose stays" })).toHaveTextContent("Palm-away stretch");
  await user.click(within(dialog).getByRole("button", { name: "Keep doses I set by hand" }));
  expect(within(dialog).queryByRole("region", { name: /Set by hand/ })).toBeNull();
  expect(within(dialog).getByRole("status")).toHaveTextContent("1 dose changes");
  await user.click(within(dialog).getByRole("button", { name: "Switch the style" }));
  await status("Saved");
  expect(saved(server).at(-1)!.program.style.stretch).toBe("longHold");
}, 30_000);

it("every item stands in words under the score, is chosen there, and the length is told with what is spare", async () => {
  const { user } = open();
  const list = await score();
  const inWords = screen.getByRole("list", { name: "Warm-up in words" });
  expect(
    within(inWords)
      .getAllByRole("listitem")
      .map(({ textContent }) => textContent),
  ).toEqual([expect.stringMatching(/^1Shake-out/), expect.stringMatching(/^2Palm-away stretch.*8 times, 2 s out/i)]);
  await user.click(within(inWords).getByRole("button", { name: /Palm-away/ }));
  expect(screen.getByRole("region", { name: "Chosen item" })).toHaveTextContent("2. Palm-away stretch");
  const length = () => screen.getByRole("status", { name: "Length" }).textContent;
  const before = length();
  expect(before).toMatch(/^\d'\d\d".*spare/);
  list.focus();
  await user.keyboard("{ArrowUp}");
  expect(length()).not.toBe(before);
}, 30_000);

it("what is spare is filled by a movement that the work needs, put in where it belongs, and taken back", async () => {
  const task = taskFrom(TASK_STARTERS[0]);
  const work = withTask({ tasks: [], days: [] }, task, 480);
  const { server, user } = open({ [`GET /crews/${crew.id}/work`]: { crewId: crew.id, version: 1, work }, "GET /movements": [] });
  await score();
  await user.click(screen.getByRole("button", { name: "Fit to a length" }));
  const spare = await screen.findByRole("region", { name: /are spare: what would fit as well/ });
  const [first] = within(spare).getAllByRole("listitem");
  expect(first).toHaveTextContent(/\d'\d\d".*for /);
  const name = first!.querySelector("strong")!.textContent!;
  await user.click(within(first!).getByRole("button"));
  await waitFor(() => expect(saved(server).at(-1)!.program.sessions[0]!.items).toHaveLength(3));
  await user.click(screen.getByRole("button", { name: "Leave it" }));
  expect(names().join(" ")).toContain(name);
  await user.click(screen.getByRole("button", { name: "Undo" }));
  expect(names()).toHaveLength(2);
}, 30_000);

const rampEntry = (change: object = {}) => ({
  personId: people[1]!.id,
  days: 7,
  form: "easier",
  loadWaits: true,
  why: { awayDays: 30, from: "2026-03-26", until: "2026-04-01", ends: "2026-04-08" },
  ...change,
});

it("who is back does less by rule, in a score of their own; the trainer ends it and takes that back", async () => {
  let entries = [rampEntry()];
  const end = (body: unknown) => (entries = (body as { ended: boolean }).ended ? [] : [rampEntry()]);
  const { server, user } = open({
    [`GET /crews/${crew.id}/ramps`]: () => entries,
    [`PUT /crews/${crew.id}/people/${people[1]!.id}/ramp`]: end,
  });
  await score();
  const list = await screen.findByRole("region", { name: "New or back" });
  expect(list).toHaveTextContent(/Ben Later, away 30 days: about six tenths of each dose, one form easier/);
  expect(list).toHaveTextContent(/until Wed 1 Apr; back to what is written after Wed 8 Apr/);
  expect(screen.getByRole("combobox", { name: "Score of" })).toBeInTheDocument();
  await user.click(within(list).getByRole("button", { name: "Let Ben Later do what is written" }));
  await waitFor(() => expect(screen.queryByRole("region", { name: "New or back" })).toBeNull());
  expect(server.calls("PUT").at(-1)!.body).toEqual({ ended: true });
});

it("somebody new is told apart, and a lead sees what is done but not why", async () => {
  open({ [`GET /crews/${crew.id}/ramps`]: [rampEntry({ form: "own", why: null })] });
  await score();
  const list = await screen.findByRole("region", { name: "New or back" });
  expect(list).toHaveTextContent(/Ben Later, about six tenths of each dose, nothing in the hand/);
  expect(within(list).queryByRole("button")).toBeNull();
});

it("after a pause of the whole crew, all go on as written with one press", async () => {
  let entries = people.map(({ id }) => rampEntry({ personId: id }));
  const put = (personId: string) => ({
    [`PUT /crews/${crew.id}/people/${personId}/ramp`]: () => (entries = entries.filter((each) => each.personId !== personId)),
  });
  const { server, user } = open({ [`GET /crews/${crew.id}/ramps`]: () => entries, ...put(people[0]!.id), ...put(people[1]!.id) });
  await score();
  await user.click(await screen.findByRole("button", { name: "All as written from today" }));
  await waitFor(() => expect(screen.queryByRole("region", { name: "New or back" })).toBeNull());
  expect(server.calls("PUT").filter(({ body }) => (body as { ended?: boolean }).ended)).toHaveLength(2);
});

it("a way back that could not be ended says why, and stays", async () => {
  const { user } = open({
    [`GET /crews/${crew.id}/ramps`]: [rampEntry()],
    [`PUT /crews/${crew.id}/people/${people[1]!.id}/ramp`]: refusal(503, "away", "The database is away."),
  });
  await score();
  await user.click(await screen.findByRole("button", { name: "Let Ben Later do what is written" }));
  expect(await screen.findByRole("alert")).toHaveTextContent("The database is away.");
  expect(screen.getByRole("region", { name: "New or back" })).toHaveTextContent("Ben Later");
});

it("a load that no hand holds in another form is put down with it", async () => {
  const lift = { ...sampleSession(["lift-palm-down"], { name: "Warm-up" }) };
  lift.items = lift.items.map((item) => ({ ...item, formId: "load", loadKg: 1.5 }));
  const strong = { ...entry, program: { ...entry.program, sessions: [lift] } };
  const { server, user } = open({ [`GET /programs/${entry.id}`]: strong });
  await score();
  await user.click(screen.getByRole("option", { name: /Lift, palm down/ }));
  expect(screen.getByRole("textbox", { name: "Load in each hand" })).toHaveValue("1.5");
  await user.click(screen.getByRole("combobox", { name: "Form" }));
  await user.click(screen.getByRole("option", { name: /no load|without|empty/i }));
  await status("Saved");
  expect(saved(server).at(-1)!.program.sessions[0]!.items).toMatchObject([{ formId: "unloaded", loadKg: null }]);
}, 30_000);

it("a program whose answer was lost is made once, however often it is pressed", async () => {
  const path = `POST /crews/${crew.id}/programs`;
  const { server, user } = open({ [path]: refusal(503, "busy", "The server is busy.") }, "program");
  const press = async () => user.click(await screen.findByRole("button", { name: "Start a program" }));
  const ids = () => server.calls("POST").map(({ body }) => (body as { id: string }).id);
  await press();
  await waitFor(() => expect(ids()).toHaveLength(1));
  expect(await screen.findByText("The server is busy.")).toBeVisible();
  server.answers = { ...server.answers, [path]: (body: unknown) => ({ ...entry, ...(body as object) }) };
  await press();
  await waitFor(() => expect(ids()).toHaveLength(2));
  expect(ids()[1]).toBe(ids()[0]);
});
