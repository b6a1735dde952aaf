/** Files that take a while: everybody else is answered meanwhile; made once for all who ask; taken back; taken over from a server that died. */
import type { Job } from "@kind-grip/core/api";
import request from "supertest";
import { openTestApp, TestTrainer, type TestApp } from "../test/test-app";
import { makeWorld, samplePeople, type SampleWorld } from "../test/samples";
import { inRow } from "../db/encrypted";
import { LEASE_MS } from "./worker";

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
jest.setTimeout(120_000);
beforeAll(async () => {
  test = await openTestApp();
  trainer = await TestTrainer.make(test);
  world = await makeWorld(trainer);
  const people = samplePeople(6, { badge: null }).map((person, i) => ({ ...person, name: `Somebody ${i}` }));
  await trainer.send("post", `/api/crews/${world.crewId}/people`, { people });
}, 60_000);
afterAll(() => test.close());

const pdf = (name: string) => trainer.get(`/api/programs/${world.programId}/${name}`).buffer(true);
const askFor = async (kind: string, programId = world.programId, by: TestTrainer = trainer) =>
  (await by.send("post", `/api/programs/${programId}/papers`, { kind })).body as Job;
const look = async ({ id }: Job) => (await trainer.get(`/api/jobs/${id}`)).body as Job;
const file = ({ id }: Job) => trainer.get(`/api/jobs/${id}/file`).buffer(true);
async function until(job: Job, state: Job["state"]): Promise<Job> {
  for (;;) {
    const now = await look(job);
    if (now.state === state) return now;
    await new Promise((resolve) => setTimeout(resolve, 60));
  }
}
/** A program of its own, so that nothing of it was made before. */
async function freshProgram(name: string): Promise<string> {
  const id = crypto.randomUUID();
  const { status } = await trainer.send("post", `/api/crews/${world.crewId}/programs`, { id, program: { ...world.program, name } });
  expect(status).toBe(200);
  return id;
}
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

it("health is answered again and again while sheets are made", async () => {
  const made = pdf("sheets.pdf").then((answer) => answer);
  // Made in the thread that answers, it would be once or twice: before and after.
  expect(await answeredBefore(made)).toBeGreaterThan(20);
  const { status, body, headers } = await made;
  expect([status, headers["content-type"], (body as Buffer).subarray(0, 5).toString()]).toEqual([200, "application/pdf", "%PDF-"]);
});

describe("what is asked for", () => {
  it("by several at once is one job, made once, and all of them get the same", async () => {
    const programId = await freshProgram("Asked by many");
    const jobs = await Promise.all([1, 2, 3, 4].map(() => askFor("handOut", programId)));
    expect(new Set(jobs.map(({ id }) => id)).size).toBe(1);
    const made = await until(jobs[0]!, "made");
    expect(made).toMatchObject({ state: "made", progress: 1, problem: null });
    const files = await Promise.all(jobs.map(async (job) => (await file(job)).body as Buffer));
    expect(files.map((each) => Buffer.compare(each, files[0]!))).toEqual([0, 0, 0, 0]);
    expect((await test.db.models.Job.findByPk(made.id))!.get()).toMatchObject({ tries: 1, task: null });
  });
  it("is another job when anything on it changed, and the older file is given to nobody any more", async () => {
    const programId = await freshProgram("Before");
    const before = await until(await askFor("handOut", programId), "made");
    expect((await file(before)).status).toBe(200);
    const program = { ...world.program, name: "After" };
    expect((await trainer.send("put", `/api/programs/${programId}`, { version: 1, program })).status).toBe(200);
    const refused = await trainer.get(`/api/jobs/${before.id}/file`);
    expect([refused.status, refused.body.code]).toEqual([409, "outdated"]);
    expect((await askFor("handOut", programId)).id).not.toBe(before.id);
  });
  it("has no sheet for somebody who was held out after it was made", async () => {
    const programId = await freshProgram("Held out later");
    const made = await until(await askFor("personalSheets", programId), "made");
    const { body } = await trainer.send("post", `/api/crews/${world.crewId}/restrictions`, {
      personId: world.people[1]!.id,
      question: "sharpPain",
    });
    expect((await trainer.get(`/api/jobs/${made.id}/file`)).status).toBe(409);
    await trainer.send("post", `/api/restrictions/${body.restrictions[0].id}/withdraw`, { why: "only for this test" });
    expect((await file(made)).status).toBe(200);
  });
  it("is 409 until it is made, and refused when it is nothing that can be made", async () => {
    const programId = await freshProgram("Too early");
    const job = await askFor("personalSheets", programId);
    const early = await trainer.get(`/api/jobs/${job.id}/file`);
    expect([early.status, early.body.code]).toEqual([409, "notMade"]);
    expect((await trainer.send("post", `/api/programs/${programId}/papers`, { kind: "poster" })).status).toBe(400);
    expect((await until(job, "made")).state).toBe("made");
  });
});

