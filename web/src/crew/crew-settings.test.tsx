/** What a crew is: fields that say what is wrong, a colleague's change meanwhile, undo, and taking it out. */
import { act, screen, waitFor, within } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { NoticeBar } from "../base/NoticeBar";
import { sampleCrew, NOW } from "../testing/sample";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { crewApi } from "./api";
import CrewFrame from "./CrewFrame";
import CrewSettingsPage from "./CrewSettingsPage";

const crew = sampleCrew({ kit: [{ kind: "dumbbell", massKg: 1.5, count: 4 }], settings: ["table"] });
const change = `PUT /crews/${crew.id}`;
const open = (answers: Record<string, object | null | ((body: unknown) => object | null)> = {}) => {
  const server = new TestServer({
    ...SIGNED_IN,
    "GET /today": { now: NOW, crews: [], entries: [], heldOut: [], endingSoon: [], decisions: [], alerts: [], clashes: [] },
    "GET /crews": [],
    [`GET /crews/${crew.id}`]: crew,
    [`GET /crews/${crew.id}/people`]: [],
    [`GET /crews/${crew.id}/programs`]: [],
    [`GET /crews/${crew.id}/rounds`]: [],
    [`GET /crews/${crew.id}/participation`]: [],
    [`GET /crews/${crew.id}/ramps`]: [],
    [change]: { ...crew, version: 2 },
    [`DELETE /crews/${crew.id}`]: null,
    [`POST /crews/${crew.id}/restore`]: crew,
    ...answers,
  });
  const pages = (
    <>
      <Routes>
        <Route path="crews/:crewId" element={<CrewFrame />}>
          <Route path="settings" element={<CrewSettingsPage />} />
        </Route>
        <Route path="crews" element={<p>the crews</p>} />
      </Routes>
      <NoticeBar />
    </>
  );
  return { server, ...showPage(pages, { at: `/crews/${crew.id}/settings`, path: "*" }) };
};
const sent = (server: TestServer) =>
  server.asked.filter(({ call }) => call === change).map(({ body }) => body as { version: number; crew: typeof crew });
const save = () => screen.getByRole("button", { name: "Save" });

it("what was changed is sent with the version it was changed from, and can be undone", async () => {
  const { server, user } = open();
  const name = await screen.findByRole("textbox", { name: "Name of the crew" });
  await user.clear(name);
  await user.type(name, "North yard");
  await user.click(screen.getByRole("button", { name: "Gloves on" }));
  await user.click(screen.getByRole("button", { name: "Most off the job at once: more" }));
  await user.click(save());
  const notice = await screen.findByRole("status", { name: "Notice" });
  await waitFor(() => expect(notice).toHaveTextContent("Saved."));
  expect(sent(server)[0]).toMatchObject({ version: 1, crew: { name: "North yard", conditions: ["gloves"], mostOffJob: 5 } });
  await user.click(within(notice).getByRole("button", { name: "Undo" }));
  await waitFor(() => expect(sent(server)).toHaveLength(2));
  expect(sent(server)[1]).toMatchObject({ version: 2, crew: { name: "Slate crew", conditions: [], mostOffJob: 4 } });
}, 30_000);

it.each([
  ["Name of the crew", "", "is missing"],
  ["kg each", "0", "must be 0.1 to 40 kg"],
  ["kg each", "lots", "must be a number"],
  ["Count", "201", "must be 1 to 200 pieces"],
])(
  "%s of %j: %s; nothing is sent and what was typed stays",
  async (label, typed, message) => {
    const { server, user } = open();
    const field = await screen.findByRole("textbox", { name: label });
    await user.clear(field);
    if (typed) await user.type(field, typed);
    await user.click(save());
    await waitFor(() => expect(field).toHaveAccessibleDescription(message));
    expect(field).toHaveValue(typed);
    expect(screen.getByText("Some fields need another look.")).toBeInTheDocument();
    expect(sent(server)).toEqual([]);
  },
  30_000,
);

