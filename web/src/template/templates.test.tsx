/** Templates: starting with one, what does not fit answered, keeping one, copying to another crew, bringing a session in. */
import { screen, waitFor, within } from "@testing-library/react";
import { Outlet, Route, Routes } from "react-router";
import type { TemplateEntry } from "@kind-grip/core/api";
import type { Program } from "@kind-grip/core/program";
import CrewFrame from "../crew/CrewFrame";
import { NoticeBar } from "../base/NoticeBar";
import ProgramPage from "../program/ProgramPage";
import { showCrewPage } from "../testing/crew-page";
import { sampleCrew, sampleId, samplePerson, sampleProgram, sampleSession, sampleToday } from "../testing/sample";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import TemplatesPage from "./TemplatesPage";

const crew = sampleCrew({ settings: ["any"], kit: [] });
const kept: TemplateEntry = {
  id: sampleId(),
  keptAt: "2026-03-01T08:00:00.000Z",
  name: "Our own",
  why: "For whoever stands all day.",
  program: sampleProgram(crew.id, [sampleSession(["shake-out", "finger-lift"])]).program,
};
const made = sampleProgram(crew.id);
const openTemplates = (answers: object = {}) =>
  showCrewPage(<TemplatesPage />, "program/templates", {
    crew,
    answers: { "GET /templates": [kept], "GET /movements": [], [`POST /crews/${crew.id}/programs`]: made, ...answers },
  });
const posted = (server: TestServer) => server.calls("POST").map(({ body }) => (body as { program: Program }).program);
const movements = (program: Program) => program.sessions.map(({ items }) => items.map(({ movementId }) => movementId));

