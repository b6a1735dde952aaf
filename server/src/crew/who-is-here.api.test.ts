/** Who is in a crew on which day: somebody's last day, their first one, and days they are excused. */
import type { MemberDay, Today, WaitingDecision } from "@kind-grip/core/api";
import { addDays, dateAt, mondayOf } from "@kind-grip/core/calendar";
import type { ReviewAnswer } from "@kind-grip/core/followup";
import { v7 as uuid } from "uuid";
import type { Caller } from "../auth/caller";
import { workOutToday } from "../dayplan/today";
import { isStillGood } from "../member/access";
import { memberDay } from "../member/member-day";
import { makeWorld, sampleCrew, sampleRun, seriesFor, type SampleWorld } from "../test/samples";
import { openTestApp, TestCaller, TestTrainer, type TestApp } from "../test/test-app";

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

const DUBLIN = "Europe/Dublin";
const today = () => dateAt(Date.now(), DUBLIN);
const crew = () => `/api/crews/${world.crewId}`;
const me = () => world.people[0]!.id;
const onlyIn = async (days: { startedOn?: string; leftOn?: string }, personId = me()) =>
  test.db.models.Person.update({ ...days, version: 2 }, { where: { id: personId } });
const NIGHT = { id: "night", name: "Night", start: "22:00", lengthMin: 480, breaks: [] };
const workingAt = async (change: object) =>
  trainer.send("put", crew(), { version: (await trainer.get(crew())).body.version, crew: sampleCrew(change) });
const asCaller = async (personId: string | null): Promise<Caller> => {
  const { trainerId } = (await test.db.models.Crew.findByPk(world.crewId))!.get();
  const { practiceId } = (await test.db.models.Account.findByPk(trainerId))!.get();
  return personId
    ? { role: "member", accountId: personId, practiceId, crewId: world.crewId }
    : { role: "trainer", accountId: trainerId, practiceId };
};
/** A warm-up at the start of every shift from a Monday on. */
const planFrom = async (weekStart: string, shift = "day") => {
  const standing = { groups: [], series: [seriesFor(world, { fromDate: weekStart, shift })] };
  const sent = await trainer.send("put", `${crew()}/plan/${weekStart}`, { version: 0, placements: [], standing });
  expect(sent.status).toBe(200);
};
const everyDay = (start = "07:00") => ({
  anchorDate: "2026-03-02",
  shifts: [{ id: "day", name: "Day", start, lengthMin: 480, breaks: [] }],
  cycle: ["day"],
});

it("somebody whose last day is still to come, or was yesterday, counts, waits and is reviewed by that, and not by whether a day is named", async () => {
  for (const daysAgo of [3, 2, 1]) {
    const at = new Date(Date.now() - daysAgo * 86_400_000).toISOString();
    const run = sampleRun(world);
    const people = run.people.map((person) => ({ ...person, present: true, effort: 1, marks: [] }));
    expect((await trainer.send("put", `/api/runs/${run.id}`, { ...run, startedAt: at, endedAt: at, people })).status).toBe(200);
  }
  const told = async () => {
    const crews = (await trainer.get("/api/crews")).body as { id: string; people: number }[];
    const decisions = (await trainer.get(`${crew()}/decisions?all=no`)).body as WaitingDecision[];
    const review = (await trainer.get(`${crew()}/review?weeks=4`)).body as ReviewAnswer;
    const onToday = ((await trainer.get("/api/today")).body as Today).crews.find(({ id }) => id === world.crewId)!;
    return {
      counted: [crews.find(({ id }) => id === world.crewId)!.people, onToday.people],
      waits: decisions.some(({ personId }) => personId === me()),
      reviewed: review.people.some(({ personId }) => personId === me()),
    };
  };
  expect(await told()).toEqual({ counted: [3, 3], waits: true, reviewed: true });
  await onlyIn({ leftOn: addDays(today(), 30) });
  expect(await told()).toEqual({ counted: [3, 3], waits: true, reviewed: true });
  await onlyIn({ leftOn: today() });
  expect(await told()).toEqual({ counted: [3, 3], waits: true, reviewed: true });
  await test.db.models.Person.update({ leftOn: addDays(today(), -1), version: 3 }, { where: { id: me() } });
  expect(await told()).toEqual({ counted: [2, 2], waits: false, reviewed: false });
});

