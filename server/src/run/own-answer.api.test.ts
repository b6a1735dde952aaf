/** Presence and effort by the own phone, and a card before the camera. */
import type { MemberDay, OwnAnswer } from "@kind-grip/core/api";
import { mondayOf } from "@kind-grip/core/calendar";
import type { RunRecord } from "@kind-grip/core/run";
import { v7 as uuid } from "uuid";
import { makeWorld, sampleRun, type SampleWorld } from "../test/samples";
import { openTestApp, TestTrainer, type TestApp, type TestCaller } from "../test/test-app";

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
let member: TestCaller;
let placementId: string;
beforeAll(async () => {
  test = await openTestApp();
  trainer = await TestTrainer.make(test);
});
beforeEach(async () => {
  world = await makeWorld(trainer);
  placementId = uuid();
  member = await trainer.member(test, world.crewId, world.people[0]!.id);
});
afterAll(() => test.close());

const arrive = (by = member) => {
  const id = uuid();
  return by.send("put", `/api/member/arrivals/${id}`, { id, placementId, at: new Date().toISOString() });
};
const effort = (value: number, of: { placementId?: string; runId?: string } = { placementId }, by = member, id = uuid()) =>
  by.send("put", `/api/member/efforts/${id}`, { id, placementId: null, runId: null, ...of, effort: value, at: new Date().toISOString() });
const answers = async () => (await trainer.get(`/api/crews/${world.crewId}/placements/${placementId}/own-answers`)).body as OwnAnswer[];
const day = async () => (await member.get("/api/member/day")).body as MemberDay;
/** Just over; of these the first was there without an effort. */
const lead = async (change: Partial<RunRecord> = {}): Promise<RunRecord> => {
  const run = sampleRun(world);
  const now = Date.now();
  const people = run.people.map((person, i) => (i === 0 ? { ...person, effort: null } : person));
  const led = {
    ...run,
    placementId,
    startedAt: new Date(now - 300_000).toISOString(),
    endedAt: new Date(now - 1000).toISOString(),
    people,
    ...change,
  };
  expect((await trainer.send("put", `/api/runs/${led.id}`, led)).status).toBe(200);
  return led;
};
const effortIn = async (runId: string) =>
  ((await trainer.get(`/api/runs/${runId}`)).body as RunRecord).people.find(({ personId }) => personId === world.people[0]!.id)!.effort;
const daySums = async () => {
  const row = (await test.db.models.PersonDay.findOne({ where: { personId: world.people[0]!.id } }))!.get();
  return [row.effortSum, row.efforts];
};

describe("before a run", () => {
  it("who says so on their phone is here, for the screen that leads it", async () => {
    await arrive();
    expect(await answers()).toEqual([{ personId: world.people[0]!.id, effort: null }]);
    expect((await day()).here).toEqual([placementId]);
    const lead = await trainer.staff(test, "lead", [world.crewId]);
    expect((await lead.get(`/api/crews/${world.crewId}/placements/${placementId}/own-answers`)).body).toHaveLength(1);
  });
  it("a card says whose it is, of this crew, and signs nobody in", async () => {
    const cardsOf = async (crewId: string, personId: string) =>
      (await trainer.send("post", `/api/crews/${crewId}/access`, { personIds: [personId] })).body.cards[0].token as string;
    const token = await cardsOf(world.crewId, world.people[1]!.id);
    const found = await trainer.send("post", `/api/crews/${world.crewId}/card-holder`, { token });
    expect([found.status, found.body]).toEqual([200, { personId: world.people[1]!.id }]);
    expect((await trainer.get("/api/me")).body.account.role).toBe("trainer");
    const other = await makeWorld(trainer);
    const foreign = await cardsOf(other.crewId, other.people[0]!.id);
    const refused = await trainer.send("post", `/api/crews/${world.crewId}/card-holder`, { token: foreign });
    expect([refused.status, refused.body.code]).toEqual([404, "unknownCard"]);
  });
});

describe("how hard it was", () => {
  it("said before the run is kept goes into it, where the screen had nothing", async () => {
    await effort(4);
    expect(await answers()).toEqual([{ personId: world.people[0]!.id, effort: 4 }]);
    const run = await lead();
    expect([await effortIn(run.id), await daySums()]).toEqual([4, [4, 1]]);
    expect((await day()).efforts).toEqual([]);
  });
  it("is asked from the moment the session has come to its end, of this crew only", async () => {
    const session = world.program.sessions[0]!;
    const startsAt = new Date();
    const placement = { id: placementId, programId: world.programId, sessionId: session.id, startsAt: startsAt.toISOString() };
    const monday = mondayOf(startsAt.toISOString().slice(0, 10));
    await trainer.send("put", `/api/crews/${world.crewId}/plan/${monday}`, { version: 0, placements: [placement] });
    const ended = async () => (await day()).sessions.find((entry) => entry.placementId === placementId)?.ended;
    expect(await ended()).toBe(false);
    const other = await makeWorld(trainer);
    await trainer.send("put", `/api/crews/${other.crewId}/placements/${placementId}/ended`, {});
    expect(await ended()).toBe(false);
    expect((await trainer.send("put", `/api/crews/${world.crewId}/placements/${placementId}/ended`, {})).status).toBe(204);
    expect(await ended()).toBe(true);
  });
  it("what was tapped on the screen stands", async () => {
    await effort(4);
    const run = await lead({ people: sampleRun(world).people });
    expect(await effortIn(run.id)).toBe(2);
  });
  it("said afterwards goes into the run, once, and is no longer asked", async () => {
    const run = await lead();
    expect((await day()).efforts).toMatchObject([{ runId: run.id, placementId, name: "Warm-up" }]);
    const id = uuid();
    expect((await effort(5, { runId: run.id }, member, id)).body.stored).toBe("new");
    expect((await effort(5, { runId: run.id }, member, id)).body.stored).toBe("already");
    await effort(9, { runId: run.id });
    expect([await effortIn(run.id), await daySums(), (await day()).efforts]).toEqual([5, [5, 1], []]);
  });
  it("by the placement as well, where the phone does not know the run", async () => {
    const run = await lead();
    await effort(3);
    expect(await effortIn(run.id)).toBe(3);
  });
  it("is not asked of whoever was not there, nor of a session followed alone", async () => {
    const run = sampleRun(world);
    await lead({
      people: run.people.map((person) => ({ ...person, present: person.personId !== world.people[0]!.id, effort: null, marks: [] })),
    });
    expect((await day()).efforts).toEqual([]);
  });
  it("of a run of another crew is of none", async () => {
    const other = await makeWorld(trainer);
    const foreign = sampleRun(other);
    await trainer.send("put", `/api/runs/${foreign.id}`, foreign);
    expect((await effort(3, { runId: foreign.id })).status).toBe(404);
    expect((await effort(3, {})).status).toBe(400);
  });
  it("another person's answer is not overwritten by one with the same id", async () => {
    const id = uuid();
    await effort(3, { placementId }, member, id);
    const other = await trainer.member(test, world.crewId, world.people[1]!.id);
    expect((await effort(7, { placementId }, other, id)).status).toBe(404);
    expect(await answers()).toEqual([{ personId: world.people[0]!.id, effort: 3 }]);
  });
});
