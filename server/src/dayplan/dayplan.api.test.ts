import type { Placement } from "@kind-grip/core/dayplan";
import ICAL from "ical.js";
import { v7 as uuid } from "uuid";
import type { Caller } from "../auth/caller";
import { makeWorld, type SampleWorld } from "../test/samples";
import { fieldsOf, openTestApp, TestTrainer, type TestApp } from "../test/test-app";
import { saveWeekPlan } from "./plans";

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

/** As the service does it for a request, on the database of one of two servers. @returns the version stored */
async function saveWeekPlanOn({ db }: TestApp, crewId: string, week: string, placements: Placement[]): Promise<number> {
  const crew = await db.models.Crew.findByPk(crewId, { rejectOnEmpty: true });
  const caller = { role: "trainer", accountId: crew.get().trainerId, practiceId: "" } as Caller;
  return (await saveWeekPlan(db, caller, new Date(), crewId, week, { version: 0, placements })).version;
}

const WEEK = "2026-03-23";
const place = (startsAt: string, session = 0) => ({
  id: uuid(),
  programId: world.programId,
  sessionId: world.program.sessions[session]!.id,
  startsAt,
});
const save = (version: number, placements: object[], week = WEEK) =>
  trainer.send("put", `/api/crews/${world.crewId}/plan/${week}`, { version, placements });

it("a week is empty, then what was saved, then refuses an older save", async () => {
  expect((await trainer.get(`/api/crews/${world.crewId}/plan/${WEEK}`)).body).toMatchObject({ version: 0, placements: [] });
  const placements = [place("2026-03-23T07:00:00.000Z"), place("2026-03-24T07:00:00.000Z")];
  expect((await save(0, placements)).body).toMatchObject({ version: 1, placements });
  const late = await save(0, [placements[0]!]);
  expect([late.status, late.body.detail.placements.length]).toEqual([409, 2]);
});

it("the same save twice is one save", async () => {
  const placements = [place("2026-03-23T07:00:00.000Z")];
  await save(0, placements);
  const again = await save(0, placements);
  expect([again.status, again.body.version]).toEqual([200, 1]);
});

it("of several first saves at the same moment one wins", async () => {
  const answers = await Promise.all([1, 2, 3].map((day) => save(0, [place(`2026-03-2${day + 3}T07:00:00.000Z`)])));
  expect(answers.map((answer) => answer.status).sort()).toEqual([200, 409, 409]);
});

it("takes no session of another crew, no moment of another week, and no week that starts on a Tuesday", async () => {
  const foreign = await makeWorld(trainer);
  expect(fieldsOf(await save(0, [{ ...place("2026-03-23T07:00:00.000Z"), sessionId: foreign.program.sessions[0]!.id }]))).toEqual({
    "placements.0.sessionId": "is not a session of this crew's programs",
  });
  expect(fieldsOf(await save(0, [place("2026-04-06T07:00:00.000Z")]))).toEqual({ "placements.0.startsAt": "is not in this week" });
  expect(fieldsOf(await save(0, [], "2026-03-24"))).toEqual({ "params.weekStart": "is not a Monday" });
  expect((await trainer.get(`/api/crews/${world.crewId}/plan/${WEEK}`)).body.version).toBe(0);
});

it("shows the edges of the neighbouring weeks, for spacing", async () => {
  await save(0, [place("2026-03-21T07:00:00.000Z"), place("2026-03-17T07:00:00.000Z")], "2026-03-16");
  const { neighbours } = (await trainer.get(`/api/crews/${world.crewId}/plan/${WEEK}`)).body as { neighbours: { startsAt: string }[] };
  expect(neighbours.map((each) => each.startsAt)).toEqual(["2026-03-21T07:00:00.000Z"]);
});

