import type { BookingDay, MemberDay } from "@kind-grip/core/api";
import { DEFAULT_STYLE, newItem, SHIPPED_LIBRARY } from "@kind-grip/core/library";
import { v7 as uuid } from "uuid";
import { fieldsOf, openTestApp, TestCaller, TestTrainer, type TestApp } from "../test/test-app";
import { sampleCrew, sampleRun } from "../test/samples";
import { at, bookingIn, bookingWorld, DATE, dayAddress, dayOf, laidIn, save, timeOf, type BookingWorld } from "./booking.sample";

let test: TestApp;
let world: BookingWorld;
beforeAll(async () => void (test = await openTestApp()));
beforeEach(async () => void (world = await bookingWorld(test)));
afterAll(() => test.close());

const again = (day: BookingDay) => day.bookings.map(({ calendarId: _, ...booking }) => booking);
async function phoneOf(person: number): Promise<TestCaller> {
  const made = await world.trainer.send("post", `/api/crews/${world.crewId}/access`, { personIds: [world.people[person]!.id] });
  return TestCaller.signedIn(test, "/api/member/card", { token: made.body.cards[0].token });
}
const ownDay = async (phone: TestCaller) => (await phone.get("/api/member/day")).body as MemberDay;

describe("of several programs", () => {
  const laidOf = async () => (await dayOf(world)).laid.map(({ name }) => name);
  const addNext = async (): Promise<string> => {
    const id = uuid();
    const next = structuredClone(world.program);
    const program = {
      ...next,
      name: "Next block",
      sessions: next.sessions.map((each) => ({ ...each, id: uuid(), name: `Next ${each.name}` })),
    };
    expect((await world.trainer.send("post", `/api/crews/${world.crewId}/programs`, { id, program })).status).toBeLessThan(300);
    return id;
  };
  it("a next block that is being written takes nobody's day over; the one that was laid, then the one that was done last stays", async () => {
    await save(world, [bookingIn(world, "10:00")]);
    await addNext();
    expect(await laidOf()).toEqual(["Warm-up", "Let go", "Break"]);
  });
  it("the one of which something was followed last is laid, by everybody's own time; one that is chosen goes before it", async () => {
    const nextId = await addNext();
    expect(await laidOf()).toContain("Next Warm-up");
    const phone = await phoneOf(0);
    const run = sampleRun(world);
    const alone = { ...run, startedAt: at("07:00"), endedAt: at("07:05"), alone: true, people: [{ ...run.people[0]!, marks: [] }] };
    expect((await phone.send("put", `/api/member/runs/${run.id}`, alone)).status).toBe(200);
    expect(await laidOf()).toEqual(["Warm-up", "Let go", "Break"]);
    const { rules } = await dayOf(world);
    await world.trainer.send("put", `/api/crews/${world.crewId}/booking-rules/${DATE}`, { ...rules, programId: nextId });
    expect(await laidOf()).toContain("Next Warm-up");
  });
});