describe("the end of somebody's last day", () => {
  const good = async (at: string) => isStillGood(test.db, await asCaller(me()), new Date(at));
  beforeEach(async () => {
    await trainer.send("post", `${crew()}/access`, { personIds: [me()] });
    await onlyIn({ leftOn: "2026-03-06" });
  });
  it.each([
    ["America/Los_Angeles", "2026-03-07T07:59:00.000Z", "2026-03-07T08:01:00.000Z"],
    ["Pacific/Auckland", "2026-03-06T10:59:00.000Z", "2026-03-06T11:01:00.000Z"],
  ])("is midnight in %s, not in Greenwich", async (timeZone, before, after) => {
    await workingAt({ timeZone, shiftPattern: everyDay() });
    expect([await good(before), await good(after)]).toEqual([true, false]);
  });
  it("is the end of the night shift that began on it", async () => {
    await workingAt({ timeZone: "UTC", shiftPattern: { anchorDate: "2026-03-02", shifts: [NIGHT], cycle: ["night", null] } });
    expect([await good("2026-03-07T02:00:00.000Z"), await good("2026-03-07T05:59:00.000Z")]).toEqual([true, true]);
    expect(await good("2026-03-07T16:00:00.000Z")).toBe(false);
  });
  it("ends cards and PINs too", async () => {
    const { body } = await trainer.send("post", `${crew()}/access`, { personIds: [me()] });
    await expect(TestCaller.signedIn(test, "/api/member/card", { token: body.cards[0].token })).rejects.toThrow("401");
    await onlyIn({ leftOn: today() });
    const member = await TestCaller.signedIn(test, "/api/member/card", { token: body.cards[0].token });
    await member.get("/api/member/day").expect(200);
  });
});

describe("one's own page", () => {
  const dayAt = async (at: string) => memberDay(test.db, await asCaller(me()), new Date(at));
  const datesOf = ({ sessions }: MemberDay) => sessions.map(({ startsAt }) => dateAt(Date.parse(startsAt!), DUBLIN));
  beforeEach(async () => {
    await workingAt({ shiftPattern: everyDay() });
    await planFrom("2026-03-02");
  });
  it("has nothing planned before the first day, and says which it is; from that day on everything", async () => {
    await onlyIn({ startedOn: "2026-03-11" });
    const before = await dayAt("2026-03-09T06:00:00.000Z");
    expect([before.firstDay, before.sessions, before.anyTime, before.home]).toEqual(["2026-03-11", [], [], []]);
    const evening = await dayAt("2026-03-10T20:00:00.000Z");
    expect([evening.firstDay, datesOf(evening)]).toEqual(["2026-03-11", ["2026-03-11"]]);
    const first = await dayAt("2026-03-11T06:00:00.000Z");
    expect([first.firstDay, datesOf(first), first.anyTime.length]).toEqual([null, ["2026-03-11", "2026-03-12"], 2]);
  });
  it("has nothing of the days after the last one", async () => {
    await onlyIn({ leftOn: "2026-03-11" });
    expect(datesOf(await dayAt("2026-03-10T06:00:00.000Z"))).toEqual(["2026-03-10", "2026-03-11"]);
    expect(datesOf(await dayAt("2026-03-11T06:00:00.000Z"))).toEqual(["2026-03-11"]);
  });
});

