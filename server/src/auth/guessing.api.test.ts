/** Guessing passwords and PINs: under a burst, over days, from a known browser; and what a changed secret ends. */
import request from "supertest";
import { v7 as uuid } from "uuid";
import { openTestApp, PASSWORD, TestCaller, TestTrainer, type TestApp } from "../test/test-app";
import { makeWorld, sampleRun, type SampleWorld } from "../test/samples";
import { LIMIT, waitMin } from "./attempts";

let test: TestApp;
beforeAll(async () => {
  test = await openTestApp();
});
afterAll(() => test.close());

let addresses = 0;
const newAddress = () => `10.${Math.floor(++addresses / 250) + 20}.7.${addresses % 250}`;
const tryPassword = (email: string, password: string, { address = newAddress(), cookie = "" } = {}) =>
  request(test.app)
    .post("/api/sign-in")
    .set("x-csrf-token", "signed-out")
    .set("x-forwarded-for", address)
    .set("Cookie", cookie)
    .send({ email, password });
const tryPin = (code: string, pin: string, address = newAddress()) =>
  request(test.app).post("/api/member/sign-in").set("x-csrf-token", "signed-out").set("x-forwarded-for", address).send({ code, pin });
const statusesOf = async (list: readonly PromiseLike<{ status: number }>[]) => (await Promise.all(list)).map(({ status }) => status);
const deviceOf = (answer: { headers: Record<string, unknown> }) =>
  (answer.headers["set-cookie"] as string[]).find((each) => each.startsWith("kind-grip-device"))!.split(";")[0]!;
/** As if what failed had failed so long ago. */
const ago = (minutes: number) =>
  test.db.sequelize.query("UPDATE sign_in_attempts SET at = at - INTERVAL :minutes MINUTE", { replacements: { minutes } });

it.each([
  [0, 0],
  [7, 0],
  [8, 1],
  [9, 2],
  [11, 8],
  [12, 15],
  [400, 15],
])("after %d failures of an account the wait is %d minutes", (failures, minutes) => {
  expect(waitMin(failures, LIMIT.perAccount.failures)).toBe(minutes);
});

describe("in a burst", () => {
  it("no more passwords are tried than the limit lets through", async () => {
    const trainer = await TestTrainer.make(test);
    const statuses = await statusesOf(Array.from({ length: 60 }, (_, i) => tryPassword(trainer.email, `guess ${i}`)));
    expect(statuses.filter((status) => status === 401).length).toBeLessThanOrEqual(LIMIT.perAccount.failures);
    expect(statuses.filter((status) => status !== 401 && status !== 429)).toEqual([]);
  }, 60_000);
  it("nor PINs, and nobody else's sign-in suffers", async () => {
    const trainer = await TestTrainer.make(test);
    const world = await makeWorld(trainer);
    const { body } = await trainer.send("post", `/api/crews/${world.crewId}/access`, {
      personIds: world.people.slice(0, 2).map(({ id }) => id),
    });
    const [mine, theirs] = body.cards as { pin: string }[];
    const number = mine!.pin.slice(0, 3);
    const statuses = await statusesOf(Array.from({ length: 60 }, (_, i) => tryPin(body.code, `${number}-${String(i).padStart(5, "0")}`)));
    expect(statuses.filter((status) => status === 401).length).toBeLessThanOrEqual(LIMIT.perAccount.failures);
    expect((await tryPin(body.code, theirs!.pin)).status).toBe(200);
  }, 60_000);
  it("a wrong old password is not tried on for ever either", async () => {
    const trainer = await TestTrainer.make(test);
    const change = (current: string) => trainer.send("put", "/api/me/password", { current, next: "a new long password" });
    for (let i = 0; i < LIMIT.perAccount.failures; i++) expect((await change(`guess ${i}`)).status).toBe(400);
    expect((await change(PASSWORD)).status).toBe(429);
    await ago(1);
    expect((await change(PASSWORD)).status).toBe(204);
  });
});

