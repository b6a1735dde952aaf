import { v7 as uuid } from "uuid";
import { makeWorld, type SampleWorld } from "../test/samples";
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

const absence = (change: object = {}) => ({
  id: uuid(),
  personId: world.people[0]!.id,
  from: "2026-03-02",
  until: "2026-03-06",
  ...change,
});
const add = (one: object) => trainer.send("post", `/api/crews/${world.crewId}/absences`, one);

it("excuses somebody for some days, newest first, and takes it back", async () => {
  const [early, late] = [absence(), absence({ from: "2026-04-01", until: "2026-04-01" })];
  await add(early);
  expect((await add(late)).body).toEqual([late, early]);
  const after = await trainer.send("delete", `/api/crews/${world.crewId}/absences/${early.id}`);
  expect(after.body).toEqual([late]);
  expect((await trainer.get(`/api/crews/${world.crewId}/absences`)).body).toEqual([late]);
});

it("sent twice is one", async () => {
  const one = absence();
  await add(one);
  expect((await add(one)).body).toEqual([one]);
});

it("days that are excused already are not excused once more; others beside them are", async () => {
  const week = absence();
  await add(week);
  for (const within of [{}, { from: "2026-03-03", until: "2026-03-03" }]) expect((await add(absence(within))).body).toEqual([week]);
  for (const [i, more] of [{ until: "2026-03-07" }, { from: "2026-03-01" }].entries()) {
    const { body } = await add(absence(more));
    expect(body).toHaveLength(2 + i);
  }
  // Somebody else's same days are theirs.
  const theirs = absence({ personId: world.people[1]!.id });
  expect((await add(theirs)).body).toContainEqual(theirs);
});

it.each([
  ["until", { until: "2026-03-01" }, "is before the first day"],
  ["personId", { personId: uuid() }, "is not in this crew"],
])("says at %s what is wrong", async (field, change, message) =>
  expect(fieldsOf(await add(absence(change)))).toEqual({ [field]: message }),
);

it("of another crew cannot be reached through one's own", async () => {
  const other = await makeWorld(trainer);
  const theirs = { ...absence(), personId: other.people[0]!.id };
  await trainer.send("post", `/api/crews/${other.crewId}/absences`, theirs);
  expect((await trainer.send("delete", `/api/crews/${world.crewId}/absences/${theirs.id}`)).body).toEqual([]);
  expect((await trainer.get(`/api/crews/${other.crewId}/absences`)).body).toEqual([theirs]);
  expect((await add({ ...absence(), id: theirs.id })).status).toBe(409);
  expect((await (await TestTrainer.make(test)).get(`/api/crews/${world.crewId}/absences`)).status).toBe(404);
});
