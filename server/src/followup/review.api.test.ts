import { emptyRecord } from "@kind-grip/core/baseline";
import type { ReviewAnswer } from "@kind-grip/core/followup";
import { SHIPPED_LIBRARY, DEFAULT_STYLE, newItem } from "@kind-grip/core/library";
import { addDays, mondayOf } from "@kind-grip/core/calendar";
import { v7 as uuid } from "uuid";
import { makeWorld, sampleRun, type SampleWorld } from "../test/samples";
import { openTestApp, TestTrainer, type TestApp } from "../test/test-app";

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

const today = new Date().toISOString().slice(0, 10);
const item = { ...newItem(SHIPPED_LIBRARY.get("lift-palm-down"), DEFAULT_STYLE, uuid()), sides: "inTurn" as const };
/** Led on the Monday so many weeks ago, with a load. */
const lead = async (weeksAgo: number, loadKg: number, change: object = {}) => {
  const at = `${addDays(mondayOf(today), -7 * weeksAgo)}T12:00:00.000Z`;
  const run = sampleRun(world);
  const session = { ...run.session, id: uuid(), slot: "postShift" as const, items: [{ ...item, formId: "load", loadKg }] };
  const items = [{ ...run.items[0]!, itemId: item.id, movementId: item.movementId, formId: item.formId }];
  const people = run.people.map((person) => ({ ...person, present: true, effort: 3, marks: [] }));
  const sent = { ...run, session, items, people, startedAt: at, endedAt: at, ...change };
  expect((await trainer.send("put", `/api/runs/${sent.id}`, sent)).status).toBe(200);
};
const review = async (weeks = 4): Promise<ReviewAnswer> => (await trainer.get(`/api/crews/${world.crewId}/review?weeks=${weeks}`)).body;

it("of a crew that did nothing says so without a figure", async () => {
  expect(await review()).toMatchObject({ days: [], adherence: null, raised: null, answers: 0, rounds: null, rises: [] });
});

it("counts what was done, day by day and person by person", async () => {
  await lead(2, 1);
  await lead(1, 1, {
    items: [{ itemId: item.id, movementId: item.movementId, formId: item.formId, plannedSec: 60, doneSec: 0, status: "skipped" }],
  });
  const { days, adherence, people } = await review();
  expect(days).toMatchObject([
    { people: 3, itemsDue: 3, itemsDone: 3, meanEffort: 3, minPerPerson: 1, meanMorning: null },
    { people: 3, itemsDue: 3, itemsDone: 0, minPerPerson: 0 },
  ]);
  expect(adherence).toBe(0.5);
  expect(people.map(({ meanEffort, morningTrend, answers }) => [meanEffort, morningTrend, answers])).toEqual(Array(3).fill([3, null, 0]));
});

it("says nothing of weeks before anything was done, nor of a crew that has no run", async () => {
  expect(await review(8)).toMatchObject({ from: today, days: [], raised: null, adherence: null, rises: [] });
  await lead(1, 1);
  const { from, days } = await review(8);
  expect(from).toBe(addDays(mondayOf(today), -7));
  expect(days.map(({ day }) => day)).toEqual([from]);
});

it("names the weeks in which strengthening rose by more than a tenth", async () => {
  for (const [weeksAgo, loadKg] of [
    [7, 1],
    [6, 1.4],
    [5, 1],
    [4, 1.5],
    [3, 1.6],
    [2, 2],
  ] as const)
    await lead(weeksAgo, loadKg);
  const { rises } = await review(8);
  const byWeek = new Map(rises.map(({ weekStart, kind, rise }) => [weekStart, `${kind} ${Math.round(rise! * 100)} %`]));
  // From 1.5 to 1.6 kg is less than a tenth; what rises in the first two weeks is what was planned.
  expect(byWeek).toEqual(
    new Map([
      [addDays(mondayOf(today), -28), "torque 50 %"],
      [addDays(mondayOf(today), -14), "torque 25 %"],
    ]),
  );
  // Looked at over four weeks the crew is no newer: only the week before the first of them is not known.
  expect((await review(4)).rises.map(({ weekStart }) => weekStart)).toEqual([addDays(mondayOf(today), -14), addDays(mondayOf(today), -14)]);
});

it("is in the trail as seen, and is nobody else's", async () => {
  await review();
  const { entries } = (await trainer.get(`/api/crews/${world.crewId}/audit`)).body;
  expect(entries).toMatchObject([{ act: "saw", what: "review of a block" }]);
  const other = await TestTrainer.make(test);
  expect((await other.get(`/api/crews/${world.crewId}/review`)).status).toBe(404);
  const employer = await trainer.staff(test, "employer", [world.crewId]);
  expect((await employer.get(`/api/crews/${world.crewId}/review`)).status).toBe(403);
});

it("holds what each one's first round found against what was last found since, also while a new round is only begun", async () => {
  const measured = async (name: string, startedOn: string, found: readonly (number | null)[]) => {
    const id = uuid();
    await trainer.send("post", `/api/crews/${world.crewId}/rounds`, { id, name });
    await test.db.models.Round.update({ startedOn }, { where: { id } });
    for (const [i, deg] of found.entries()) {
      const record = emptyRecord();
      record.range.wristExtension = { left: { active: deg, assisted: null }, right: { active: deg, assisted: null } };
      const body = { version: 0, record };
      expect((await trainer.send("put", `/api/rounds/${id}/people/${world.people[i]!.id}`, body)).status).toBe(200);
    }
  };
  const told = async () => {
    const { rounds, people } = await review();
    return { rounds, changed: people.map(({ changes }) => [...new Set(changes.map(({ verdict }) => verdict))].join()) };
  };
  await measured("Spring", "2026-01-05", [40, null, null]);
  expect(await told()).toEqual({ rounds: null, changed: ["", "", ""] });
  // The second person came later.
  await measured("Summer", "2026-03-02", [60, 40, null]);
  expect(await told()).toEqual({ rounds: { first: "Spring", last: "Summer" }, changed: ["better", "", ""] });
  await measured("Autumn", "2026-05-04", [null, 60, 50]);
  expect(await told()).toEqual({ rounds: { first: "Spring", last: "Autumn" }, changed: ["better", "better", ""] });
  await measured("Winter", "2026-07-06", []);
  expect(await told()).toEqual({ rounds: { first: "Spring", last: "Autumn" }, changed: ["better", "better", ""] });
});