describe("a day of bookings", () => {
  it("is empty at first, and says what would be laid", async () => {
    const day = await dayOf(world);
    expect([day.bookings, day.sessions, day.missed, day.changes]).toEqual([[], [], [], 0]);
    expect(day.laid.map(({ kind, name }) => `${kind} ${name}`)).toEqual(["warmUp Warm-up", "reset Let go", "longer Break"]);
    expect(day.rules).toEqual({ version: 0, programId: null, turnMin: 3, mostInRow: 3 });
  });

  it("lays resets around what is booked, and moves them when it is moved or cancelled", async () => {
    const deep = { treatmentId: world.deep.id };
    const first = await save(world, [bookingIn(world, "10:00", deep), bookingIn(world, "11:05", deep), bookingIn(world, "12:07")]);
    expect(laidIn(first.body)).toEqual(["warmUp 09:54", "reset 11:00"]);
    expect(first.body.missed).toEqual([
      { personId: world.people[0]!.id, what: "afterDeep", afterId: first.body.bookings[1].id, roomMin: 0 },
    ]);
    const [, second] = again(first.body);
    const moved = await save(world, [{ ...second!, startsAt: at("11:03") }]);
    expect(laidIn(moved.body)).toEqual(["warmUp 09:54", "reset 12:03"]);
    const cancelled = await save(world, [{ ...second!, version: 2, cancelled: true }]);
    expect(laidIn(cancelled.body)).toEqual(["warmUp 09:54", "longer 11:00"]);
    expect(cancelled.body.bookings.map(({ cancelled: is }: { cancelled: boolean }) => is)).toEqual([false, true, false]);
    // What stays in its gap stays the same session.
    expect(cancelled.body.sessions[0].id).toBe(first.body.sessions[0].id);
  });

  it("is the same for who asks again, and after the same was sent again", async () => {
    const sent = [bookingIn(world, "10:00"), bookingIn(world, "11:30")];
    const day = (await save(world, sent)).body as BookingDay;
    expect((await save(world, sent)).body).toEqual(day);
    expect(await dayOf(world)).toEqual(day);
  });

  it("takes typed ones out again", async () => {
    const day = (await save(world, [bookingIn(world, "10:00")])).body as BookingDay;
    const without = (await save(world, [], [day.bookings[0]!.id])).body as BookingDay;
    expect([without.bookings, without.sessions]).toEqual([[], []]);
  });

  it("what has begun stays, what comes is laid anew", async () => {
    const late = await bookingWorld(test, at("11:01"));
    const deep = { treatmentId: late.deep.id };
    const [a, b] = [bookingIn(late, "10:00", deep), bookingIn(late, "11:05", deep)];
    await save(late, [a, b]);
    // As if it had been laid in the morning.
    const [row] = [{ ...(await dayOf(late)), crewId: late.crewId }];
    await test.db.models.BookedSession.create({
      ...{ id: uuid(), crewId: late.crewId, personId: late.people[0]!.id, day: DATE, kind: "reset", programId: late.programId },
      ...{ sessionId: late.program.sessions[1]!.id, startsAt: new Date(at("11:00")), lengthMin: 2, afterId: row.bookings[0]!.id },
    });
    const now = await save(late, [{ ...b, version: 1, startsAt: at("11:30") }]);
    expect(laidIn(now.body)).toEqual(["reset 11:00", "reset 12:30"]);
  });
});

describe("refuses", () => {
  it.each([
    ["somebody of no crew", () => ({ personId: uuid() }), "bookings.0.personId"],
    ["a kind of treatment there is not", () => ({ treatmentId: uuid() }), "bookings.0.treatmentId"],
    ["a day years away", () => ({ startsAt: "2030-03-24T10:00:00.000Z" }), "bookings.0.startsAt"],
    ["half a minute", () => ({ startsAt: "2026-03-24T10:00:30.000Z" }), "bookings.0.startsAt"],
    ["four minutes", () => ({ lengthMin: 4 }), "bookings.0.lengthMin"],
  ])("%s, and stores nothing of it", async (_, change, path) => {
    const answer = await save(world, [bookingIn(world, "10:00", change()), bookingIn(world, "12:00")]);
    expect([answer.status, Object.keys(fieldsOf(answer))]).toEqual([400, [path]]);
    expect((await dayOf(world)).bookings).toEqual([]);
  });

  it("what somebody else changed in between, whole, and shows the newer", async () => {
    const sent = bookingIn(world, "10:00");
    await save(world, [sent]);
    await save(world, [{ ...sent, version: 1, lengthMin: 90 }]);
    const stale = await save(world, [{ ...sent, version: 1, startsAt: at("10:15") }, bookingIn(world, "14:00")]);
    expect([stale.status, stale.body.code]).toEqual([409, "stale"]);
    expect(stale.body.detail.bookings.map(({ lengthMin }: { lengthMin: number }) => lengthMin)).toEqual([90]);
  });

  it("a booking of another crew, and another trainer", async () => {
    const other = await bookingWorld(test);
    const theirs = bookingIn(other, "10:00");
    await save(other, [theirs]);
    const answer = await save(world, [{ ...bookingIn(world, "10:00"), id: theirs.id, version: 1 }]);
    expect([answer.status, Object.keys(fieldsOf(answer))]).toEqual([400, ["bookings.0.id"]]);
    await save(world, [], [theirs.id]);
    expect((await dayOf(other)).bookings).toHaveLength(1);
    const stranger = await TestTrainer.make(test);
    expect((await stranger.get(dayAddress(world))).status).toBe(404);
    expect((await stranger.send("put", dayAddress(world), { bookings: [], removed: [] })).status).toBe(404);
  });
});

