import { DEFAULT_STYLE, newItem, SHIPPED_LIBRARY } from "@kind-grip/core/library";
import { doseLadder } from "@kind-grip/core/slot";
import { v7 as uuid } from "uuid";
import { makeWorld, sampleCrew, sampleRun, type SampleWorld } from "../test/samples";
import { fieldsOf, openTestApp, TestTrainer, type TestApp } from "../test/test-app";
import type { WaitingDecision } from "@kind-grip/core/api";

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

const crew = () => `/api/crews/${world.crewId}`;
const stretch = () => world.program.sessions[0]!.items[1]!;
/** A run so many days ago; the first person with an effort and marks. */
const lead = async (daysAgo: number, effort: number, marks: string[] = []) => {
  const at = new Date(Date.now() - daysAgo * 86_400_000).toISOString();
  const run = sampleRun(world);
  const people = run.people.map((person, i) => ({
    ...person,
    present: true,
    effort: i === 0 ? effort : null,
    marks: i === 0 ? marks.map((kind) => ({ kind, itemId: stretch().id })) : [],
  }));
  expect((await trainer.send("put", `/api/runs/${run.id}`, { ...run, startedAt: at, endedAt: at, people })).status).toBe(200);
};
const waiting = async (all = "no") =>
  ((await trainer.get(`${crew()}/decisions?all=${all}`)).body as WaitingDecision[]).filter(({ itemId }) => itemId === stretch().id);
const decision = (change: object = {}) => ({
  id: uuid(),
  personId: world.people[0]!.id,
  programId: world.programId,
  itemId: stretch().id,
  proposed: "progress",
  decided: "progress",
  why: null,
  ...change,
});
const decide = (...decisions: object[]) => trainer.send("post", `${crew()}/decisions`, { decisions });
const formOf = async () =>
  ((await trainer.get(`/api/programs/${world.programId}`)).body.program as SampleWorld["program"]).sessions[0]!.items[1]!.personal[
    world.people[0]!.id
  ];
const onToday = async () =>
  ((await trainer.get("/api/today")).body.decisions as { crewId: string; kind: string; items: number }[]).filter(
    ({ crewId }) => crewId === world.crewId,
  );
const threeClean = async () => {
  for (const days of [3, 2, 1]) await lead(days, 1);
};

it("three clean runs wait for a decision, on Today too; confirmed, the next session has it and nothing waits", async () => {
  await lead(3, 1);
  await lead(2, 1);
  expect(await waiting()).toEqual([]);
  await lead(1, 1);
  const [found] = await waiting();
  expect(found).toMatchObject({ name: "Person 1", response: { kind: "progress", raised: "dose" } });
  expect(await onToday()).toMatchObject([{ kind: "progress", name: "Person 1", items: 1 }]);
  expect((await decide(decision())).status).toBe(204);
  expect(await formOf()).toEqual(found!.response.next);
  expect([await waiting(), await onToday()]).toEqual([[], []]);
  const { decisions } = (await trainer.get(`${crew()}/decisions/history`)).body;
  expect(decisions).toMatchObject([
    {
      proposed: "progress",
      decided: "progress",
      by: "Test",
      settings: { progressRuns: 3 },
      settingsVersion: 1,
      was: { formId: stretch().formId },
    },
  ]);
});

it("the same decision twice is one; sent eight times at once too", async () => {
  await threeClean();
  const one = decision();
  const answers = await Promise.all(Array.from({ length: 8 }, () => decide(one)));
  expect(answers.map(({ status }) => status)).toEqual(Array(8).fill(204));
  expect(await test.db.models.Decision.count({ where: { id: one.id } })).toBe(1);
  expect((await trainer.get(`/api/programs/${world.programId}`)).body.version).toBe(2);
});

it("what changed meanwhile is looked at again, and of many nothing is stored", async () => {
  await threeClean();
  const others = [1, 2].map((i) => decision({ personId: world.people[i]!.id, proposed: "hold", decided: "hold" }));
  await lead(0, 1, ["tingling"]);
  const answer = await decide(...others, decision());
  expect([answer.status, answer.body.code]).toEqual([409, "changed"]);
  expect(await test.db.models.Decision.count({ where: { crewId: world.crewId } })).toBe(0);
  expect(await formOf()).toBeUndefined();
});

