/** API tokens: what each may call, whose name it calls in, how long, how often, and what is written down of it. */
import { SCOPES, type ApiTokenEntry, type Scope } from "@kind-grip/core/api";
import request from "supertest";
import { v7 as uuid } from "uuid";
import { createApp } from "../app";
import { makeWorld, type SampleWorld } from "../test/samples";
import { openTestApp, PASSWORD, TestTrainer, type TestApp } from "../test/test-app";
import { callerWith } from "./tokens";

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
let foreign: SampleWorld;
beforeAll(async () => {
  test = await openTestApp();
  trainer = await TestTrainer.make(test);
  world = await makeWorld(trainer);
  foreign = await makeWorld(await TestTrainer.make(test));
});
afterAll(() => test.close());

const wanted = (change: object = {}) => ({ name: uuid(), scopes: ["plan.read"], days: 30, password: PASSWORD, ...change });
async function made(scopes: readonly Scope[], by = trainer): Promise<{ token: string; id: string }> {
  const answer = await by.send("post", "/api/practice/tokens", wanted({ scopes }));
  expect(answer.status).toBe(200);
  return answer.body;
}
const withToken = (token: string, address: string, app = test.app) => request(app).get(address).set("authorization", `Bearer ${token}`);
const listed = async () => (await trainer.get("/api/practice/tokens")).body as ApiTokenEntry[];

/** Everything a token may do. Written out, so that a slip in a declaration shows; nothing among it clears, holds out, decides or signs in. */
const MAY: Record<Scope | "every", string[]> = {
  every: ["openApi", "schema", "schemas"],
  "crews.read": ["absences", "crew", "crews", "people", "peopleCsv", "ramps"],
  "crews.write": ["addAbsence", "addPeople", "changeCrew", "changePerson", "createCrew", "removeAbsence", "removePerson"],
  "work.read": ["observations", "work"],
  "work.write": ["countObservation", "saveWork", "storeObservation"],
  "programs.read": [
    "handOut",
    "handOutContent",
    "movementFile",
    "movements",
    "ownTexts",
    "ownTextsFile",
    "program",
    "programFile",
    "programs",
    "templates",
  ],
  "programs.write": ["createProgram", "importMovement", "importProgram", "saveProgram"],
  "plan.read": ["bookingDay", "crewCalendar", "ownWeek", "weekPlan"],
  "plan.write": ["saveBookings", "savePlan"],
  "sessions.read": ["lastPresence", "quickTestRule", "run", "runs", "runsCsv"],
  "reports.read": ["report", "reportCsv", "reportPaper", "reportWorkbook"],
  "health.read": [
    "crewPath",
    "decisionHistory",
    "decisions",
    "everythingOfPerson",
    "fileOfNote",
    "heldOut",
    "knownRecords",
    "measurementsFhir",
    "measuring",
    "participation",
    "personRecord",
    "progress",
    "quickTests",
    "recordVersions",
    "records",
    "recordsCsv",
    "review",
    "rounds",
    "today",
  ],
};

it("what a scope may call is what the list says", () => {
  const of = (scope: string) => test.app.declared.filter((route) => route.scope === scope).map(({ id }) => id);
  expect(Object.fromEntries(Object.keys(MAY).map((scope) => [scope, of(scope).sort()]))).toEqual(MAY);
});

it("every route: with its scope it is open, without it and for tokens of all others it is not", async () => {
  // It calls more often than a token may.
  const app = createApp({ db: test.db, secret: "test", logLevel: "silent", apiCallsAMinute: 10_000 });
  const filled = (path: string) => path.replace(":crewId", world.crewId).replace(":programId", world.programId).replace(/:\w+/g, uuid());
  const call = async (token: string, { method, path }: { method: string; path: string }) => {
    const { status, body } = await request(app)[method as "get"](filled(path)).set("authorization", `Bearer ${token}`);
    return { status, code: body.code as string };
  };
  const { token: all } = await made(SCOPES);
  for (const route of app.declared) {
    const { status, code } = await call(all, route);
    if (route.scope) expect([route.id, status === 403 || status === 401 || status >= 500]).toEqual([route.id, false]);
    else expect([route.id, status, code]).toEqual([route.id, 403, "notForTokens"]);
  }
  for (const scope of SCOPES) {
    const { token: others } = await made(SCOPES.filter((each) => each !== scope));
    for (const route of app.declared.filter((each) => each.scope === scope))
      expect([route.id, await call(others, route)]).toEqual([route.id, { status: 403, code: "outOfScope" }]);
  }
  await app.stop();
});

