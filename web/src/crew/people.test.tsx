/** The people of a crew: nobody, forty, some who left, some held out; and days somebody is excused. */
import { screen, waitFor, within } from "@testing-library/react";
import { Route, Routes } from "react-router";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { dayField, shownDay } from "../testing/type-day";
import { NOW, sampleCrew, samplePerson } from "../testing/sample";
import { NoticeBar } from "../base/NoticeBar";
import CrewFrame from "./CrewFrame";
import { Excused } from "./Excused";
import PeoplePage from "./PeoplePage";

const crew = sampleCrew();
const open = (people: object[], participation: object[] = [], answers: object = {}) => {
  const server = new TestServer({
    ...SIGNED_IN,
    "GET /today": { now: NOW, crews: [], entries: [], heldOut: [], endingSoon: [], decisions: [], alerts: [], clashes: [] },
    [`GET /crews/${crew.id}`]: crew,
    "GET /crews": [{ ...crew, people: people.length, programs: 0 }],
    [`GET /crews/${crew.id}/people`]: people,
    [`GET /crews/${crew.id}/programs`]: [],
    [`GET /crews/${crew.id}/rounds`]: [],
    [`GET /crews/${crew.id}/participation`]: participation,
    [`GET /crews/${crew.id}/ramps`]: [],
    [`GET /crews/${crew.id}/absences`]: [],
    ...answers,
  });
  const pages = (
    <>
      <Routes>
        <Route path="crews/:crewId" element={<CrewFrame />}>
          <Route path="people" element={<PeoplePage />} />
        </Route>
      </Routes>
      <NoticeBar />
    </>
  );
  return { server, ...showPage(pages, { at: `/crews/${crew.id}/people`, path: "*" }) };
};

it("with nobody it says where to begin", async () => {
  open([]);
  expect(await screen.findByText("Nobody here yet")).toBeInTheDocument();
  expect(screen.getByRole("link", { name: "Bring in a list" })).toHaveAttribute("href", expect.stringContaining("import"));
  expect(screen.queryByRole("link", { name: "Sign-in cards" })).toBeNull();
});

it("with forty it counts them, says how many are held out, and keeps those who left apart", async () => {
  const people = Array.from({ length: 40 }, (_, i) => samplePerson({ name: `Person ${String(i + 1).padStart(2, "0")}` }));
  const gone = samplePerson({ name: "Gone Before", leftOn: "2025-12-31" });
  const out = { heldOut: true, outOf: [], cappedRegions: [], shortOfEndDeg: null };
  const { user } = open([...people, gone], [{ personId: people[3]!.id, ...out }]);
  expect(await screen.findByRole("heading", { name: "40 people" })).toBeInTheDocument();
  expect(screen.getByRole("link", { name: "Held out: 1" })).toBeInTheDocument();
  expect(screen.queryByText("Gone Before")).toBeNull();
  await user.click(screen.getByRole("radio", { name: "Left (1)" }));
  expect(await screen.findByText("Gone Before")).toBeInTheDocument();
}, 30_000);

it("says of nobody that they take part in everything while that cannot be read", async () => {
  open([samplePerson()], [], { [`GET /crews/${crew.id}/participation`]: refusal(503, "busy", "The server is busy.") });
  expect(await screen.findByText(/not known yet/)).toBeInTheDocument();
  expect(screen.queryByText(/everything/)).toBeNull();
});

it("puts the chosen into a group of the crew's plan, and takes it back", async () => {
  const people = ["Ann", "Bo", "Cy"].map((name) => samplePerson({ name }));
  const address = `/crews/${crew.id}/plan/2026-03-23`;
  const groups = [{ id: people[0]!.id, name: "Early birds", people: [people[0]!.id] }];
  const week = {
    crewId: crew.id,
    weekStart: "2026-03-23",
    version: 3,
    placements: [],
    kept: [],
    neighbours: [],
    standing: { groups, series: [] },
  };
  const { server, user } = open(people, [], {
    [`GET ${address}`]: week,
    [`PUT ${address}`]: (body: unknown) => ({ ...week, version: 4, ...(body as object) }),
  });
  await user.click(await screen.findByRole("button", { name: "Choose all 3" }));
  const region = screen.getByRole("region", { name: "Set for the chosen" });
  await user.click(await within(region).findByRole("combobox", { name: "Group" }));
  await user.click(screen.getByRole("option", { name: "Early birds" }));
  const sent = () => server.calls("PUT").map(({ body }) => body as { version: number; standing: { groups: { people: string[] }[] } });
  await waitFor(() => expect(sent().map(({ version, standing }) => [version, standing.groups[0]!.people.length])).toEqual([[3, 3]]));
  await user.click(await screen.findByRole("button", { name: "Undo" }));
  await waitFor(() => expect(sent().at(-1)!.standing.groups).toEqual(groups));
}, 30_000);

