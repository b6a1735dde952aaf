import request from "supertest";
import { v7 as uuid } from "uuid";
import { openTestApp, PASSWORD, TestTrainer, type TestApp } from "../test/test-app";
import { makeWorld, sampleRun } from "../test/samples";
import { LIMIT } from "./attempts";

let test: TestApp;
beforeAll(async () => {
  test = await openTestApp();
});
afterAll(() => test.close());

const filled = (path: string) => path.replace(/:\w+Id/g, () => uuid()).replace(":weekStart", "2026-03-02");

describe("without a sign-in", () => {
  it("nothing is reachable but the sign-in itself", async () => {
    const agent = request.agent(test.app);
    const token = (await agent.get("/api/me")).body.csrfToken as string;
    const guarded = test.app.declared.filter((route) => route.roles !== "anyone");
    expect(guarded.length).toBeGreaterThan(25);
    for (const { method, path } of guarded) {
      const answer = await agent[method as "get"](filled(path)).set("x-csrf-token", token);
      expect([path, answer.status, answer.body.code]).toEqual([path, 401, "signedOut"]);
    }
    expect(test.app.declared.filter((route) => route.roles === "anyone").map((route) => route.path)).toEqual([
      "/api/me",
      "/api/sign-in",
      "/api/sign-out",
      "/api/link",
      "/api/link/use",
      "/api/forgotten",
      "/api/forgotten",
      "/api/sign-in/passkey/question",
      "/api/sign-in/passkey",
      "/api/member/sign-in",
      "/api/member/card",
      "/api/calendar/:token",
      // Tells nothing of anybody.
      "/api/openapi.json",
      "/api/schemas",
      "/api/schemas/:name",
    ]);
  });

  it("an unknown address is 404, and still not a page", async () => {
    const answer = await request(test.app).get("/api/nothing-here");
    expect([answer.status, answer.body.code]).toEqual([404, "notFound"]);
  });
});

describe("signing in", () => {
  const tryPassword = async (email: string, password: string, address: string) => {
    const agent = request.agent(test.app);
    const token = (await agent.get("/api/me")).body.csrfToken as string;
    return agent.post("/api/sign-in").set("x-csrf-token", token).set("x-forwarded-for", address).send({ email, password });
  };

  it("answers a wrong password and an unknown account alike", async () => {
    const trainer = await TestTrainer.make(test);
    const wrong = await tryPassword(trainer.email, "not the password", "10.0.0.1");
    const unknown = await tryPassword("nobody@test.example", PASSWORD, "10.0.0.1");
    expect([wrong.status, wrong.body]).toEqual([unknown.status, unknown.body]);
    expect(wrong.status).toBe(401);
  });

  it("names missing fields", async () => {
    const answer = await tryPassword("", "", "10.0.0.2");
    expect(answer.status).toBe(400);
    expect(answer.body.fields).toEqual([
      { path: "email", message: "is missing" },
      { path: "password", message: "is missing" },
    ]);
  });

  it(`stops after ${LIMIT.perAccount.failures} failures for an account, right password or not`, async () => {
    const trainer = await TestTrainer.make(test);
    for (let i = 0; i < LIMIT.perAccount.failures - 1; i++) await tryPassword(trainer.email, "wrong", `10.1.0.${i}`);
    expect((await tryPassword(trainer.email, "wrong", "10.1.1.1")).status).toBe(401);
    expect((await tryPassword(trainer.email, PASSWORD, "10.1.1.2")).status).toBe(429);
  });

  it("a right password before the limit clears the count", async () => {
    const trainer = await TestTrainer.make(test);
    for (let i = 0; i < LIMIT.perAccount.failures - 1; i++) await tryPassword(trainer.email, "wrong", `10.2.0.${i}`);
    expect((await tryPassword(trainer.email, PASSWORD, "10.2.1.1")).status).toBe(200);
    expect((await tryPassword(trainer.email, "wrong", "10.2.1.2")).status).toBe(401);
  });

  it(`stops an address after ${LIMIT.perAddress.failures} failures over many accounts`, async () => {
    for (let i = 0; i < LIMIT.perAddress.failures; i++)
      expect((await tryPassword(`someone${i}@test.example`, "wrong", "10.3.0.1")).status).toBe(401);
    expect((await tryPassword("another@test.example", "wrong", "10.3.0.1")).status).toBe(429);
  });

  it("gives a new session id, and signing out ends it", async () => {
    const trainer = await TestTrainer.make(test);
    // A session of the attacker's, planted in the browser of whoever signs in.
    const stranger = await TestTrainer.make(test);
    const agent = stranger.agent;
    const sessionOf = (answer: { headers: Record<string, unknown> }) =>
      (answer.headers["set-cookie"] as string[] | undefined)?.find((each) => each.startsWith("kind-grip="));
    const planted = (await agent.get("/api/me")).headers;
    const token = stranger.token;
    const after = await agent.post("/api/sign-in").set("x-csrf-token", token).send({ email: trainer.email, password: PASSWORD });
    const cookie = sessionOf(after)!;
    expect(cookie.split(";")[0]).not.toBe(sessionOf({ headers: planted })?.split(";")[0]);
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Strict/);
    await agent.get("/api/crews").expect(200);
    await agent.post("/api/sign-out").set("x-csrf-token", after.body.csrfToken).expect(204);
    await request(test.app).get("/api/crews").set("Cookie", cookie).expect(401);
  });
});

