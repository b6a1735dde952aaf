/** Paper is made beside everything else: health and everything else is answered meanwhile; the same is made once; who goes away is not worked for. */
import request from "supertest";
import { makeWorld, samplePeople, type SampleWorld } from "../test/samples";
import { PaperPress } from "./paper";
import type { PaperTask } from "./paper-task";
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

describe("who goes away", () => {
  const asker = () => {
    const closed: (() => void)[] = [];
    return { once: (_: string, listener: () => void) => closed.push(listener), leave: () => closed.forEach((listener) => listener()) };
  };
  const task = (crewName: string): PaperTask => ({ kind: "handOut", customMovements: [], program: world.program, crewName, names: [] });
  const press = new PaperPress();
  afterAll(() => press.stop());

  it("does not take the paper from another who waits for the same", async () => {
    const [first, second] = [asker(), asker()];
    const papers = [press.print(task("Both"), first as never), press.print(task("Both"), second as never)];
    first.leave();
    expect((await papers[1]!).subarray(0, 5).toString()).toBe("%PDF-");
    second.leave();
  }, 120_000);
  it("ends the work as the last of them, and the next who asks gets it all the same", async () => {
    const only = asker();
    const paper = press.print(task("Nobody"), only as never);
    only.leave();
    await expect(paper).rejects.toThrow(/abort/i);
    expect((await press.print(task("Nobody"), asker() as never)).subarray(0, 5).toString()).toBe("%PDF-");
  }, 120_000);
  it("after it was made leaves it for the next", async () => {
    const early = asker();
    const made = await press.print(task("Kept"), early as never);
    early.leave();
    expect(await press.print(task("Kept"), asker() as never)).toBe(made);
  }, 120_000);
});
