/** One-time addresses: the first day, invitations, a forgotten password; each good once, and for whom it was made. */
import { METRIC } from "@kind-grip/core/units";
import type { MadeInvitation, Me, StaffEntry, StaffInvitation } from "@kind-grip/core/api";
import { v7 as uuid } from "uuid";
import type { Mail } from "../message/mail";
import { makeWorld, type SampleWorld } from "../test/samples";
import { onEmptyDatabase } from "../test/empty-database";
import { fieldsOf, openTestApp, PASSWORD, TestCaller, TestTrainer, type TestApp } from "../test/test-app";
import { LASTS_MS, makeFirstLink, makeLink, makePasswordLink, makeTrainerLink } from "./one-time-links";

const sent: Mail[] = [];
let mailFails = false;
const outsides = {
  mail: async (mail: Mail) => {
    if (mailFails) throw new Error("away");
    sent.push(mail);
  },
};
let test: TestApp;
let maren: TestTrainer;
let world: SampleWorld;
beforeAll(async () => {
  test = await openTestApp(undefined, undefined, undefined, outsides);
  maren = await TestTrainer.make(test);
  world = await makeWorld(maren);
});
beforeEach(() => {
  sent.length = 0;
  mailFails = false;
});
afterAll(() => test.close());

const ANOTHER = "copper kettle walking slowly";
const address = () => `${uuid()}@test.example`;
const stranger = () => TestCaller.stranger(test);
const me = async (caller: TestCaller) => ((await caller.get("/api/me")).body as Me).account;
const accountOf = async (email: string) => (await test.db.models.Account.findOne({ where: { email } }))?.get({ plain: true });

describe("the first day", () => {
  const first = (token: string, change: object = {}) => ({
    kind: "first",
    token,
    practice: "Quarry Lane Hands",
    name: "Ines Marlow",
    email: address(),
    password: ANOTHER,
    place: "",
    timeZone: "Europe/Dublin",
    language: "de",
    measures: { ...METRIC, mass: "lb" },
    ...change,
  });

  it("is offered only while there is no practice but the demo", async () => {
    expect(await makeFirstLink(test.db, new Date())).toBeUndefined();
  });
  it("once there is one, its address is good for nobody", async () => {
    const token = await makeLink(test.db, { kind: "first" }, new Date());
    const caller = await stranger();
    expect((await caller.send("post", "/api/link", { token })).body).toMatchObject({ kind: "first", practice: "", role: "trainer" });
    expect((await caller.send("post", "/api/link/use", first(token))).status).toBe(410);
    expect((await test.db.models.Practice.findAll({ where: { name: "Quarry Lane Hands" } })).length).toBe(0);
  });
  it("makes the practice with its customs, its trainer, and signs in; the address is used up", async () => {
    await onEmptyDatabase(async (empty) => {
      const before = await makeFirstLink(empty.db, new Date());
      const token = (await makeFirstLink(empty.db, new Date()))!;
      const caller = await TestCaller.stranger(empty);
      const post = (path: string, body: object) => caller.send("post", path, body);
      expect((await post("/api/link", { token: before })).status).toBe(410);
      const weak = await post("/api/link/use", first(token, { password: "quarry lane hands" }));
      expect(fieldsOf(weak)).toEqual({ password: expect.stringMatching(/guessed too soon/) });
      const used = await post("/api/link/use", first(token, { place: "Quarry Lane", email: "Ines@Quarry.example" }));
      expect(used.body.account).toMatchObject({
        role: "trainer",
        name: "Ines Marlow",
        email: "ines@quarry.example",
        practice: "Quarry Lane Hands",
      });
      const customs = (await caller.get("/api/practice/customs")).body;
      expect(customs).toMatchObject({ language: "de", place: "Quarry Lane", timeZone: "Europe/Dublin", measures: { mass: "lb" } });
      expect((await caller.get("/api/practice/first-steps")).body).toEqual({ crewId: null, done: [] });
      expect((await (await TestCaller.stranger(empty)).send("post", "/api/link", { token })).status).toBe(410);
      expect(await makeFirstLink(empty.db, new Date())).toBeUndefined();
    });
  });
  it("two browsers with the same address make one practice", async () => {
    await onEmptyDatabase(async (empty) => {
      const token = (await makeFirstLink(empty.db, new Date()))!;
      const answers = await Promise.all(
        [0, 1].map(async () => (await TestCaller.stranger(empty)).send("post", "/api/link/use", first(token))),
      );
      expect(answers.map(({ status }) => status).sort()).toEqual([200, 410]);
      expect(await empty.db.models.Practice.count()).toBe(1);
    });
  });
});