describe("waits", () => {
  const lock = async (email: string) => {
    for (let i = 0; i < LIMIT.perAccount.failures; i++) await tryPassword(email, "wrong");
  };
  it("end by themselves, grow with each further failure, and end with the right password", async () => {
    const trainer = await TestTrainer.make(test);
    await lock(trainer.email);
    const refused = await tryPassword(trainer.email, PASSWORD);
    expect([refused.status, refused.body.message]).toEqual([429, "Too many attempts. Wait 1 minute and try again."]);
    await ago(1);
    expect((await tryPassword(trainer.email, "wrong")).status).toBe(401);
    expect((await tryPassword(trainer.email, PASSWORD)).body.message).toBe("Too many attempts. Wait 2 minutes and try again.");
    await ago(2);
    expect((await tryPassword(trainer.email, PASSWORD)).status).toBe(200);
    for (let i = 0; i < LIMIT.perAccount.failures; i++) expect((await tryPassword(trainer.email, "wrong")).status).toBe(401);
  });
  it("what was turned away does not make them longer", async () => {
    const trainer = await TestTrainer.make(test);
    await lock(trainer.email);
    for (let i = 0; i < 20; i++) await tryPassword(trainer.email, "wrong");
    await ago(1);
    expect((await tryPassword(trainer.email, PASSWORD)).status).toBe(200);
  });
  it("a stranger's failures do not keep a browser out that signed in before; its own do", async () => {
    const trainer = await TestTrainer.make(test);
    const cookie = deviceOf(await tryPassword(trainer.email, PASSWORD));
    await lock(trainer.email);
    expect((await tryPassword(trainer.email, PASSWORD)).status).toBe(429);
    expect((await tryPassword(trainer.email, PASSWORD, { cookie })).status).toBe(200);
    for (let i = 0; i < LIMIT.perAccount.failures; i++) await tryPassword(trainer.email, "wrong", { cookie });
    expect((await tryPassword(trainer.email, PASSWORD, { cookie })).status).toBe(429);
  });
  it("a site behind one address goes on with the browsers it knows", async () => {
    const [known, fresh] = [await TestTrainer.make(test), await TestTrainer.make(test)];
    const address = newAddress();
    const cookie = deviceOf(await tryPassword(known.email, PASSWORD, { address }));
    for (let i = 0; i < LIMIT.perAddress.failures; i++) await tryPassword(`nobody${i}@test.example`, "wrong", { address });
    expect((await tryPassword(fresh.email, PASSWORD, { address })).status).toBe(429);
    expect((await tryPassword(known.email, PASSWORD, { address, cookie })).status).toBe(200);
    await ago(LIMIT.perAddress.windowMin);
    expect((await tryPassword(fresh.email, PASSWORD, { address })).status).toBe(200);
  });
  it("a browser known to one account is a stranger to another", async () => {
    const [one, other] = [await TestTrainer.make(test), await TestTrainer.make(test)];
    const cookie = deviceOf(await tryPassword(one.email, PASSWORD));
    await lock(other.email);
    expect((await tryPassword(other.email, PASSWORD, { cookie })).status).toBe(429);
  });
  it("many people of one crew guessed at one after the other count together", async () => {
    const code = `CREW${uuid().slice(-8)}`.toUpperCase();
    for (let i = 0; i < LIMIT.perCrew.failures; i++)
      expect((await tryPin(code, `${String(i + 1).padStart(3, "0")}-00000`)).status).toBe(401);
    expect((await tryPin(code, "999-00000")).status).toBe(429);
  }, 60_000);
});