it("rules: saved with a version, and resets follow", async () => {
  await save(world, [bookingIn(world, "10:00"), bookingIn(world, "11:10"), bookingIn(world, "12:20")]);
  const address = `/api/crews/${world.crewId}/booking-rules/${DATE}`;
  const change = { version: 0, programId: null, turnMin: 5, mostInRow: 1 };
  const answer = await world.trainer.send("put", address, change);
  expect(laidIn(answer.body)).toEqual(["warmUp 09:52", "reset 11:00", "reset 12:10"]);
  expect((await world.trainer.send("put", address, change)).body).toEqual(answer.body);
  expect((await world.trainer.send("put", address, { ...change, turnMin: 6 })).status).toBe(409);
  const unknown = await world.trainer.send("put", address, { ...change, version: 1, programId: uuid() });
  expect([unknown.status, Object.keys(fieldsOf(unknown))]).toEqual([400, ["programId"]]);
});

it("a changed program lays the same day anew", async () => {
  await save(world, [bookingIn(world, "10:00", { treatmentId: world.deep.id })]);
  expect(laidIn(await dayOf(world))).toEqual(["warmUp 09:54", "reset 11:00"]);
  const sessions = world.program.sessions.filter(({ slot }) => slot !== "reset");
  await world.trainer.send("put", `/api/programs/${world.programId}`, { version: 1, program: { ...world.program, sessions } });
  const day = await dayOf(world);
  expect([laidIn(day), day.missed]).toEqual([["warmUp 09:54"], []]);
});

it("strengthening is laid on a light day, not on a usual one, and not twice in most of a day", async () => {
  const session = { ...world.program.sessions[2]!, id: uuid(), name: "Strong", slot: "postShift" as const };
  session.items = [newItem(SHIPPED_LIBRARY.get("lift-palm-down"), DEFAULT_STYLE, uuid())];
  const sent = await world.trainer.send("put", `/api/programs/${world.programId}`, {
    version: 1,
    program: { ...world.program, sessions: [...world.program.sessions, session] },
  });
  expect(sent.status).toBe(200);
  const dates = ["2026-03-16", "2026-03-17", "2026-03-18"];
  const hours = ["09:00", "10:30", "12:00", "13:30"];
  const heavy = dates.flatMap((date) =>
    hours.map((time) => bookingIn(world, time, { startsAt: at(time, date), treatmentId: world.deep.id })),
  );
  const light = (date: string, time: string) => bookingIn(world, time, { startsAt: at(time, date), treatmentId: world.deep.id });
  await save(world, [...heavy, light(DATE, "09:00"), light("2026-03-25", "04:00"), light("2026-03-26", "09:00")]);
  const first = await dayOf(world);
  expect([first.light, laidIn(first)]).toEqual([[world.people[0]!.id], ["warmUp 08:54", "strength 10:00"]]);
  // Twenty hours after it is past the hour after the last treatment: a reset it is.
  expect(laidIn(await dayOf(world, "2026-03-25"))).toEqual(["warmUp 03:54", "reset 05:00"]);
  expect(laidIn(await dayOf(world, "2026-03-26"))).toEqual(["warmUp 08:54", "strength 10:00"]);
  expect((await dayOf(world, "2026-03-18")).light).toEqual([]);
});

