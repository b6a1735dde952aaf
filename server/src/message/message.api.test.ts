import { v7 as uuid } from "uuid";
import { addDays, mondayOf } from "@kind-grip/core/calendar";
import { laidId } from "@kind-grip/core/dayplan";
import { makeWorld, sampleCrew, seriesFor, type SampleWorld } from "../test/samples";
import { openTestApp, TestTrainer, type TestApp } from "../test/test-app";
import { queueWanted } from "./queue";
import { sendDue } from "./worker";
import type { Way } from "./ways";

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
const placementId = uuid();
beforeAll(async () => {
  test = await openTestApp(undefined, undefined, undefined, { gatewayAddress: "http://127.0.0.1:9", mail: () => Promise.resolve() });
  trainer = await TestTrainer.make(test);
});
beforeEach(async () => {
  await test.db.models.Message.destroy({ where: {} });
  world = await makeWorld(trainer);
  await Promise.all(world.people.map((_, i) => agree(i)));
});
afterAll(() => test.close());

const numberOf = (person: number) => `+1555010000${person + 1}`;
const agree = async (person: number, contact: object = { way: "telephone", address: numberOf(person) }) => {
  const member = await trainer.member(test, world.crewId, world.people[person]!.id);
  const { status, body } = await member.send("put", "/api/member/contacts", contact);
  expect(status).toBe(200);
  return { member, contacts: body.contacts as { id: string; way: string; address: string }[] };
};
const BOTH = ["email", "telephone"] as const;

const place = async (change: object = {}, weeksOn = 1) => {
  const weekStart = addDays(mondayOf(new Date().toISOString().slice(0, 10)), weeksOn * 7);
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
const said = (queued: number, people: number, unwanted = 0, waiting = expect.any(Number) as number) => ({
  queued,
  people,
  unwanted,
  unreachable: 0,
  waiting,
  heldUntil: null,
});
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
  const gateway: Way = async ({ to }) => {
    sent.push(to);
    return { taken: true };
  };
  await sendDue(test.db, { telephone: gateway }, later(1));
  expect(sent.sort()).toEqual([numberOf(1), numberOf(2)]);
  expect((await messages()).map(({ state }) => state).sort()).toEqual(["dropped", "sent", "sent"]);
  expect((await remind(id)).body).toEqual(said(0, 2));
  await test.db.models.Restriction.update({ withdrawnAt: new Date() }, { where: { personId: world.people[0]!.id } });
  expect((await remind(id)).body).toEqual(said(1, 3));
  await sendDue(test.db, { telephone: gateway }, later(2));
  expect(sent.at(-1)).toBe(numberOf(0));
});

it("whoever is excused on its day is not reminded, and nobody is who was excused since", async () => {
  const week = addDays(mondayOf(new Date().toISOString().slice(0, 10)), 7);
  const excuse = (person: number, from: string, until: string) =>
    trainer.send("post", `/api/crews/${world.crewId}/absences`, { id: uuid(), personId: world.people[person]!.id, from, until });
  expect((await excuse(0, week, week)).status).toBeLessThan(300);
  expect((await excuse(1, addDays(week, 1), addDays(week, 3))).status).toBeLessThan(300);
  const id = await place();
  expect((await remind(id)).body).toEqual(said(2, 2));
  expect((await excuse(2, addDays(week, -1), week)).status).toBeLessThan(300);
  const sent: string[] = [];
  const gateway: Way = async ({ to }) => {
    sent.push(to);
    return { taken: true };
  };
  await sendDue(test.db, { telephone: gateway }, later(1));
  expect(sent).toEqual([numberOf(1)]);
  expect((await messages()).map(({ state }) => state).sort()).toEqual(["dropped", "sent"]);
});

it("a session that is out of the plan is not announced", async () => {
  const id = await place();
  await remind(id);
  await test.db.models.Placement.destroy({ where: { id } });
  expect(await sendDue(test.db, { telephone: async () => ({ taken: true }) }, later(1))).toBe(3);
  expect((await messages()).map(({ state }) => state)).toEqual(["dropped", "dropped", "dropped"]);
});

