/** Bookings read from a calendar, served by a machine of the test's own. */
import { createServer, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import type { ReadCalendar } from "@kind-grip/core/api";
import { v7 as uuid } from "uuid";
import { fieldsOf, openTestApp, type TestApp } from "../test/test-app";
import { at, bookingWorld, dayOf, laidIn, save, timeOf, type BookingWorld } from "./booking.sample";
import { readDue, stopReading } from "./calendars";

let test: TestApp;
let world: BookingWorld;
let served: { status: number; events: string[][] };
let calendar: Server;
let host: string;
beforeAll(async () => {
  calendar = createServer((_, response) => {
    const lines = [
      "BEGIN:VCALENDAR",
      "VERSION:2.0",
      ...served.events.flatMap((lines) => ["BEGIN:VEVENT", ...lines, "END:VEVENT"]),
      "END:VCALENDAR",
    ];
    response.writeHead(served.status).end(lines.join("\r\n"));
  });
  await new Promise<void>((resolve) => calendar.listen(0, "127.0.0.1", resolve));
  host = `127.0.0.1:${(calendar.address() as AddressInfo).port}`;
  test = await openTestApp(undefined, undefined, new Set([host]));
});
beforeEach(async () => {
  world = await bookingWorld(test);
  served = { status: 200, events: [event("a", "10:00", "Deep tissue, Mr. Private"), event("b", "11:10", "calm hour")] };
});
afterAll(async () => {
  calendar.close();
  await stopReading();
  await test.close();
});

const event = (uid: string, time: string, title: string, ...more: string[]) => [
  `UID:${uid}`,
  `DTSTART:20260324T${time.replace(":", "")}00Z`,
  "DURATION:PT1H",
  `SUMMARY:${title}`,
  ...more,
];
const address = () => `/api/crews/${world.crewId}/booking-calendars`;
const give = async (change: object = {}) => {
  const id = uuid();
  const sent = { id, personId: world.people[0]!.id, name: "Hers", address: `http://${host}/hers.ics`, ...change };
  return { id, answer: await world.trainer.send("post", address(), sent) };
};
const again = async (id: string) => (await world.trainer.send("post", `${address()}/${id}/read`)).body as ReadCalendar;
const times = async () =>
  (await dayOf(world)).bookings.map(({ startsAt, cancelled }) => `${timeOf(startsAt)}${cancelled ? " cancelled" : ""}`);

it("is read at once: when, how long and which kind; nothing of the client is kept", async () => {
  const { answer } = await give();
  expect(answer.body).toMatchObject({ problem: null, unknown: [], calendars: [{ host, found: 2, unknown: 0, problem: null }] });
  const day = await dayOf(world);
  expect(day.bookings.map(({ treatmentId, calendarId }) => [treatmentId, calendarId])).toEqual([
    [world.deep.id, answer.body.calendars[0].id],
    [world.calm.id, answer.body.calendars[0].id],
  ]);
  expect(laidIn(day)).toEqual(["warmUp 09:54", "reset 11:00"]);
  const kept = JSON.stringify([
    ...(await test.db.models.Booking.findAll({ raw: true })),
    ...(await test.db.models.BookingCalendar.findAll({ raw: true })),
  ]);
  expect(kept).not.toMatch(/Private/);
});

it("a moved one moves, one that is gone or cancelled is cancelled, and comes back", async () => {
  const { id } = await give();
  served.events = [event("a", "10:30", "Deep tissue"), event("c", "14:00", "Calm hour")];
  await again(id);
  expect(await times()).toEqual(["10:30", "11:10 cancelled", "14:00"]);
  served.events = [
    event("a", "10:30", "Deep tissue", "STATUS:CANCELLED"),
    event("b", "11:10", "Calm hour"),
    event("c", "14:00", "Calm hour"),
  ];
  await again(id);
  expect(await times()).toEqual(["10:30 cancelled", "11:10", "14:00"]);
});

it("what was changed by hand stays until the calendar says something else of it", async () => {
  const { id } = await give();
  const [first] = (await dayOf(world)).bookings;
  const { calendarId: _, ...booking } = first!;
  await save(world, [{ ...booking, startsAt: at("10:05") }]);
  await again(id);
  expect(await times()).toEqual(["10:05", "11:10"]);
  // It cannot be taken out: it would come back.
  await save(world, [], [booking.id]);
  expect(await times()).toEqual(["10:05", "11:10"]);
  served.events[0] = event("a", "09:30", "Deep tissue");
  await again(id);
  expect(await times()).toEqual(["09:30", "11:10"]);
});

it("what nobody recognises is told once, and counts until somebody says", async () => {
  served.events.push(event("x", "13:00", "Mud bath"));
  const { id, answer } = await give();
  expect(answer.body.unknown).toEqual([{ text: "Mud bath", startsAt: at("13:00"), what: true, who: false }]);
  expect((await dayOf(world)).calendars[0]).toMatchObject({ found: 3, unknown: 1 });
  const work = (await world.trainer.get(`/api/crews/${world.crewId}/work`)).body;
  const treatments = [{ ...world.deep, words: ["mud"] }, world.calm];
  await world.trainer.send("put", `/api/crews/${world.crewId}/work`, { version: work.version, work: { ...work.work, treatments } });
  expect((await again(id)).unknown).toEqual([]);
  expect((await dayOf(world)).bookings[2]!.treatmentId).toBe(world.deep.id);
});

it("one for all: whose it is stands in each", async () => {
  served.events = [event("a", "10:00", "Calm hour with Person 2"), event("b", "11:00", "Calm hour, somebody")];
  const { answer } = await give({ personId: null });
  expect(answer.body.unknown.map(({ who }: { who: boolean }) => who)).toEqual([true]);
  expect((await dayOf(world)).bookings.map(({ personId }) => personId)).toEqual([world.people[1]!.id]);
});

it("a calendar that is away, or is none, cancels nothing and says why", async () => {
  const { id } = await give();
  served.status = 500;
  expect((await again(id)).problem).toMatch(/answered 500/);
  expect((await dayOf(world)).calendars[0]!.problem).toMatch(/answered 500/);
  expect(await times()).toEqual(["10:00", "11:10"]);
  served.status = 200;
  expect((await again(id)).problem).toBeNull();
});

it("is read again by itself when it is due, and stores nothing while it says the same", async () => {
  await give();
  const clock = async () => new Date(at("08:30"));
  const changes = (await dayOf(world)).changes;
  const due = (now: number) => readDue(test.db, { inside: new Set([host]) }, 60_000, clock, new Date(now));
  expect(await due(Date.parse("2026-03-24T09:00:00Z"))).toBeGreaterThan(0);
  expect((await dayOf(world)).changes).toBe(changes);
  served.events[0] = event("a", "10:20", "Deep tissue");
  const mine = () => times();
  expect(await due(Date.parse("2026-03-24T09:00:30Z"))).toBe(0);
  expect(await mine()).toEqual(["10:00", "11:10"]);
  await due(Date.parse("2026-03-24T09:01:00Z"));
  expect(await mine()).toEqual(["10:20", "11:10"]);
});

it("taken away: what was read ahead goes, what is typed and what is past stays", async () => {
  const late = await bookingWorld(test, at("10:30"));
  world = late;
  const { id } = await give();
  expect(await times()).toEqual(["10:00", "11:10"]);
  const answer = await late.trainer.send("delete", `${address()}/${id}`);
  expect(answer.body.calendars).toEqual([]);
  expect(await times()).toEqual(["10:00"]);
  expect((await late.trainer.send("post", `${address()}/${id}/read`)).status).toBe(404);
});

it.each([
  ["an address inside", { address: "http://127.0.0.1:9/x.ics" }, undefined, /inside the own network/],
  ["no address", { address: "calendar" }, ["address"], undefined],
  ["a file", { address: "file:///etc/hosts" }, ["address"], undefined],
  ["somebody of no crew", { personId: "019d0000-0000-7000-8000-000000000001" }, ["personId"], undefined],
])("%s is refused", async (_, change, fields, problem) => {
  const { answer } = await give(change);
  if (fields) expect([answer.status, Object.keys(fieldsOf(answer))]).toEqual([400, fields]);
  else expect(answer.body.problem).toMatch(problem!);
});

it("the same address twice is refused, webcal is https", async () => {
  await give();
  expect(Object.keys(fieldsOf((await give()).answer))).toEqual(["address"]);
  const { answer } = await give({ address: "webcal://127.0.0.1:9/x.ics" });
  expect(answer.body.calendars.map((each: { host: string }) => each.host)).toContain("127.0.0.1:9");
});
