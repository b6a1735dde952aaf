/** Today asked again in the same minute is as fresh as worked out anew: whatever is changed shows at once, on the other server too. */
import type { Today } from "@kind-grip/core/api";
import { v7 as uuid } from "uuid";
import { practiceClock } from "../context";
import { crewIdsOf } from "../crew/crews";
import { makeWorld, samplePeople, sampleRun, seriesFor, type SampleWorld } from "../test/samples";
import { openTestApp, TestTrainer, type TestApp } from "../test/test-app";
import { workOutToday } from "./today";

let here: TestApp;
let there: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
beforeAll(async () => {
  [here, there] = [await openTestApp(), await openTestApp()];
});
beforeEach(async () => {
  trainer = await TestTrainer.make(here);
  world = await makeWorld(trainer);
  await trainer.send("put", `${crew()}/plan/${monday()}`, { version: 0, placements: [placement()] });
});
afterAll(async () => {
  await here.close();
  await there.close();
});

const crew = () => `/api/crews/${world.crewId}`;
const day = () => new Date().toISOString().slice(0, 10);
const monday = () => {
  const date = new Date();
  date.setUTCDate(date.getUTCDate() - ((date.getUTCDay() + 6) % 7));
  return date.toISOString().slice(0, 10);
};
const placementId = uuid();
const placement = (change: object = {}) => ({
  id: uuid(),
  programId: world.programId,
  sessionId: world.program.sessions[0]!.id,
  startsAt: `${day()}T12:00:00.000Z`,
  ...change,
});
const told = async () => {
  const { body } = await trainer.get("/api/today");
  return { ...(body as Today), now: "" };
};
/** The same, with nothing remembered. */
async function workedOut(): Promise<Today> {
  const account = (await there.db.models.Account.findOne({ where: { email: trainer.email } }))!.get();
  const caller = { role: "trainer" as const, accountId: account.id, practiceId: account.practiceId };
  const crewIds = await crewIdsOf(there.db, caller);
  const answer = await workOutToday(there.db, caller, await practiceClock(there.db)(caller), crewIds);
  return JSON.parse(JSON.stringify({ ...answer, now: "" })) as Today;
}
const change = async (path: string, version: number, body: object) => trainer.send("put", path, { version, ...body });

it.each<[string, () => Promise<{ status: number }>]>([
  [
    "somebody new",
    () => trainer.send("post", `${crew()}/people`, { people: samplePeople(1, { badge: null, name: "Newly here" } as never) }),
  ],
  [
    "a series",
    () =>
      change(`${crew()}/plan/${monday()}`, 1, {
        placements: [],
        standing: { groups: [], series: [seriesFor(world, { fromDate: day() })] },
      }),
  ],
  [
    "another program",
    () =>
      change(`/api/programs/${world.programId}`, 1, {
        program: { ...world.program, sessions: [{ ...world.program.sessions[0]!, name: "Other" }] },
      }),
  ],
  ["a removed program", () => trainer.send("delete", `/api/programs/${world.programId}`)],
  ["another placement", () => change(`${crew()}/plan/${monday()}`, 1, { placements: [placement({ startsAt: `${day()}T13:00:00.000Z` })] })],
  [
    "a group",
    () => change(`${crew()}/plan/${monday()}`, 1, { placements: [placement({ groupName: "Left hands", people: [world.people[0]!.id] })] }),
  ],
  ["somebody held out", () => trainer.send("post", `${crew()}/restrictions`, { personId: world.people[0]!.id, question: "sharpPain" })],
  [
    "a run",
    async () =>
      trainer.send("put", `/api/runs/${placementId}`, {
        ...sampleRun(world),
        id: placementId,
        startedAt: new Date().toISOString(),
        endedAt: new Date().toISOString(),
      }),
  ],
  [
    "a crew renamed",
    async () => {
      const { id: _id, version, ...rest } = (await trainer.get(crew())).body as { id: string; version: number };
      return change(crew(), version, { crew: { ...rest, name: "Renamed" } });
    },
  ],
  ["a removed crew", () => trainer.send("delete", crew())],
])("%s shows at once", async (_, act) => {
  const before = await told();
  expect(await told()).toEqual(before);
  expect((await act()).status).toBeLessThan(300);
  const after = await told();
  expect(after).toEqual(await workedOut());
  if (_ !== "a run") expect(after).not.toEqual(before);
});