describe("on the phone", () => {
  it("shows the own bookings and when the next reset is, and hears of a change by the pulse", async () => {
    const phone = await phoneOf(0);
    const sent = [bookingIn(world, "10:00", { treatmentId: world.deep.id }), bookingIn(world, "11:10")];
    await save(world, [...sent, bookingIn(world, "10:00", { personId: world.people[1]!.id })]);
    const day = await ownDay(phone);
    expect(day.bookings.map(({ startsAt, name, deep }) => [timeOf(startsAt), name, deep])).toEqual([
      ["10:00", "Deep tissue", true],
      ["11:10", "Calm hour", false],
    ]);
    expect(day.sessions.map(({ startsAt, session, booked }) => [timeOf(startsAt!), session.slot, booked])).toEqual([
      ["09:54", "preShift", true],
      ["11:00", "reset", true],
    ]);
    expect((await phone.get("/api/member/pulse")).body).toEqual({ changes: day.changes });
    await save(world, [{ ...sent[0]!, version: 1, cancelled: true }]);
    expect((await phone.get("/api/member/pulse")).body.changes).toBeGreaterThan(day.changes!);
    expect((await ownDay(phone)).sessions.map(({ startsAt }) => timeOf(startsAt!))).toEqual(["11:04"]);
  });

  it("whoever is held out is given nothing between their treatments", async () => {
    const phone = await phoneOf(0);
    await save(world, [bookingIn(world, "10:00", { treatmentId: world.deep.id })]);
    expect((await ownDay(phone)).sessions).toHaveLength(2);
    await world.trainer.send("post", `/api/crews/${world.crewId}/restrictions`, { personId: world.people[0]!.id, question: "chestPain" });
    const day = await ownDay(phone);
    expect([day.heldOut, day.sessions, day.bookings.length]).toEqual([true, [], 1]);
  });

  it("the person's calendar has what is laid between, and days without bookings are days off", async () => {
    await save(world, [bookingIn(world, "10:00", { treatmentId: world.deep.id })]);
    const sent = { id: uuid(), name: "Hers", personId: world.people[0]!.id };
    const { body } = await world.trainer.send("post", `/api/crews/${world.crewId}/calendar-links`, sent);
    const text = (await world.trainer.get(body.path)).text;
    expect(text.match(/DTSTART[^\r]*20260324T\d{4}/g)!.map((line) => line.slice(-4))).toEqual(["0954", "1100"]);
    const day = await ownDay(await phoneOf(0));
    expect(day.offDays).toEqual(["2026-03-25", "2026-03-26"]);
  });

  it("a crew with shifts has no pulse and no bookings", async () => {
    await world.trainer.send("put", `/api/crews/${world.crewId}`, { version: 1, crew: sampleCrew({ byBookings: false }) });
    const phone = await phoneOf(0);
    expect((await phone.get("/api/member/pulse")).body).toEqual({ changes: null });
    const day = await ownDay(phone);
    expect([day.bookings, day.changes, day.anyTime.map(({ session }) => session.slot)]).toEqual([[], null, ["preShift", "break"]]);
  });
  it("running late moves the own bookings that follow, once", async () => {
    const phone = await phoneOf(0);
    const sent = [bookingIn(world, "10:00"), bookingIn(world, "11:05"), bookingIn(world, "13:00")];
    await save(world, sent);
    const late = { bookingId: sent[0]!.id, version: 1, byMin: 10 };
    const answer = await phone.send("put", "/api/member/late", late);
    expect(answer.body.bookings.map(({ startsAt }: { startsAt: string }) => timeOf(startsAt))).toEqual(["10:10", "11:13", "13:00"]);
    expect((await phone.send("put", "/api/member/late", late)).status).toBe(409);
    const stranger = await phoneOf(1);
    expect((await stranger.send("put", "/api/member/late", { ...late, version: 2 })).status).toBe(404);
  });

  it("a reset that was followed is done, and is nobody else's", async () => {
    const phone = await phoneOf(0);
    await save(world, [bookingIn(world, "10:00", { treatmentId: world.deep.id })]);
    const [warmUp] = (await ownDay(phone)).sessions;
    const run = {
      ...sampleRun(world),
      startedAt: at("07:30"),
      endedAt: at("07:32"),
      alone: true,
      placementId: warmUp!.placementId,
      session: warmUp!.session,
    };
    const of = (i: number) => [{ ...run.people[0]!, personId: world.people[i]!.id, present: true, effort: 2, marks: [] }];
    const stranger = await phoneOf(1);
    const refused = await stranger.send("put", `/api/member/runs/${run.id}`, { ...run, people: of(1) });
    expect([refused.status, Object.keys(fieldsOf(refused))]).toEqual([400, ["placementId"]]);
    expect((await phone.send("put", `/api/member/runs/${run.id}`, { ...run, people: of(0) })).status).toBe(200);
    expect((await dayOf(world)).sessions.map(({ done }) => done)).toEqual([true, false]);
    expect((await ownDay(phone)).sessions.map(({ done }) => done)).toEqual([true, false]);
  });
});

it("somebody something is booked with stays, and it is said; after it is taken out they can go", async () => {
  const day = (await save(world, [bookingIn(world, "10:00")])).body as BookingDay;
  const person = `/api/crews/${world.crewId}/people/${world.people[0]!.id}`;
  const refused = await world.trainer.send("delete", person);
  expect([refused.status, refused.body.code]).toEqual([409, "hasBookings"]);
  await save(world, [], [day.bookings[0]!.id]);
  expect((await world.trainer.send("delete", person)).status).toBe(204);
});

it("two servers that are asked at once lay one day", async () => {
  const second = await openTestApp();
  await save(world, [bookingIn(world, "10:00", { treatmentId: world.deep.id })]);
  const days = await Promise.all([dayOf(world), dayOf(world), dayOf(world), dayOf(world)]);
  expect(new Set(days.map((day) => JSON.stringify(day.sessions))).size).toBe(1);
  expect(await test.db.models.BookedSession.count({ where: { crewId: world.crewId } })).toBe(2);
  await second.close();
});
