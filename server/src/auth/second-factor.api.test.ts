/** The second step of signing in: turned on with a code, asked for, used up, guessed slowly, turned off with the password. */
import request from "supertest";
import { Secret, TOTP } from "otpauth";
import { openTestApp, PASSWORD, TestTrainer, type TestApp } from "../test/test-app";
import { LIMIT } from "./attempts";
import { confirmSecondFactor, secondFactorMatches } from "./second-factor";

let test: TestApp;
beforeAll(async () => {
  test = await openTestApp();
});
afterAll(() => test.close());

let addresses = 0;
const signIn = (email: string, code?: string) =>
  request(test.app)
    .post("/api/sign-in")
    .set("x-csrf-token", "signed-out")
    .set("x-forwarded-for", `10.90.${Math.floor(++addresses / 250)}.${addresses % 250}`)
    .send({ email, password: PASSWORD, ...(code === undefined ? {} : { code }) });
/** What a telephone with the secret shows at a moment. */
const shown = (secret: string, atMs: number) => new TOTP({ secret: Secret.fromBase32(secret) }).generate({ timestamp: atMs });
const STEP_MS = 30_000;

async function withSecondFactor() {
  const trainer = await TestTrainer.make(test);
  const { secret, address } = (await trainer.send("post", "/api/me/second-factor")).body as { secret: string; address: string };
  const { codes } = (await trainer.send("put", "/api/me/second-factor", { code: shown(secret, Date.now()) })).body as { codes: string[] };
  const accountId = (await test.db.models.Account.findOne({ where: { email: trainer.email } }))!.get().id;
  return { trainer, secret, address, codes, accountId };
}

it("counts only once a code of the new secret was given; the secret is in the address a telephone reads", async () => {
  const trainer = await TestTrainer.make(test);
  const { body } = await trainer.send("post", "/api/me/second-factor");
  expect(body.address).toMatch(new RegExp(`^otpauth://totp/Kind%20Grip:.*secret=${body.secret}`));
  expect((await signIn(trainer.email)).status).toBe(200);
  expect((await trainer.send("put", "/api/me/second-factor", { code: "000000" })).body.fields).toEqual([
    { path: "code", message: "is not what the telephone shows now" },
  ]);
  expect((await trainer.get("/api/me/second-factor")).body).toEqual({ since: null, codesLeft: 0 });
  const { codes } = (await trainer.send("put", "/api/me/second-factor", { code: shown(body.secret, Date.now()) })).body;
  expect(codes).toHaveLength(10);
  expect(new Set(codes).size).toBe(10);
  expect((await trainer.get("/api/me/second-factor")).body).toMatchObject({ since: expect.any(String), codesLeft: 10 });
});

it("a password alone no longer signs in; with a code on paper it does, once", async () => {
  const { trainer, codes } = await withSecondFactor();
  const asked = await signIn(trainer.email);
  expect([asked.status, asked.body.code]).toEqual([401, "secondFactor"]);
  expect((await signIn(trainer.email, ` ${codes[0]!.toUpperCase()} `)).status).toBe(200);
  expect((await signIn(trainer.email, codes[0])).body.code).toBe("wrongCode");
  expect((await trainer.get("/api/me/second-factor")).body.codesLeft).toBe(9);
});

it("with a wrong password nothing of a second step is told", async () => {
  const { trainer } = await withSecondFactor();
  const answer = await request(test.app)
    .post("/api/sign-in")
    .set("x-csrf-token", "signed-out")
    .send({ email: trainer.email, password: "wrong" });
  expect(answer.body.code).toBe("wrongSignIn");
});

describe("the digits", () => {
  it.each([
    [-2, false],
    [-1, true],
    [0, true],
    [1, true],
    [2, false],
  ])("of %d steps from now are taken: %s", async (steps, taken) => {
    const { secret, accountId } = await withSecondFactor();
    // Long after it was turned on, with a clock of its own.
    const at = Date.now() + 3600_000;
    expect(await secondFactorMatches(test.db, accountId, shown(secret, at + steps * STEP_MS), new Date(at))).toBe(taken);
  });
  it("are good once: not again, nor those of the step before", async () => {
    const { secret, accountId } = await withSecondFactor();
    const at = Date.now() + 3600_000;
    const matches = (steps: number) => secondFactorMatches(test.db, accountId, shown(secret, at + steps * STEP_MS), new Date(at));
    expect([await matches(0), await matches(0), await matches(-1), await matches(1)]).toEqual([true, false, false, true]);
  });
  it("sent twice at the same moment sign in once", async () => {
    const { secret, accountId } = await withSecondFactor();
    const at = new Date(Date.now() + 3600_000);
    const code = shown(secret, at.getTime());
    const both = await Promise.all([1, 2, 3].map(() => secondFactorMatches(test.db, accountId, code, at)));
    expect(both.filter(Boolean)).toHaveLength(1);
  });
  it.each(["", "12345", "1234567", "abcdef"])("%j is none", async (code) => {
    const { accountId } = await withSecondFactor();
    expect(await secondFactorMatches(test.db, accountId, code, new Date())).toBe(false);
  });
});

it("codes are guessed as slowly as passwords, whatever is sent between", async () => {
  const { trainer, codes } = await withSecondFactor();
  const statuses: number[] = [];
  for (let i = 0; i < LIMIT.perAccount.failures; i++) statuses.push((await signIn(trainer.email, i % 2 ? undefined : "000000")).status);
  expect(new Set(statuses)).toEqual(new Set([401]));
  expect((await signIn(trainer.email, codes[0])).status).toBe(429);
});

it("is turned off with the password only, and then begun anew with another secret", async () => {
  const { trainer, secret, accountId } = await withSecondFactor();
  expect((await trainer.send("post", "/api/me/second-factor")).status).toBe(409);
  expect((await trainer.send("post", "/api/me/second-factor/end", { password: "wrong" })).body.fields).toEqual([
    { path: "password", message: "is not your password" },
  ]);
  expect((await trainer.send("post", "/api/me/second-factor/end", { password: PASSWORD })).status).toBe(204);
  expect((await signIn(trainer.email)).status).toBe(200);
  expect((await trainer.send("post", "/api/me/second-factor")).body.secret).not.toBe(secret);
  const caller = { accountId, practiceId: "", role: "trainer" as const };
  expect(await confirmSecondFactor(test.db, caller, shown(secret, Date.now()), new Date())).toBeUndefined();
});