it("nine decisions of a kind about one person are one on Today", async () => {
  const member = await trainer.member(test, world.crewId, world.people[0]!.id);
  await lead(1, 1);
  const { today } = (await member.get("/api/member/day")).body as { today: string };
  const body = { id: uuid(), day: today, level: 4, regions: [], tingling: true, stillThere: false };
  expect((await member.send("put", `/api/member/check-ins/${body.id}`, body)).status).toBe(200);
  const eased = ((await trainer.get(`${crew()}/decisions`)).body as WaitingDecision[]).filter(({ response }) => response.kind === "ease");
  expect(eased.length).toBeGreaterThan(1);
  expect(new Set(eased.map(({ personId }) => personId)).size).toBe(1);
  expect(await onToday()).toMatchObject([{ kind: "ease", name: "Person 1", items: eased.length }]);
});

it("overruling needs a reason, and is kept with it", async () => {
  await threeClean();
  expect(fieldsOf(await decide(decision({ decided: "hold" })))).toEqual({ "decisions.0.why": "say why it is not what was proposed" });
  expect((await decide(decision({ decided: "hold", why: "Wait for the re-measure" }))).status).toBe(204);
  expect(await formOf()).toBeUndefined();
  expect((await trainer.get(`${crew()}/decisions/history`)).body.decisions[0]).toMatchObject({
    proposed: "progress",
    decided: "hold",
    why: "Wait for the re-measure",
  });
});

it("tingling eases, tingling again pauses: the person is out of the item until it is taken up again", async () => {
  await lead(1, 1, ["tingling"]);
  const [first] = await waiting();
  expect(first!.response).toMatchObject({ kind: "ease", fired: [{ rule: "tingling" }] });
  await decide(decision({ proposed: "ease", decided: "ease" }));
  expect(await formOf()).toEqual(first!.response.next);
  await lead(0, 1, ["tingling"]);
  expect((await waiting())[0]!.response).toMatchObject({ kind: "pauseAndRefer", fired: [{ afterEasing: true }] });
  const pause = decision({ proposed: "pauseAndRefer", decided: "pauseAndRefer" });
  expect((await decide(pause)).status).toBe(204);
  const may = async () => (await trainer.get(`${crew()}/participation`)).body;
  expect(await may()).toMatchObject([{ personId: world.people[0]!.id, heldOut: false, outOf: [{ movements: ["palm-away"] }] }]);
  const run = {
    ...sampleRun(world),
    startedAt: new Date(Date.now() + 5000).toISOString(),
    endedAt: new Date(Date.now() + 5000).toISOString(),
  };
  expect((await trainer.send("put", `/api/runs/${run.id}`, run)).body.code).toBe("heldOut");
  const member = await trainer.member(test, world.crewId, world.people[0]!.id);
  const names = async () =>
    ((await member.get("/api/member/day")).body.anyTime[0].session.items as { movementId: string }[]).map(({ movementId }) => movementId);
  expect(await names()).toEqual(["fist-and-star"]);
  expect(fieldsOf(await trainer.send("post", `/api/decisions/${pause.id}/resume`, { why: "" }))).toHaveProperty("why");
  await trainer.send("post", `/api/decisions/${pause.id}/resume`, { why: "Seen by a hand therapist" });
  expect(await names()).toEqual(["fist-and-star", "palm-away"]);
});

it("a practice's own thresholds count from then on, and are printed with the decision", async () => {
  const { settings, version } = (await trainer.get("/api/practice/settings")).body;
  const next = { ...settings, thresholds: { ...settings.thresholds, progressRuns: 2 } };
  expect((await trainer.send("put", "/api/practice/settings", { version, settings: next })).body.version).toBe(version + 1);
  expect((await trainer.send("put", "/api/practice/settings", { version, settings })).body.code).toBe("stale");
  await lead(2, 1);
  await lead(1, 1);
  expect((await waiting())[0]!.response.kind).toBe("progress");
  await decide(decision());
  expect((await trainer.get(`${crew()}/decisions/history`)).body.decisions[0]).toMatchObject({
    settings: { progressRuns: 2 },
    settingsVersion: version + 1,
  });
  await trainer.send("put", "/api/practice/settings", { version: version + 1, settings });
});

