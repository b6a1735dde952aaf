import type { ObservationEntry } from "@kind-grip/core/api";
import type { Observation } from "@kind-grip/core/observe";
import type { Work } from "@kind-grip/core/strain";
import { v7 as uuid } from "uuid";
import { makeWorld, sampleWork, type SampleWorld } from "../test/samples";
import { fieldsOf, openTestApp, TestTrainer, type TestApp } from "../test/test-app";

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
let work: Work;
beforeAll(async () => {
  test = await openTestApp();
  trainer = await TestTrainer.make(test);
});
beforeEach(async () => {
  world = await makeWorld(trainer);
  work = sampleWork();
  await trainer.send("put", `/api/crews/${world.crewId}/work`, { version: 0, work });
});
afterAll(() => test.close());

/** Five minutes at so many efforts a minute, each of so many ms. */
function observed(perMin: number, ms: number, change: Partial<Observation> = {}): Observation {
  const presses = Array.from({ length: perMin * 5 }, (_, i) => [Math.round((i * 60_000) / perMin), ms]).flat();
  return {
    id: uuid(),
    crewId: world.crewId,
    taskId: work.tasks[0]!.id,
    personId: world.people[0]!.id,
    startedAt: "2026-03-12T09:00:00.000Z",
    from: "line",
    lengthMs: 300_000,
    hands: [{ side: "right", effortId: work.tasks[0]!.efforts[0]!.id, presses, postures: [{ atMs: 1000, flexionDeg: 50 }] }],
    ...change,
  };
}
const send = (observation: Observation) => trainer.send("put", `/api/observations/${observation.id}`, observation);
const list = async () => (await trainer.get(`/api/crews/${world.crewId}/observations`)).body as ObservationEntry[];
const effortNow = async () => ((await trainer.get(`/api/crews/${world.crewId}/work`)).body.work as Work).tasks[0]!.efforts[0]!;
const count = (id: string, counts: boolean) => trainer.send("put", `/api/crews/${world.crewId}/observations/${id}/counts`, { counts });

it("what was watched replaces what was said, with its origin beside it", async () => {
  const observation = observed(20, 1000);
  const answer = await send(observation);
  expect(answer.body).toMatchObject({ notUsed: null, work: { version: 2 } });
  expect(await effortNow()).toMatchObject({
    perMin: 20,
    secEach: 1,
    flexionDeg: 50,
    observed: { on: "2026-03-12", efforts: 100, observations: 1, said: { perMin: 12, secEach: 2, flexionDeg: 20 } },
  });
  expect(await list()).toEqual([
    expect.objectContaining({
      id: observation.id,
      personId: world.people[0]!.id,
      counts: true,
      hands: [expect.objectContaining({ efforts: 100, postures: 1 })],
    }),
  ]);
});
it("sent twice it is one, and the work has one version more", async () => {
  const observation = observed(20, 1000);
  await Promise.all([send(observation), send(observation)]);
  expect((await send(observation)).body.work.version).toBe(2);
  expect(await list()).toHaveLength(1);
});
it("one that is left out no longer counts; without any, what was said is there again, and so back", async () => {
  const [first, second] = [observed(20, 1000), observed(30, 1000)];
  await send(first);
  await send(second);
  expect((await effortNow()).perMin).toBe(25);
  await count(first.id, false);
  expect((await effortNow()).perMin).toBe(30);
  await count(second.id, false);
  expect(await effortNow()).toEqual(work.tasks[0]!.efforts[0]);
  await count(first.id, true);
  expect((await effortNow()).perMin).toBe(20);
});
it("is kept but not used where the hand would have more than sixty seconds a minute", async () => {
  const other = { ...work.tasks[0]!.efforts[0]!, id: uuid(), perMin: 10, secEach: 3 };
  work = { ...work, tasks: [{ ...work.tasks[0]!, efforts: [...work.tasks[0]!.efforts, other] }] };
  await trainer.send("put", `/api/crews/${world.crewId}/work`, { version: 1, work });
  const answer = await send(observed(20, 2000));
  expect(answer.body).toMatchObject({ notUsed: expect.stringContaining("add up to 70 s") as string, work: { version: 2 } });
  expect(await effortNow()).toEqual(work.tasks[0]!.efforts[0]);
  expect(await list()).toHaveLength(1);
});
it.each([
  ["a task that is gone", () => ({ taskId: uuid() }), "taskId"],
  ["somebody of no crew", () => ({ personId: uuid() }), "personId"],
  ["an effort of the other hand", () => ({ hands: [{ ...observed(1, 1).hands[0]!, side: "left" as const }] }), "hands.0.effortId"],
  ["a press without its end", () => ({ hands: [{ ...observed(1, 1).hands[0]!, presses: [1] }] }), "hands.0.presses"],
])("refuses %s and stores nothing", async (_, change, path) => {
  const answer = await send(observed(20, 1000, change()));
  expect([answer.status, Object.keys(fieldsOf(answer))]).toEqual([400, [path]]);
  expect(await list()).toEqual([]);
});
it("is nobody else's, and stays without the person when they are deleted", async () => {
  const observation = observed(20, 1000);
  await send(observation);
  const other = await TestTrainer.make(test);
  expect((await other.get(`/api/crews/${world.crewId}/observations`)).status).toBe(404);
  expect((await other.send("put", `/api/observations/${observation.id}`, observation)).status).toBe(404);
  const elsewhere = await makeWorld(other);
  expect((await other.send("put", `/api/observations/${observation.id}`, { ...observation, crewId: elsewhere.crewId })).status).toBe(409);
  await test.db.models.Person.destroy({ where: { id: world.people[0]!.id } });
  expect(await list()).toEqual([expect.objectContaining({ personId: null })]);
});
it("a task that is taken away takes them out of the list", async () => {
  await send(observed(20, 1000));
  await trainer.send("put", `/api/crews/${world.crewId}/work`, { version: 2, work: { tasks: [], days: [] } });
  expect(await list()).toEqual([]);
});
