/** Adherence: what was led on a day somebody was excused was not due for them, in the review, in the report and on their own phone. */
import { addDays, dateAt } from "@kind-grip/core/calendar";
import type { ReviewAnswer } from "@kind-grip/core/followup";
import { v7 as uuid } from "uuid";
import { makeWorld, sampleRun, type SampleWorld } from "../test/samples";
import { openTestApp, TestTrainer, type TestApp } from "../test/test-app";
import { personDaysOf } from "./days";

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

const yesterday = addDays(dateAt(Date.now(), "Europe/Dublin"), -1);
/** Two of three were there; the third is the one who may be excused. */
const lead = async (day: string) => {
  const at = `${day}T12:00:00.000Z`;
  const run = { ...sampleRun(world), startedAt: at, endedAt: at };
  expect((await trainer.send("put", `/api/runs/${run.id}`, run)).status).toBe(200);
};
const excuse = async (person: number, from: string, until: string) =>
  expect(
    (await trainer.send("post", `/api/crews/${world.crewId}/absences`, { id: uuid(), personId: world.people[person]!.id, from, until }))
      .status,
  ).toBeLessThan(300);
const review = async () => (await trainer.get(`/api/crews/${world.crewId}/review?weeks=4`)).body as ReviewAnswer;

it("of three who were due two came: two thirds; the third was excused: all of it, and nobody's own day lacks anything", async () => {
  await lead(yesterday);
  expect((await review()).adherence).toBeCloseTo(2 / 3, 9);
  await excuse(2, addDays(yesterday, -3), yesterday);
  const after = await review();
  expect(after.adherence).toBe(1);
  expect(after.people.map(({ name, adherence }) => [name, adherence])).toEqual([
    ["Person 1", 1],
    ["Person 2", 1],
    ["Person 3", null],
  ]);
  const member = await trainer.member(test, world.crewId, world.people[2]!.id);
  expect((await member.get("/api/member/progress")).body.days).toMatchObject([{ day: yesterday, itemsDue: 0, itemsDone: 0 }]);
});

it("who came all the same has what was done, and owes nothing; the days before and after are as they were", async () => {
  for (const day of [-3, -2, -1]) await lead(addDays(yesterday, day));
  await excuse(0, addDays(yesterday, -2), addDays(yesterday, -2));
  const own = await personDaysOf(test.db, { crewId: world.crewId, personId: world.people[0]!.id, from: addDays(yesterday, -9) });
  const items = world.program.sessions[0]!.items.length;
  expect(own.map(({ itemsDue, itemsDone }) => [itemsDue, itemsDone])).toEqual([
    [items, items],
    [0, items],
    [items, items],
  ]);
  const until = addDays(yesterday, -3);
  const first = await personDaysOf(test.db, { crewId: world.crewId, from: addDays(yesterday, -9), until });
  expect(first.map(({ personId, itemsDue }) => [personId, itemsDue])).toEqual(
    expect.arrayContaining(world.people.map(({ id }) => [id, items])),
  );
  expect(first).toHaveLength(3);
});
