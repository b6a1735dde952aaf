import { v7 as uuid } from "uuid";
import { mondayOf } from "@kind-grip/core/calendar";
import { makeWorld, type SampleWorld } from "../test/samples";
import { openTestApp, TestTrainer, type TestApp } from "../test/test-app";
import { sendDue, type Gateway } from "./worker";

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
const placementId = uuid();
beforeAll(async () => {
  test = await openTestApp();
  trainer = await TestTrainer.make(test);
});
beforeEach(async () => {
  await test.db.models.Message.destroy({ where: {} });
  world = await makeWorld(trainer);
});
afterAll(() => test.close());

const place = async (change: object = {}) => {
  const weekStart = mondayOf(new Date().toISOString().slice(0, 10));
  const placement = {
    id: uuid(),
    programId: world.programId,
    sessionId: world.program.sessions[0]!.id,
    startsAt: `${weekStart}T07:00:00.000Z`,
    people: null,
    groupName: null,
    ...change,
  };
  const answer = await trainer.send("put", `/api/crews/${world.crewId}/plan/${weekStart}`, { version: 0, placements: [placement] });
  expect(answer.status).toBe(200);
  return placement.id;
};
const remind = (id: string) => trainer.send("post", `/api/crews/${world.crewId}/reminders`, { placementId: id });
const messages = async () =>
  (await trainer.get(`/api/crews/${world.crewId}/messages`)).body as { state: string; tries: number; problem: string | null }[];
const later = (minutes: number) => new Date(Date.now() + minutes * 60_000);

it("everybody who may take part is reminded once, however often it is asked", async () => {
  await trainer.send("post", `/api/crews/${world.crewId}/restrictions`, { personId: world.people[0]!.id, question: "hotJoint" });
  const id = await place();
  expect((await remind(id)).body).toEqual({ queued: 2, people: 2 });
  expect((await Promise.all([remind(id), remind(id)])).map(({ body }) => body.queued)).toEqual([0, 0]);
  expect(await messages()).toHaveLength(2);
});

it("a group's session reminds the group", async () => {
  expect((await remind(await place({ people: [world.people[1]!.id] }))).body).toEqual({ queued: 1, people: 1 });
  expect((await remind(placementId)).status).toBe(404);
});

it("somebody who is out by the time it is sent gets none, and one when they take part again", async () => {
  const id = await place();
  await remind(id);
  await trainer.send("post", `/api/crews/${world.crewId}/restrictions`, { personId: world.people[0]!.id, question: "hotJoint" });
  const sent: string[] = [];
  const gateway: Gateway = async ({ to }) => {
    sent.push(to);
    return { taken: true };
  };
  await sendDue(test.db, gateway, later(1));
  expect(sent.sort()).toEqual(["Person 2", "Person 3"]);
  expect((await messages()).map(({ state }) => state).sort()).toEqual(["dropped", "sent", "sent"]);
  expect((await remind(id)).body).toEqual({ queued: 0, people: 2 });
  await test.db.models.Restriction.update({ withdrawnAt: new Date() }, { where: { personId: world.people[0]!.id } });
  expect((await remind(id)).body).toEqual({ queued: 1, people: 3 });
  await sendDue(test.db, gateway, later(2));
  expect(sent.at(-1)).toBe("Person 1");
});

it("a session that is out of the plan is not announced", async () => {
  const id = await place();
  await remind(id);
  await test.db.models.Placement.destroy({ where: { id } });
  expect(await sendDue(test.db, async () => ({ taken: true }), later(1))).toBe(3);
  expect((await messages()).map(({ state }) => state)).toEqual(["dropped", "dropped", "dropped"]);
});

it("is sent by any number of workers, each message once", async () => {
  await remind(await place());
  const seen: string[] = [];
  const gateway: Gateway = async ({ id, to, text }) => {
    seen.push(id);
    expect(to).toMatch(/^Person/);
    expect(text).toBe("Warm-up at 07:00, Bench 1.");
    return { taken: true };
  };
  const tried = await Promise.all(Array.from({ length: 4 }, () => sendDue(test.db, gateway, later(1))));
  expect(tried.reduce((sum, count) => sum + count, 0)).toBe(3);
  expect(new Set(seen).size).toBe(3);
  expect((await messages()).map(({ state }) => state)).toEqual(["sent", "sent", "sent"]);
});

it("a gateway that is away is tried again, later each time, with the same key; after twelve times it has failed", async () => {
  await remind(await place({ people: [world.people[0]!.id] }));
  const keys = new Set<string>();
  const away: Gateway = ({ id }) => {
    keys.add(id);
    return Promise.reject(new Error("refused"));
  };
  expect(await sendDue(test.db, away, later(1))).toBe(1);
  expect(await messages()).toMatchObject([{ state: "waiting", tries: 1, problem: "the gateway could not be reached" }]);
  expect(await sendDue(test.db, away, later(1.02))).toBe(0);
  for (let tries = 2; tries <= 12; tries++) expect(await sendDue(test.db, away, later(tries * 30))).toBe(1);
  expect(await messages()).toMatchObject([{ state: "failed", tries: 12 }]);
  expect(keys.size).toBe(1);
});
