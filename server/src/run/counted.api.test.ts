/** What a phone in the hand counted: kept with what was followed alone, and with nothing else. */
import type { CountedBout } from "@kind-grip/core/meter";
import type { RunRecord } from "@kind-grip/core/run";
import { makeWorld, sampleRun, type SampleWorld } from "../test/samples";
import { fieldsOf, openTestApp, TestTrainer, type TestApp } from "../test/test-app";

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
beforeAll(async () => {
  test = await openTestApp();
  trainer = await TestTrainer.make(test);
  world = await makeWorld(trainer);
});
afterAll(() => test.close());

const bout = (itemId: string, change: Partial<CountedBout> = {}): CountedBout => ({
  itemId,
  side: "left",
  of: "repetitions",
  set: 1,
  due: 10,
  dueSec: 6,
  repetitions: [{ restedSec: 0, outSec: 1.85, heldSec: 1.2, backSec: 1.9 }],
  ...change,
});
const followed = (counted: CountedBout[] | null, change: Partial<RunRecord> = {}): RunRecord => {
  const run = sampleRun(world);
  return { ...run, alone: true, people: [{ ...run.people[0]!, counted }], ...change };
};
const itemId = () => sampleRun(world).session.items[0]!.id;

it("is kept as it was counted, for whoever may see the run", async () => {
  const member = await trainer.member(test, world.crewId, world.people[0]!.id);
  const run = followed([bout(itemId()), bout(itemId(), { side: "right", repetitions: [] })]);
  expect((await member.send("put", `/api/member/runs/${run.id}`, run)).status).toBe(200);
  const stored = (await trainer.get(`/api/runs/${run.id}`).expect(200)).body as RunRecord;
  expect(stored.people[0]!.counted).toEqual(run.people[0]!.counted);
  expect((await (await TestTrainer.make(test)).get(`/api/runs/${run.id}`)).status).toBe(404);
});

it("a run of an earlier version of the phone has none", async () => {
  const { people, ...run } = followed(null);
  const [{ counted: _, ...person }] = people as [RunRecord["people"][number]];
  const member = await trainer.member(test, world.crewId, world.people[0]!.id);
  expect((await member.send("put", `/api/member/runs/${run.id}`, { ...run, people: [person] })).status).toBe(200);
  expect((await trainer.get(`/api/runs/${run.id}`)).body.people[0].counted).toBeNull();
});

it.each([
  ["of a run that was led", () => ({ ...followed([bout(itemId())]), alone: false }), { people: "counts what was not followed alone" }],
  [
    "of an item that is not in the session",
    () => followed([bout("00000000-0000-7000-8000-000000000009")]),
    { people: "counts an item that is not in the session" },
  ],
] as const)("%s nothing is taken", async (_name, make, fields) => {
  const run = make();
  const answer = await trainer.send("put", `/api/runs/${run.id}`, run);
  expect([answer.status, fieldsOf(answer)]).toEqual([400, fields]);
});

it("seconds that cannot be are refused by field", async () => {
  const run = followed([bout(itemId(), { repetitions: [{ restedSec: 0, outSec: -1, heldSec: 0, backSec: 1 }] })]);
  const answer = await trainer.send("put", `/api/runs/${run.id}`, run);
  expect([answer.status, Object.keys(fieldsOf(answer))]).toEqual([400, ["people.0.counted.0.repetitions.0.outSec"]]);
});
