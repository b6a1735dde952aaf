import { v7 as uuid } from "uuid";
import { addDays, mondayOf } from "@kind-grip/core/calendar";
import { laidId } from "@kind-grip/core/dayplan";
import { makeWorld, sampleCrew, seriesFor, type SampleWorld } from "../test/samples";
import { openTestApp, TestTrainer, type TestApp } from "../test/test-app";
import { queueWanted } from "./queue";
import { sendDue, type Gateway } from "./worker";

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
const placementId = uuid();
beforeAll(async () => {
  test = await openTestApp();
  trainer = await TestTrainer.make(test);
});
beforeEach(async () => {
  await test.db.models.Message.destroy({ where: {} });
  world = await makeWorld(trainer);
});
afterAll(() => test.close());

const place = async (change: object = {}) => {
  const weekStart = mondayOf(new Date().toISOString().slice(0, 10));
  const placement = {
    id: uuid(),
    programId: world.programId,
    sessionId: world.program.sessions[0]!.id,
    startsAt: `${weekStart}T07:00:00.000Z`,
    people: null,
    groupName: null,
    ...change,
  };
  const answer = await trainer.send("put", `/api/crews/${world.crewId}/plan/${weekStart}`, { version: 0, placements: [placement] });
  expect(answer.status).toBe(200);
  return placement.id;
};
/** At once: whatever hour the test runs at. */
const remind = (id: string, atOnce = true) => trainer.send("post", `/api/crews/${world.crewId}/reminders`, { placementId: id, atOnce });
const said = (queued: number, people: number, unwanted = 0) => ({ queued, people, unwanted, heldUntil: null });
const messages = async () =>
  (await trainer.get(`/api/crews/${world.crewId}/messages`)).body as { state: string; tries: number; problem: string | null }[];
const later = (minutes: number) => new Date(Date.now() + minutes * 60_000);

it("everybody who may take part is reminded once, however often it is asked", async () => {
  await trainer.send("post", `/api/crews/${world.crewId}/restrictions`, { personId: world.people[0]!.id, question: "hotJoint" });
  const id = await place();
  expect((await remind(id)).body).toEqual(said(2, 2));
  expect((await Promise.all([remind(id), remind(id)])).map(({ body }) => body.queued)).toEqual([0, 0]);
  expect(await messages()).toHaveLength(2);
});

it("a group's session reminds the group", async () => {
  expect((await remind(await place({ people: [world.people[1]!.id] }))).body).toEqual(said(1, 1));
  expect((await remind(placementId)).status).toBe(404);
});

it("somebody who is out by the time it is sent gets none, and one when they take part again", async () => {
  const id = await place();
  await remind(id);
  await trainer.send("post", `/api/crews/${world.crewId}/restrictions`, { personId: world.people[0]!.id, question: "hotJoint" });
  const sent: string[] = [];
  const gateway: Gateway = async ({ to }) => {
    sent.push(to);
    return { taken: true };
  };
  await sendDue(test.db, gateway, later(1));
  expect(sent.sort()).toEqual(["Person 2", "Person 3"]);
  expect((await messages()).map(({ state }) => state).sort()).toEqual(["dropped", "sent", "sent"]);
  expect((await remind(id)).body).toEqual(said(0, 2));
  await test.db.models.Restriction.update({ withdrawnAt: new Date() }, { where: { personId: world.people[0]!.id } });
  expect((await remind(id)).body).toEqual(said(1, 3));
  await sendDue(test.db, gateway, later(2));
  expect(sent.at(-1)).toBe("Person 1");
});

it("a session that is out of the plan is not announced", async () => {
  const id = await place();
  await remind(id);
  await test.db.models.Placement.destroy({ where: { id } });
  expect(await sendDue(test.db, async () => ({ taken: true }), later(1))).toBe(3);
  expect((await messages()).map(({ state }) => state)).toEqual(["dropped", "dropped", "dropped"]);
});

it("is sent by any number of workers, each message once", async () => {
  await remind(await place());
  const seen: string[] = [];
  const gateway: Gateway = async ({ id, to, text }) => {
    seen.push(id);
    expect(to).toMatch(/^Person/);
    expect(text).toBe("Warm-up at 07:00, Bench 1.");
    return { taken: true };
  };
  const tried = await Promise.all(Array.from({ length: 4 }, () => sendDue(test.db, gateway, later(1))));
  expect(tried.reduce((sum, count) => sum + count, 0)).toBe(3);
  expect(new Set(seen).size).toBe(3);
  expect((await messages()).map(({ state }) => state)).toEqual(["sent", "sent", "sent"]);
});

