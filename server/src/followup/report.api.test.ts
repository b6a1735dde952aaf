import { v7 as uuid } from "uuid";
import { makeWorld, samplePeople, sampleRun, type SampleWorld } from "../test/samples";
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

const grow = async (count: number) => {
  const more = samplePeople(count, { badge: null });
  await trainer.send("post", `/api/crews/${world.crewId}/people`, { people: more });
  world.people.push(...more);
};
/** Everybody there, so many weeks ago. */
const lead = async (weeksAgo: number, change: object = {}) => {
  const at = new Date(Date.now() - weeksAgo * 7 * 86_400_000).toISOString();
  const run = sampleRun(world);
  const people = run.people.map((person) => ({ ...person, present: true, effort: 2, marks: [] }));
  const sent = { ...run, startedAt: at, endedAt: at, people, ...change };
  expect((await trainer.send("put", `/api/runs/${sent.id}`, sent)).status).toBe(200);
  return sent;
};
const report = async (weeks = 4) => (await trainer.get(`/api/crews/${world.crewId}/report?weeks=${weeks}`)).body;

it("a crew of four has no figures, one of five has", async () => {
  await grow(1);
  await lead(1);
  expect((await report()).whole).toEqual({ people: null, adherence: null, secPerPersonDay: null, meanEffort: null, morningsRaised: null });
  await grow(1);
  await lead(1);
  expect((await report()).whole).toMatchObject({ people: 5, adherence: 1, meanEffort: 2 });
});

it("is the same for the employer contact, and has no name in it", async () => {
  await grow(3);
  await lead(1);
  const employer = await trainer.staff(test, "employer", [world.crewId]);
  const theirs = await employer.get(`/api/crews/${world.crewId}/report`);
  expect(theirs.body).toEqual(await report());
  expect(theirs.text).not.toMatch(/Person \d/);
  expect((await employer.get(`/api/crews/${world.crewId}/report.csv`)).text).not.toMatch(/Person \d/);
  expect((await employer.get(`/api/crews/${world.crewId}/report?weeks=3`)).status).toBe(400);
});

it("the running week is not in it: tomorrow's figure minus today's would be somebody", async () => {
  await grow(3);
  await lead(0);
  expect((await report()).whole.people).toBeNull();
});

it("roll-ups are written with the run: stored twice counts once, led and followed alone is due once", async () => {
  const member = await trainer.member(test, world.crewId, world.people[0]!.id);
  const placementId = uuid();
  const run = await lead(0, { placementId });
  await trainer.send("put", `/api/runs/${run.id}`, run);
  const alone = { ...run, id: uuid(), alone: true, people: [run.people[0]!] };
  expect((await member.send("put", `/api/member/runs/${alone.id}`, alone)).body.stored).toBe("new");
  const rows = await test.db.models.PersonDay.findAll({ where: { crewId: world.crewId }, order: ["runs"] });
  expect(rows.map((row) => [row.get().runs, row.get().itemsDue, row.get().itemsDone])).toEqual([
    [1, 2, 2],
    [1, 2, 2],
    [2, 2, 4],
  ]);
});

it("fifty people finishing at the same moment on two servers: every row once", async () => {
  const { app, close } = await openTestApp();
  const other = { ...test, app };
  await grow(47);
  const members = await Promise.all(world.people.map((person, i) => trainer.member(i % 2 === 0 ? test : other, world.crewId, person.id)));
  const at = new Date().toISOString();
  const runs = world.people.map((person) => {
    const run = sampleRun(world);
    return {
      ...run,
      startedAt: at,
      endedAt: at,
      alone: true,
      people: [{ ...run.people[0]!, personId: person.id, present: true, effort: 3, marks: [] }],
    };
  });
  const answers = await Promise.all(runs.flatMap((run, i) => [1, 2].map(() => members[i]!.send("put", `/api/member/runs/${run.id}`, run))));
  expect(answers.every(({ status }) => status === 200)).toBe(true);
  expect(answers.filter(({ body }) => body.stored === "new")).toHaveLength(50);
  const rows = await test.db.models.PersonDay.findAll({ where: { crewId: world.crewId } });
  expect(rows.map((row) => [row.get().runs, row.get().itemsDone, row.get().effortSum])).toEqual(Array(50).fill([1, 2, 3]));
  await close();
});

it("everything of a crew comes out as one open file, and that is in the trail", async () => {
  await lead(1);
  const answer = await trainer.get(`/api/crews/${world.crewId}/export.json`);
  expect(answer.body).toMatchObject({ format: "kind-grip-crew", version: 1, people: [{}, {}, {}], runs: [{}], runPeople: [{}, {}, {}] });
  const { entries } = (await trainer.get(`/api/crews/${world.crewId}/audit`)).body;
  expect(entries).toMatchObject([{ subject: "export", act: "saw" }]);
});