it("of a session that has begun is none: not asked for, and not sent where it waited too long", async () => {
  const { status, body } = await remind(await place({}, -1));
  expect([status, body.code]).toEqual([409, "begun"]);
  const startsAt = new Date(Date.now() + 60 * 60_000);
  const id = await place();
  await remind(id);
  await test.db.models.Placement.update({ startsAt }, { where: { id } });
  const sent: string[] = [];
  const gateway: Way = async ({ to }) => {
    sent.push(to);
    return { taken: true };
  };
  await sendDue(test.db, { telephone: gateway }, new Date(startsAt.getTime()), async () => startsAt);
  expect([sent, (await messages()).map(({ state }) => state)]).toEqual([[], ["dropped", "dropped", "dropped"]]);
});

it("is sent by any number of workers, each message once", async () => {
  await remind(await place());
  const seen: string[] = [];
  const gateway: Way = async ({ id, to, text }) => {
    seen.push(id);
    expect(to).toMatch(/^\+1555010000[123]$/);
    expect(text).toBe("Warm-up at 07:00, Bench 1.");
    return { taken: true };
  };
  const tried = await Promise.all(Array.from({ length: 4 }, () => sendDue(test.db, { telephone: gateway }, later(1))));
  expect(tried.reduce((sum, count) => sum + count, 0)).toBe(3);
  expect(new Set(seen).size).toBe(3);
  expect(seen).toHaveLength(3);
  expect((await messages()).map(({ state }) => state)).toEqual(["sent", "sent", "sent"]);
});

it("workers that reach for the same messages at once are never turned away by the database", async () => {
  const now = new Date();
  const person = { practiceId: uuid(), crewId: world.crewId, personId: world.people[0]!.id, placementId: null };
  for (let round = 0; round < 15; round++) {
    const waiting = {
      ...person,
      way: "telephone" as const,
      text: "Warm-up",
      startsAt: null,
      nr: 0,
      queuedAt: now,
      nextTryAt: now,
      sentAt: null,
      problem: null,
    };
    await test.db.models.Message.bulkCreate(
      Array.from({ length: 60 }, () => ({ ...waiting, id: uuid(), state: "waiting" as const, tries: 0 })),
    );
    const tried = await Promise.all(Array.from({ length: 8 }, () => sendDue(test.db, {}, now)));
    expect(tried.reduce((sum, count) => sum + count, 0)).toBeLessThanOrEqual(60);
  }
});

it("a gateway that is away is tried again, later each time, with the same key; after twelve times it has failed", async () => {
  await remind(await place({ people: [world.people[0]!.id] }));
  const keys = new Set<string>();
  const away: Way = ({ id }) => {
    keys.add(id);
    return Promise.reject(new Error("refused"));
  };
  expect(await sendDue(test.db, { telephone: away }, later(1))).toBe(1);
  expect(await messages()).toMatchObject([{ state: "waiting", tries: 1, problem: "the gateway could not be reached" }]);
  expect(await sendDue(test.db, { telephone: away }, later(1.02))).toBe(0);
  for (let tries = 2; tries <= 12; tries++) expect(await sendDue(test.db, { telephone: away }, later(tries * 30))).toBe(1);
  expect(await messages()).toMatchObject([{ state: "failed", tries: 12 }]);
  expect(keys.size).toBe(1);
});

