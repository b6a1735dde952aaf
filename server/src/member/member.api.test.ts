import type { MemberDay, MemberProgress, PersonAlert } from "@kind-grip/core/api";
import { addDays, dateAt, mondayOf } from "@kind-grip/core/calendar";
import { v7 as uuid } from "uuid";
import { LIMIT } from "../auth/attempts";
import type { NewPerson } from "@kind-grip/core/crew";
import { makeWorld, samplePeople, sampleRun, type SampleWorld } from "../test/samples";
import { fieldsOf, openTestApp, TestCaller, TestTrainer, type TestApp } from "../test/test-app";
import request from "supertest";

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

const today = () => new Date().toISOString().slice(0, 10);
const cards = async (...people: number[]) =>
  (await trainer.send("post", `/api/crews/${world.crewId}/access`, { personIds: people.map((i) => world.people[i]!.id) })).body as {
    code: string;
    cards: { personId: string; pin: string; token: string }[];
  };
const tryPin = async (code: string, pin: string, address: string) => {
  const agent = request.agent(test.app);
  const token = (await agent.get("/api/me")).body.csrfToken as string;
  return agent.post("/api/member/sign-in").set("x-csrf-token", token).set("x-forwarded-for", address).send({ code, pin });
};
const named = (person: NewPerson, i: number) => ({ ...person, name: `Photographer ${i}` });
const checkIn = (change: object = {}) => ({ id: uuid(), day: today(), level: 3, regions: [], tingling: false, ...change });
const aloneRun = (person = 0) => {
  const run = sampleRun(world);
  const at = new Date(Date.now() - 60_000).toISOString();
  return { ...run, startedAt: at, endedAt: at, alone: true, people: [{ ...run.people[person]!, present: true, effort: 2, marks: [] }] };
};

describe("signing in", () => {
  it("with code and PIN, however they are typed, and with the card", async () => {
    const { code, cards: made } = await cards(0, 1);
    const [first, second] = made;
    const answer = await tryPin(` ${code.slice(0, 3).toLowerCase()}-${code.slice(3)} `, first!.pin.replace("-", " "), "10.9.0.1");
    expect([answer.status, answer.body.person.name]).toEqual([200, "Person 1"]);
    const member = await TestCaller.signedIn(test, "/api/member/card", { token: second!.token });
    expect((await member.get("/api/me")).body.account).toMatchObject({ role: "member", name: "Person 2", email: "" });
  });
  it("answers an unknown code, number and PIN alike", async () => {
    const { code, cards: made } = await cards(0);
    const answers = [
      await tryPin("NOSUCH", made[0]!.pin, "10.9.1.1"),
      await tryPin(code, "99912345", "10.9.1.1"),
      await tryPin(code, "00100000", "10.9.1.1"),
    ];
    expect(new Set(answers.map(({ status, text }) => `${status} ${text}`)).size).toBe(1);
    expect(answers[0]!.status).toBe(401);
  });
  it(`stops after ${LIMIT.perAccount.failures} wrong PINs of a person, the right one too, and nobody else`, async () => {
    const { code, cards: made } = await cards(0, 1);
    for (let i = 0; i < LIMIT.perAccount.failures; i++) await tryPin(code, "001-xxxxx", `10.9.2.${i}`);
    expect((await tryPin(code, made[0]!.pin, "10.9.2.90")).status).toBe(429);
    expect((await tryPin(code, made[1]!.pin, "10.9.2.91")).status).toBe(200);
  });
  it(`stops an address after ${LIMIT.perAddress.failures} wrong ones`, async () => {
    for (let i = 0; i < LIMIT.perAddress.failures; i++) expect((await tryPin(`WRONG${i}`, "00112345", "10.9.3.1")).status).toBe(401);
    const { code, cards: made } = await cards(0);
    expect((await tryPin(code, made[0]!.pin, "10.9.3.1")).status).toBe(429);
  });
  it("a whole crew photographs its cards in one moment, from one address, and everybody is in", async () => {
    await trainer.send("post", `/api/crews/${world.crewId}/people`, { people: samplePeople(37, { badge: null }).map(named) });
    const everybody = (await trainer.get(`/api/crews/${world.crewId}/people`)).body as { id: string }[];
    const made = (await trainer.send("post", `/api/crews/${world.crewId}/access`, { personIds: everybody.map(({ id }) => id) })).body
      .cards as { token: string }[];
    const opened = await Promise.all(
      made.map(async ({ token }) => {
        const agent = request.agent(test.app);
        const csrf = (await agent.get("/api/me")).body.csrfToken as string;
        return agent.post("/api/member/card").set("x-csrf-token", csrf).set("x-forwarded-for", "10.9.8.1").send({ token });
      }),
    );
    expect([made.length, new Set(opened.map(({ status }) => status))]).toEqual([40, new Set([200])]);
  });
  it("a new card ends the old one, a withdrawn one ends what it opened, at once", async () => {
    const { cards: made } = await cards(0);
    const member = await TestCaller.signedIn(test, "/api/member/card", { token: made[0]!.token });
    await member.get("/api/member/day").expect(200);
    await cards(0);
    await expect(TestCaller.signedIn(test, "/api/member/card", { token: made[0]!.token })).rejects.toThrow();
    await trainer.send("post", `/api/crews/${world.crewId}/access/withdraw`, { personIds: [world.people[0]!.id] });
    expect((await member.get("/api/member/day")).status).toBe(401);
  });
  it("secrets are kept as hashes only", async () => {
    const { cards: made } = await cards(0);
    const row = (await test.db.models.MemberAccess.findByPk(world.people[0]!.id))!.get();
    expect(JSON.stringify(row)).not.toContain(made[0]!.token);
    expect(row.pinHash).toMatch(/^\$argon2id/);
  });
});