it("it calls in its trainer's name: their crews are there, others are not, and no session comes of it", async () => {
  const { token } = await made(["crews.read", "crews.write"]);
  const own = await withToken(token, "/api/crews");
  expect(own.body.map(({ id }: { id: string }) => id)).toEqual([world.crewId]);
  expect(own.headers["set-cookie"]).toBeUndefined();
  expect((await withToken(token, `/api/crews/${foreign.crewId}`)).status).toBe(404);
  // A change needs no page's token.
  const absence = { id: uuid(), personId: world.people[0]!.id, from: "2026-03-02", until: "2026-03-04" };
  const added = await request(test.app).post(`/api/crews/${world.crewId}/absences`).set("authorization", `Bearer ${token}`).send(absence);
  expect(added.status).toBe(200);
  // A cookie beside it opens nothing more.
  const cookie = await trainer.agent.get("/api/practice/staff").set("authorization", `Bearer ${token}`);
  expect([cookie.status, cookie.body.code]).toEqual([403, "notForTokens"]);
});

it("it is told once, kept as a hash, and asked for with the password", async () => {
  const wrong = await trainer.send("post", "/api/practice/tokens", wanted({ password: "not this one at all" }));
  expect(wrong.body.fields).toEqual([{ path: "password", message: "is not your password" }]);
  const { token, id } = await made(["plan.read"]);
  expect(token).toMatch(/^kg_[\w-]{43}$/);
  const entry = (await listed()).find((each) => each.id === id)!;
  expect(entry).toMatchObject({ begins: token.slice(0, 8), scopes: ["plan.read"], withdrawnAt: null, usedAt: null });
  const rows = await test.db.models.ApiToken.findAll();
  expect(JSON.stringify(rows)).not.toContain(token.slice(8));
});

it.each([
  [{ name: " " }, "name"],
  [{ name: "x".repeat(61) }, "name"],
  [{ scopes: [] }, "scopes"],
  [{ scopes: ["plan.read", "plan.read"] }, "scopes"],
  [{ scopes: ["health.write"] }, "scopes.0"],
  [{ days: 366 }, "days"],
])("%o is told at its field", async (change, path) => {
  const { status, body } = await trainer.send("post", "/api/practice/tokens", wanted(change));
  expect([status, body.fields[0].path]).toEqual([400, path]);
});

it("two are not called the same, and twenty are the most", async () => {
  const other = await TestTrainer.make(test);
  const first = wanted();
  expect((await other.send("post", "/api/practice/tokens", first)).status).toBe(200);
  expect((await other.send("post", "/api/practice/tokens", first)).body.fields[0].path).toBe("name");
  for (let i = 0; i < 19; i++) expect((await other.send("post", "/api/practice/tokens", wanted())).status).toBe(200);
  expect((await other.send("post", "/api/practice/tokens", wanted())).status).toBe(400);
});

it("withdrawn it is good for nothing, for its own trainer alone to withdraw, and in the trail", async () => {
  const { token, id } = await made(["plan.read"]);
  const stranger = await TestTrainer.make(test);
  expect((await stranger.send("delete", `/api/practice/tokens/${id}`)).status).toBe(404);
  expect((await stranger.get(`/api/practice/tokens/${id}/uses`)).status).toBe(404);
  expect((await withToken(token, "/api/own-week/2026-03-02")).status).toBe(200);
  expect((await trainer.send("delete", `/api/practice/tokens/${id}`)).status).toBe(204);
  expect((await trainer.send("delete", `/api/practice/tokens/${id}`)).status).toBe(204);
  const refused = await withToken(token, "/api/own-week/2026-03-02");
  expect([refused.status, refused.body.code]).toEqual([401, "wrongToken"]);
  const name = (await listed()).find((each) => each.id === id)!.name;
  const trail = (await trainer.get("/api/practice/trail")).body.entries as { what: string }[];
  expect(trail.map(({ what }) => what).filter((what) => what.includes(name))).toEqual([
    `API token “${name}” withdrawn`,
    `API token “${name}” made`,
  ]);
});

