/** A crew's standing plan: what its series come to wherever placements are read, and what stays when it is led or changed. */
import type { Today, WeekPlanEntry } from "@kind-grip/core/api";
import { addDays, dateAt, mondayOf, momentAt } from "@kind-grip/core/calendar";
import { laidId, type Series } from "@kind-grip/core/dayplan";
import { v7 as uuid } from "uuid";
import { plansOfCrew } from "../db/migrations/0024-standing-plans";
import { agreeByTelephone, BY_TELEPHONE, makeWorld, sampleCrew, sampleRun, seriesFor, type SampleWorld } from "../test/samples";
import { fieldsOf, openTestApp, TestTrainer, type TestApp } from "../test/test-app";
import { placementsBetween } from "./standing";

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
let series: Series;
const ZONE = "Europe/Dublin";
const today = dateAt(Date.now(), ZONE);
const week = mondayOf(today);
/** On shift every day, so that it does not matter on which the test runs. */
const everyDay = sampleCrew({ shiftPattern: { ...sampleCrew().shiftPattern, cycle: ["day"] } });

beforeAll(async () => {
  test = await openTestApp(undefined, undefined, undefined, BY_TELEPHONE);
});
beforeEach(async () => {
  trainer = await TestTrainer.make(test);
  world = await makeWorld(trainer);
  await trainer.send("put", `/api/crews/${world.crewId}`, { version: 1, crew: everyDay });
  series = seriesFor(world, { fromDate: addDays(today, -10) });
  await agreeByTelephone(trainer, world);
});
afterAll(() => test.close());

const address = (weekStart = week) => `/api/crews/${world.crewId}/plan/${weekStart}`;
const plan = async (weekStart = week) => (await trainer.get(address(weekStart))).body as WeekPlanEntry;
const save = async (standing: object, placements: object[] = [], weekStart = week) =>
  trainer.send("put", address(weekStart), { version: (await plan(weekStart)).version, placements, standing });
const keepSeries = (...list: Series[]) => save({ groups: [], series: list });
const sevenOn = (date: string) => new Date(momentAt(date, "07:00", 0, ZONE)).toISOString();
const starts = async (from: string, days: number) => {
  const crew = (await test.db.models.Crew.findByPk(world.crewId, { rejectOnEmpty: true })).get({ plain: true });
  const rows = await placementsBetween(test.db, [crew], new Date(`${from}T00:00:00Z`), new Date(`${addDays(from, days)}T00:00:00Z`));
  return rows.map(({ startsAt }) => startsAt.toISOString());
};
const lead = async (placementId: string, date = today, of = world) => {
  const run = {
    ...sampleRun(of),
    placementId,
    startedAt: sevenOn(date),
    endedAt: new Date(Date.parse(sevenOn(date)) + 300_000).toISOString(),
  };
  return trainer.send("put", `/api/runs/${run.id}`, run);
};