describe("a session that is moved", () => {
  const seen: { id: string; to: string; text: string }[] = [];
  const gateway: Way = async ({ id, to, text }) => {
    seen.push({ id, to, text });
    return { taken: true };
  };
  const times = () => seen.map(({ text }) => /\d\d:\d\d/.exec(text)![0]);
  // 07:00, 09:30 and so on by the clock of Greenwich are an hour later there in summer.
  const crewTime = (startsAt: Date) =>
    new Intl.DateTimeFormat("en-GB", { timeZone: sampleCrew().timeZone, hour: "2-digit", minute: "2-digit" }).format(startsAt);
  const startOf = async (id: string) => (await test.db.models.Placement.findByPk(id))!.get().startsAt;
  const move = async (id: string, minutes: number) => {
    const startsAt = new Date((await startOf(id)).getTime() + minutes * 60_000);
    await test.db.models.Placement.update({ startsAt }, { where: { id } });
    return crewTime(startsAt);
  };
  const keys: string[] = [];
  /** Takes it, and its answer is lost. */
  const lost: Way = ({ id: key }) => {
    keys.push(key);
    return Promise.reject(new Error("no answer"));
  };
  beforeEach(() => {
    seen.splice(0);
    keys.splice(0);
  });

  it("before its reminder goes is told at the time it has by then, once", async () => {
    const id = await place();
    await remind(id);
    const time = await move(id, 150);
    await sendDue(test.db, { telephone: gateway }, later(1));
    expect(times()).toEqual([time, time, time]);
    expect((await remind(id)).body).toEqual(said(0, 3));
    expect((await messages()).map(({ state }) => state)).toEqual(["sent", "sent", "sent"]);
  });

  it("after it was told is told again, also when it goes back; where nothing moved nobody is told twice", async () => {
    const id = await place();
    const first = crewTime(await startOf(id));
    await remind(id);
    await sendDue(test.db, { telephone: gateway }, later(1));
    const second = await move(id, 150);
    expect((await Promise.all([remind(id), remind(id)])).map(({ body }) => body.people)).toEqual([3, 3]);
    await sendDue(test.db, { telephone: gateway }, later(2));
    expect((await remind(id)).body).toEqual(said(0, 3));
    expect(await move(id, -150)).toBe(first);
    expect((await remind(id)).body).toEqual(said(3, 3));
    await sendDue(test.db, { telephone: gateway }, later(3));
    expect(times()).toEqual([first, first, first, second, second, second, first, first, first]);
    expect(new Set(seen.map(({ id: key }) => key)).size).toBe(9);
  });

  it("by itself it is told again when it is due again", async () => {
    const at = new Date();
    await trainer.send("put", `/api/crews/${world.crewId}/reminder-rule`, { minutesBefore: 60 });
    const id = await place();
    await test.db.models.Placement.update({ startsAt: new Date(at.getTime() + 50 * 60_000) }, { where: { id } });
    // On shift from an hour ago on, whatever hour it is.
    const start = new Date(at.getTime() - 60 * 60_000).toISOString().slice(11, 16);
    const shifts = [{ id: "day", name: "Day", start, lengthMin: 600, breaks: [] }];
    const detail = sampleCrew({ timeZone: "UTC", shiftPattern: { anchorDate: "2026-03-02", shifts, cycle: ["day"] } });
    await test.db.models.Crew.update({ detail }, { where: { id: world.crewId } });
    const queue = (minutes: number) => queueWanted(test.db, async () => new Date(at.getTime() + minutes * 60_000), ["telephone"]);
    expect(await queue(0)).toBe(3);
    await sendDue(test.db, { telephone: gateway }, later(1));
    await move(id, 100);
    expect(await queue(5)).toBe(0);
    expect(await queue(95)).toBe(3);
    expect(await queue(96)).toBe(0);
  });

  it("to an earlier time, what was held for the later one goes in time for it", async () => {
    const at = new Date();
    await trainer.send("put", `/api/crews/${world.crewId}/reminder-rule`, { minutesBefore: 60 });
    const id = await place();
    // Off on every day: each session has its own two hours.
    const { shifts } = sampleCrew().shiftPattern;
    const detail = sampleCrew({ timeZone: "UTC", shiftPattern: { anchorDate: "2026-03-02", shifts, cycle: [null] } });
    await test.db.models.Crew.update({ detail }, { where: { id: world.crewId } });
    await test.db.models.Placement.update({ startsAt: new Date(at.getTime() + 10 * 60 * 60_000) }, { where: { id } });
    expect((await remind(id, false)).body).toMatchObject({ queued: 3, waiting: 3, heldUntil: expect.any(String) });
    await move(id, -9 * 60 - 10);
    const time = (await startOf(id)).toISOString().slice(11, 16);
    expect(await sendDue(test.db, { telephone: gateway }, later(1))).toBe(0);
    expect(await queueWanted(test.db, async () => new Date(), ["telephone"])).toBe(0);
    expect(await sendDue(test.db, { telephone: gateway }, later(1))).toBe(3);
    expect(times()).toEqual([time, time, time]);
  });

  it("tried before somebody dropped out, and asked for again when they are back, goes under another key", async () => {
    const me = world.people[0]!.id;
    const id = await place({ people: [me] });
    await remind(id);
    await sendDue(test.db, { telephone: lost }, later(1));
    const member = await trainer.member(test, world.crewId, me);
    const wish = (own: object | null) => member.send("put", "/api/member/reminder", { own });
    expect((await wish({ minutesBefore: null })).status).toBe(200);
    await sendDue(test.db, { telephone: gateway }, later(10));
    expect(await messages()).toMatchObject([{ state: "dropped", tries: 1 }]);
    await wish(null);
    const time = await move(id, 150);
    expect((await remind(id)).body.queued).toBe(1);
    await sendDue(test.db, { telephone: gateway }, later(20));
    await sendDue(test.db, { telephone: gateway }, later(30));
    expect(times()).toEqual([time]);
    expect(seen[0]!.id).not.toBe(keys[0]);
  });

  it("while an answer of the gateway is missing goes under another key: the first may have arrived", async () => {
    const id = await place({ people: [world.people[0]!.id] });
    await remind(id);
    await sendDue(test.db, { telephone: lost }, later(1));
    const time = await move(id, 150);
    await sendDue(test.db, { telephone: gateway }, later(10));
    await sendDue(test.db, { telephone: gateway }, later(20));
    expect(times()).toEqual([time]);
    expect(seen[0]!.id).not.toBe(keys[0]);
    expect(await messages()).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ state: "failed", problem: "it says something else by now" }),
        expect.objectContaining({ state: "sent" }),
      ]),
    );
  });
});