describe("an invitation", () => {
  const invitation = (change: object = {}) => ({
    id: uuid(),
    name: "Ada Quill",
    email: address(),
    role: "lead",
    crewIds: [world.crewId],
    ...change,
  });
  const invite = async (body: object, by: TestCaller = maren) => by.send("post", "/api/practice/invitations", body);
  const pending = async (by: TestCaller = maren) => (await by.get("/api/practice/invitations")).body as StaffInvitation[];
  const accept = async (token: string, change: object = {}) =>
    (await stranger()).send("post", "/api/link/use", { kind: "invitation", token, name: "Ada", password: ANOTHER, ...change });

  it("is sent, shown once, accepted once, and gives the crews", async () => {
    const body = invitation();
    const made = (await invite(body)).body as MadeInvitation;
    expect(made.mailed).toBe("sent");
    expect(sent[0]).toMatchObject({ to: body.email });
    expect(sent[0]!.text).toContain(`/link#${made.token}`);
    expect(await pending()).toMatchObject([{ id: body.id, own: true, expired: false, crewIds: [world.crewId] }]);
    // Nowhere is the secret itself.
    expect(JSON.stringify(await test.db.models.OneTimeLink.findAll({ raw: true }))).not.toContain(made.token);
    const looked = await (await stranger()).send("post", "/api/link", { token: made.token });
    expect(looked.body).toMatchObject({ kind: "invitation", role: "lead", name: "Ada Quill", practice: "Test practice", by: "Test" });
    expect(fieldsOf(await accept(made.token, { password: "short" }))).toEqual({ password: "needs at least 10 characters" });
    expect(fieldsOf(await accept(made.token, { password: "ada quill ada" }))).toEqual({ password: expect.stringMatching(/too soon/) });
    expect((await accept(made.token)).body.account).toMatchObject({ role: "lead", name: "Ada", email: body.email });
    expect((await accept(made.token)).status).toBe(410);
    expect(await pending()).toEqual([]);
    const lead = await TestCaller.signedIn(test, "/api/sign-in", { email: body.email, password: ANOTHER });
    expect((await lead.get("/api/crews")).body).toHaveLength(1);
    expect((await maren.send("delete", `/api/practice/staff/${body.id}`)).status).toBe(200);
  });
  it("makes a colleague a trainer with nothing of anybody's", async () => {
    const teo = await maren.invited(test, invitation({ role: "trainer", crewIds: [] }) as Parameters<TestTrainer["invited"]>[1]);
    expect(await me(teo)).toMatchObject({ role: "trainer" });
    expect((await teo.get("/api/crews")).body).toEqual([]);
    expect((await teo.get("/api/practice/staff")).body.length).toBeGreaterThan(1);
  });
  it("made anew ends the address before; taken back it is good for nobody", async () => {
    const body = invitation();
    const [first, second] = [(await invite(body)).body.token as string, (await invite(body)).body.token as string];
    expect((await accept(first)).status).toBe(410);
    expect(await pending()).toHaveLength(1);
    expect((await maren.send("delete", `/api/practice/invitations/${body.id}`)).status).toBe(204);
    expect((await accept(second)).status).toBe(410);
    expect((await maren.send("delete", `/api/practice/invitations/${body.id}`)).status).toBe(404);
  });
  it("runs out after two weeks, and says so", async () => {
    const body = invitation();
    const { token } = (await invite(body)).body as MadeInvitation;
    const row = (await test.db.models.OneTimeLink.findByPk(body.id))!;
    expect(row.get().until.getTime() - row.get().madeAt.getTime()).toBe(LASTS_MS.invitation);
    await row.update({ until: new Date(Date.now() - 1000) });
    expect((await accept(token)).status).toBe(410);
    expect(await pending()).toMatchObject([{ expired: true }]);
    await maren.send("delete", `/api/practice/invitations/${body.id}`);
  });
  it("is not made over somebody else's, nor for an address that is taken or invited", async () => {
    const teo = await maren.invited(test, invitation({ role: "trainer", crewIds: [] }) as Parameters<TestTrainer["invited"]>[1]);
    const body = invitation();
    await invite(body);
    expect((await invite({ ...body, role: "trainer", crewIds: [], email: address() }, teo)).status).toBe(409);
    expect(fieldsOf(await invite(invitation({ email: body.email })))).toEqual({ email: "is invited already" });
    expect(fieldsOf(await invite(invitation({ email: maren.email })))).toEqual({ email: "has a sign-in already" });
    expect((await teo.send("delete", `/api/practice/invitations/${body.id}`)).status).toBe(404);
    expect(await pending(teo)).toMatchObject([{ own: false, crewIds: [] }]);
    await maren.send("delete", `/api/practice/invitations/${body.id}`);
  });
  it("without a mail server, or with one that is away, the address is there to be passed on", async () => {
    mailFails = true;
    const body = invitation();
    expect((await invite(body)).body).toMatchObject({ mailed: "failed", token: expect.stringMatching(/^.{32}$/) });
    await maren.send("delete", `/api/practice/invitations/${body.id}`);
  });
});

