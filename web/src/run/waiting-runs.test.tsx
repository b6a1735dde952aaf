/** What waits in a browser several trainers use: each one's goes out as theirs, what is refused stays to be read. */
import { act, screen, waitFor, within } from "@testing-library/react";
import { samplePerson } from "../testing/sample";
import { refusal, showPage, SIGNED_IN, TestServer } from "../testing/screen";
import type { RunRecord } from "@kind-grip/core/run";
import { everythingWaiting, putReport, putRun } from "./outbox";
import { RunOutboxSender } from "./RunOutboxSender";
import { WaitingRuns } from "./WaitingRuns";

const ME = SIGNED_IN["GET /me"].account.email;
const OTHER = "colleague@test.example";
const ann = samplePerson();
const run = (id: string, name = "Warm-up") =>
  ({
    id,
    crewId: "c",
    session: { id: "s", name, slot: "preShift", items: [] },
    people: [{ personId: ann.id, present: true, effort: 3, marks: [], forms: {}, leftOut: [] }],
  }) as unknown as RunRecord;
const open = (answers: Record<string, object | null | ((body: unknown) => object | null)> = {}) => {
  const server = new TestServer({ ...SIGNED_IN, "GET /crews/c/people": [ann], ...answers });
  const shown = showPage(
    <>
      <WaitingRuns />
      <RunOutboxSender />
    </>,
  );
  return { server, ...shown };
};
const sent = (server: TestServer) => server.calls("PUT").map(({ call }) => call);
beforeEach(() => localStorage.clear());

it("what somebody felt goes out first, then runs; what was confirmed leaves", async () => {
  putRun(run("a"), ME);
  putReport({ crewId: "c", personId: "p", report: { id: "r" } as never }, ME);
  const { server } = open({
    "PUT /runs/a": { id: "a", stored: "new" },
    "PUT /crews/c/people/p/symptom-reports/r": { id: "r", stored: "new" },
  });
  await waitFor(() => expect(everythingWaiting()).toEqual([]));
  expect(sent(server)).toEqual(["PUT /crews/c/people/p/symptom-reports/r", "PUT /runs/a"]);
});

it("what somebody felt stays until who may do what is here that knows of it: sent again, it is stored once", async () => {
  putReport({ crewId: "c", personId: "p", report: { id: "r" } as never }, ME);
  let known = false;
  const { server } = open({
    "PUT /crews/c/people/p/symptom-reports/r": { id: "r", stored: "new" },
    "GET /crews/c/participation": () => (known ? [] : refusal(503, "busy", "busy")),
  });
  await waitFor(() => expect(server.calls("GET /crews/c/participation")).toHaveLength(1));
  expect(everythingWaiting()).toHaveLength(1);
  known = true;
  putReport({ crewId: "c", personId: "p", report: { id: "r" } as never }, ME);
  await waitFor(() => expect(everythingWaiting()).toEqual([]));
  expect(new Set(sent(server))).toEqual(new Set(["PUT /crews/c/people/p/symptom-reports/r"]));
});

it("a colleague's run is not sent, is shown as theirs and can be saved as a file", async () => {
  putRun(run("a", "Their warm-up"), OTHER);
  const saved: Blob[] = [];
  URL.createObjectURL = (blob: Blob) => (saved.push(blob), "blob:test");
  URL.revokeObjectURL = () => undefined;
  const { server, user } = open({ "PUT /runs/a": { id: "a", stored: "new" } });
  const notice = await screen.findByRole("status");
  expect(notice).toHaveTextContent(`Kept here for ${OTHER}: the run of Their warm-up.`);
  await user.click(within(notice).getByRole("button", { name: "Save as a file" }));
  expect(saved).toHaveLength(1);
  expect([sent(server), everythingWaiting().length]).toEqual([[], 1]);
});

it("somebody else signed in meanwhile in another tab: the server takes nothing, and nothing is dropped", async () => {
  putRun(run("a"), ME);
  const { server } = open({ "PUT /runs/a": refusal(401, "otherOwner", "Somebody else is signed in here.") });
  await waitFor(() => expect(sent(server).length).toBeGreaterThan(0));
  expect(everythingWaiting()).toMatchObject([{ id: "a", owner: ME }]);
  expect(screen.queryByRole("alert")).toBeNull();
});

it("what will never be taken stays with its reason until it was read, and holds nothing up", async () => {
  putRun(run("a"), ME);
  putRun(run("b"), ME);
  const { server, user } = open({
    "PUT /runs/a": refusal(404, "notFound", "There is no such crew."),
    "PUT /runs/b": { id: "b", stored: "new" },
  });
  const notice = await screen.findByText(/Not stored: the run of Warm-up\. There is no such crew\./);
  await waitFor(() => expect(sent(server)).toEqual(["PUT /runs/a", "PUT /runs/b"]));
  expect(everythingWaiting().map(({ id }) => id)).toEqual(["a"]);
  await user.click(within(notice.closest<HTMLElement>("[role=alert]")!).getByRole("button", { name: /I have read it/ }));
  expect(everythingWaiting()).toEqual([]);
  expect(screen.queryByRole("alert")).toBeNull();
});

it("a run with somebody who was held out waits for a word, and then goes without them", async () => {
  putRun(run("a"), ME);
  const bodies: RunRecord[] = [];
  const { user } = open({
    "PUT /runs/a": (body) => {
      bodies.push(body as RunRecord);
      return bodies.length === 1
        ? refusal(409, "heldOut", "Held out.", { detail: { withoutPeople: [ann.id], withoutItems: {} } })
        : { id: "a", stored: "new" };
    },
  });
  expect(await screen.findByText(/Held out when it began: Ann Early\./)).toBeInTheDocument();
  expect(bodies).toHaveLength(1);
  await user.click(screen.getByRole("button", { name: "Store it without them" }));
  await waitFor(() => expect(everythingWaiting()).toEqual([]));
  expect(bodies[1]!.people[0]).toMatchObject({ present: false, effort: null });
});

it("no connection: everything waits, and goes when there is one", async () => {
  putRun(run("a"), ME);
  const { server } = open({ "PUT /runs/a": { id: "a", stored: "new" } });
  server.away = true;
  await act(async () => putRun(run("b"), ME));
  server.answers = { ...server.answers, "PUT /runs/b": { id: "b", stored: "new" } };
  server.away = false;
  await waitFor(() => expect(everythingWaiting()).toEqual([]));
}, 20_000);