it("somebody's calendar has the days they are in the crew and not excused, and none once they have left; the crew's has all", async () => {
  const monday = mondayOf(today());
  await workingAt({ shiftPattern: everyDay() });
  await planFrom(monday);
  const linkTo = async (personId: string | null) =>
    (await trainer.send("post", `${crew()}/calendar-links`, { id: uuid(), name: "L", personId })).body.path as string;
  const [mine, all] = [await linkTo(me()), await linkTo(null)];
  const days = async (path: string) =>
    [...(await trainer.get(path)).text.matchAll(/DTSTART[^:]*:(\d{4})(\d\d)(\d\d)/g)]
      .map(([, year, month, day]) => `${year}-${month}-${day}`)
      .filter((day) => day >= monday)
      .sort();
  const week = [0, 1, 2, 3, 4, 5, 6].map((i) => addDays(monday, i));
  expect((await days(mine)).slice(0, 7)).toEqual(week);
  const absence = { id: uuid(), personId: me(), from: week[2]!, until: week[3]! };
  await trainer.send("post", `${crew()}/absences`, absence);
  await onlyIn({ startedOn: week[1]!, leftOn: week[6]! });
  expect(await days(mine)).toEqual([week[1], week[4], week[5], week[6]]);
  expect((await days(all)).slice(0, 7)).toEqual(week);
  await onlyIn({ startedOn: "2024-01-01", leftOn: addDays(monday, -1) });
  expect(await days(mine)).toEqual([]);
});

it("who is excused is not expected at today's session, on Today neither as somebody who comes nor as somebody who needs a piece of kit", async () => {
  await workingAt({ shiftPattern: everyDay() });
  await planFrom(mondayOf(today()));
  const entry = async () => ((await trainer.get("/api/today")).body as Today).entries.find(({ crewId }) => crewId === world.crewId)!;
  expect((await entry()).people).toBe(3);
  await trainer.send("post", `${crew()}/absences`, { id: uuid(), personId: me(), from: today(), until: today() });
  expect((await entry()).people).toBe(2);
});

it("who was excused was not expected at a run, unless they came all the same", async () => {
  const run = sampleRun(world);
  const people = run.people.map((person, i) => ({ ...person, present: i === 0, effort: null, marks: [] }));
  expect((await trainer.send("put", `/api/runs/${run.id}`, { ...run, people })).status).toBe(200);
  const listed = async () => {
    const [{ present, expected }] = (await trainer.get(`${crew()}/runs`)).body.runs;
    return [present, expected];
  };
  expect(await listed()).toEqual([1, 3]);
  for (const i of [0, 1])
    await trainer.send("post", `${crew()}/absences`, {
      id: uuid(),
      personId: world.people[i]!.id,
      from: "2026-03-02",
      until: "2026-03-03",
    });
  expect(await listed()).toEqual([1, 2]);
});

it("since when somebody is held out after a clearance ran out is midnight at the crew's place", async () => {
  const timeZone = "America/Los_Angeles";
  await workingAt({ timeZone });
  expect((await trainer.send("post", `${crew()}/restrictions`, { personId: me(), question: "freshInjury" })).status).toBeLessThan(300);
  const ofMine = { where: { personId: me() } };
  await test.db.models.Restriction.update({ since: new Date("2026-03-02T12:00:00.000Z") }, ofMine);
  const { id: restrictionId } = (await test.db.models.Restriction.findOne(ofMine))!.get();
  await test.db.models.Clearance.create({
    id: uuid(),
    crewId: world.crewId,
    personId: me(),
    restrictionId,
    givenBy: "Ida Moss",
    profession: "hand therapist",
    allows: ["mobility"],
    fromDay: "2026-03-03",
    untilDay: "2026-03-05",
    note: null,
    enteredAt: new Date("2026-03-03T12:00:00.000Z"),
    withdrawnAt: null,
    withdrawnWhy: null,
  });
  const { heldOut } = await workOutToday(test.db, await asCaller(null), new Date("2026-03-09T15:00:00.000Z"), [world.crewId]);
  expect(heldOut).toMatchObject([{ personId: me(), since: "2026-03-06T08:00:00.000Z" }]);
});
