/** What a monitoring server reads: guarded, by route and outcome, and nothing of anybody. */
import request from "supertest";
import { v7 as uuid } from "uuid";
import { createApp } from "../app";
import { makeWorld } from "../test/samples";
import { openTestApp, TestCaller, TestTrainer, type TestApp } from "../test/test-app";

let plain: TestApp;
let test: TestApp;
beforeAll(async () => {
  plain = await openTestApp();
  test = { ...plain, app: createApp({ db: plain.db, secret: "test", logLevel: "silent", metricsToken: "a-long-token" }) };
});
afterAll(async () => {
  await test.app.stop();
  await plain.close();
});
const read = (token = "a-long-token", app = test.app) => request(app).get("/metrics").set("authorization", `Bearer ${token}`);

it("is there for whoever has the token, and for nobody where none was set", async () => {
  expect((await read()).status).toBe(200);
  for (const answer of [
    await read("a-long-tokex"),
    await read(""),
    await request(test.app).get("/metrics"),
    await read("a-long-token", plain.app),
  ])
    expect(answer.status).toBe(404);
});

it("tells answers by route and outcome, the pool, what waits and who failed, and nobody's name or address", async () => {
  const trainer = await TestTrainer.make(test);
  const world = await makeWorld(trainer);
  await trainer.get(`/api/crews/${world.crewId}/people`).expect(200);
  await trainer.get(`/api/crews/${world.programId}/people`).expect(404);
  const stranger = await TestCaller.stranger(test);
  await stranger.send("post", "/api/sign-in", { email: trainer.email, password: "wrong" });
  const job = {
    practiceId: uuid(),
    crewId: null,
    subjectId: uuid(),
    kind: "handOut" as const,
    fileName: "a.pdf",
    language: null,
    task: null,
  };
  const rest = { progress: null, asking: 1, askedAt: new Date(), takenBy: null, takenUntil: null, tries: 0, problem: null, file: null };
  for (const state of ["making", "made"] as const)
    await test.db.models.Job.create({ id: uuid(), contentKey: uuid(), state, ...job, ...rest });
  const { text } = await read();
  await test.db.models.Job.destroy({ where: { practiceId: job.practiceId } });
  expect(text).toMatch(/kind_grip_jobs\{state="making"\} [1-9]/);
  expect(text).not.toContain('kind_grip_jobs{state="made"}');
  expect(text).toMatch(/kind_grip_answer_seconds_count\{method="GET",route="\/api\/crews\/:crewId\/people",outcome="2xx"\} 1/);
  expect(text).toMatch(/kind_grip_answer_seconds_count\{method="GET",route="\/api\/crews\/:crewId\/people",outcome="4xx"\} 1/);
  expect(text).toMatch(/kind_grip_database_connections\{state="open"\} [1-9]/);
  expect(text).toMatch(/kind_grip_sign_in_attempts\{outcome="failed"\} [1-9]/);
  expect(text).toContain("process_cpu_seconds_total");
  for (const secret of [world.crewId, trainer.email, world.people[0]!.name]) expect(text).not.toContain(secret);
});