describe("a series", () => {
  beforeEach(async () => expect((await keepSeries(series)).status).toBe(200));

  it("is on Today, in the calendar and among what can be reminded of, under one id a day", async () => {
    const id = laidId(series.id, today);
    const entries = ((await trainer.get("/api/today")).body as Today).entries.filter(({ crewId }) => crewId === world.crewId);
    expect(entries).toMatchObject([{ placementId: id, startsAt: sevenOn(today), people: 3, runId: null }]);
    const calendar = (await trainer.get(`/api/crews/${world.crewId}/calendar.ics`)).text;
    expect(calendar.match(/BEGIN:VEVENT/g)).toHaveLength(10 + 84);
    expect(calendar).toContain(`UID:${id}@kind-grip`);
    const tomorrow = laidId(series.id, addDays(today, 1));
    const reminded = await trainer.send("post", `/api/crews/${world.crewId}/reminders`, { placementId: tomorrow, atOnce: true });
    expect(reminded.body).toEqual({ queued: 3, people: 3, unwanted: 0, unreachable: 0, waiting: 3, heldUntil: null });
    const nowhere = await trainer.send("post", `/api/crews/${world.crewId}/reminders`, {
      placementId: laidId(uuid(), today),
      atOnce: true,
    });
    expect(nowhere.status).toBe(404);
  });

  it("that was led stays on that day, whatever becomes of it; a week saved meanwhile does not take it away", async () => {
    const yesterday = addDays(today, -1);
    const id = laidId(series.id, yesterday);
    expect((await lead(id, yesterday)).status).toBe(200);
    await keepSeries({ ...series, at: { from: "start", min: 60 } });
    await save({ groups: [], series: [] });
    expect(await starts(addDays(today, -3), 5)).toEqual([sevenOn(yesterday)]);
    expect((await plan(mondayOf(yesterday))).kept.map((each) => each.id)).toEqual([id]);
  });

  it("that comes to its end on the leading screen is kept with it", async () => {
    const id = laidId(series.id, today);
    expect((await trainer.send("put", `/api/crews/${world.crewId}/placements/${id}/ended`, {})).status).toBe(204);
    await save({ groups: [], series: [series] });
    const row = await test.db.models.Placement.findByPk(id, { rejectOnEmpty: true });
    expect([row.get().ledUntil, row.get().seriesId]).toEqual([expect.any(Date), series.id]);
  });

  it("of another crew is not led with a run of this one", async () => {
    const other = await makeWorld(trainer);
    expect((await lead(laidId(series.id, today), today, other)).status).toBe(200);
    const entries = ((await trainer.get("/api/today")).body as Today).entries.filter(({ crewId }) => crewId === world.crewId);
    expect(entries.map(({ runId }) => runId)).toEqual([null]);
  });

  it("keeps what it came to when the shifts of the crew change, and follows them from here on", async () => {
    const crew = {
      ...everyDay,
      shiftPattern: { ...everyDay.shiftPattern, shifts: [{ ...everyDay.shiftPattern.shifts[0]!, start: "09:00" }] },
    };
    expect((await trainer.send("put", `/api/crews/${world.crewId}`, { version: 2, crew })).status).toBe(200);
    const nineOn = (date: string) => new Date(momentAt(date, "09:00", 0, ZONE)).toISOString();
    const list = await starts(addDays(today, -3), 6);
    expect(list.filter((each) => each.slice(0, 10) < today)).toEqual([-3, -2, -1].map((days) => sevenOn(addDays(today, days))));
    expect(list.filter((each) => each.slice(0, 10) > today)).toEqual([1, 2].map((days) => nineOn(addDays(today, days))));
    expect(list).toHaveLength(6);
    const [now] = (await plan()).standing.series;
    expect([now!.id, now!.fromDate >= today]).toEqual([series.id, true]);
    // What a crew is called changes nothing of its plan.
    const { version } = await plan();
    await trainer.send("put", `/api/crews/${world.crewId}`, { version: 3, crew: { ...crew, name: "Renamed" } });
    expect((await plan()).version).toBe(version);
  });

  it("that is long over is stored as what it came to, and the plan is without it", async () => {
    const long = { ...series, fromDate: addDays(today, -50), untilDate: addDays(today, -40) };
    await keepSeries(long);
    const before = await starts(addDays(today, -60), 40);
    expect(before).toHaveLength(11);
    await keepSeries(long, seriesFor(world, { fromDate: addDays(today, 5) }));
    expect((await plan()).standing.series.map(({ fromDate }) => fromDate)).toEqual([addDays(today, 5)]);
    expect(await starts(addDays(today, -60), 40)).toEqual(before);
    // A screen that still has it, whose session is gone by now, is not refused for it, and stores nothing twice.
    const [entry] = (await trainer.get(`/api/crews/${world.crewId}/programs`)).body as { version: number }[];
    const program = { ...world.program, sessions: world.program.sessions.slice(1) };
    await trainer.send("put", `/api/programs/${world.programId}`, { version: entry!.version, program });
    const { series: now } = (await plan()).standing;
    expect((await keepSeries(long, ...now)).status).toBe(200);
    expect(await starts(addDays(today, -60), 40)).toEqual(before);
  });
});

