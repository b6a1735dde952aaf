/** Paper is made beside everything else: health and everything else is answered meanwhile; the same is made once; who goes away is not worked for. */
import request from "supertest";
import { makeWorld, samplePeople, type SampleWorld } from "../test/samples";
import { openTestApp, TestTrainer, type TestApp } from "../test/test-app";

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
beforeAll(async () => {
  test = await openTestApp();
  trainer = await TestTrainer.make(test);
  world = await makeWorld(trainer);
  const people = samplePeople(6, { badge: null }).map((person, i) => ({ ...person, name: `Somebody ${i}` }));
  await trainer.send("post", `/api/crews/${world.crewId}/people`, { people });
}, 60_000);
afterAll(() => test.close());

const pdf = (name: string) => trainer.get(`/api/programs/${world.programId}/${name}`).buffer(true);
/** How often health was answered before something was done. */
async function answeredBefore(done: Promise<unknown>): Promise<number> {
  let [answered, over] = [0, false];
  void done.finally(() => (over = true));
  while (!over) {
    await request(test.app).get("/healthz").expect(200);
    answered++;
  }
  return answered;
}

it("health is answered again and again while nine sheets are made", async () => {
  const made = pdf("sheets.pdf").then((answer) => answer);
  // Made in the thread that answers, it would be once or twice: before and after.
  expect(await answeredBefore(made)).toBeGreaterThan(20);
  const { status, body, headers } = await made;
  expect([status, headers["content-type"], (body as Buffer).subarray(0, 5).toString()]).toEqual([200, "application/pdf", "%PDF-"]);
}, 120_000);

it("the same is made once: asked again it is there, and it is the same", async () => {
  const first = (await pdf("hand-out.pdf")).body as Buffer;
  const times = await Promise.all([1, 2, 3].map(() => pdf("hand-out.pdf").then(({ body }) => Buffer.compare(body as Buffer, first))));
  expect(times).toEqual([0, 0, 0]);
}, 120_000);

it("a changed program is made anew", async () => {
  const before = (await pdf("hand-out.pdf")).body as Buffer;
  const program = { ...world.program, name: "Another name" };
  expect((await trainer.send("put", `/api/programs/${world.programId}`, { version: 1, program })).status).toBe(200);
  expect(Buffer.compare((await pdf("hand-out.pdf")).body as Buffer, before)).not.toBe(0);
}, 120_000);
