/** A crew at night: what is done after midnight counts for the day its shift began on, and the morning is asked once a night. */
import type { RunRecord } from "@kind-grip/core/run";
import { addDays, mondayOf } from "@kind-grip/core/calendar";
import { v7 as uuid } from "uuid";
import { itemFacts } from "../response/item-facts";
import { memberDay } from "../member/member-day";
import { storeCheckIn } from "../response/check-ins";
import { practiceLibrary } from "../library/practice-library";
import type { Caller } from "../auth/caller";
import { makeWorld, sampleCrew, sampleRun, type SampleWorld } from "../test/samples";
import { openTestApp, TestTrainer, type TestApp } from "../test/test-app";

const NIGHT = { id: "night", name: "Night", start: "22:00", lengthMin: 480, breaks: [] };
const nights = { anchorDate: "2026-03-02", shifts: [NIGHT], cycle: ["night"] };
/** Of a week that is over; in UTC, so that hours are what they say. */
const monday = addDays(mondayOf(new Date().toISOString().slice(0, 10)), -7);
const tuesday = addDays(monday, 1);
const at = (day: string, time: string) => new Date(`${day}T${time}:00.000Z`);

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
let caller: Caller;
beforeAll(async () => {
  test = await openTestApp();
  trainer = await TestTrainer.make(test);
});
beforeEach(async () => {
  world = await makeWorld(trainer);
  await beAt({ shiftPattern: nights });
  const { practiceId } = (await test.db.models.Account.findOne({ where: { id: (await crew()).trainerId } }))!.get();
  caller = { role: "member", accountId: world.people[0]!.id, practiceId, crewId: world.crewId };
});
afterAll(() => test.close());

const crew = async () => (await test.db.models.Crew.findByPk(world.crewId))!.get({ plain: true });
const beAt = async (change: object) => {
  const { version } = (await trainer.get(`/api/crews/${world.crewId}`)).body;
  const body = { version, crew: sampleCrew({ timeZone: "UTC", ...change }) };
  expect((await trainer.send("put", `/api/crews/${world.crewId}`, body)).status).toBe(200);
};
const lead = async (day: string, time: string, change: Partial<RunRecord> = {}) => {
  const startedAt = at(day, time);
  const endedAt = new Date(startedAt.getTime() + 300_000).toISOString();
  const run = { ...sampleRun(world), startedAt: startedAt.toISOString(), endedAt, ...change };
  expect((await trainer.send("put", `/api/runs/${run.id}`, run)).status).toBe(200);
  return run;
};
const days = async () =>
  (await test.db.models.PersonDay.findAll({ where: { personId: world.people[0]!.id }, order: ["day"] })).map((row) =>
    row.get({ plain: true }),
  );

it("a run at two in the night is added up with the one at ten in the evening; what is said of it later too, whatever the shifts are by then", async () => {
  await lead(monday, "22:05");
  const unsaid = sampleRun(world).people.map((person, i) => (i === 0 ? { ...person, effort: null } : person));
  const late = await lead(tuesday, "02:00", { people: unsaid });
  expect((await days()).map(({ day, runs, efforts }) => [day, runs, efforts])).toEqual([[monday, 2, 1]]);
  await beAt({});
  const member = await trainer.member(test, world.crewId, world.people[0]!.id);
  const body = { id: uuid(), placementId: null, runId: late.id, effort: 4, at: new Date().toISOString() };
  // The time to say so is over: straight into what it would have done.
  await test.db.models.Run.update({ endedAt: new Date() }, { where: { id: late.id } });
  expect((await member.send("put", `/api/member/efforts/${body.id}`, body)).status).toBe(200);
  expect((await days()).map(({ day, efforts, effortSum }) => [day, efforts, effortSum])).toEqual([[monday, 2, 6]]);
});

it("a run of before the working day was kept counts for the day it began on", async () => {
  const { id } = await lead(tuesday, "02:00");
  const facts = async () =>
    (await itemFacts(test.db, await practiceLibrary(test.db, caller.practiceId), await crew(), at(addDays(tuesday, 2), "12:00")))[0]!.facts;
  expect((await facts()).since).toBe(monday);
  await test.db.models.Run.update({ workingDay: null }, { where: { id } });
  expect((await facts()).since).toBe(tuesday);
});

it("whoever is excused on Tuesday misses nothing of Tuesday's night, and was at work in Monday's", async () => {
  const personId = world.people[0]!.id;
  const absence = { id: uuid(), personId, from: tuesday, until: tuesday };
  expect((await trainer.send("post", `/api/crews/${world.crewId}/absences`, absence)).status).toBeLessThan(300);
  const away = sampleRun(world).people.map((person, i) => (i === 0 ? { ...person, present: false, effort: null } : person));
  const dueAfter = async () => {
    const all = await itemFacts(
      test.db,
      await practiceLibrary(test.db, caller.practiceId),
      await crew(),
      at(addDays(tuesday, 2), "12:00"),
      [personId],
    );
    return all.map(({ facts: { due, done } }) => [due, done]);
  };
  await lead(tuesday, "02:00");
  expect(new Set((await dueAfter()).map(String))).toEqual(new Set(["1,1"]));
  await lead(addDays(tuesday, 1), "02:00", { people: away });
  expect(new Set((await dueAfter()).map(String))).toEqual(new Set(["1,1"]));
});

it("the morning that was answered before the shift is not asked again in the middle of it, and is asked after a rest", async () => {
  const place = { crewId: world.crewId, personId: world.people[0]!.id };
  const asked = async (day: string, time: string) => !(await memberDay(test.db, caller, at(day, time))).checkedIn;
  const answer = (day: string, when: Date) =>
    storeCheckIn(test.db, caller, when, place, { id: uuid(), day, level: 1, regions: [], tingling: false, stillThere: null });
  expect(await asked(monday, "21:30")).toBe(true);
  expect(await answer(monday, at(monday, "21:30"))).toMatchObject({ stored: "new" });
  expect([await asked(monday, "23:00"), await asked(tuesday, "00:10"), await asked(tuesday, "07:30")]).toEqual([false, false, false]);
  expect([await asked(tuesday, "14:00"), await asked(tuesday, "21:30")]).toEqual([true, true]);
  const { shifts } = await memberDay(test.db, caller, at(tuesday, "00:10"));
  expect(shifts).toContainEqual({ date: monday, startsAt: at(monday, "22:00").toISOString(), endsAt: at(tuesday, "06:00").toISOString() });
});

it("before a shift that begins after midnight it is that shift's morning already; a later day has not come", async () => {
  await beAt({ shiftPattern: { ...nights, shifts: [{ ...NIGHT, start: "00:30" }] } });
  const place = { crewId: world.crewId, personId: world.people[0]!.id };
  const answer = (day: string, when: Date) =>
    storeCheckIn(test.db, caller, when, place, { id: uuid(), day, level: 1, regions: [], tingling: false, stillThere: null });
  expect(await answer(tuesday, at(monday, "23:00"))).toMatchObject({ stored: "new" });
  expect((await memberDay(test.db, caller, at(monday, "23:00"))).checkedIn).toBe(true);
  await expect(answer(addDays(tuesday, 1), at(tuesday, "20:00"))).rejects.toMatchObject({ status: 400 });
});
