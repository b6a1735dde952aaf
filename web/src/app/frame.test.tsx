/** The frame of every page: whoever stopped and told is seen from anywhere, by those who answer. */
import { act, screen } from "@testing-library/react";
import { sampleAlert, sampleToday } from "../testing/sample";
import { showPage, SIGNED_IN, TestServer, type Answers } from "../testing/screen";
import { Frame } from "./Frame";

const me = SIGNED_IN["GET /me"];
beforeEach(() => void jest.useFakeTimers());
afterEach(() => void jest.useRealTimers());
/** The page that was gone to is there; so much later. */
const later = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));
const open = (answers: Answers, at = "/library") => {
  const server = new TestServer({ ...SIGNED_IN, ...answers });
  return { server, ...showPage(<Frame />, { at, path: "*", knowsMe: false }) };
};
const LEAD = { "GET /me": { ...me, account: { ...me.account, role: "lead" } } };

it("a trainer in the library sees how many wait for an answer, also of those who told since", async () => {
  const { server } = open({ "GET /today": sampleToday({ alerts: [sampleAlert()] }) });
  await later(500);
  // The page that was gone to comes first.
  expect(screen.getByRole("link", { name: "Today" })).toBeInTheDocument();
  expect(server.calls("GET /today")).toEqual([]);
  await later(2000);
  expect(await screen.findByRole("img", { name: "1 person stopped and told you" })).toHaveTextContent("1");
  server.answers = { ...server.answers, "GET /today": sampleToday({ alerts: [sampleAlert(), sampleAlert({ personId: "another" })] }) };
  await later(31_000);
  expect(await screen.findByRole("link", { name: /2 people stopped and told you.*Today/ })).toHaveAttribute("href", "/today");
});

it("nothing is marked where nobody waits, and a lead, who answers nobody, does not ask", async () => {
  const { unmount, server } = open({ "GET /today": sampleToday() });
  await later(3000);
  expect(server.calls("GET /today")).toHaveLength(1);
  expect(screen.getByRole("link", { name: "Today" })).toBeInTheDocument();
  unmount();
  const lead = open({ ...LEAD, "GET /today": sampleToday({ alerts: [sampleAlert()] }) }, "/today");
  await later(3000);
  expect(screen.getByRole("link", { name: "Today" })).toBeInTheDocument();
  expect(lead.server.calls("GET /today")).toEqual([]);
});

it.each(["/today", "/week", "/week/2026-03-23", "/practice", "/crews/1/run/2/3"])("a lead stays at %s", async (at) => {
  const { router } = open(LEAD, at);
  await later(500);
  expect(router.state.location.pathname).toBe(at);
});

it.each([
  "/library",
  "/library/studio",
  "/crews",
  "/crews/1/people",
  "/crews/1/runs/2",
  "/crews/1/work/observe",
  "/practice/tokens",
  "/bench/lever",
])("a lead who types %s is at Today: everything there is the trainer's", async (at) => {
  const { router } = open(LEAD, at);
  await later(500);
  expect(router.state.location.pathname).toBe("/today");
});

it("a trainer is where they went", async () => {
  const { router } = open({ "GET /today": sampleToday() }, "/crews/1/people");
  await later(500);
  expect(router.state.location.pathname).toBe("/crews/1/people");
});