it("excused days are not due: a week away does not turn 70 % into less", async () => {
  for (const days of [3, 2, 1]) await lead(days, 5);
  const from = new Date(Date.now() - 9 * 86_400_000).toISOString().slice(0, 10);
  const absence = { id: uuid(), personId: world.people[0]!.id, from, until: from };
  expect((await trainer.send("post", `${crew()}/absences`, absence)).body).toEqual([absence]);
  expect(fieldsOf(await trainer.send("post", `${crew()}/absences`, { ...absence, id: uuid(), until: "2020-01-01" }))).toHaveProperty(
    "until",
  );
  expect((await waiting("yes"))[0]!.response.kind).toBe("hold");
  expect((await trainer.send("delete", `${crew()}/absences/${absence.id}`)).body).toEqual([]);
});

it("whoever was eased out of a load of their own comes back to no more than that, though the crew lifts more", async () => {
  const kit = [
    ...[0.5, 1, 1.5].map((massKg) => ({ kind: "dumbbell" as const, massKg, count: 6 })),
    { kind: "band" as const, massKg: null, count: 6 },
  ];
  expect((await trainer.send("put", crew(), { version: 1, crew: sampleCrew({ kit }) })).status).toBe(200);
  const me = world.people[0]!.id;
  const lift = {
    ...newItem(SHIPPED_LIBRARY.get("lift-palm-down"), DEFAULT_STYLE, uuid()),
    formId: "load",
    loadKg: 1,
    tool: "dumbbell" as const,
  };
  const written = async (personal: object) => {
    const entry = (await trainer.get(`/api/programs/${world.programId}`)).body as { version: number; program: SampleWorld["program"] };
    const [first, ...others] = entry.program.sessions;
    const items = [...first!.items.filter(({ id }) => id !== lift.id), { ...lift, personal: { [me]: personal } }];
    const program = { ...entry.program, sessions: [{ ...first!, items }, ...others] };
    expect((await trainer.send("put", `/api/programs/${world.programId}`, { version: entry.version, program })).status).toBe(200);
    world.program = program as SampleWorld["program"];
  };
  const ofLift = async () =>
    ((await trainer.get(`${crew()}/decisions?all=no`)).body as WaitingDecision[]).find(({ itemId }) => itemId === lift.id)!;
  const leadLift = async (daysAgo: number, marks: string[] = []) => {
    const run = sampleRun(world);
    const at = new Date(Date.now() - daysAgo * 86_400_000).toISOString();
    const people = run.people.map((person, i) => ({
      ...person,
      present: i === 0,
      effort: i === 0 ? 1 : null,
      marks: i === 0 ? marks.map((kind) => ({ kind, itemId: lift.id })) : [],
    }));
    expect((await trainer.send("put", `/api/runs/${run.id}`, { ...run, startedAt: at, endedAt: at, people })).status).toBe(200);
  };
  await written({ formId: "load", loadKg: 0.5, tool: "dumbbell", gripM: null });
  await leadLift(5, ["stopped"]);
  const easing = await ofLift();
  expect(easing.response).toMatchObject({ kind: "ease", next: { formId: "band", loadKg: null } });
  const asked = { itemId: lift.id, proposed: "ease", decided: "ease" };
  expect((await decide(decision(asked))).status).toBe(204);
  await test.db.models.Decision.update({ decidedAt: new Date(Date.now() - 4 * 86_400_000) }, { where: { crewId: world.crewId } });
  // Up in the dose first: as far as it goes.
  const top = doseLadder(lift.dose, true).find(({ share }) => share > 1)!.dose;
  await written({ formId: "band", dose: top });
  for (const days of [3, 2, 1]) await leadLift(days);
  expect((await ofLift()).response).toMatchObject({ kind: "progress", raised: "form", next: { formId: "load", loadKg: 0.5 } });
});
