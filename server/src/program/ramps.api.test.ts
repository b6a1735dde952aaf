import type { MemberDay, RampEntry, WaitingDecision } from "@kind-grip/core/api";
import { addDays, dateAt } from "@kind-grip/core/calendar";
import { settlingDose } from "@kind-grip/core/program";
import { makeWorld, sampleRun, type SampleWorld } from "../test/samples";
import { openTestApp, TestTrainer, type TestApp } from "../test/test-app";
import { presencesIn } from "./ramps";

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
const ramps = async () => (await trainer.get(`${crew()}/ramps`)).body as RampEntry[];
const first = () => world.people[0]!.id;
const today = () => dateAt(Date.now(), "Europe/Berlin");
/** Led so many days ago; who is not there did nothing. */
async function lead(daysAgo: number, present: (personId: string) => boolean = () => true) {
  const at = new Date(Date.now() - daysAgo * 86_400_000).toISOString();
  const run = sampleRun(world);
  const people = run.people.map((person) => ({
    ...person,
    present: present(person.personId),
    effort: present(person.personId) ? 1 : null,
  }));
  expect((await trainer.send("put", `/api/runs/${run.id}`, { ...run, startedAt: at, endedAt: at, people })).status).toBe(200);
}
const withoutFirst = (personId: string) => personId !== first();

it("who was away for nine days is on the way back, with what they do less and until when; the others are not", async () => {
  await lead(10);
  for (const days of [7, 3, 1]) await lead(days, withoutFirst);
  const { timeZone } = (await trainer.get(crew())).body as { timeZone: string };
  const day = dateAt(Date.now(), timeZone);
  expect(await ramps()).toEqual([
    {
      personId: first(),
      days: 3,
      form: "own",
      loadWaits: false,
      why: { awayDays: 9, from: day, until: addDays(day, 2), ends: addDays(day, 2) },
    },
  ]);
});

it("somebody who never took part in a crew under way begins like the first week", async () => {
  for (const days of [12, 6, 1]) await lead(days, withoutFirst);
  expect(await ramps()).toMatchObject([{ personId: first(), form: "own", loadWaits: true, why: { awayDays: null } }]);
});

it("a lead is told what is done, not for how long somebody was away", async () => {
  await lead(30);
  for (const days of [24, 18, 12, 6, 1]) await lead(days, withoutFirst);
  const leader = await trainer.staff(test, "lead", [world.crewId]);
  expect((await leader.get(`${crew()}/ramps`)).body).toMatchObject([{ personId: first(), form: "easier", why: null }]);
});

it("their phone has the lighter sessions and says why; nobody else's has", async () => {
  await lead(10);
  for (const days of [5, 1]) await lead(days, withoutFirst);
  const day = async (personId: string) =>
    (await (await trainer.member(test, world.crewId, personId)).get("/api/member/day")).body as MemberDay;
  const [back, other] = [await day(first()), await day(world.people[1]!.id)];
  expect([back.ramp?.awayDays, other.ramp]).toEqual([9, null]);
  const dose = ({ anyTime }: MemberDay) => anyTime[0]!.session.items[1]!.dose;
  expect(dose(other)).toEqual(world.program.sessions[0]!.items[1]!.dose);
  expect(dose(back)).toEqual(settlingDose(dose(other)));
});

it("what is done on the way back leads to no raise", async () => {
  await lead(20);
  for (const days of [9, 8, 6]) await lead(days, withoutFirst);
  for (const days of [2, 1, 0]) await lead(days);
  const waiting = ((await trainer.get(`${crew()}/decisions?all=no`)).body as WaitingDecision[]).map(({ personId }) => personId);
  expect(waiting).toContain(world.people[1]!.id);
  expect(waiting).not.toContain(first());
});

it("the trainer ends it and takes that back; both are in the trail", async () => {
  await lead(10);
  for (const days of [5, 1]) await lead(days, withoutFirst);
  const address = `${crew()}/people/${first()}/ramp`;
  expect((await trainer.send("put", address, { ended: true })).body).toEqual([]);
  expect(await ramps()).toEqual([]);
  expect((await trainer.send("put", address, { ended: false })).body).toHaveLength(1);
  const { entries } = (await trainer.get(`${crew()}/audit`)).body as { entries: { what: string; personId: string }[] };
  expect(entries.filter(({ what }) => what.includes("way back")).map(({ personId }) => personId)).toEqual([first(), first()]);
  const other = await makeWorld(trainer);
  expect((await trainer.send("put", `${crew()}/people/${other.people[0]!.id}/ramp`, { ended: true })).status).toBe(404);
  expect((await (await TestTrainer.make(test)).send("put", address, { ended: true })).status).toBe(404);
});

it("a day far back is found however long ago, and says how long somebody was away", async () => {
  const { models } = test.db;
  const row = { crewId: world.crewId, itemsDue: 1, itemsDone: 1, doneSec: 60, runs: 1, effortSum: 1, efforts: 1, marks: 0 };
  const days = { [first()]: [200, 2], [world.people[1]!.id]: [200], [world.people[2]!.id]: [1] };
  for (const [personId, ago] of Object.entries(days))
    for (const back of ago) await models.PersonDay.create({ ...row, personId, day: addDays(today(), -back) });
  const found = await presencesIn(test.db, world.crewId, today());
  expect(found.get(first())).toMatchObject({
    returns: [{ day: addDays(today(), -2), before: addDays(today(), -200) }],
    lastDay: addDays(today(), -2),
  });
  expect(found.get(world.people[1]!.id)).toMatchObject({ returns: [], lastDay: addDays(today(), -200) });
  const alone = await presencesIn(test.db, world.crewId, today(), { personId: first() });
  expect([...alone]).toEqual([[first(), found.get(first())]]);
  expect(found.get(world.people[2]!.id)).toMatchObject({ returns: [{ before: null }], crewSince: addDays(today(), -200) });
});
