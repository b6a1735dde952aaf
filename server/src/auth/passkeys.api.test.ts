/** Passkeys: made with the password, good only for their site and once for each question; a practice that asks for more than a password. */
import request from "supertest";
import { v7 as uuid } from "uuid";
import { Authenticator } from "../test/authenticator";
import { fieldsOf, openTestApp, PASSWORD, TestCaller, TestTrainer, type TestApp } from "../test/test-app";
import { PasskeyQuestions, QUESTION_MS, siteOf } from "./passkeys";

const HOST = "floor.example";
const ORIGIN = `https://${HOST}`;
let test: TestApp;
let trainer: TestTrainer;
let device: Authenticator;
beforeAll(async () => {
  test = await openTestApp();
});
beforeEach(async () => {
  trainer = await TestTrainer.make(test);
  device = new Authenticator(ORIGIN);
});
afterAll(() => test.close());

/** A call as it comes through the proxy of a site. */
const post = (agent: ReturnType<typeof request.agent>, path: string, token: string, body?: object, host = HOST) =>
  agent.post(path).set({ "x-csrf-token": token, host, "x-forwarded-proto": "https", "x-forwarded-host": host }).send(body);
const ask = (password = PASSWORD) => post(trainer.agent, "/api/me/passkeys/question", trainer.token, { password });
const add = async (name = "Tablet", by = device) =>
  post(trainer.agent, "/api/me/passkeys", trainer.token, { name, answer: by.register((await ask()).body) });
/** A browser nobody is signed in with. */
async function browser() {
  const agent = request.agent(test.app);
  const token = (await agent.get("/api/me")).body.csrfToken as string;
  const question = async (host?: string) => post(agent, "/api/sign-in/passkey/question", token, undefined, host);
  const signIn = (answer: object) => post(agent, "/api/sign-in/passkey", token, { answer });
  return { agent, question, signIn };
}
const trail = async () => ((await trainer.get("/api/practice/trail")).body.entries as { what: string }[]).map(({ what }) => what);

describe("a passkey", () => {
  it("signs in without password and code, and says when it was used", async () => {
    expect((await add()).body).toMatchObject([{ name: "Tablet", usedAt: null }]);
    const { question, signIn } = await browser();
    const answer = await signIn(device.assert((await question()).body));
    expect([answer.status, answer.body.account.email]).toEqual([200, trainer.email]);
    const cookies = [answer.headers["set-cookie"] as unknown as string[]].flat().map((each) => each.split(";")[0]!);
    expect((await request(test.app).get("/api/crews").set("Cookie", cookies)).status).toBe(200);
    expect((await trainer.get("/api/me/passkeys")).body[0].usedAt).not.toBeNull();
    expect(await trail()).toEqual(expect.arrayContaining(["signed in", "passkey added", "signed in with a passkey"]));
  });
  it("is made with the password only", async () => {
    const refused = await ask("not the password");
    expect([refused.status, fieldsOf(refused)]).toEqual([400, { password: "is not your password" }]);
  });
  it("that was taken out is good for nothing", async () => {
    const [{ id }] = (await add()).body;
    expect((await trainer.send("delete", `/api/me/passkeys/${id}`)).body).toEqual([]);
    const { question, signIn } = await browser();
    expect((await signIn(device.assert((await question()).body))).status).toBe(401);
    expect((await trainer.send("delete", `/api/me/passkeys/${id}`)).status).toBe(404);
  });
  it("of another is nobody's to take out, and the same one is kept once", async () => {
    const [{ id }] = (await add()).body;
    const other = await TestTrainer.make(test);
    expect((await other.send("delete", `/api/me/passkeys/${id}`)).status).toBe(404);
    expect((await add("Again")).status).toBe(409);
  });
});

describe("an answer", () => {
  beforeEach(async () => {
    await add();
  });
  it("is good once: sent again, by whoever heard it, it is refused", async () => {
    const { question, signIn } = await browser();
    const answer = device.assert((await question()).body);
    expect((await signIn(answer)).status).toBe(200);
    expect((await (await browser()).signIn(answer)).status).toBe(401);
  });
  it("of another site, of a device nobody unlocked, of a copied key, or to a question nobody asked is refused", async () => {
    const { question, signIn } = await browser();
    const fresh = async () => (await question()).body as { challenge: string };
    expect((await signIn(device.assert(await fresh(), "https://f1oor.example"))).status).toBe(401);
    expect((await signIn(device.assert({ challenge: Buffer.alloc(56, 7).toString("base64url") }))).status).toBe(401);
    device.unlocked = false;
    expect((await signIn(device.assert(await fresh()))).status).toBe(401);
    device.unlocked = true;
    expect((await signIn(device.assert(await fresh()))).status).toBe(200);
    device.forget(2);
    expect((await signIn(device.assert(await fresh()))).status).toBe(401);
  });
  it("to a question for making a key does not sign in, nor the other way round", async () => {
    const { question, signIn } = await browser();
    expect((await signIn(device.assert((await ask()).body))).status).toBe(401);
    const answer = new Authenticator(ORIGIN).register((await question()).body);
    const kept = await post(trainer.agent, "/api/me/passkeys", trainer.token, { name: "Wrong", answer });
    expect([kept.status, Object.keys(fieldsOf(kept))]).toEqual([400, ["answer"]]);
  });
  it("that is no answer at all is a clear 4xx", async () => {
    const { signIn } = await browser();
    const { id } = device.assert({ challenge: "x" });
    for (const answer of [{}, { id: 5 }, { id, rawId: id, type: "public-key", response: { clientDataJSON: "%%" } }])
      expect((await signIn(answer)).status).toBeLessThan(402);
  });
});