it("a gateway that is away is tried again, later each time, with the same key; after twelve times it has failed", async () => {
  await remind(await place({ people: [world.people[0]!.id] }));
  const keys = new Set<string>();
  const away: Gateway = ({ id }) => {
    keys.add(id);
    return Promise.reject(new Error("refused"));
  };
  expect(await sendDue(test.db, away, later(1))).toBe(1);
  expect(await messages()).toMatchObject([{ state: "waiting", tries: 1, problem: "the gateway could not be reached" }]);
  expect(await sendDue(test.db, away, later(1.02))).toBe(0);
  for (let tries = 2; tries <= 12; tries++) expect(await sendDue(test.db, away, later(tries * 30))).toBe(1);
  expect(await messages()).toMatchObject([{ state: "failed", tries: 12 }]);
  expect(keys.size).toBe(1);
});

describe("who wants them, and when", () => {
  /** Every day a shift that begins so many minutes from now, and the warm-up at its start. */
  const shiftIn = async (minutes: number) => {
    const start = new Date(Math.ceil((Date.now() + minutes * 60_000) / 300_000) * 300_000);
    const kind = { ...sampleCrew().shiftPattern.shifts[0]!, start: start.toISOString().slice(11, 16), lengthMin: 60, breaks: [] };
    const crew = sampleCrew({ timeZone: "UTC", shiftPattern: { anchorDate: "2026-03-02", shifts: [kind], cycle: ["day"] } });
    await trainer.send("put", `/api/crews/${world.crewId}`, { version: 1, crew });
    const series = seriesFor(world, { fromDate: addDays(new Date().toISOString().slice(0, 10), -1) });
    const address = `/api/crews/${world.crewId}/plan/${mondayOf(start.toISOString().slice(0, 10))}`;
    await trainer.send("put", address, { version: 0, placements: [], standing: { groups: [], series: [series] } });
    return { start, placementId: laidId(series.id, start.toISOString().slice(0, 10)) };
  };
  const clock = () => Promise.resolve(new Date());
  const rule = (minutesBefore: number | null) => trainer.send("put", `/api/crews/${world.crewId}/reminder-rule`, { minutesBefore });
  const wish = async (person: number, own: object | null) => {
    const member = await trainer.member(test, world.crewId, world.people[person]!.id);
    return member.send("put", "/api/member/reminder", { own });
  };

  it("in quiet hours they wait until two hours before the shift, and go at once where that is asked", async () => {
    const { start, placementId: id } = await shiftIn(600);
    const { body } = await remind(id, false);
    const opens = new Date(start.getTime() - 120 * 60_000);
    expect(body).toEqual({ queued: 3, people: 3, unwanted: 0, heldUntil: opens.toISOString() });
    const gateway: Gateway = async () => ({ taken: true });
    expect(await sendDue(test.db, gateway, later(400))).toBe(0);
    expect((await remind(id)).body).toEqual(said(0, 3));
    expect(await sendDue(test.db, gateway, later(1))).toBe(3);
  });

  it("whoever wants none gets none, whoever asks; as the crew again, they get one", async () => {
    const { placementId: id } = await shiftIn(30);
    const { body } = await wish(0, { minutesBefore: null });
    expect(body.reminder).toEqual({ crew: { minutesBefore: null }, own: { minutesBefore: null } });
    expect((await remind(id)).body).toEqual(said(2, 2, 1));
    expect((await wish(0, null)).body.reminder.own).toBeNull();
    expect((await remind(id)).body).toEqual(said(1, 3));
  });

  it("by themselves they go to each person in their own time, once, by however many servers", async () => {
    await shiftIn(40);
    const mine = async () => (await messages()).length;
    await queueWanted(test.db, clock);
    expect(await mine()).toBe(0);
    expect((await rule(60)).body).toEqual({ minutesBefore: 60 });
    await wish(0, { minutesBefore: null });
    await wish(1, { minutesBefore: 10 });
    await Promise.all([queueWanted(test.db, clock), queueWanted(test.db, clock)]);
    expect(await mine()).toBe(1);
    await queueWanted(test.db, () => Promise.resolve(later(35)));
    expect(await mine()).toBe(2);
    await queueWanted(test.db, () => Promise.resolve(later(35)));
    expect(await mine()).toBe(2);
    await rule(null);
  });

  it("only at times that can be chosen", async () => {
    expect((await rule(17)).status).toBe(400);
    expect((await wish(0, { minutesBefore: 17 })).status).toBe(400);
  });
});
