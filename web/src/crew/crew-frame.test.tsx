/** The path of a crew: what each step is called, how far it is, and that nothing is claimed of what is not known. */
import { act, screen, waitFor, within } from "@testing-library/react";
import { Route, Routes } from "react-router";
import type { CrewPath } from "@kind-grip/core/api";
import { workApi } from "../work/api";
import { sampleCrew } from "../testing/sample";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import { useAppDispatch } from "../base/store";
import CrewFrame from "./CrewFrame";

const crew = sampleCrew();
const AT = `GET /crews/${crew.id}/path`;
const PATH: CrewPath = {
  people: "needsYou",
  work: "ready",
  baseline: "part",
  program: "ready",
  plan: "ready",
  runs: "empty",
  progress: "empty",
  report: "empty",
};
/** What is saved as it is typed says of no list that it has changed. */
function Saves() {
  const dispatch = useAppDispatch();
  const save = { crewId: crew.id, version: 0, work: { tasks: [], days: [] } };
  return <button onClick={() => void dispatch(workApi.endpoints.saveWork.initiate(save))}>save</button>;
}
const open = (answers: object = {}, change: object = {}) => {
  const server = new TestServer({ ...SIGNED_IN, [`GET /crews/${crew.id}`]: { ...crew, ...change }, [AT]: PATH, ...answers });
  const pages = (
    <Routes>
      <Route path="crews/:crewId" element={<CrewFrame />}>
        <Route path="people" element={<Saves />} />
      </Route>
    </Routes>
  );
  return { server, ...showPage(pages, { at: `/crews/${crew.id}/people`, path: "*" }) };
};
const steps = async () => within(await screen.findByRole("navigation", { name: "Steps of this crew" })).getAllByRole("link");
const marks = async () =>
  (await steps()).map((link) => `${link.textContent}: ${within(link).queryByLabelText(/./)?.getAttribute("aria-label") ?? "–"}`);

it("tells of each step how far it is", async () => {
  open();
  await waitFor(async () =>
    expect(await marks()).toEqual([
      "People: needs you",
      "Work: ready",
      "Baseline: part",
      "Program: ready",
      "Day plan: ready",
      "Runs: empty",
      "Progress: empty",
      "Report: empty",
    ]),
  );
});

it("nothing is called empty before it is known, nor where it cannot be read", async () => {
  const { server } = open({ [AT]: refusal(503, "away", "Away") });
  await waitFor(() => expect(server.calls(AT).length).toBe(1));
  expect(new Set((await marks()).map((mark) => mark.split(": ")[1]))).toEqual(new Set(["–"]));
});

it("who works by bookings has them in the place of a day plan", async () => {
  open({}, { byBookings: true });
  expect((await steps()).map(({ textContent }) => textContent)).toContain("Bookings");
});

it("is asked for again once something was changed, whatever it was", async () => {
  const { server, user } = open({ [`PUT /crews/${crew.id}/work`]: { crewId: crew.id, version: 1, work: { tasks: [], days: [] } } });
  await waitFor(async () => expect(await marks()).toContain("Runs: empty"));
  server.answers = { ...server.answers, [AT]: { ...PATH, runs: "ready" } };
  await act(async () => user.click(screen.getByRole("button", { name: "save" })));
  await waitFor(async () => expect(await marks()).toContain("Runs: ready"));
  // Once as the page was opened, once for what was saved.
  expect(server.calls(AT)).toHaveLength(2);
});