describe("sessions", () => {
  let trainer: TestTrainer;
  let world: SampleWorld;
  beforeEach(async () => {
    trainer = await TestTrainer.make(test);
    world = await makeWorld(trainer);
  });
  const again = () => TestCaller.signedIn(test, "/api/sign-in", { email: trainer.email, password: PASSWORD });

  it("are listed, the one that asks among them, without what opens them; one is ended", async () => {
    const other = await again();
    const { body } = await trainer.get("/api/me/sessions");
    expect(body).toHaveLength(2);
    expect(body.filter(({ here }: { here: boolean }) => here)).toHaveLength(1);
    expect(Object.keys(body[0]).sort()).toEqual(["device", "here", "id", "seenAt", "since"]);
    const rows = await test.db.models.SignedInSession.findAll();
    for (const row of rows) expect(JSON.stringify(body)).not.toContain(row.get().sid);
    const theirs = body.find(({ here }: { here: boolean }) => !here).id as string;
    expect((await trainer.send("delete", `/api/me/sessions/${theirs}`)).status).toBe(204);
    expect((await other.get("/api/crews")).status).toBe(401);
    expect((await trainer.get("/api/crews")).status).toBe(200);
  });
  it("of somebody else do not exist", async () => {
    const stranger = await TestTrainer.make(test);
    const { body } = await stranger.get("/api/me/sessions");
    expect((await trainer.send("delete", `/api/me/sessions/${body[0].id}`)).status).toBe(404);
    expect((await stranger.get("/api/crews")).status).toBe(200);
  });
  it("end with a changed password, but the one it was changed in", async () => {
    const other = await again();
    expect((await trainer.send("put", "/api/me/password", { current: PASSWORD, next: "a new long password" })).status).toBe(204);
    expect((await other.get("/api/crews")).status).toBe(401);
    expect((await trainer.get("/api/crews")).status).toBe(200);
  });
  it("of a phone end with a new card, and only of that person", async () => {
    const [mine, theirs] = [
      await trainer.member(test, world.crewId, world.people[0]!.id),
      await trainer.member(test, world.crewId, world.people[1]!.id),
    ];
    await trainer.send("post", `/api/crews/${world.crewId}/access`, { personIds: [world.people[0]!.id] });
    expect([(await mine.get("/api/member/day")).status, (await theirs.get("/api/member/day")).status]).toEqual([401, 200]);
  });
  it("of another crew's people are not ended by naming them", async () => {
    const phone = await trainer.member(test, world.crewId, world.people[0]!.id);
    const stranger = await TestTrainer.make(test);
    const own = await makeWorld(stranger);
    await stranger.send("post", `/api/crews/${own.crewId}/access/withdraw`, { personIds: [world.people[0]!.id] });
    expect((await phone.get("/api/member/day")).status).toBe(200);
  });
  it("whoever only looks gets none", async () => {
    const before = await test.db.models.SignedInSession.count();
    const agent = request.agent(test.app);
    for (let i = 0; i < 5; i++) expect((await agent.get("/api/me")).headers["set-cookie"]).toBeUndefined();
    await tryPassword("nobody@test.example", "wrong");
    expect(await test.db.models.SignedInSession.count()).toBe(before);
  });
  it("a sign-in from a foreign page, which cannot send our header, is refused", async () => {
    const answer = await request(test.app).post("/api/sign-in").send({ email: trainer.email, password: PASSWORD });
    expect([answer.status, answer.body.code]).toEqual([403, "csrf"]);
  });
});

describe("what a browser kept until it could be sent", () => {
  it("is stored as its owner's or not at all, whoever is signed in by then", async () => {
    const [trainer, colleague] = [await TestTrainer.make(test), await TestTrainer.make(test)];
    const [world, other] = [await makeWorld(trainer), await makeWorld(colleague)];
    const put = (caller: TestTrainer, owner: string, run: object & { id: string }) =>
      caller.agent.put(`/api/runs/${run.id}`).set("x-csrf-token", caller.token).set("x-owner", owner).send(run);
    const run = sampleRun(other);
    expect((await put(colleague, trainer.email, run)).body.code).toBe("otherOwner");
    expect(await test.db.models.Run.count({ where: { id: run.id } })).toBe(0);
    expect((await put(colleague, colleague.email, run)).status).toBe(200);
    const [ann, bo] = world.people;
    const phone = await trainer.member(test, world.crewId, ann!.id);
    const report = { id: uuid(), at: new Date().toISOString(), kind: "sharpPain", movementId: null, words: null };
    const tell = (owner: string) =>
      phone.agent.put(`/api/member/symptom-reports/${report.id}`).set("x-csrf-token", phone.token).set("x-owner", owner).send(report);
    expect([(await tell(bo!.id)).status, await test.db.models.SymptomReport.count({ where: { id: report.id } })]).toEqual([401, 0]);
    expect((await tell(ann!.id)).status).toBe(200);
  });
});