describe("a forgotten password", () => {
  const forgotten = async (email: string) => (await stranger()).send("post", "/api/forgotten", { email });
  const tokenIn = (mail: Mail | undefined) => /\/link#(\S+)/.exec(mail?.text ?? "")?.[1];
  const untilSent = async () => {
    for (let i = 0; i < 100 && sent.length === 0; i++) await new Promise((done) => setTimeout(done, 20));
  };

  it("has a way back that is sent, good once, and ends every session", async () => {
    const trainer = await TestTrainer.make(test);
    expect((await forgotten(trainer.email)).status).toBe(204);
    await untilSent();
    const token = tokenIn(sent[0])!;
    const used = await (await stranger()).send("post", "/api/link/use", { kind: "password", token, password: ANOTHER });
    expect(used.body.account).toMatchObject({ email: trainer.email });
    expect((await trainer.get("/api/crews")).status).toBe(401);
    const signIn = async (password: string) => (await stranger()).send("post", "/api/sign-in", { email: trainer.email, password });
    expect([(await signIn(PASSWORD)).status, (await signIn(ANOTHER)).status]).toEqual([401, 200]);
    expect((await (await stranger()).send("post", "/api/link", { token })).status).toBe(410);
  });
  it("answers the same for an address nobody has, and sends nothing", async () => {
    expect((await forgotten("nobody@test.example")).status).toBe(204);
    await new Promise((done) => setTimeout(done, 100));
    expect(sent).toEqual([]);
  });
  it("is limited: nobody's inbox is filled", async () => {
    const { email } = await TestTrainer.make(test);
    const answers = [];
    for (let i = 0; i < 12; i++) answers.push((await forgotten(email)).status);
    expect(answers[0]).toBe(204);
    expect(answers.at(-1)).toBe(429);
  });
  it("a second step stays: the new password alone does not sign in", async () => {
    const trainer = await TestTrainer.make(test);
    const account = await test.db.models.Account.findOne({ where: { email: trainer.email }, rejectOnEmpty: true });
    await account.update({ totpSince: new Date(), totpSecret: "x" });
    const { token } = (await makePasswordLink(test.db, trainer.email, new Date()))!;
    const used = await (await stranger()).send("post", "/api/link/use", { kind: "password", token, password: ANOTHER });
    expect([used.status, used.body.account]).toEqual([200, null]);
  });
  it("an address of one kind is none of another, and what never was one is as used up", async () => {
    const { token } = (await makePasswordLink(test.db, maren.email, new Date()))!;
    const caller = await stranger();
    expect((await caller.send("post", "/api/link/use", { kind: "invitation", token, name: "X", password: ANOTHER })).status).toBe(410);
    expect((await caller.send("post", "/api/link", { token: "x".repeat(32) })).status).toBe(410);
    expect((await caller.send("post", "/api/link", { token: "x" })).status).toBe(400);
  });
  it("without a mail server it says who can help", async () => {
    await onEmptyDatabase(async (empty) => {
      const caller = await TestCaller.stranger(empty);
      expect((await caller.get("/api/forgotten")).body).toEqual({ byMail: false });
      const answer = await caller.send("post", "/api/forgotten", { email: "a@test.example" });
      expect([answer.status, answer.body.code]).toEqual([409, "noMail"]);
    });
  });
});