describe("the calendar file", () => {
  it("is read by a calendar library at the right moments, on both sides of the clock change", async () => {
    // Around now, so that the file's span holds them; the practice of the tests lives in real time.
    const year = new Date().getUTCFullYear();
    const lastSunday = new Date(Date.UTC(year, 9, 31));
    lastSunday.setUTCDate(31 - lastSunday.getUTCDay());
    const monday = new Date();
    monday.setUTCDate(monday.getUTCDate() - ((monday.getUTCDay() + 6) % 7));
    const week = monday.toISOString().slice(0, 10);
    const startsAt = `${week}T06:30:00.000Z`;
    expect((await save(0, [place(startsAt)], week)).status).toBe(200);
    const { text, headers } = await trainer.get(`/api/crews/${world.crewId}/calendar.ics`);
    expect(headers["content-type"]).toMatch(/text\/calendar/);
    const calendar = new ICAL.Component(ICAL.parse(text) as unknown[] as never);
    const zone = new ICAL.Timezone(calendar.getFirstSubcomponent("vtimezone")!);
    const event = new ICAL.Event(calendar.getFirstSubcomponent("vevent")!);
    expect(zone.tzid).toBe("Europe/Dublin");
    event.startDate.zone = zone;
    expect(event.startDate.toJSDate().toISOString()).toBe(startsAt);
    expect(event.summary).toMatch(/^Warm-up \(\d+'\d\d"\)$/);
    // The zone in the file itself knows both offsets.
    const offset = (month: number) =>
      new ICAL.Time({ year, month, day: 15, hour: 12, minute: 0, second: 0, isDate: false }, zone).utcOffset();
    expect([offset(1), offset(7)]).toEqual([0, 3600]);
  });
});

it("a calendar that did not change is not sent again; one that did is, with a higher revision of what moved", async () => {
  const monday = new Date(Date.now() - ((new Date().getUTCDay() + 6) % 7) * 86_400_000).toISOString().slice(0, 10);
  const [stays, moves] = [place(`${monday}T06:30:00.000Z`), place(`${monday}T12:30:00.000Z`, 1)];
  await save(0, [stays, moves], monday);
  const link = await trainer.send("post", `/api/crews/${world.crewId}/calendar-links`, { id: uuid(), name: "L", personId: null });
  const read = (etag = "") => trainer.get(link.body.path).set("If-None-Match", etag);
  const first = await read();
  expect(first.headers["cache-control"]).toBe("private, no-cache");
  expect((await read(first.headers.etag)).status).toBe(304);
  // Placements from before revisions were kept, long ago.
  await test.db.models.Placement.update({ changedAt: new Date("2026-01-01T00:00:00Z") }, { where: { crewId: world.crewId } });
  await test.db.models.Program.update({ changedAt: new Date("2026-01-01T00:00:00Z") }, { where: { crewId: world.crewId } });
  const old = await read();
  await save(1, [stays, { ...moves, startsAt: `${monday}T13:00:00.000Z` }], monday);
  const changed = await read(old.headers.etag);
  expect(changed.status).toBe(200);
  const sequences = (text: string) =>
    [...text.matchAll(/UID:(\S+?)@[^]*?SEQUENCE:(\d+)/g)].map(([, id, sequence]) => [id, Number(sequence)] as const);
  const [before, after] = [new Map(sequences(old.text)), new Map(sequences(changed.text))];
  expect(after.get(stays.id)).toBe(before.get(stays.id));
  expect(after.get(moves.id)).toBeGreaterThan(before.get(moves.id)!);
});

it("fifty plans of six crews saved at once on two servers: every one is stored", async () => {
  const second = await openTestApp();
  const worlds = await Promise.all([1, 2, 3, 4, 5, 6].map(() => makeWorld(trainer)));
  const answers = await Promise.all(
    Array.from({ length: 50 }, (_, i) => {
      const there = worlds[i % 6]!;
      const week = new Date(Date.UTC(2026, 2, 2 + 7 * Math.floor(i / 6))).toISOString().slice(0, 10);
      const placements = [
        {
          id: uuid(),
          programId: there.programId,
          sessionId: there.program.sessions[0]!.id,
          startsAt: `${week}T07:00:00.000Z`,
          people: null,
          groupName: null,
        },
      ];
      return saveWeekPlanOn(i % 2 ? second : test, there.crewId, week, placements);
    }),
  );
  expect(answers).toEqual(Array(50).fill(1));
  await second.close();
});

it("Today lists what is placed today and what was led of it", async () => {
  const now = new Date();
  const monday = new Date(now);
  monday.setUTCDate(monday.getUTCDate() - ((monday.getUTCDay() + 6) % 7));
  const noon = place(`${now.toISOString().slice(0, 10)}T12:00:00.000Z`);
  await save(0, [noon], monday.toISOString().slice(0, 10));
  const { body } = await trainer.get("/api/today");
  const entry = body.entries.find((each: { crewId: string }) => each.crewId === world.crewId);
  expect(entry).toMatchObject({ placementId: noon.id, sessionName: "Warm-up", people: 3, runId: null });
  expect(entry.totalSec).toBeGreaterThan(60);
});

it.each(["2026-99-99", "nonsense", "2026-02-30", "2026-03-03", "%ED%A0%80"])(
  "a week that begins on %s is none: it is said, not failed at",
  async (day) => {
    for (const answer of [
      await trainer.get(`/api/crews/${world.crewId}/plan/${day}`),
      await trainer.send("put", `/api/crews/${world.crewId}/plan/${day}`, { version: 0, placements: [] }),
    ])
      expect([day, answer.status]).toEqual([day, 400]);
  },
);