it("a person's report, a clearance and its end show at once, also when another server stored them", async () => {
  const personId = world.people[1]!.id;
  const tell = {
    id: uuid(),
    at: new Date().toISOString(),
    kind: "tingling",
    side: "left",
    regions: ["thumbBase"],
    movementId: null,
    words: null,
  };
  await told();
  const { status } = await trainer.send("put", `${crew()}/people/${personId}/symptom-reports/${tell.id}`, tell);
  expect(status).toBeLessThan(300);
  expect((await told()).alerts).toMatchObject([{ personId }]);
  await there.db.models.SymptomAlert.update({ answeredAt: new Date(), endedAt: new Date() }, { where: { personId } });
  expect((await told()).alerts).toEqual([]);
});

it("many at once get the same, with the moment it was worked out for", async () => {
  const before = new Date().toISOString();
  const answers = await Promise.all(Array.from({ length: 12 }, () => trainer.get("/api/today")));
  const bodies = answers.map(({ body }) => body as Today);
  expect(new Set(bodies.map((body) => JSON.stringify(body))).size).toBe(1);
  expect(bodies[0]!.now.slice(0, 16) >= before.slice(0, 16)).toBe(true);
});

describe("several crews", () => {
  const today = async () => (await trainer.get("/api/today")).body as Today;
  let other: SampleWorld;
  beforeEach(async () => {
    other = await makeWorld(trainer);
  });

  it("are told as if they were worked out together, in their order, whichever changed last", async () => {
    await told();
    for (const [{ crewId }, name] of [
      [world, "Zinnia"],
      [other, "Aster"],
    ] as const) {
      const path = `/api/crews/${crewId}`;
      const { id: _id, version, ...rest } = (await trainer.get(path)).body as { id: string; version: number };
      expect((await change(path, version, { crew: { ...rest, name } })).status).toBe(200);
      expect(await told()).toEqual(await workedOut());
    }
    expect((await today()).crews.map(({ name }) => name)).toEqual(["Aster", "Zinnia"]);
    for (const each of [other, world])
      await trainer.send("post", `/api/crews/${each.crewId}/restrictions`, { personId: each.people[0]!.id, question: "sharpPain" });
    expect((await today()).heldOut.map(({ crewName }) => crewName)).toEqual(["Aster", "Zinnia"]);
    expect(await told()).toEqual(await workedOut());
  });

  it("one that changes is worked out anew, and the others are not", async () => {
    await told();
    const read = jest.spyOn(here.db.models.Crew, "findAll");
    await trainer.send("post", `/api/crews/${other.crewId}/people`, {
      people: samplePeople(1, { badge: null, name: "Newly here" } as never),
    });
    read.mockClear();
    const after = await today();
    // A minute that has ended meanwhile has everything worked out anew.
    const asked = read.mock.calls.map(([options]) => (options?.where as { id?: string[] } | undefined)?.id).filter(Boolean);
    expect([[[other.crewId]], [after.crews.map(({ id }) => id)]]).toContainEqual(asked);
    read.mockRestore();
  });
});

it("a lead of the crew is not given the trainer's answer", async () => {
  await trainer.send("post", `${crew()}/restrictions`, { personId: world.people[0]!.id, question: "sharpPain" });
  expect((await told()).heldOut).toHaveLength(1);
  const lead = await trainer.staff(here, "lead", [world.crewId]);
  expect(((await lead.get("/api/today")).body as Today).heldOut).toEqual([]);
});