it("sets the hand of forty in two acts, in one request, and takes it back in one", async () => {
  const people = Array.from({ length: 40 }, (_, i) => samplePerson({ name: `Person ${i + 1}`, handedness: i < 3 ? "left" : null }));
  const { server, user } = open(people, [], {
    [`POST /crews/${crew.id}/people`]: (body: unknown) =>
      (body as { changes: { id: string; version: number; person: object }[] }).changes.map(({ id, version, person }) => ({
        id,
        version: version + 1,
        ...person,
      })),
  });
  await user.click(await screen.findByRole("button", { name: "Choose all 40" }));
  const region = screen.getByRole("region", { name: "Set for the chosen" });
  expect(region).toHaveTextContent("40 chosen");
  await user.click(within(region).getByRole("radio", { name: "L" }));
  // Who is left-handed already is not written again.
  await waitFor(() => expect(server.calls("POST")).toHaveLength(1));
  const sent = () =>
    server.calls("POST").map(({ body }) => (body as { changes: { version: number; person: { handedness: string } }[] }).changes);
  expect(sent()[0]!.map(({ person, version }) => [person.handedness, version])).toEqual(people.slice(3).map(() => ["left", 1]));
  await user.click(await screen.findByRole("button", { name: "Undo" }));
  await waitFor(() => expect(sent()).toHaveLength(2));
  expect(sent()[1]!.map(({ person, version }) => [person.handedness, version])).toEqual(people.slice(3).map(() => [null, 2]));
}, 30_000);

it("looks for somebody by name, and whoever was chosen stays chosen", async () => {
  const { user } = open([
    samplePerson({ name: "Ada Moss" }),
    samplePerson({ name: "Bo Fern", handedness: null }),
    samplePerson({ name: "Cy Reed" }),
  ]);
  await user.type(await screen.findByRole("searchbox", { name: "Find a person" }), "ada");
  await user.click(await screen.findByRole("button", { name: "Choose this one" }));
  await user.clear(screen.getByRole("searchbox", { name: "Find a person" }));
  await user.click(screen.getByRole("combobox", { name: "Who is looked for" }));
  await user.click(await screen.findByRole("option", { name: "Main hand not known" }));
  await user.click(await screen.findByRole("button", { name: "Choose this one" }));
  expect(screen.getByRole("region", { name: "Set for the chosen" })).toHaveTextContent("2 chosen");
  await user.type(screen.getByRole("searchbox", { name: "Find a person" }), "nobody");
  await user.click(await screen.findByRole("button", { name: "Show everybody" }));
  expect(await screen.findByText("Cy Reed")).toBeInTheDocument();
}, 30_000);

it("who was changed by somebody else meanwhile is named, and nothing is set", async () => {
  const ada = samplePerson({ name: "Ada Moss" });
  const { user } = open([ada], [], {
    [`POST /crews/${crew.id}/people`]: refusal(409, "stale", "Somebody else saved a newer version.", { detail: [{ ...ada, version: 2 }] }),
  });
  await user.click(await screen.findByRole("button", { name: "Choose this one" }));
  await user.click(screen.getByRole("radio", { name: "LR" }));
  expect(await screen.findByRole("alert")).toHaveTextContent("Somebody else changed Ada Moss meanwhile");
});

it("an absence that ends before it begins says so at its field, and is not lost", async () => {
  const person = samplePerson();
  const server = new TestServer({
    ...SIGNED_IN,
    [`GET /crews/${crew.id}/absences`]: [],
    [`POST /crews/${crew.id}/absences`]: refusal(400, "invalid", "Look again.", {
      fields: [{ path: "until", message: "is before the first day" }],
    }),
  });
  const { user } = showPage(<Excused crewId={crew.id} personId={person.id} today="2026-03-26" />);
  await user.click(await screen.findByRole("button", { name: "Excuse" }));
  expect(await screen.findByText("is before the first day")).toBeInTheDocument();
  expect(server.calls("POST")[0]!.body).toMatchObject({ personId: person.id, from: "2026-03-26", until: "2026-03-26" });
  expect(shownDay(dayField("From"))).toBe("26 Mar 2026");
});

it("an absence is taken back with its own button", async () => {
  const person = samplePerson();
  const absence = { id: samplePerson().id, personId: person.id, from: "2026-03-20", until: "2026-03-22" };
  const server = new TestServer({
    ...SIGNED_IN,
    [`GET /crews/${crew.id}/absences`]: [absence],
    [`DELETE /crews/${crew.id}/absences/${absence.id}`]: [],
  });
  const { user } = showPage(<Excused crewId={crew.id} personId={person.id} today="2026-03-26" />);
  await user.click(await screen.findByRole("button", { name: "Take back 20 Mar 2026 to 22 Mar 2026" }));
  await waitFor(() => expect(server.calls("DELETE")).toHaveLength(1));
});