it("whoever has left by its day, or wants none since it was queued, gets none", async () => {
  const id = await place();
  const day = (await test.db.models.Placement.findByPk(id))!.get().startsAt.toISOString().slice(0, 10);
  expect((await remind(id)).body).toEqual(said(3, 3));
  await test.db.models.Person.update({ leftOn: addDays(day, -1) }, { where: { id: world.people[0]!.id } });
  await (
    await trainer.member(test, world.crewId, world.people[1]!.id)
  ).send("put", "/api/member/reminder", { own: { minutesBefore: null } });
  const sent: string[] = [];
  await sendDue(
    test.db,
    {
      telephone: async ({ to }) => {
        sent.push(to);
        return { taken: true };
      },
    },
    later(1),
  );
  expect(sent).toEqual([numberOf(2)]);
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
    const held = { people: 3, unwanted: 0, unreachable: 0, waiting: 3, heldUntil: opens.toISOString() };
    expect(body).toEqual({ queued: 3, ...held });
    const gateway: Way = async () => ({ taken: true });
    expect(await sendDue(test.db, { telephone: gateway }, later(400))).toBe(0);
    // Asked again they are not "reminded before": they wait.
    expect((await remind(id, false)).body).toEqual({ queued: 0, ...held });
    expect((await remind(id)).body).toEqual(said(0, 3, 0, 3));
    expect(await sendDue(test.db, { telephone: gateway }, later(1))).toBe(3);
    // Once they have it nothing is held, whatever hour it is.
    expect((await remind(id, false)).body).toEqual(said(0, 3, 0, 0));
  });

  it("of a session on a day off they wait until two hours before it, and are sent then", async () => {
    const { shifts } = sampleCrew().shiftPattern;
    const crew = sampleCrew({ timeZone: "UTC", shiftPattern: { anchorDate: "2026-03-02", shifts, cycle: [null] } });
    await trainer.send("put", `/api/crews/${world.crewId}`, { version: 1, crew });
    const id = await place();
    const start = (await test.db.models.Placement.findByPk(id))!.get().startsAt;
    const opens = new Date(start.getTime() - 120 * 60_000);
    expect((await remind(id, false)).body).toMatchObject({ queued: 3, heldUntil: opens.toISOString() });
    const gateway: Way = async () => ({ taken: true });
    expect(await sendDue(test.db, { telephone: gateway }, new Date(opens.getTime() - 60_000))).toBe(0);
    expect(await sendDue(test.db, { telephone: gateway }, new Date(opens.getTime() + 60_000))).toBe(3);
    expect((await messages()).map(({ state }) => state)).toEqual(["sent", "sent", "sent"]);
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
    await queueWanted(test.db, clock, BOTH);
    expect(await mine()).toBe(0);
    expect((await rule(60)).body).toEqual({ minutesBefore: 60 });
    await wish(0, { minutesBefore: null });
    await wish(1, { minutesBefore: 10 });
    await Promise.all([queueWanted(test.db, clock, BOTH), queueWanted(test.db, clock, BOTH)]);
    expect(await mine()).toBe(1);
    await queueWanted(test.db, () => Promise.resolve(later(35)), BOTH);
    expect(await mine()).toBe(2);
    await queueWanted(test.db, () => Promise.resolve(later(35)), BOTH);
    expect(await mine()).toBe(2);
    await rule(null);
  });

  it("only at times that can be chosen", async () => {
    expect((await rule(17)).status).toBe(400);
    expect((await wish(0, { minutesBefore: 17 })).status).toBe(400);
  });
});