describe("one's own page", () => {
  it("shows sessions in one's own form, and nobody else's", async () => {
    const program = structuredClone(world.program);
    program.sessions[0]!.items[1]!.personal = {
      [world.people[0]!.id]: { formId: "elbow-90" },
      [world.people[1]!.id]: { formId: "elbow-straight" },
    };
    await trainer.send("put", `/api/programs/${world.programId}`, { version: 1, program });
    const member = await trainer.member(test, world.crewId, world.people[0]!.id);
    const day = (await member.get("/api/member/day")).body;
    expect(day.anyTime[0].session.items[1]).toMatchObject({ formId: "elbow-90", personal: {} });
    expect(JSON.stringify(day)).not.toContain(world.people[1]!.id);
  });
  it("stores a session once, counts it, and takes nobody else's", async () => {
    const member = await trainer.member(test, world.crewId, world.people[0]!.id);
    const run = aloneRun();
    const store = (body: object, id = run.id) => member.send("put", `/api/member/runs/${id}`, body);
    const answers = await Promise.all([1, 2, 3].map(() => store(run)));
    expect(answers.map(({ body }) => body.stored).sort()).toEqual(["already", "already", "new"]);
    const progress = (await member.get("/api/member/progress")).body;
    expect(progress.days).toMatchObject([{ runs: 1, itemsDone: 2, meanEffort: 2 }]);
    const others = aloneRun(1);
    expect(fieldsOf(await store(others, others.id))).toEqual({ people: "has to be you, alone" });
    expect(fieldsOf(await store({ ...aloneRun(), id: run.id, alone: false }))).toEqual({ people: "has to be you, alone" });
    expect(fieldsOf(await store({ ...run, crewId: uuid() }))).toEqual({ crewId: "is not your crew" });
  });
  it("checks in once a day; the first answer stays", async () => {
    const member = await trainer.member(test, world.crewId, world.people[0]!.id);
    const send = (body: { id: string }) => member.send("put", `/api/member/check-ins/${body.id}`, body);
    const first = checkIn();
    expect((await send(first)).body).toEqual({ id: first.id, stored: "new" });
    expect((await send(first)).body.stored).toBe("already");
    expect((await send(checkIn({ level: 9 }))).body).toEqual({ id: first.id, stored: "already" });
    expect((await member.get("/api/member/progress")).body.mornings).toEqual([{ day: today(), level: 3, raised: false }]);
    expect((await member.get("/api/member/day")).body.checkedIn).toBe(true);
  });
  it("of one's mornings says which are above what is usual for oneself", async () => {
    const before = new Date(Date.now() - 10 * 86_400_000).toISOString();
    const run = { ...sampleRun(world), startedAt: before, endedAt: before };
    expect((await trainer.send("put", `/api/runs/${run.id}`, run)).status).toBe(200);
    const member = await trainer.member(test, world.crewId, world.people[0]!.id);
    const felt = [0, 3].map((level, i) => checkIn({ level, day: addDays(today(), i - 1) }));
    for (const body of felt) expect((await member.send("put", `/api/member/check-ins/${body.id}`, body)).status).toBe(200);
    const { mornings } = (await member.get("/api/member/progress")).body as MemberProgress;
    expect(mornings.map(({ level, raised }) => [level, raised])).toEqual([
      [0, false],
      [3, true],
    ]);
  });
  it.each([
    ["the day after tomorrow", 2, "has not come yet"],
    ["a fortnight and a day ago", -15, "is too long ago"],
  ])("a check-in of %s is refused", async (_, days, message) => {
    const member = await trainer.member(test, world.crewId, world.people[0]!.id);
    const body = checkIn({ day: new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10) });
    expect(fieldsOf(await member.send("put", `/api/member/check-ins/${body.id}`, body))).toEqual({ day: message });
  });
  it("stop and tell stands on the trainer's Today until it is answered", async () => {
    const member = await trainer.member(test, world.crewId, world.people[0]!.id);
    const tell = { id: uuid(), at: new Date().toISOString(), kind: "sharpPain", movementId: "palm-away", words: "left thumb" };
    for (const stored of ["new", "already"])
      expect((await member.send("put", `/api/member/symptom-reports/${tell.id}`, tell)).body.stored).toBe(stored);
    const alerts = async () =>
      ((await trainer.get("/api/today")).body.alerts as PersonAlert[]).filter(({ crewId }) => crewId === world.crewId);
    const [alert] = await alerts();
    expect(alert).toMatchObject({ name: "Person 1", pauses: true, reports: [{ kind: "sharpPain", words: "left thumb" }] });
    const answer = { answer: "giveBack", reply: "Go on" };
    const address = `/api/crews/${world.crewId}/people/${alert!.personId}/alerts/answer`;
    expect((await trainer.send("post", address, { alertIds: alert!.reports.map(({ alertId }) => alertId), answer })).status).toBe(204);
    expect(await alerts()).toEqual([]);
  });
});