describe("who does not wait any more", () => {
  it("as the last of them ends the work; asked again it is made", async () => {
    const programId = await freshProgram("Taken back");
    const job = await askFor("handOut", programId);
    expect((await trainer.send("delete", `/api/jobs/${job.id}`)).status).toBe(204);
    expect((await look(job)).state).toBe("cancelled");
    const again = await askFor("handOut", programId);
    expect(again).toMatchObject({ id: job.id, state: "waiting" });
    expect((await until(again, "made")).state).toBe("made");
  });
  it("does not take it from another who waits", async () => {
    const programId = await freshProgram("Two wait");
    const [first] = [await askFor("handOut", programId), await askFor("handOut", programId)];
    await trainer.send("delete", `/api/jobs/${first.id}`);
    expect((await until(first, "made")).state).toBe("made");
  });
  it("and leaves what was made for the next", async () => {
    const programId = await freshProgram("Made and left");
    const job = await until(await askFor("handOut", programId), "made");
    await trainer.send("delete", `/api/jobs/${job.id}`);
    expect((await file(job)).status).toBe(200);
  });
});

describe("two servers", () => {
  it("make what is asked of both once", async () => {
    const other = await openTestApp();
    try {
      const programId = await freshProgram("On two servers");
      const jobs = await Promise.all(
        [1, 2, 3].flatMap((n) => [askFor("handOut", programId), n === 1 ? askFor("personalSheets", programId) : []]),
      );
      for (const job of jobs.flat()) expect((await until(job, "made")).state).toBe("made");
      const rows = await test.db.models.Job.findAll({ where: { subjectId: programId } });
      expect(rows.map((row) => row.get().tries)).toEqual([1, 1]);
    } finally {
      await other.close();
    }
  });
  /** As if a server had taken it and died. */
  const takenByTheDead = (id: string, task: string, leaseMs: number, tries = 1) =>
    test.db.models.Job.update(
      {
        state: "making",
        file: null,
        ...inRow(test.db.models.Job, [id], { task }),
        tries,
        takenBy: crypto.randomUUID(),
        takenUntil: new Date(Date.now() + leaseMs),
      },
      { where: { id } },
    );
  it("what one had taken and died of is made by another after its lease, not before", async () => {
    const programId = await freshProgram("Left by a dead server");
    const work = { kind: "handOut", customMovements: [], program: world.program, crewName: "Crew", names: [] };
    const job = await until(await askFor("handOut", programId), "made");
    await takenByTheDead(job.id, JSON.stringify(work), LEASE_MS);
    await new Promise((resolve) => setTimeout(resolve, 2500));
    expect((await look(job)).state).toBe("making");
    await takenByTheDead(job.id, JSON.stringify(work), -1);
    expect(await until(job, "made")).toMatchObject({ state: "made", progress: 1 });
    expect((await test.db.models.Job.findByPk(job.id))!.get()).toMatchObject({ tries: 2, task: null });
    expect((await file(job)).status).toBe(200);
  });
  it("what several died of is given up, and says so; asked for again it begins anew", async () => {
    const programId = await freshProgram("Deadly");
    const job = await until(await askFor("handOut", programId), "made");
    await takenByTheDead(job.id, "{}", -1, 3);
    expect((await until(job, "failed")).problem).toContain("never finished");
    expect((await until(await askFor("handOut", programId), "made")).state).toBe("made");
  });
});

describe("everything of a crew", () => {
  it("is made aside as well: whole, packed on its way, and in the trail", async () => {
    const job = (await trainer.send("post", `/api/crews/${world.crewId}/export`)).body as Job;
    expect((await until(job, "made")).state).toBe("made");
    const { body, headers } = await trainer.get(`/api/jobs/${job.id}/file`);
    expect(headers["content-disposition"]).toContain(".kind-grip-crew.json");
    expect(body).toMatchObject({ format: "kind-grip-crew", version: 2 });
    expect((body.people as object[]).length).toBeGreaterThanOrEqual(6);
    const trail = await trainer.get(`/api/crews/${world.crewId}/audit?page=0`);
    expect(JSON.stringify(trail.body.entries)).toContain("everything of the crew");
  });
  it("is nobody else's: another practice and another trainer's crews are 404", async () => {
    const job = (await trainer.send("post", `/api/crews/${world.crewId}/export`)).body as Job;
    const stranger = await TestTrainer.make(test);
    for (const path of ["", "/file"]) expect((await stranger.get(`/api/jobs/${job.id}${path}`)).status).toBe(404);
    expect((await stranger.send("delete", `/api/jobs/${job.id}`)).status).toBe(404);
    expect((await stranger.send("post", `/api/crews/${world.crewId}/export`)).status).toBe(404);
    expect((await stranger.send("post", `/api/programs/${world.programId}/papers`, { kind: "handOut" })).status).toBe(404);
  });
});