it("it runs out to the millisecond", async () => {
  const { token, id } = await made(["plan.read"]);
  const until = new Date((await listed()).find((each) => each.id === id)!.until);
  expect(await callerWith(test.db, token, new Date(until.getTime() - 1))).toMatchObject({ scopes: ["plan.read"] });
  expect(await callerWith(test.db, token, until)).toBeUndefined();
});

it("it goes with the account, and a practice that asks for a second step asks its trainer's tokens too", async () => {
  const practiceId = uuid();
  const [first, second] = [await TestTrainer.make(test, practiceId), await TestTrainer.make(test, practiceId)];
  const { token } = await made(["crews.read"], first);
  await test.db.models.Practice.update({ asksSecondStep: true }, { where: { id: practiceId } });
  expect((await withToken(token, "/api/crews")).body.code).toBe("secondStepNeeded");
  await test.db.models.Practice.update({ asksSecondStep: false }, { where: { id: practiceId } });
  expect((await withToken(token, "/api/crews")).status).toBe(200);
  expect((await first.send("post", "/api/me/leave", { password: PASSWORD })).status).toBe(204);
  expect((await withToken(token, "/api/crews")).status).toBe(401);
  expect((await second.get("/api/practice/tokens")).body).toEqual([]);
});

it("what it was used for is counted by day and operation, and health it read is in the crew's trail under its name", async () => {
  const { token, id } = await made(["health.read"]);
  const address = `/api/crews/${world.crewId}/people/${world.people[0]!.id}/record`;
  for (let i = 0; i < 3; i++) expect((await withToken(token, address)).status).toBe(200);
  expect((await withToken(token, "/api/crews")).status).toBe(403);
  expect((await withToken(token, `/api/crews/${foreign.crewId}/decisions`)).status).toBe(404);
  const uses = (await trainer.get(`/api/practice/tokens/${id}/uses`)).body as object[];
  expect(uses).toHaveLength(3);
  expect(uses).toEqual(
    expect.arrayContaining([
      expect.objectContaining({ operation: "personRecord", answered: 3, refused: 0 }),
      expect.objectContaining({ operation: "crews", answered: 0, refused: 1 }),
      expect.objectContaining({ operation: "decisions", answered: 0, refused: 1 }),
    ]),
  );
  const { name, usedAt } = (await listed()).find((each) => each.id === id)!;
  expect(usedAt).not.toBeNull();
  const trail = (await trainer.get(`/api/crews/${world.crewId}/audit`)).body.entries as { what: string; times: number }[];
  expect(trail).toEqual(
    expect.arrayContaining([expect.objectContaining({ what: `everything on record · by API token “${name}”`, times: 3 })]),
  );
});

it("called too often it waits, and says until when; guesses wait sooner, and keep nobody's token out", async () => {
  const app = createApp({ db: test.db, secret: "test", logLevel: "silent", apiCallsAMinute: 3 });
  const { token } = await made(["plan.read"]);
  const call = (each: string) => withToken(each, "/api/own-week/2026-03-02", app);
  for (let i = 0; i < 3; i++) expect((await call(token)).status).toBe(200);
  const late = await call(token);
  expect([late.status, late.body.code]).toEqual([429, "tooManyCalls"]);
  expect(Number(late.headers["retry-after"])).toBeGreaterThan(0);
  expect(late.headers.ratelimit).toMatch(/r=0/);
  const guesses: number[] = [];
  for (let i = 0; i < 31; i++) guesses.push((await call(`kg_${uuid()}`)).status);
  expect([new Set(guesses.slice(0, 30)), guesses[30]]).toEqual([new Set([401]), 429]);
  const { token: another } = await made(["plan.read"]);
  expect((await call(another)).status).toBe(200);
  await app.stop();
});
