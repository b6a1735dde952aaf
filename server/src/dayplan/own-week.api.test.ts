/** The own week: who leads what over all crews, handed over for a day or for good, to a lead who was shown it; and its calendar. */
import type { OwnWeek } from "@kind-grip/core/api";
import { addDays, dateAt, mondayOf, momentAt } from "@kind-grip/core/calendar";
import { laidId, type Series } from "@kind-grip/core/dayplan";
import ICAL from "ical.js";
import { v7 as uuid } from "uuid";
import { makeWorld, sampleCrew, sampleRun, seriesFor, type SampleWorld } from "../test/samples";
import { openTestApp, TestCaller, TestTrainer, type TestApp } from "../test/test-app";

let test: TestApp;
let trainer: TestTrainer;
let lead: TestCaller;
let leadId: string;
let world: SampleWorld;
let series: Series;
const ZONE = "Europe/Dublin";
const today = dateAt(Date.now(), ZONE);
const week = mondayOf(today);
const at = (date: string, time: string) => new Date(momentAt(date, time, 0, ZONE)).toISOString();

beforeAll(async () => {
  test = await openTestApp();
});
beforeEach(async () => {
  trainer = await TestTrainer.make(test);
  world = await makeWorld(trainer);
  await trainer.send("put", `/api/crews/${world.crewId}`, {
    version: 1,
    crew: sampleCrew({ shiftPattern: { ...sampleCrew().shiftPattern, cycle: ["day"] } }),
  });
  series = seriesFor(world, { fromDate: week });
  await plan({ groups: [], series: [series] });
  const account = { id: uuid(), name: "Ivo Lead", email: `${uuid()}@test.example`, role: "lead" as const, crewIds: [world.crewId] };
  leadId = account.id;
  lead = await trainer.invited(test, account);
});
afterAll(() => test.close());

const plan = async (standing: object) => {
  const address = `/api/crews/${world.crewId}/plan/${week}`;
  const { version } = (await trainer.get(address)).body as { version: number };
  return trainer.send("put", address, { version, placements: [], standing });
};
const own = async (caller: TestCaller | TestTrainer = trainer) => (await caller.get(`/api/own-week/${week}`)).body as OwnWeek;
const leadersBy = async () => new Map((await own()).entries.map(({ date, leaderId }) => [date, leaderId]));
const hand = (date: string, body: object) =>
  trainer.send("put", `/api/crews/${world.crewId}/placements/${laidId(series.id, date)}/leader`, body);
const handSeries = (body: object) => trainer.send("put", `/api/crews/${world.crewId}/plan-series/${series.id}/leader`, body);

it("lists every session of the week with who leads it: the crew's trainer, where nobody else was said", async () => {
  const answer = await own();
  expect(answer.entries.map(({ date }) => date)).toEqual([0, 1, 2, 3, 4, 5, 6].map((days) => addDays(week, days)));
  expect(new Set(answer.entries.map(({ leaderId }) => leaderId))).toEqual(new Set([answer.me]));
  expect(answer.leaders.map(({ name, role, crewIds }) => [name, role, crewIds])).toContainEqual(["Ivo Lead", "lead", [world.crewId]]);
  expect(await own(lead)).toMatchObject({ me: leadId, entries: answer.entries });
  expect((await trainer.get("/api/own-week/2026-03-24")).status).toBe(400);
});

