/** How far each step of a crew's job is, from nothing to a led session, and who may ask. */
import type { CrewPath, WeekPlanEntry } from "@kind-grip/core/api";
import { emptyRecord } from "@kind-grip/core/baseline";
import { addDays, dateAt, mondayOf } from "@kind-grip/core/calendar";
import { v7 as uuid } from "uuid";
import { makeWorld, sampleCrew, sampleRun, sampleWork, seriesFor, type SampleWorld } from "../test/samples";
import { openTestApp, TestTrainer, type TestApp } from "../test/test-app";

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
beforeAll(async () => {
  test = await openTestApp();
});
beforeEach(async () => {
  trainer = await TestTrainer.make(test);
  world = await makeWorld(trainer);
});
afterAll(() => test.close());

const crew = () => `/api/crews/${world.crewId}`;
const path = async () => (await trainer.get(`${crew()}/path`).expect(200)).body as CrewPath;
const today = dateAt(Date.now(), sampleCrew().timeZone);

it("begins with nothing, and each step is there with what makes it", async () => {
  const id = uuid();
  await trainer.send("post", "/api/crews", { id, crew: sampleCrew() });
  expect(new Set(Object.values((await trainer.get(`/api/crews/${id}/path`)).body as CrewPath))).toEqual(new Set(["empty"]));
  expect(await path()).toMatchObject({ people: "ready", work: "empty", program: "ready", plan: "empty", runs: "empty" });
  await trainer.send("put", `${crew()}/work`, { version: 0, work: sampleWork() });
  expect((await path()).work).toBe("ready");
});

it("a week that is planned is there before anything of it was led; a report only once a block of it can be read", async () => {
  const week = `${crew()}/plan/${mondayOf(today)}`;
  const { version } = (await trainer.get(week)).body as WeekPlanEntry;
  await trainer.send("put", week, { version, placements: [], standing: { groups: [], series: [seriesFor(world)] } });
  expect(await path()).toMatchObject({ plan: "ready", runs: "empty", report: "empty" });
  const calm = sampleRun(world);
  calm.people = calm.people.map((person) => ({ ...person, marks: [] }));
  const recent = { ...calm, startedAt: new Date(Date.now() - 3600_000).toISOString(), endedAt: new Date().toISOString() };
  await trainer.send("put", `/api/runs/${recent.id}`, recent);
  expect(await path()).toMatchObject({ plan: "ready", runs: "ready", progress: "ready", report: "part" });
  const old = { ...calm, id: uuid(), startedAt: "2024-03-04T07:00:00.000Z", endedAt: "2024-03-04T07:05:00.000Z" };
  await trainer.send("put", `/api/runs/${old.id}`, old);
  expect((await path()).report).toBe("ready");
});

it("bookings are the plan of who works by them; one that is cancelled is none", async () => {
  await trainer.send("put", crew(), { version: 1, crew: sampleCrew({ byBookings: true }) });
  const { Booking } = test.db.models;
  const booking = {
    id: uuid(),
    crewId: world.crewId,
    personId: world.people[0]!.id,
    startsAt: new Date(),
    lengthMin: 60,
    treatmentId: null,
    version: 1,
    calendarId: null,
    sourceKey: null,
    readAs: null,
  };
  await Booking.create({ ...booking, cancelled: true });
  expect((await path()).plan).toBe("empty");
  await Booking.update({ cancelled: false }, { where: { id: booking.id } });
  expect((await path()).plan).toBe("ready");
});

describe("measuring", () => {
  let roundId: string;
  const save = (person: number) =>
    trainer.send("put", `/api/rounds/${roundId}/people/${world.people[person]!.id}`, {
      version: 0,
      record: { ...emptyRecord(), safety: { ...emptyRecord().safety, chestPain: false } },
    });
  const finish = (person: number) =>
    test.db.models.Baseline.update({ progress: "finished" }, { where: { roundId, personId: world.people[person]!.id } });
  beforeEach(async () => {
    roundId = uuid();
    await trainer.send("post", `${crew()}/rounds`, { id: roundId, name: "Spring" });
  });

  it("is done when everybody here is measured or held out, each counted once", async () => {
    expect((await path()).baseline).toBe("empty");
    for (const person of [0, 1]) {
      await save(person);
      await finish(person);
    }
    expect((await path()).baseline).toBe("part");
    // Somebody who is measured and then held out does not stand in for whoever is not measured.
    await trainer.send("post", `${crew()}/restrictions`, { personId: world.people[0]!.id, question: "chestPain" });
    expect(await path()).toMatchObject({ baseline: "part", people: "needsYou" });
    await trainer.send("post", `${crew()}/restrictions`, { personId: world.people[2]!.id, question: "chestPain" });
    expect((await path()).baseline).toBe("ready");
  });

  it("of who has left nobody is missing, and their hold asks for nothing", async () => {
    for (const person of [0, 1]) {
      await save(person);
      await finish(person);
    }
    const [, , last] = world.people;
    await trainer.send("post", `${crew()}/restrictions`, { personId: last!.id, question: "chestPain" });
    expect((await path()).people).toBe("needsYou");
    await test.db.models.Person.update({ leftOn: addDays(today, -1) }, { where: { id: last!.id } });
    expect(await path()).toMatchObject({ people: "ready", baseline: "ready" });
  });

  it("a round that is closed is ready with whom it has", async () => {
    await save(0);
    await trainer.send("put", `/api/rounds/${roundId}`, { name: "Spring", closed: true });
    expect((await path()).baseline).toBe("ready");
  });
});

it("a crew of somebody else is none", async () => {
  const other = await TestTrainer.make(test);
  expect((await other.get(`${crew()}/path`)).status).toBe(404);
});
