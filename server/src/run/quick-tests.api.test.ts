/** Before and after a run: what is asked, kept with the run, and told. */
import type { QuickResult } from "@kind-grip/core/quicktest";
import type { RunRecord } from "@kind-grip/core/run";
import { v7 as uuid } from "uuid";
import { makeWorld, sampleRun, type SampleWorld } from "../test/samples";
import { fieldsOf, openTestApp, TestTrainer, type TestApp } from "../test/test-app";

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
beforeAll(async () => {
  test = await openTestApp();
  trainer = await TestTrainer.make(test);
});
beforeEach(async () => {
  world = await makeWorld(trainer);
});
afterAll(() => test.close());

const DAY = 86_400_000;
/** A run some days ago in which these people read so. */
const ranWith = (quick: Record<number, QuickResult | null>, daysAgo = 1, change: Partial<RunRecord> = {}): RunRecord => {
  const run = sampleRun(world);
  const startedAt = new Date(Date.now() - daysAgo * DAY).toISOString();
  return {
    ...run,
    id: uuid(),
    startedAt,
    endedAt: startedAt,
    people: run.people.map((person, i) => ({ ...person, present: true, marks: [], quick: quick[i] ?? null })),
    ...change,
  };
};
const store = (run: RunRecord) => trainer.send("put", `/api/runs/${run.id}`, run);
const told = async () => (await trainer.get(`/api/crews/${world.crewId}/quick-tests`).expect(200)).body;
const lid = (before: number | null, after: number | null): QuickResult => ({ test: "twistLid", before, after });

describe("what is asked", () => {
  it("of a crew is nothing until it is chosen; a lead hears it and may not change it; tingling is not for a crew", async () => {
    const address = `/api/crews/${world.crewId}/quick-test`;
    expect((await trainer.get(address)).body).toEqual({ test: null });
    expect((await trainer.send("put", address, { test: "twistLid" })).body).toEqual({ test: "twistLid" });
    const lead = await trainer.staff(test, "lead", [world.crewId]);
    expect((await lead.get(address)).body).toEqual({ test: "twistLid" });
    expect((await lead.send("put", address, { test: "grip" })).status).toBe(403);
    expect((await trainer.send("put", address, { test: "tingling" })).status).toBe(400);
    expect((await trainer.send("put", address, { test: null })).body).toEqual({ test: null });
  });
  it("on a phone is the crew's, one's own, or nothing", async () => {
    await trainer.send("put", `/api/crews/${world.crewId}/quick-test`, { test: "bentBack" });
    const member = await trainer.member(test, world.crewId, world.people[0]!.id);
    const asked = async () => (await member.get("/api/member/day").expect(200)).body.quickTest;
    expect(await asked()).toEqual({ crew: "bentBack", own: null });
    expect((await member.send("put", "/api/member/quick-test", { own: "tingling" })).body.quickTest).toEqual({
      crew: "bentBack",
      own: "tingling",
    });
    await member.send("put", "/api/member/quick-test", { own: "none" });
    expect(await asked()).toEqual({ crew: "bentBack", own: "none" });
    await member.send("put", "/api/member/quick-test", { own: null });
    expect(await asked()).toEqual({ crew: "bentBack", own: null });
    expect((await member.send("put", "/api/member/quick-test", { own: "grip" })).status).toBe(400);
  });
});

describe("readings", () => {
  it("are kept with the run and come back with it", async () => {
    const run = ranWith({ 0: lid(5, 4), 1: lid(6, null) });
    expect((await store(run)).status).toBe(200);
    const { people } = (await trainer.get(`/api/runs/${run.id}`)).body as RunRecord;
    expect(world.people.map(({ id }) => people.find(({ personId }) => personId === id)!.quick)).toEqual([lid(5, 4), lid(6, null), null]);
  });
  it("of an earlier version's screen there are none, and it is stored all the same", async () => {
    const run = ranWith({});
    const older = { ...run, people: run.people.map(({ quick: _, ...person }) => person) };
    expect((await trainer.send("put", `/api/runs/${run.id}`, older)).status).toBe(200);
  });
  it("of somebody who was not there, off the scale, and tingling in front of others are refused", async () => {
    const away = ranWith({ 0: lid(5, 4) });
    away.people[0] = { ...away.people[0]!, present: false, effort: null };
    expect(fieldsOf(await store(away))).toEqual({ people: "gives a quick test of someone who was not there" });
    expect(fieldsOf(await store(ranWith({ 0: lid(5, 11) })))).toEqual({ "people.0.quick": "must be a whole number from 0 to 10" });
    expect(fieldsOf(await store(ranWith({ 0: { test: "tingling", before: 2, after: 1 } })))).toEqual({
      people: "asks for tingling in front of others",
    });
  });
});

describe("what they tell", () => {
  it("each person's pairs, oldest first, with their answer; of a crew too few people say nothing", async () => {
    for (let i = 0; i < 6; i++) await store(ranWith({ 0: lid(5, i % 2 ? 4 : 3), 1: lid(5, null) }, 10 - i));
    const { people, crew } = await told();
    expect(people).toHaveLength(1);
    expect(people[0]).toMatchObject({
      personId: world.people[0]!.id,
      series: [{ test: "twistLid", answer: { pairs: 6, verdict: "better", noise: 2 } }],
    });
    const only = async (person: number) =>
      (await trainer.get(`/api/crews/${world.crewId}/quick-tests?personId=${world.people[person]!.id}`).expect(200)).body;
    expect(await only(0)).toEqual({ people, crew: [] });
    expect(await only(1)).toEqual({ people: [], crew: [] });
    const { runs } = people[0].series[0];
    expect(runs.map(({ after }: { after: number }) => after)).toEqual([3, 4, 3, 4, 3, 4]);
    expect(crew).toMatchObject([{ test: "twistLid", answer: { pairs: 1, gain: null, verdict: "tooFew" } }]);
  });
  it("nothing older than twelve weeks, nothing of another crew, and it is in the trail that they were seen", async () => {
    await store(ranWith({ 0: lid(5, 4) }, 12 * 7 + 1));
    expect(await told()).toEqual({ people: [], crew: [] });
    const other = await TestTrainer.make(test);
    expect((await other.get(`/api/crews/${world.crewId}/quick-tests`)).status).toBe(404);
    const { entries } = (await trainer.get(`/api/crews/${world.crewId}/audit`)).body as { entries: { what: string }[] };
    expect(entries.some(({ what }) => what === "before and after of runs")).toBe(true);
  });
  it("one's own on one's own page, tingling with them; the crew's sum has no tingling", async () => {
    const member = await trainer.member(test, world.crewId, world.people[0]!.id);
    const run = ranWith({}, 1);
    const alone = { ...run, alone: true, people: [{ ...run.people[0]!, quick: { test: "tingling" as const, before: 3, after: 1 } }] };
    expect((await member.send("put", `/api/member/runs/${run.id}`, alone)).status).toBe(200);
    expect((await member.get("/api/member/progress")).body.quick).toMatchObject([
      { test: "tingling", runs: [{ before: 3, after: 1 }], answer: { verdict: "tooFew" } },
    ]);
    expect(await told()).toMatchObject({ people: [{ series: [{ test: "tingling" }] }], crew: [] });
  });
});
