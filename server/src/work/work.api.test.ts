import type { Work } from "@kind-grip/core/strain";
import { v7 as uuid } from "uuid";
import { makeWorld, sampleWork, type SampleWorld } from "../test/samples";
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

const address = () => `/api/crews/${world.crewId}/work`;
const save = (work: Work, version = 0) => trainer.send("put", address(), { version, work });

it("is empty at first, then what was saved, with a version", async () => {
  expect((await trainer.get(address())).body).toEqual({ crewId: world.crewId, version: 0, work: { tasks: [], days: [] } });
  const work = sampleWork();
  expect((await save(work)).body).toEqual({ crewId: world.crewId, version: 1, work });
  expect((await trainer.get(address())).body).toEqual({ crewId: world.crewId, version: 1, work });
});
it("refuses a save against an older version and shows the newer; the same save twice is one", async () => {
  const work = sampleWork();
  await save(work);
  expect((await save(work)).body.version).toBe(1);
  const late = await save(sampleWork());
  expect([late.status, late.body.code, late.body.detail.work]).toEqual([409, "stale", work]);
});
it("two first saves at the same moment: one wins, whole", async () => {
  const answers = await Promise.all([sampleWork(), sampleWork(), sampleWork()].map((work) => save(work)));
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409]);
});
it.each([
  ["efforts that overlap", { secEach: 5.1 }, "work.tasks.0.efforts.0.secEach"],
  ["more hours than the shift", { minutes: 466 }, "work.days.0.parts"],
  ["somebody of no crew", { personIds: [uuid()] }, "work.days.0.personIds.0"],
])("names %s and stores nothing", async (_, change, path) => {
  const answer = await save(sampleWork(change));
  expect([answer.status, Object.keys(fieldsOf(answer))]).toEqual([400, [path]]);
  expect((await trainer.get(address())).body.version).toBe(0);
});
it("exactly what fits is stored", async () => {
  expect((await save(sampleWork({ secEach: 5, minutes: 465, personIds: [world.people[0]!.id] }))).status).toBe(200);
});
it("is nobody else's", async () => {
  const other = await TestTrainer.make(test);
  expect((await other.get(address())).status).toBe(404);
  expect((await other.send("put", address(), { version: 0, work: sampleWork() })).status).toBe(404);
});
