/** A roster file before anything is kept: columns, words, cells written over, who is known already; and what is sent. */
import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { NOW, sampleCrew, samplePerson } from "../testing/sample";
import CrewFrame from "./CrewFrame";
import RosterImportPage from "./RosterImportPage";

const crew = sampleCrew();
const ada = samplePerson({ name: "Ada Moss", badge: "7", handedness: null });
const bo = samplePerson({ name: "Bo Fern", badge: null });

const open = (answers: object = {}) => {
  const server = new TestServer({
    ...SIGNED_IN,
    "GET /today": { now: NOW, crews: [], entries: [], heldOut: [], endingSoon: [], decisions: [], alerts: [], clashes: [] },
    [`GET /crews/${crew.id}`]: crew,
    "GET /crews": [{ ...crew, people: 2, programs: 0, sharedBy: null }],
    [`GET /crews/${crew.id}/people`]: [ada, bo],
    [`GET /crews/${crew.id}/programs`]: [],
    [`GET /crews/${crew.id}/rounds`]: [],
    [`GET /crews/${crew.id}/participation`]: [],
    [`GET /crews/${crew.id}/ramps`]: [],
    [`POST /crews/${crew.id}/people`]: (body: unknown) => (body as { people: object[] }).people,
    ...answers,
  });
  const pages = (
    <Routes>
      <Route path="crews/:crewId" element={<CrewFrame />}>
        <Route path="people" element={<p>the people</p>} />
        <Route path="people/import" element={<RosterImportPage />} />
      </Route>
    </Routes>
  );
  return { server, ...showPage(pages, { at: `/crews/${crew.id}/people/import`, path: "*" }) };
};
const FILE = [
  "West shed;;;",
  "Nummer;Name;Hand;Eintritt",
  "7;Ada Moss;gauche;3.2.24",
  ";Fern Bo;R;",
  "9;Cy Quill;L;31.2.2024",
  "10;Di Reed;L;",
].join("\n");
const choose = async (text = FILE) => {
  const input = await screen.findByLabelText("Roster file");
  fireEvent.change(input, { target: { files: [new File([text], "list.csv", { type: "text/csv" })] } });
  await screen.findByText("list.csv");
};
const keep = (name: RegExp) => screen.getByRole("button", { name });

it("finds the header under a title, asks what a word means and who somebody is, and says what would happen", async () => {
  const { user, server } = open();
  await choose();
  expect(screen.getByRole("combobox", { name: "Columns are named in" })).toHaveTextContent("line 2: Nummer, Name");
  // A word in no list, a day that is none and somebody of the same name wait.
  expect(keep(/^Keep/)).toHaveTextContent("Keep 1 new, leave out 3");

  await user.click(screen.getByRole("combobox", { name: "“gauche”, 1 row" }));
  await user.click(await screen.findByRole("option", { name: "left" }));
  expect(keep(/^Keep/)).toHaveTextContent("Keep 1 new, 1 changed, leave out 2");

  const asked = await screen.findByRole("group", { name: "Line 4: is it Bo Fern?" });
  await user.click(within(asked).getByRole("button", { name: "The same" }));
  expect(keep(/^Keep/)).toHaveTextContent("Keep 1 new, 1 changed, leave out 1");
  await user.click(screen.getByRole("button", { name: "Ask about line 4 again" }));
  await user.click(within(await screen.findByRole("group", { name: /^Line 4/ })).getByRole("button", { name: "Somebody else" }));
  expect(keep(/^Keep/)).toHaveTextContent("Keep 2 new, 1 changed, leave out 1");

  await user.click(keep(/^Keep/));
  expect(await screen.findByText("the people")).toBeInTheDocument();
  const { people, changes, answers } = server.calls("POST")[0]!.body as Record<string, { id: string; name: string }[]>;
  expect(people!.map(({ name }) => name)).toEqual(["Fern Bo", "Di Reed"]);
  expect(changes).toEqual([
    {
      id: ada.id,
      version: 1,
      person: { name: "Ada Moss", badge: "7", handedness: "left", startedOn: "2024-02-03", leftOn: null, language: null },
    },
  ]);
  expect(answers).toEqual([{ id: people![0]!.id, sameAs: null }]);
}, 60_000);

it("a cell is written over where it is, and the row is good", async () => {
  const { user } = open();
  await choose("Name;Hand\nEve Lark;sideways");
  expect(keep(/Nothing to keep/)).toBeDisabled();
  await user.dblClick(screen.getByText("sideways"));
  const cell = await screen.findByRole("textbox");
  await user.clear(cell);
  await user.type(cell, "links{Enter}");
  await waitFor(() => expect(keep(/^Keep/)).toHaveTextContent("Keep 1 new"));
  expect(screen.queryByRole("group", { name: "What words mean" })).toBeNull();
}, 60_000);

it("who was changed meanwhile is named, and everything that was said stays", async () => {
  const { user } = open({
    [`POST /crews/${crew.id}/people`]: refusal(409, "stale", "Somebody else saved a newer version.", { detail: [{ ...ada, version: 2 }] }),
  });
  await choose("Badge;Name;Hand\n7;Ada Moss;L");
  await user.click(keep(/^Keep 1 changed/));
  expect(await screen.findByRole("alert")).toHaveTextContent("Somebody else changed Ada Moss meanwhile");
  expect(keep(/^Keep 1 changed/)).toBeEnabled();
});

it("a file without a line of names is read all the same", async () => {
  const { user } = open();
  await choose("Eve Lark;12\nFay Marsh;13");
  await user.click(screen.getByRole("combobox", { name: "Columns are named in" }));
  await user.click(await screen.findByRole("option", { name: "no line: all are people" }));
  await user.click(screen.getByRole("combobox", { name: "Name" }));
  await user.click(await screen.findByRole("option", { name: "column 1: Eve Lark" }));
  expect(keep(/^Keep/)).toHaveTextContent("Keep 2 new");
});

it("whoever left and is on the list again is asked about, and is here again once that is said", async () => {
  const gone = samplePerson({ name: "Eve Gorse", badge: "21", leftOn: "2025-01-01" });
  const { user, server } = open({ [`GET /crews/${crew.id}/people`]: [ada, bo, gone] });
  await choose("Nummer;Name\n21;Eve Gorse");
  const asked = await screen.findByRole("group", { name: "Line 2: is it Eve Gorse?" });
  expect(asked).toHaveTextContent("left 1 Jan 2025; the same is here again");
  await user.click(within(asked).getByRole("button", { name: "The same" }));
  await user.click(keep(/^Keep/));
  await waitFor(() => expect(server.calls("POST")).toHaveLength(1));
  expect(server.calls("POST")[0]!.body).toMatchObject({
    people: [],
    changes: [{ id: gone.id, person: { name: "Eve Gorse", leftOn: null } }],
  });
}, 30_000);