describe("two who plan at once", () => {
  it("a week seen before the standing plan changed is not stored over it, and neither half is", async () => {
    const [mine, theirs] = [await plan(addDays(week, 7)), await plan()];
    await keepSeries(series);
    const late = await trainer.send("put", address(addDays(week, 7)), {
      version: mine.version,
      placements: [],
      standing: { groups: [], series: [seriesFor(world)] },
    });
    expect([late.status, late.body.detail.standing.series.length]).toEqual([409, 1]);
    expect((await trainer.send("put", address(), { version: theirs.version, placements: [] })).status).toBe(200);
    expect((await plan()).standing.series.map(({ id }) => id)).toEqual([series.id]);
  });

  it("the same save twice is one save", async () => {
    const { version } = await plan();
    const body = { version, placements: [], standing: { groups: [], series: [series] } };
    const [one, two] = [await trainer.send("put", address(), body), await trainer.send("put", address(), body)];
    expect([one.status, two.status, two.body.version]).toEqual([200, 200, one.body.version]);
  });

  it("without a standing plan in it, a save leaves that one as it is", async () => {
    await keepSeries(series);
    await trainer.send("put", address(), { version: (await plan()).version, placements: [] });
    expect((await plan()).standing.series).toHaveLength(1);
  });
});

describe("is refused, field by field, and nothing is stored", () => {
  it.each<[string, () => object, Record<string, string>]>([
    [
      "a session of nobody",
      () => ({ groups: [], series: [{ ...series, sessionId: uuid() }] }),
      { "standing.series.0.sessionId": "is not a session of this crew's programs" },
    ],
    [
      "a kind of shift there is not",
      () => ({ groups: [], series: [{ ...series, shift: "late" }] }),
      { "standing.series.0.shift": "is not a kind of shift of this crew" },
    ],
    [
      "a group with a stranger",
      () => ({ groups: [{ id: uuid(), name: "A", people: [uuid()] }], series: [] }),
      { "standing.groups.0.people": "names somebody who is not in this crew" },
    ],
  ])("%s", async (_, standing, fields) => {
    expect(fieldsOf(await save(standing()))).toEqual(fields);
    expect(await plan()).toMatchObject({ version: 0, standing: { groups: [], series: [] } });
  });

  it("but a series that lost its session after it was planned does not stop the next change", async () => {
    await keepSeries(series);
    const [entry] = (await trainer.get(`/api/crews/${world.crewId}/programs`)).body as { version: number }[];
    const program = { ...world.program, sessions: world.program.sessions.slice(1) };
    await trainer.send("put", `/api/programs/${world.programId}`, { version: entry!.version, program });
    const second = seriesFor(world, { sessionId: world.program.sessions[1]!.id });
    expect((await keepSeries(series, second)).status).toBe(200);
    expect((await trainer.get("/api/today")).status).toBe(200);
  });
});

it("a person who is held out is not among those of a series, in no calendar of their own and not reminded", async () => {
  const [out, ...others] = world.people.map(({ id }) => id);
  const group = { id: uuid(), name: "Early birds", people: [out!] };
  await save({ groups: [group], series: [{ ...series, groupId: group.id }] });
  const link = await trainer.send("post", `/api/crews/${world.crewId}/calendar-links`, { id: uuid(), name: "Own", personId: out });
  expect((await trainer.get(link.body.path)).text).toContain("BEGIN:VEVENT");
  const other = await trainer.send("post", `/api/crews/${world.crewId}/calendar-links`, { id: uuid(), name: "Other", personId: others[0] });
  expect((await trainer.get(other.body.path)).text).not.toContain("BEGIN:VEVENT");
  await test.db.models.Restriction.create({
    id: uuid(),
    crewId: world.crewId,
    personId: out!,
    question: "chestPain",
    source: "report",
    since: new Date(),
    withdrawnAt: null,
  } as never);
  expect((await trainer.get(link.body.path)).text).not.toContain("BEGIN:VEVENT");
  const [entry] = ((await trainer.get("/api/today")).body as Today).entries.filter(({ crewId }) => crewId === world.crewId);
  expect(entry).toMatchObject({ people: 0, groupName: "Early birds" });
  const reminded = await trainer.send("post", `/api/crews/${world.crewId}/reminders`, {
    placementId: laidId(series.id, addDays(today, 1)),
    atOnce: true,
  });
  expect(reminded.body).toEqual({ queued: 0, people: 0, unwanted: 0, unreachable: 0, waiting: 0, heldUntil: null });
});