it("says for each for whom it is, what is in it and how long; the practice's own stand first", async () => {
  openTemplates();
  const own = await screen.findByRole("region", { name: "Kept by your practice" });
  expect(own).toHaveTextContent("For whoever stands all day.");
  const shipped = within(screen.getByRole("region", { name: "For other kinds of work" })).getAllByRole("listitem");
  expect(shipped).toHaveLength(6);
  for (const each of shipped) expect(each).toHaveTextContent(/\d'\d\d" Warm-up.*Shake-out/);
});

it("one that fits is made a program with one press, under the name that is typed", async () => {
  const { server, user, router } = openTemplates();
  await user.click(await screen.findByRole("button", { name: "Start with Pruning and picking" }));
  const dialog = screen.getByRole("dialog");
  expect(dialog).toHaveTextContent("Everything in it can be done there.");
  const name = within(dialog).getByRole("textbox", { name: "Name" });
  await user.clear(name);
  expect(within(dialog).getByRole("button", { name: "Make it a program" })).toBeDisabled();
  await user.type(name, "Vine hands");
  await user.click(within(dialog).getByRole("button", { name: "Make it a program" }));
  await waitFor(() => expect(router.state.location.pathname).toBe(`/crews/${crew.id}/program/${made.id}`));
  expect(posted(server)[0]).toMatchObject({ name: "Vine hands", weeks: 4 });
  expect(movements(posted(server)[0]!)).toHaveLength(3);
});

it("what cannot be done there is a list to answer, with what is nearest chosen already", async () => {
  const { server, user } = openTemplates();
  await user.click(await screen.findByRole("button", { name: "Start with Our own" }));
  const dialog = screen.getByRole("dialog");
  expect(dialog).toHaveTextContent("1 item cannot be done there");
  expect(dialog).toHaveTextContent(/Finger lift.*Needs: table/);
  const choice = within(dialog).getByRole("radiogroup", { name: "Instead of Finger lift" });
  expect(within(choice).getAllByRole("radio")[0]).toBeChecked();
  await user.click(within(choice).getByRole("radio", { name: "Leave out" }));
  await user.click(within(dialog).getByRole("button", { name: "Make it a program" }));
  await waitFor(() => expect(posted(server)).toHaveLength(1));
  expect(movements(posted(server)[0]!)).toEqual([["shake-out"]]);
});

it("a refusal stays in the dialog with its reason", async () => {
  const { user } = openTemplates({ [`POST /crews/${crew.id}/programs`]: refusal(400, "invalid", "A crew has at most 20 programs.") });
  await user.click(await screen.findByRole("button", { name: "Start with Sewing floor" }));
  await user.click(screen.getByRole("button", { name: "Make it a program" }));
  expect(await screen.findByRole("alert")).toHaveTextContent("A crew has at most 20 programs.");
});

it("one of the practice's own is taken out, and brought back by the notice", async () => {
  const { server, user } = openTemplates({ [`DELETE /templates/${kept.id}`]: {}, [`POST /templates/${kept.id}/restore`]: {} });
  await user.click(await screen.findByRole("button", { name: "Take Our own out" }));
  await user.click(await screen.findByRole("button", { name: "Undo" }));
  await waitFor(() => expect(server.asked.map(({ call }) => call)).toContain(`POST /templates/${kept.id}/restore`));
});

describe("from an open program", () => {
  const person = samplePerson();
  const other = sampleCrew({ id: sampleId(), name: "Other crew", settings: ["any"], kit: [] });
  const entry = sampleProgram(crew.id, [sampleSession(["shake-out", "finger-lift"])]);
  entry.program.sessions[0]!.items[0]!.personal = { [person.id]: { formId: entry.program.sessions[0]!.items[0]!.formId } };
  const second = sampleProgram(crew.id, [sampleSession(["wrist-nod"], { id: sampleId(), name: "Noon" })]);
  const openProgram = (answers: object = {}) => {
    const server = new TestServer({
      ...SIGNED_IN,
      "GET /today": sampleToday(),
      "GET /templates": [],
      "GET /movements": [],
      "GET /crews": [crew, other].map((each) => ({ ...each, people: 1, programs: 1, sharedBy: null })),
      [`GET /crews/${crew.id}`]: crew,
      [`GET /crews/${crew.id}/people`]: [person],
      [`GET /crews/${crew.id}/programs`]: [entry, { ...second, id: sampleId() }],
      [`GET /crews/${crew.id}/participation`]: [],
      [`GET /crews/${crew.id}/ramps`]: [],
      [`GET /crews/${crew.id}/work`]: { crewId: crew.id, version: 0, work: { tasks: [], days: [] } },
      [`GET /crews/${crew.id}/rounds`]: [],
      [`GET /programs/${entry.id}`]: entry,
      "GET /practice/settings": { version: 0, settings: { style: entry.program.style, thresholds: {} } },
      [`PUT /programs/${entry.id}`]: (body: unknown) => ({ ...entry, ...(body as object), version: 2 }),
      ...answers,
    });
    const pages = (
      <>
        <Routes>
          <Route path="crews/:crewId" element={<CrewFrame />}>
            <Route path="program/:programId" element={<ProgramPage />} />
            <Route path="*" element={<Outlet />} />
          </Route>
        </Routes>
        <NoticeBar />
      </>
    );
    return { server, ...showPage(pages, { at: `/crews/${crew.id}/program/${entry.id}`, path: "*" }) };
  };
  const choose = async (user: ReturnType<typeof openProgram>["user"], item: string) => {
    await user.click(await screen.findByRole("button", { name: "More" }));
    await user.click(screen.getByRole("menuitem", { name: item }));
  };

  it("is kept as a template, and not any more by the notice", async () => {
    const { server, user } = openProgram({ "POST /templates": kept, [`DELETE /templates/${kept.id}`]: {} });
    await choose(user, "Keep as a template");
    const dialog = screen.getByRole("dialog", { name: "Keep as a template" });
    await user.type(within(dialog).getByRole("textbox", { name: /For whom/ }), "Stands all day");
    await user.click(within(dialog).getByRole("button", { name: "Keep" }));
    expect(await screen.findByText(/is kept as a template of the practice/)).toBeInTheDocument();
    expect(server.calls("POST")[0]!.body).toMatchObject({ why: "Stands all day", name: entry.program.name });
  });

  it("is copied to another crew without its people, answering what cannot be done there", async () => {
    const { server, user, router } = openProgram({ [`POST /crews/${other.id}/programs`]: { ...made, crewId: other.id } });
    await choose(user, "Copy to a new block or another crew");
    await user.click(await screen.findByRole("radio", { name: "Other crew" }));
    await user.click(screen.getByRole("button", { name: "Go on" }));
    await user.click(screen.getByRole("button", { name: "Copy it" }));
    await waitFor(() => expect(router.state.location.pathname).toBe(`/crews/${other.id}/program/${made.id}`));
    const [copied] = posted(server);
    expect(copied!.sessions[0]!.items.map(({ personal }) => personal)).toEqual([{}, {}]);
    expect(movements(copied!)[0]).not.toContain("finger-lift");
    expect(copied!.sessions[0]!.id).not.toBe(entry.program.sessions[0]!.id);
  });

  it("as the next block of the same crew keeps its people", async () => {
    const { server, user } = openProgram({ [`POST /crews/${crew.id}/programs`]: made });
    await choose(user, "Copy to a new block or another crew");
    await user.click(await screen.findByRole("button", { name: "Go on" }));
    await user.click(screen.getByRole("button", { name: "Copy it" }));
    await waitFor(() => expect(posted(server)).toHaveLength(1));
    expect(posted(server)[0]!.name).toBe(`${entry.program.name}, next block`);
    expect(Object.keys(posted(server)[0]!.sessions[0]!.items[0]!.personal)).toEqual([person.id]);
  });

  it("takes in a session of another program, which is saved", async () => {
    const { server, user } = openProgram();
    await user.click(await screen.findByRole("button", { name: "Session" }));
    await user.click(screen.getByRole("menuitem", { name: "From another program or a template" }));
    await user.click(await screen.findByRole("button", { name: /Noon/ }));
    await user.click(screen.getByRole("button", { name: "Bring it in" }));
    await waitFor(() => expect(server.calls("PUT")).not.toHaveLength(0));
    const { program } = server.calls("PUT").at(-1)!.body as { program: Program };
    expect(movements(program)).toEqual([["shake-out", "finger-lift"], ["wrist-nod"]]);
  });
});