describe("a question", () => {
  const questions = () => new PasskeyQuestions(test.db, "secret");
  const text = (bytes: Uint8Array) => Buffer.from(bytes).toString("base64url");
  it("is in time for five minutes, and for whom it was asked", async () => {
    const at = new Date();
    const later = (ms: number) => new Date(at.getTime() + ms);
    const make = () => text(questions().make("a", at));
    expect(await questions().take(make(), "a", later(QUESTION_MS))).toBe(true);
    expect(await questions().take(make(), "a", later(QUESTION_MS + 1))).toBe(false);
    expect(await questions().take(make(), "a", later(-1))).toBe(false);
    expect(await questions().take(make(), "b", at)).toBe(false);
    expect(await new PasskeyQuestions(test.db, "another secret").take(make(), "a", at)).toBe(false);
  });
  it("answered is kept only until it would have run out, and nothing is kept of one that is not", async () => {
    const at = new Date(Date.now() + 3600_000);
    const before = await test.db.models.AnsweredQuestion.count();
    const question = text(questions().make("a", at));
    expect(await test.db.models.AnsweredQuestion.count()).toBe(before);
    await questions().take(question, "a", at);
    await questions().take(text(questions().make("a", at)), "a", new Date(at.getTime() + QUESTION_MS));
    expect(await test.db.models.AnsweredQuestion.count({ where: { challenge: question } })).toBe(1);
  });
  it("is not asked at an address that is a number", () => {
    const at = (hostname: string) => () => siteOf({ protocol: "http", hostname, get: () => hostname } as never);
    for (const number of ["127.0.0.1", "10.0.0.7", "::1"]) expect(at(number)).toThrow("localhost");
    expect(at("localhost")()).toEqual({ rpID: "localhost", origin: "http://localhost" });
  });
});

describe("a practice that asks for more than a password", () => {
  const rule = (asksSecondStep: boolean, by: TestTrainer = trainer) => by.send("put", "/api/practice/sign-in-rule", { asksSecondStep });
  it("is not made by somebody it would keep out", async () => {
    expect((await rule(true)).body.code).toBe("firstYourself");
    expect((await trainer.get("/api/practice/sign-in-rule")).body).toEqual({ asksSecondStep: false });
  });
  it("lets a trainer without one do nothing but add one, at once; leads and employers go on", async () => {
    const practiceId = uuid();
    trainer = await TestTrainer.make(test, practiceId);
    const colleague = await TestTrainer.make(test, practiceId);
    await add();
    expect((await rule(true)).body).toEqual({ asksSecondStep: true });
    const refused = await colleague.get("/api/crews");
    expect([refused.status, refused.body.code]).toEqual([403, "secondStepNeeded"]);
    expect((await colleague.get("/api/me")).body.account.needsSecondStep).toBe(true);
    expect((await colleague.get("/api/me/second-factor")).status).toBe(200);
    expect((await trainer.get("/api/crews")).status).toBe(200);
    // With a passkey but no second step a password is not enough any more.
    const agent = request.agent(test.app);
    const token = (await agent.get("/api/me")).body.csrfToken as string;
    const password = await agent.post("/api/sign-in").set("x-csrf-token", token).send({ email: trainer.email, password: PASSWORD });
    expect([password.status, password.body.code]).toEqual([401, "usePasskey"]);
    expect((await rule(false)).body).toEqual({ asksSecondStep: false });
    expect((await colleague.get("/api/crews")).status).toBe(200);
  });
});

it("wrong passwords, a changed password and signing out are in the trail, and none of another practice", async () => {
  const stranger = await TestTrainer.make(test);
  await expect(TestCaller.signedIn(test, "/api/sign-in", { email: trainer.email, password: "wrong and long" })).rejects.toThrow();
  await trainer.send("put", "/api/me/password", { current: PASSWORD, next: "another long password" });
  await new Promise((later) => setTimeout(later, 200));
  expect(await trail()).toEqual(["password changed", "wrong password", "signed in"]);
  expect(((await stranger.get("/api/practice/trail")).body.entries as object[]).length).toBe(1);
});