it("a mass is taken with a comma, an empty one is none; kit comes and goes by lines", async () => {
  const { server, user } = open();
  const mass = await screen.findByRole("textbox", { name: "kg each" });
  await user.clear(mass);
  await user.type(mass, "2,5");
  await user.click(screen.getByRole("button", { name: "Add kit" }));
  await user.clear(screen.getAllByRole("textbox", { name: "kg each" })[1]!);
  await user.click(save());
  await waitFor(() => expect(sent(server)).toHaveLength(1));
  expect(sent(server)[0]!.crew.kit).toEqual([
    { kind: "dumbbell", massKg: 2.5, count: 4 },
    { kind: "dumbbell", massKg: null, count: 4 },
  ]);
  await user.click(screen.getByRole("button", { name: "Remove kit line 1" }));
  await user.click(save());
  await waitFor(() => expect(sent(server)).toHaveLength(2));
  expect(sent(server)[1]!.crew.kit).toHaveLength(1);
}, 30_000);

it("a colleague was faster: what was typed stays, and saving again replaces theirs", async () => {
  const theirs = { ...crew, version: 7, name: "Theirs" };
  let tries = 0;
  const { server, user } = open({
    [change]: () => (++tries === 1 ? refusal(409, "stale", "Somebody else changed this.", { detail: theirs }) : { ...crew, version: 8 }),
  });
  const name = await screen.findByRole("textbox", { name: "Name of the crew" });
  await user.clear(name);
  await user.type(name, "Mine");
  await user.click(save());
  expect(await screen.findByText(/Your fields are kept: saving again replaces theirs/)).toBeInTheDocument();
  expect(name).toHaveValue("Mine");
  await user.click(save());
  await waitFor(() => expect(sent(server)).toHaveLength(2));
  expect(sent(server)[1]).toMatchObject({ version: 7, crew: { name: "Mine" } });
}, 30_000);

it("a colleague's change arrives while something is typed: it is answered as stale, not written over", async () => {
  const { server, store, user } = open();
  const name = await screen.findByRole("textbox", { name: "Name of the crew" });
  await user.type(name, " crew");
  server.answers = { ...server.answers, [`GET /crews/${crew.id}`]: { ...crew, version: 7, trade: "Theirs" } };
  await act(async () => void (await store.dispatch(crewApi.endpoints.crew.initiate(crew.id, { forceRefetch: true }))));
  expect(screen.getByRole("textbox", { name: "Trade" })).toHaveValue(crew.trade);
  await user.click(save());
  await waitFor(() => expect(sent(server)).toHaveLength(1));
  expect(sent(server)[0]!.version).toBe(1);
}, 30_000);

it("what the server finds wrong stands at its field", async () => {
  const fields = [{ path: "crew.place", message: "is longer than 120 characters" }];
  const { user } = open({ [change]: refusal(422, "invalid", "Please look at these fields.", { fields }) });
  await user.type(await screen.findByRole("textbox", { name: "Place" }), "!");
  await user.click(save());
  await waitFor(() => expect(screen.getByRole("textbox", { name: "Place" })).toHaveAccessibleDescription("is longer than 120 characters"));
}, 30_000);

it("is taken out after a question, and comes back with undo", async () => {
  const { server, user } = open();
  await user.click(await screen.findByRole("button", { name: "Remove this crew" }));
  const dialog = screen.getByRole("dialog", { name: "Remove Slate crew?" });
  expect(server.calls("DELETE")).toEqual([]);
  await user.click(within(dialog).getByRole("button", { name: "Remove the crew" }));
  expect(await screen.findByText("the crews")).toBeInTheDocument();
  await user.click(within(screen.getByRole("status", { name: "Notice" })).getByRole("button", { name: "Undo" }));
  await waitFor(() => expect(server.calls("POST").map(({ call }) => call)).toEqual([`POST /crews/${crew.id}/restore`]));
}, 30_000);

it("a crew that could not be removed is said to be there, and the page stays", async () => {
  const { user } = open({ [`DELETE /crews/${crew.id}`]: refusal(403, "notYours", "This crew is a colleague's now.") });
  await user.click(await screen.findByRole("button", { name: "Remove this crew" }));
  await user.click(within(screen.getByRole("dialog")).getByRole("button", { name: /Remove/ }));
  await waitFor(() =>
    expect(screen.getByRole("status", { name: "Notice" })).toHaveTextContent("Not done. This crew is a colleague's now."),
  );
  // The question closes slowly, and hides the page until it is gone; the notice is told beside it.
  expect(await screen.findByRole("textbox", { name: "Name of the crew" })).toBeInTheDocument();
  expect(screen.queryByText(/is removed/)).toBeNull();
}, 30_000);