it("a change without the token is refused and does nothing", async () => {
  const trainer = await TestTrainer.make(test);
  const answer = await trainer.agent.put("/api/practice").send({ name: "Taken over" });
  expect([answer.status, answer.body.code]).toEqual([403, "csrf"]);
  expect((await trainer.get("/api/me")).body.account.practice).toBe("Test practice");
});

describe("changing the password", () => {
  it("takes 10 characters, not 9, and only with the old one", async () => {
    const trainer = await TestTrainer.make(test);
    const change = (current: string, next: string) => trainer.send("put", "/api/me/password", { current, next });
    expect((await change(PASSWORD, "vq7#Lw2x!")).body.fields).toEqual([{ path: "next", message: "needs at least 10 characters" }]);
    expect((await change("something else", "1234567890")).body.fields).toEqual([{ path: "current", message: "is not your password" }]);
    expect((await change(PASSWORD, "1234567890")).body.fields).toMatchObject([{ path: "next", message: expect.stringMatching(/guessed/) }]);
    expect((await change(PASSWORD, "vq7#Lw2x!k")).status).toBe(204);
    expect((await change(PASSWORD, "another one 1")).status).toBe(400);
  });
});

describe("somebody else's things", () => {
  it("do not exist, by any route", async () => {
    const practiceId = uuid();
    const [owner, colleague] = [await TestTrainer.make(test, practiceId), await TestTrainer.make(test, practiceId)];
    const world = await makeWorld(owner);
    const clean = (daysAgo: number) => {
      const at = new Date(Date.now() - daysAgo * 86_400_000).toISOString();
      const each = sampleRun(world);
      return {
        ...each,
        startedAt: at,
        endedAt: at,
        people: each.people.map((person) => ({ ...person, present: true, effort: 1, marks: [] })),
      };
    };
    const run = clean(3);
    expect((await owner.send("put", `/api/runs/${run.id}`, run)).status).toBe(200);
    const roundId = uuid();
    const personId = world.people[0]!.id;
    await owner.send("post", `/api/crews/${world.crewId}/rounds`, { id: roundId, name: "Round" });
    const held = await owner.send("post", `/api/crews/${world.crewId}/restrictions`, { personId, question: "hotJoint" });
    const restrictionId = held.body.restrictions[0].id as string;
    const days = { from: new Date().toISOString().slice(0, 10), until: new Date(Date.now() + 86_400_000).toISOString().slice(0, 10) };
    const clearance = { id: uuid(), restrictionId, givenBy: "A", profession: "B", allows: ["stretch"], ...days, note: null };
    expect((await owner.send("post", `/api/crews/${world.crewId}/clearances`, clearance)).status).toBe(200);
    for (const each of [2, 1].map(clean)) await owner.send("put", `/api/runs/${each.id}`, each);
    const itemId = world.program.sessions[0]!.items[1]!.id;
    const decision = {
      personId: world.people[1]!.id,
      programId: world.programId,
      itemId,
      proposed: "progress",
      decided: "pauseAndRefer",
      why: "test",
    };
    const decisionId = uuid();
    expect(
      (await owner.send("post", `/api/crews/${world.crewId}/decisions`, { decisions: [{ ...decision, id: decisionId }] })).status,
    ).toBe(204);
    const member = await owner.member(test, world.crewId, world.people[1]!.id);
    const tell = { id: uuid(), at: new Date().toISOString(), kind: "other", movementId: null, words: null };
    await member.send("put", `/api/member/symptom-reports/${tell.id}`, tell);
    const linkId = uuid();
    await owner.send("post", `/api/crews/${world.crewId}/calendar-links`, { id: linkId, name: "L", personId: null });
    const absence = { id: uuid(), personId, from: "2026-03-02", until: "2026-03-03" };
    await owner.send("post", `/api/crews/${world.crewId}/absences`, absence);
    const employer = { id: uuid(), name: "E", email: `${uuid()}@test.example`, role: "employer" as const, crewIds: [world.crewId] };
    const stranger = await TestTrainer.make(test);
    await owner.invited(test, employer);
    const job = await owner.send("post", `/api/crews/${world.crewId}/export`);
    const passkeyId = uuid();
    const { id: ownerId } = (await test.db.models.Account.findOne({ where: { email: owner.email } }))!.get();
    const key = { credentialId: passkeyId, publicKey: Buffer.alloc(1), signCount: 0, transports: [], name: "Key", addedAt: new Date() };
    await test.db.models.Passkey.create({ id: passkeyId, accountId: ownerId, ...key, usedAt: null });
    const ids: Record<string, string> = {
      jobId: job.body.id as string,
      passkeyId,
      decisionId,
      reportId: tell.id,
      placementId: uuid(),
      seriesId: uuid(),
      linkId,
      absenceId: absence.id,
      accountId: employer.id,
      roundId,
      restrictionId,
      clearanceId: clearance.id,
      crewId: world.crewId,
      programId: world.programId,
      runId: run.id,
      observationId: world.crewId,
      personId,
      weekStart: "2026-03-02",
      date: "2026-03-02",
      calendarId: uuid(),
      contactId: uuid(),
      invitationId: uuid(),
    };
    const bodies: Record<string, object> = {
      "put /api/crews/:crewId": { version: 1, crew: (await owner.get(`/api/crews/${world.crewId}`)).body },
      "post /api/crews/:crewId/people": { people: [{ ...world.people[0], id: uuid(), badge: null }] },
      "put /api/crews/:crewId/people/:personId/ramp": { ended: true },
      "put /api/crews/:crewId/people/:personId": {
        version: 1,
        person: { name: "Stolen", badge: null, handedness: null, startedOn: null, leftOn: null, language: null },
      },
      "post /api/crews/:crewId/people/:personId/erase": { name: "Person 1" },
      "put /api/practice/retention": { version: 0, rules: { healthMonths: 12, runsMonths: null, trailMonths: null } },
      "put /api/crews/:crewId/people/:personId/contacts": { way: "email", address: "stolen@crew.example" },
      "post /api/crews/:crewId/people/:personId/notes": { id: uuid(), text: "Stolen", attachment: null },
      "post /api/crews/:crewId/programs": { id: uuid(), program: world.program },
      "post /api/crews/:crewId/programs/import": { id: uuid(), text: "{}" },
      "put /api/programs/:programId": { version: 1, program: world.program },
      "post /api/programs/:programId/papers": { kind: "handOut" },
      "put /api/crews/:crewId/plan/:weekStart": { version: 0, placements: [] },
      "put /api/crews/:crewId/bookings/:date": { bookings: [], removed: [] },
      "put /api/crews/:crewId/booking-rules/:date": { version: 0, programId: null, turnMin: 3, mostInRow: 3 },
      "post /api/crews/:crewId/booking-calendars": {
        id: uuid(),
        personId: null,
        name: "Stolen",
        address: "https://calendar.example/a.ics",
      },
      "put /api/crews/:crewId/placements/:placementId/leader": { leaderId: null },
      "put /api/crews/:crewId/plan-series/:seriesId/leader": { leaderId: null },
      "put /api/runs/:runId": { ...run },
      "put /api/observations/:observationId": {
        id: world.crewId,
        crewId: world.crewId,
        taskId: uuid(),
        personId: null,
        startedAt: "2026-03-12T09:00:00Z",
        from: "line",
        lengthMs: 60_000,
        hands: [{ side: "right", effortId: uuid(), presses: [], postures: [] }],
      },
      "put /api/crews/:crewId/observations/:observationId/counts": { counts: false },
      "put /api/crews/:crewId/work": { version: 0, work: { tasks: [], days: [] } },
      "post /api/crews/:crewId/rounds": { id: uuid(), name: "Stolen" },
      "put /api/crews/:crewId/first-aid": { version: 0, book: { since: null, cases: [] } },
      "post /api/crews/:crewId/card-holder": { token: "x".repeat(32) },
      "put /api/rounds/:roundId": { name: "Stolen", closed: true },
      "put /api/rounds/:roundId/people/:personId": { version: 0, record: {} },
      "post /api/crews/:crewId/restrictions": { personId, question: "chestPain" },
      "post /api/restrictions/:restrictionId/withdraw": { why: "stolen" },
      "post /api/crews/:crewId/clearances": { ...clearance, id: uuid() },
      "post /api/clearances/:clearanceId/withdraw": { why: "stolen" },
      "post /api/crews/:crewId/absences": { ...absence, id: uuid() },
      "post /api/crews/:crewId/access": { personIds: [personId] },
      "post /api/crews/:crewId/access/withdraw": { personIds: [personId] },
      "post /api/crews/:crewId/calendar-links": { id: uuid(), name: "Stolen", personId: null },
      "put /api/crews/:crewId/quick-test": { test: "twistLid" },
      "put /api/crews/:crewId/reminder-rule": { minutesBefore: 20 },
      "post /api/crews/:crewId/reminders": { placementId: uuid() },
      "post /api/crews/:crewId/decisions": { decisions: [{ ...decision, id: uuid() }] },
      "post /api/decisions/:decisionId/resume": { why: "stolen" },
      "put /api/practice/staff/:accountId": { crewIds: [] },
      "post /api/crews/:crewId/people/:personId/alerts/answer": { alertIds: [uuid()], answer: { answer: "giveBack", reply: null } },
      "put /api/crews/:crewId/people/:personId/symptom-reports/:reportId": { ...tell },
      "post /api/runs/:runId/clashes/:personId": { answer: "before" },
    };
    const crewBody = bodies["put /api/crews/:crewId"] as { crew: Record<string, unknown> };
    delete crewBody.crew.id;
    delete crewBody.crew.version;
    const aimed = test.app.declared.filter(
      (route) =>
        /:(?!language)/.test(route.path) &&
        // The caller's own, whoever that is.
        route.path !== "/api/own-week/:weekStart" &&
        route.roles !== "anyone" &&
        route.roles.includes("trainer"),
    );
    expect(aimed.length).toBeGreaterThan(20);
    for (const { method, path } of aimed) {
      const address = path.replace(/:(\w+)/g, (_, name: string) => ids[name]!);
      // Staff are the practice's: only another practice does not know them.
      const other = path.includes("/staff/") ? stranger : colleague;
      const answer = method === "get" ? await other.get(address) : await other.send(method as "put", address, bodies[`${method} ${path}`]);
      expect([method, path, answer.status]).toEqual([method, path, 404]);
    }
    expect((await owner.get(`/api/crews/${world.crewId}/people`)).body).toHaveLength(3);
  });
});