describe("handed to a crew lead", () => {
  it("for a day: not before it is said that they were shown it, which is kept and asked once", async () => {
    const refused = await hand(today, { leaderId: leadId });
    expect([refused.status, refused.body.code]).toEqual([409, "notShown"]);
    expect((await hand(today, { leaderId: leadId, shown: true })).status).toBe(204);
    const { approvals, entries } = await own();
    expect(approvals).toMatchObject([{ accountId: leadId, sessionId: series.sessionId, outdated: false }]);
    expect(entries.filter(({ leaderId }) => leaderId === leadId).map(({ date }) => date)).toEqual([today]);
    expect((await hand(addDays(week, 6), { leaderId: leadId })).status).toBe(204);
    const trail = await test.db.models.TrailEntry.findAll({ where: { crewId: world.crewId, subject: "access" } });
    expect(trail.map((row) => row.get().what).filter((what) => what.includes("Ivo Lead"))).toHaveLength(1);
  });

  it("a session that has other movements by now is shown again", async () => {
    await hand(today, { leaderId: leadId, shown: true });
    const [entry] = (await trainer.get(`/api/crews/${world.crewId}/programs`)).body as { version: number }[];
    const [warmUp, ...others] = world.program.sessions;
    const program = { ...world.program, sessions: [{ ...warmUp!, items: warmUp!.items.slice(1) }, ...others] };
    await trainer.send("put", `/api/programs/${world.programId}`, { version: entry!.version, program });
    expect((await own()).approvals).toMatchObject([{ outdated: true }]);
    expect((await hand(addDays(week, 6), { leaderId: leadId })).status).toBe(409);
  });

  it("for good: every day but those that were handed over by themselves; taken back, it is the trainer's again", async () => {
    const { me } = await own();
    await handSeries({ leaderId: leadId, shown: true });
    await hand(week, { leaderId: me });
    const leaders = await leadersBy();
    expect([leaders.get(week), leaders.get(addDays(week, 1))]).toEqual([me, leadId]);
    await hand(week, { leaderId: null });
    expect((await leadersBy()).get(week)).toBe(leadId);
    await handSeries({ leaderId: null });
    expect(new Set((await leadersBy()).values())).toEqual(new Set([me]));
  });

  it("stays theirs when the series is changed from a day on; a plan alone hands nothing over", async () => {
    await handSeries({ leaderId: leadId, shown: true });
    const split = [
      { ...series, leaderId: leadId, untilDate: addDays(week, 2) },
      { ...series, id: uuid(), leaderId: leadId, fromDate: addDays(week, 3), at: { from: "start", min: 60 } },
    ];
    expect((await plan({ groups: [], series: split })).status).toBe(200);
    const sneaked = await plan({
      groups: [],
      series: [{ ...seriesFor(world, { sessionId: world.program.sessions[1]!.id }), leaderId: leadId }],
    });
    expect([sneaked.status, sneaked.body.fields[0].path]).toEqual([400, "standing.series.0.leaderId"]);
  });
});

it("nobody leads who is not of the crew, nothing is handed over that is in no plan, and a lead hands nothing over", async () => {
  const stranger = await TestTrainer.make(test);
  const { me } = (await stranger.get(`/api/own-week/${week}`)).body as OwnWeek;
  expect((await hand(today, { leaderId: me })).body.fields[0].path).toBe("leaderId");
  expect((await trainer.send("put", `/api/crews/${world.crewId}/placements/${uuid()}/leader`, { leaderId: null })).status).toBe(404);
  expect(
    (await lead.send("put", `/api/crews/${world.crewId}/placements/${laidId(series.id, today)}/leader`, { leaderId: leadId })).status,
  ).toBe(403);
});

it("what was led is theirs who led it", async () => {
  const run = { ...sampleRun(world), placementId: laidId(series.id, week), startedAt: at(week, "07:00"), endedAt: at(week, "07:05") };
  expect((await lead.send("put", `/api/runs/${run.id}`, run)).status).toBe(200);
  const entry = (await own()).entries.find(({ date }) => date === week);
  expect(entry).toMatchObject({ leaderId: leadId, runId: run.id });
});

it("ways between places are entered once, hold both ways, and are forgotten", async () => {
  const change = (places: string[], minutes: number | null) => trainer.send("put", "/api/practice/ways", { places, minutes });
  await change(["Yard", "Quay 3"], 25);
  expect((await change(["quay 3 ", "YARD"], 20)).body).toEqual([{ places: ["quay 3", "yard"], minutes: 20 }]);
  expect((await own()).ways).toEqual([{ places: ["quay 3", "yard"], minutes: 20 }]);
  expect((await change(["Yard", "Quay 3"], 601)).body.fields[0].path).toBe("minutes");
  expect((await change(["Yard", "Quay 3"], null)).body).toEqual([]);
});

describe("the calendar of a leader", () => {
  const events = (text: string) => {
    const root = new ICAL.Component(ICAL.parse(text) as never);
    const zone = new ICAL.Timezone(root.getFirstSubcomponent("vtimezone")!);
    return root.getAllSubcomponents("vevent").map((component) => {
      const { startDate, summary, location } = new ICAL.Event(component);
      startDate.zone = zone;
      return { summary, location, at: startDate.toJSDate().toISOString() };
    });
  };
  it("has what they lead and nothing else, says which crew and where, and answers nobody once it is withdrawn", async () => {
    const made = await lead.send("post", "/api/own-week/calendar-links", { id: uuid() });
    expect((await trainer.get(made.body.path)).text).not.toContain("BEGIN:VEVENT");
    await hand(today, { leaderId: leadId, shown: true });
    const [event, ...more] = events((await trainer.get(made.body.path)).text);
    expect([event!.summary.startsWith("Test crew: Warm-up"), event!.location, event!.at, more]).toEqual([
      true,
      "Bench 1",
      at(today, "07:00"),
      [],
    ]);
    const [link] = (await lead.get("/api/own-week/calendar-links")).body as { id: string }[];
    expect((await trainer.send("delete", `/api/own-week/calendar-links/${link!.id}`)).status).toBe(404);
    await lead.send("delete", `/api/own-week/calendar-links/${link!.id}`);
    expect((await trainer.get(made.body.path)).status).toBe(404);
  });
});