it("plans from before there were series: every moment before and after is the same, what was led is not touched, reminders follow", async () => {
  const ahead = Array.from({ length: 12 }, (_, i) => addDays(today, i + 1));
  const placed = (date: string, session = 0, people: string[] | null = null) => ({
    id: uuid(),
    crewId: world.crewId,
    weekStart: mondayOf(date),
    programId: world.programId,
    sessionId: world.program.sessions[session]!.id,
    startsAt: new Date(sevenOn(date)),
    people,
    groupName: people && "Group 1",
    changedAt: null,
  });
  const past = [-2, -1].map((days) => placed(addDays(today, days)));
  const warmUps = ahead.map((date) => placed(date));
  const breaks = ahead.slice(0, 4).map((date) => placed(date, 1, [world.people[0]!.id]));
  const single = { ...placed(ahead[5]!, 1), startsAt: new Date(Date.parse(sevenOn(ahead[5]!)) + 7_200_000) };
  const rows = [...past, ...warmUps, ...breaks, single];
  await test.db.models.WeekPlan.bulkCreate(
    [...new Set(rows.map(({ weekStart }) => weekStart))].map((weekStart) => ({ crewId: world.crewId, weekStart, version: 1 })),
  );
  await test.db.models.Placement.bulkCreate(rows);
  const reminded = warmUps[3]!;
  await trainer.send("post", `/api/crews/${world.crewId}/reminders`, { placementId: reminded.id, atOnce: true });
  await lead(warmUps[0]!.id, today);
  const told = async () => {
    const crew = (await test.db.models.Crew.findByPk(world.crewId, { rejectOnEmpty: true })).get({ plain: true });
    const list = await placementsBetween(test.db, [crew], new Date(sevenOn(addDays(today, -30))), new Date(sevenOn(addDays(today, 90))));
    const texts = list.map(({ sessionId, startsAt, people, groupName }) =>
      [startsAt.toISOString(), sessionId, people ?? null, groupName ?? null].join(" "),
    );
    return texts.sort();
  };
  const before = await told();
  expect(before).toHaveLength(rows.length);
  await plansOfCrew(test.db.sequelize, world.crewId, everyDay, new Date());
  expect(await told()).toEqual(before);
  const { standing } = await plan();
  expect(
    standing.series
      .map(({ sessionId, groupId, untilDate }) => [sessionId, groupId === null, untilDate])
      .sort(([a], [b]) => (a! < b! ? -1 : 1)),
  ).toEqual([
    [world.program.sessions[0]!.id, true, ahead.at(-1)],
    [world.program.sessions[1]!.id, false, ahead[3]],
  ]);
  const left = await test.db.models.Placement.findAll({ where: { crewId: world.crewId } });
  expect(left.map((row) => row.get().id).sort()).toEqual([...past, warmUps[0]!, single].map(({ id }) => id).sort());
  const again = await trainer.send("post", `/api/crews/${world.crewId}/reminders`, {
    placementId: laidId(standing.series.find(({ groupId }) => groupId === null)!.id, ahead[3]!),
    atOnce: true,
  });
  expect(again.body).toEqual({ queued: 0, people: 3, unwanted: 0, unreachable: 0, waiting: 3, heldUntil: null });
  // A start that is killed and begins again does it once.
  await plansOfCrew(test.db.sequelize, world.crewId, everyDay, new Date()).catch(() => undefined);
  expect(await told()).toEqual(before);
});