describe("ids of somebody else's things, sent with one's own crew", () => {
  it("a person of another practice is nobody: whether they have runs is not told", async () => {
    const [owner, stranger] = [await TestTrainer.make(test), await TestTrainer.make(test)];
    const [theirs, own] = [await makeWorld(owner), await makeWorld(stranger)];
    const run = sampleRun(theirs);
    expect((await owner.send("put", `/api/runs/${run.id}`, run)).status).toBe(200);
    const answer = await stranger.send("delete", `/api/crews/${own.crewId}/people/${run.people[0]!.personId}`);
    expect([answer.status, answer.body.code]).toEqual([404, "notFound"]);
    expect((await owner.send("delete", `/api/crews/${theirs.crewId}/people/${run.people[0]!.personId}`)).body.code).toBe("hasRuns");
  });
  it("a decision of another crew is 404, and nothing is stored", async () => {
    const trainer = await TestTrainer.make(test);
    const [first, second] = [await makeWorld(trainer), await makeWorld(trainer)];
    const id = uuid();
    const row = { id, crewId: second.crewId, personId: second.people[0]!.id, programId: second.programId, itemId: uuid() };
    await test.db.models.Decision.create({
      ...row,
      movementId: "palm-away",
      was: {} as never,
      proposed: "hold",
      decided: "hold",
      response: {} as never,
      settings: {} as never,
      settingsVersion: 1,
      why: "kept",
      decidedBy: uuid(),
      decidedAt: new Date(),
      resumedAt: null,
      resumedWhy: null,
    });
    const itemId = first.program.sessions[0]!.items[0]!.id;
    const decision = {
      id,
      personId: first.people[0]!.id,
      programId: first.programId,
      itemId,
      proposed: "hold",
      decided: "hold",
      why: null,
    };
    expect((await trainer.send("post", `/api/crews/${first.crewId}/decisions`, { decisions: [decision] })).status).toBe(404);
    expect((await test.db.models.Decision.findByPk(id))!.get()).toMatchObject({ crewId: second.crewId, why: "kept" });
  });
});