describe("several programs", () => {
  it("what may be done at any time is of the one that is planned, led or written last, in this order; a draft is nobody's", async () => {
    const draftId = uuid();
    const draft = { ...structuredClone(world.program), name: "Next block" };
    draft.sessions = draft.sessions.map((session) => ({
      ...session,
      id: uuid(),
      items: session.items.map((item) => ({ ...item, id: uuid() })),
    }));
    const member = await trainer.member(test, world.crewId, world.people[0]!.id);
    const shown = async () => {
      const day = (await member.get("/api/member/day")).body as MemberDay;
      const listed = (await trainer.get(`/api/crews/${world.crewId}/programs`)).body as { id: string; inUse: boolean }[];
      const inUse = listed.filter((each) => each.inUse).map(({ id }) => id);
      expect(inUse).toEqual([day.anyTime[0]!.programId]);
      expect(new Set(day.anyTime.map(({ programId }) => programId)).size).toBe(1);
      return inUse[0];
    };
    expect(await shown()).toBe(world.programId);
    await trainer.send("post", `/api/crews/${world.crewId}/programs`, { id: draftId, program: draft });
    // Nothing planned, nothing led: the one that was written last.
    expect(await shown()).toBe(draftId);
    const run = sampleRun(world);
    expect((await trainer.send("put", `/api/runs/${run.id}`, run)).status).toBe(200);
    expect(await shown()).toBe(world.programId);
    const monday = mondayOf(dateAt(Date.now() - 120_000, "Europe/Dublin"));
    const place = (programId: string, sessionId: string, inMin: number) => ({
      id: uuid(),
      programId,
      sessionId,
      startsAt: new Date(Date.now() + inMin * 60_000).toISOString(),
    });
    const keep = (version: number, ...placements: object[]) =>
      trainer.send("put", `/api/crews/${world.crewId}/plan/${monday}`, { version, placements });
    // The next block begins: from its first session on it is theirs.
    const old = place(world.programId, world.program.sessions[0]!.id, -2);
    const first = await keep(0, old, place(draftId, draft.sessions[0]!.id, -1));
    expect([first.status, first.body.fields]).toEqual([200, undefined]);
    expect(await shown()).toBe(draftId);
    expect((await keep(1, old)).status).toBe(200);
    expect(await shown()).toBe(world.programId);
    await trainer.send("delete", `/api/programs/${world.programId}`);
    expect(await shown()).toBe(draftId);
  });
});

describe("what is done alone, without the site's kit", () => {
  it("is on the phone beside what may be done at any time, and with the days that are without a shift", async () => {
    const program = structuredClone(world.program);
    const [session] = program.sessions;
    const alone = (slot: "home" | "offDay") => ({
      ...session!,
      id: uuid(),
      slot,
      items: session!.items.map((item) => ({ ...item, id: uuid() })),
    });
    const sessions = [...program.sessions, alone("home"), alone("offDay")];
    const { version } = (await trainer.get(`/api/programs/${world.programId}`)).body as { version: number };
    expect((await trainer.send("put", `/api/programs/${world.programId}`, { version, program: { ...program, sessions } })).status).toBe(
      200,
    );
    const member = await trainer.member(test, world.crewId, world.people[0]!.id);
    const day = (await member.get("/api/member/day")).body as MemberDay;
    expect(day.home.map((entry) => entry.session.slot)).toEqual(["home", "offDay"]);
    expect(day.anyTime).toHaveLength(program.sessions.length);
    for (const off of day.offDays) expect([0, 6]).toContain(new Date(`${off}T12:00:00Z`).getUTCDay());
    const placement = { id: uuid(), programId: world.programId, sessionId: sessions.at(-1)!.id, startsAt: new Date().toISOString() };
    const monday = mondayOf(day.today);
    const plan = await trainer.send("put", `/api/crews/${world.crewId}/plan/${monday}`, { version: 0, placements: [placement] });
    expect(fieldsOf(plan)).toMatchObject({ "placements.0.sessionId": "is done alone, not in a shift" });
  });
});