describe("one's own account", () => {
  it("a name is changed as it is, an address with one's password, and not to one that is taken", async () => {
    const trainer = await TestTrainer.make(test);
    const save = (body: object) => trainer.send("put", "/api/me/name", body);
    expect((await save({ name: "Maren H.", email: trainer.email })).status).toBe(204);
    const email = address();
    expect(fieldsOf(await save({ name: "Maren H.", email }))).toEqual({ password: "is not your password" });
    expect(fieldsOf(await save({ name: "Maren H.", email: maren.email, password: PASSWORD }))).toEqual({ email: "has a sign-in already" });
    expect((await save({ name: "Maren H.", email, password: PASSWORD })).status).toBe(204);
    expect(await me(trainer)).toMatchObject({ name: "Maren H.", email });
  });

  it("a trainer leaves once their crews are a colleague's, and not as the last one", async () => {
    const trainer = await TestTrainer.make(test);
    const own = await makeWorld(trainer);
    const leave = (password: string) => trainer.send("post", "/api/me/leave", { password });
    expect(fieldsOf(await leave("wrong"))).toEqual({ password: "is not your password" });
    expect((await leave(PASSWORD)).body.code).toBe("hasCrews");
    const { practiceId } = (await accountOf(trainer.email))!;
    const teo = await TestTrainer.make(test, practiceId);
    const teoId = (await accountOf(teo.email))!.id;
    const colleague = `/api/crews/${own.crewId}/colleagues/${teoId}`;
    expect((await trainer.send("put", `${colleague}/trainer`)).status).toBe(404);
    await trainer.send("put", colleague);
    // Invited is not accepted.
    expect((await trainer.send("put", `${colleague}/trainer`)).status).toBe(404);
    await teo.send("post", `/api/invitations/${own.crewId}/accept`);
    expect((await trainer.send("put", `${colleague}/trainer`)).body).toMatchObject({ own: false, trainer: "Test", colleagues: [{}] });
    expect((await teo.get(`/api/crews/${own.crewId}/colleagues`)).body).toMatchObject({ own: true, colleagues: [{ accepted: true }] });
    // And back again.
    const back = `/api/crews/${own.crewId}/colleagues/${(await accountOf(trainer.email))!.id}/trainer`;
    expect((await trainer.send("put", back)).body.code).toBe("notOwn");
    expect((await teo.send("put", back)).status).toBe(200);
    expect((await trainer.send("put", `${colleague}/trainer`)).status).toBe(200);
    expect((await leave(PASSWORD)).status).toBe(204);
    expect((await trainer.get("/api/crews")).status).toBe(401);
    expect(await accountOf(trainer.email)).toBeUndefined();
    expect((await teo.send("post", "/api/me/leave", { password: PASSWORD })).body.code).toBe("hasCrews");
    expect((await teo.send("delete", `/api/crews/${own.crewId}`)).status).toBe(204);
    expect((await teo.send("post", "/api/me/leave", { password: PASSWORD })).body.code).toBe("lastTrainer");
  });

  it("whoever was shown sessions and was to lead one can be let go", async () => {
    const lead = await maren.invited(test, { id: uuid(), name: "L", email: address(), role: "lead", crewIds: [world.crewId] });
    const { id } = (await accountOf((await me(lead))!.email))!;
    const shown = { accountId: id, sessionId: uuid(), crewId: world.crewId, approvedBy: id, at: new Date(), shown: [] };
    await test.db.models.LeadApproval.create(shown as never);
    await test.db.models.PlacementLeader.create({ placementId: uuid(), crewId: world.crewId, leaderId: id });
    expect(((await maren.send("delete", `/api/practice/staff/${id}`)).body as StaffEntry[]).some((each) => each.id === id)).toBe(false);
    expect((await lead.get("/api/crews")).status).toBe(401);
  });
});

