import { dateAt } from "@kind-grip/core/calendar";
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

const store = (run: object, id = (run as { id: string }).id) => trainer.send("put", `/api/runs/${id}`, run);

it("a run is stored whole and read back as it was", async () => {
  const run = sampleRun(world);
  expect((await store(run)).body).toEqual({ id: run.id, stored: "new" });
  const back = (await trainer.get(`/api/runs/${run.id}`)).body as typeof run;
  back.people.sort((a, b) => a.personId.localeCompare(b.personId));
  expect(back).toEqual({ ...run, people: [...run.people].sort((a, b) => a.personId.localeCompare(b.personId)) });
});

it("sent twice it is stored once; what came first stays", async () => {
  const run = sampleRun(world);
  await store(run);
  const again = await store({ ...run, people: run.people.map((person) => ({ ...person, effort: person.present ? 9 : null })) });
  expect(again.body).toEqual({ id: run.id, stored: "already" });
  expect((await trainer.get(`/api/crews/${world.crewId}/runs`)).body).toMatchObject({
    total: 1,
    runs: [{ present: 2, expected: 3, meanEffort: 2.5, marks: 1 }],
  });
});

it("says who was not there when the crew was last led, to a crew lead too, and nothing else", async () => {
  const last = async () => (await trainer.get(`/api/crews/${world.crewId}/last-presence`)).body;
  expect(await last()).toEqual({ startedAt: null, absent: [], excused: [] });
  const run = sampleRun(world);
  await store(run);
  const absent = run.people.filter(({ present }) => !present).map(({ personId }) => personId);
  expect(await last()).toEqual({ startedAt: run.startedAt, absent, excused: [] });
  const lead = await trainer.staff(test, "lead", [world.crewId]);
  expect((await lead.get(`/api/crews/${world.crewId}/last-presence`)).body.absent).toEqual(absent);
});

it("whoever is excused today is said to be; whoever was excused then and is not now is not away for that", async () => {
  const last = async () => (await trainer.get(`/api/crews/${world.crewId}/last-presence`)).body;
  const run = sampleRun(world);
  await store(run);
  const gone = run.people.find(({ present }) => !present)!.personId;
  const excuse = (personId: string, day: string) =>
    trainer.send("post", `/api/crews/${world.crewId}/absences`, { id: uuid(), personId, from: day, until: day });
  const today = dateAt(Date.now(), "Europe/Dublin");
  await excuse(gone, run.startedAt.slice(0, 10));
  expect(await last()).toMatchObject({ absent: [], excused: [] });
  await excuse(gone, today);
  await excuse(world.people[0]!.id, today);
  const { absent, excused } = await last();
  expect([absent, excused.toSorted()]).toEqual([[gone], [gone, world.people[0]!.id].toSorted()]);
});

it("sent eight times at the same moment it is stored once", async () => {
  const run = sampleRun(world);
  const answers = await Promise.all(Array.from({ length: 8 }, () => store(run)));
  expect(answers.map((answer) => answer.status)).toEqual(Array(8).fill(200));
  expect(answers.filter((answer) => answer.body.stored === "new")).toHaveLength(1);
  expect(await test.db.models.RunPerson.count({ where: { runId: run.id } })).toBe(3);
});

it("names a stranger and stores nothing of it", async () => {
  const run = sampleRun(world);
  run.people[2]!.personId = uuid();
  expect(fieldsOf(await store(run))).toEqual({ "people.2.personId": "is not in this crew" });
  expect(await test.db.models.Run.count({ where: { id: run.id } })).toBe(0);
});

it.each([
  ["an effort of 11", (run: ReturnType<typeof sampleRun>) => (run.people[0]!.effort = 11), "people.0.effort"],
  ["an effort without presence", (run: ReturnType<typeof sampleRun>) => (run.people[2]!.effort = 3), "people"],
  ["an end before the start", (run: ReturnType<typeof sampleRun>) => (run.endedAt = "2026-03-03T06:59:59.000Z"), "endedAt"],
  ["a person twice", (run: ReturnType<typeof sampleRun>) => run.people.push(run.people[0]!), "people"],
])("refuses %s", async (_, spoil, path) => {
  const run = sampleRun(world);
  spoil(run);
  const answer = await store(run);
  expect([answer.status, Object.keys(fieldsOf(answer))]).toEqual([400, [path]]);
});

it("an id in the address that is not the run's is refused", async () => {
  expect((await store(sampleRun(world), uuid())).status).toBe(400);
});

it("come out as CSV, one row a person and run", async () => {
  await store(sampleRun(world));
  const lines = (await trainer.get(`/api/crews/${world.crewId}/runs.csv`)).text.trim().split("\r\n");
  expect(lines).toHaveLength(4);
  expect(lines[2]).toBe("2026-03-03T07:00:00.000Z,2026-03-03,07:00,Europe/Dublin,Warm-up,preShift,174,120,Person 2,B-2,yes,3,1");
});

it("are paged, newest first", async () => {
  for (let day = 1; day <= 41; day++) {
    const startedAt = new Date(Date.UTC(2026, 0, day, 7)).toISOString();
    await store({ ...sampleRun(world), startedAt, endedAt: startedAt });
  }
  const page = async (number: number) =>
    (await trainer.get(`/api/crews/${world.crewId}/runs?page=${number}`)).body as { total: number; runs: { startedAt: string }[] };
  expect(await page(0)).toMatchObject({ total: 41 });
  expect((await page(0)).runs[0]!.startedAt).toBe("2026-02-10T07:00:00.000Z");
  expect((await page(1)).runs.map((run) => run.startedAt)).toEqual(["2026-01-01T07:00:00.000Z"]);
  await trainer.get(`/api/crews/${world.crewId}/runs?page=minus`).expect(400);
});

it("progress counts who came and how it felt, within the days asked for", async () => {
  const now = Date.now();
  const run = (daysAgo: number) => ({
    ...sampleRun(world),
    startedAt: new Date(now - daysAgo * 86_400_000).toISOString(),
    endedAt: new Date(now - daysAgo * 86_400_000 + 60_000).toISOString(),
  });
  await store(run(1));
  await store(run(6.9));
  await store(run(7.1));
  const { body } = await trainer.get(`/api/crews/${world.crewId}/progress?days=7`);
  expect(body.runs).toHaveLength(2);
  expect(
    body.people.map((person: { name: string; present: number; presentShare: number; meanEffort: number | null }) => [
      person.name,
      person.present,
      person.presentShare,
      person.meanEffort,
    ]),
  ).toEqual([
    ["Person 1", 2, 1, 2],
    ["Person 2", 2, 1, 3],
    ["Person 3", 0, 0, null],
  ]);
  expect(body.efforts).toEqual([0, 0, 2, 2, 0, 0, 0, 0, 0, 0, 0]);
});