describe("the ways people agreed to", () => {
  const taking = () => {
    const taken: { to: string; text: string; why: string }[] = [];
    const way: Way = async ({ to, text, why }) => {
      taken.push({ to, text, why: await why() });
      return { taken: true };
    };
    return { taken, way };
  };

  it("whoever agreed to none is not reached, and that is said", async () => {
    const { member, contacts } = await agree(0);
    await member.send("delete", `/api/member/contacts/${contacts[0]!.id}`);
    const { body } = await remind(await place());
    expect(body).toEqual({ queued: 2, people: 2, unwanted: 0, unreachable: 1, waiting: 2, heldUntil: null });
    expect(await messages()).toHaveLength(2);
  });

  it("who agreed to two gets it by both, each once; one that fails does not hold up the other", async () => {
    await agree(0, { way: "email", address: "ann@crew.example" });
    const id = await place({ people: [world.people[0]!.id] });
    expect((await remind(id)).body).toEqual(said(1, 1));
    const [mail, gateway] = [taking(), taking()];
    await sendDue(test.db, { email: () => Promise.reject(new Error("no")), telephone: gateway.way }, later(1));
    expect(await messages()).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ way: "email", state: "waiting", problem: "the mail server could not be reached" }),
        expect.objectContaining({ way: "telephone", state: "sent" }),
      ]),
    );
    await sendDue(test.db, { email: mail.way, telephone: gateway.way }, later(30));
    expect([mail.taken.map(({ to }) => to), gateway.taken.map(({ to }) => to)]).toEqual([["ann@crew.example"], [numberOf(0)]]);
    expect((await remind(id)).body).toEqual(said(0, 1));
  });

  it("a consent taken back before it is sent ends it, also where it waits for another try", async () => {
    const { member, contacts } = await agree(0);
    await remind(await place({ people: [world.people[0]!.id] }));
    await sendDue(test.db, { telephone: () => Promise.reject(new Error("no")) }, later(1));
    await member.send("delete", `/api/member/contacts/${contacts[0]!.id}`);
    const gateway = taking();
    await sendDue(test.db, { telephone: gateway.way }, later(60));
    expect([gateway.taken, (await messages()).map(({ state }) => state)]).toEqual([[], ["dropped"]]);
  });

  it("a new number is where it goes, also what was queued before", async () => {
    await remind(await place({ people: [world.people[0]!.id] }));
    await agree(0, { way: "telephone", address: "+1 555 999 0000" });
    const gateway = taking();
    await sendDue(test.db, { telephone: gateway.way }, later(1));
    expect(gateway.taken.map(({ to }) => to)).toEqual(["+15559990000"]);
  });

  it("says in their language why they get it", async () => {
    const { member } = await agree(0, { way: "email", address: "ann@crew.example" });
    await member.send("put", "/api/member/language", { language: "de" });
    await remind(await place({ people: [world.people[0]!.id] }));
    const mail = taking();
    await sendDue(test.db, { email: mail.way, telephone: taking().way }, later(1));
    expect(mail.taken[0]!.why).toMatch(/^Du bekommst das, weil du zugestimmt hast/);
    expect(mail.taken[0]!.text).toMatch(/ um 07:00, Bench 1\.$/);
  });

  it("a way the server lost keeps it waiting, and is named", async () => {
    await remind(await place({ people: [world.people[0]!.id] }));
    await sendDue(test.db, {}, later(1));
    expect(await messages()).toMatchObject([{ state: "waiting", problem: "this server does not know the gateway any more" }]);
  });
});