describe("whoever runs the server", () => {
  const named = () => `Practice ${uuid()}`;
  const begin = async (token: string) => {
    const caller = await stranger();
    const body = { kind: "invitation", token, name: "Ines Marlow", password: ANOTHER };
    return { caller, answer: await caller.send("post", "/api/link/use", body) };
  };

  it("makes one more practice, whose first trainer begins at the address; nobody else's is seen", async () => {
    const [practice, email] = [named(), address()];
    const token = await makeTrainerLink(test.db, { practice, isNew: true, email, name: "Ines" }, new Date());
    const { caller, answer } = await begin(token);
    expect(answer.status).toBeLessThan(300);
    expect(await me(caller)).toMatchObject({ email, role: "trainer" });
    expect((await caller.get("/api/crews")).body).toEqual([]);
    expect((await begin(token)).answer.status).toBe(410);
  });

  it("invites one more trainer of a practice; asked again, the address before ends", async () => {
    const practice = named();
    await makeTrainerLink(test.db, { practice, isNew: true, email: address(), name: "Ines" }, new Date());
    const trainer = { practice, isNew: false, email: address(), name: "Tove" };
    const before = await makeTrainerLink(test.db, trainer, new Date());
    const token = await makeTrainerLink(test.db, trainer, new Date());
    expect((await begin(before)).answer.status).toBe(410);
    expect((await begin(token)).answer.status).toBeLessThan(300);
  });

  it("is told what cannot be done", async () => {
    const practice = named();
    const trainer = { practice, isNew: true, email: address(), name: "Ines" };
    await makeTrainerLink(test.db, trainer, new Date());
    await expect(makeTrainerLink(test.db, trainer, new Date())).rejects.toThrow("There is a practice named");
    await expect(makeTrainerLink(test.db, { ...trainer, practice: named(), isNew: false }, new Date())).rejects.toThrow(
      "0 practices are named",
    );
    await expect(makeTrainerLink(test.db, { ...trainer, isNew: false, email: (await me(maren))!.email }, new Date())).rejects.toThrow(
      "has a sign-in already",
    );
  });
});

it("an address that ran out a season ago is forgotten", async () => {
  const old = new Date(Date.now() - 120 * 86_400_000);
  const [gone, kept] = [address(), address()];
  await makeLink(test.db, { kind: "invitation", practiceId: null, email: gone, name: "Old" }, old);
  await makeLink(test.db, { kind: "invitation", practiceId: null, email: kept, name: "Late" }, new Date(Date.now() - 60 * 86_400_000));
  await makeLink(test.db, { kind: "password", email: address() }, new Date());
  const left = await test.db.models.OneTimeLink.findAll({ where: { email: [gone, kept] } });
  expect(left.map((row) => row.get().email)).toEqual([kept]);
});

it("the first steps are those of the crew that has come furthest", async () => {
  const trainer = await TestTrainer.make(test);
  const steps = async () => (await trainer.get("/api/practice/first-steps")).body;
  const own = await makeWorld(trainer);
  expect(await steps()).toEqual({ crewId: own.crewId, done: ["crew", "people", "program"] });
});
