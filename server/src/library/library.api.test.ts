import { sampleOwnMovement, type OwnMovement } from "@kind-grip/core/library";
import { v7 as uuid } from "uuid";
import { makeWorld, type SampleWorld } from "../test/samples";
import { fieldsOf, openTestApp, TestTrainer, type TestApp } from "../test/test-app";

let test: TestApp;
let trainer: TestTrainer;
let stranger: TestTrainer;
let world: SampleWorld;
beforeAll(async () => {
  test = await openTestApp();
  [trainer, stranger] = [await TestTrainer.make(test), await TestTrainer.make(test)];
  world = await makeWorld(trainer);
});
afterAll(() => test.close());

const store = (id: string, version = 0, own: OwnMovement = sampleOwnMovement(id), by = trainer) =>
  by.send("put", `/api/movements/${id}`, { version, own });

describe("own movements", () => {
  it("are stored once however often they are sent, and counted on", async () => {
    const id = uuid();
    for (let i = 0; i < 2; i++) expect((await store(id)).body).toMatchObject({ id, version: 1, removed: false });
    const renamed = { ...sampleOwnMovement(id), words: { ...sampleOwnMovement(id).words, name: "Handle turn" } };
    expect((await store(id, 1, renamed)).body.version).toBe(2);
    const late = await store(id, 1);
    expect([late.status, late.body.detail.own.words.name]).toEqual([409, "Handle turn"]);
    expect((await trainer.get("/api/movements")).body.filter((entry: { id: string }) => entry.id === id)).toHaveLength(1);
  });

  it("with an impossible joint are refused with the joint and its range, and nothing is kept", async () => {
    const id = uuid();
    const own = sampleOwnMovement(id);
    own.figure.poses[0]!.right!.elbow = 170;
    const refused = await store(id, 0, own);
    expect([refused.status, fieldsOf(refused)["own.figure.poses.0"]]).toEqual([400, "right.elbow is 170°, it goes from -5° to 150°"]);
    expect((await trainer.get(`/api/movements/${id}/file`)).status).toBe(404);
  });

  it("belong to their practice: nobody else sees, changes, exports or uses them", async () => {
    const id = uuid();
    await store(id);
    expect((await stranger.get("/api/movements")).body).toEqual([]);
    expect((await stranger.get(`/api/movements/${id}/file`)).status).toBe(404);
    expect((await store(id, 1, sampleOwnMovement(id), stranger)).status).toBe(404);
    expect((await stranger.send("delete", `/api/movements/${id}`)).status).toBe(404);
    const theirs = await makeWorld(stranger);
    const program = structuredClone(theirs.program);
    Object.assign(program.sessions[0]!.items[0]!, { movementId: `own-${id}`, formId: "standard", sides: "inTurn", personal: {} });
    const refused = await stranger.send("put", `/api/programs/${theirs.programId}`, { version: 1, program });
    expect([refused.status, Object.keys(fieldsOf(refused))]).toEqual([400, ["program.sessions.0.items.0.movementId"]]);
  });

  it("are used in a program and printed like any other, also after they left the library", async () => {
    const id = uuid();
    await store(id);
    const program = structuredClone(world.program);
    Object.assign(program.sessions[0]!.items[0]!, { movementId: `own-${id}`, formId: "standard", sides: "inTurn", personal: {} });
    expect((await trainer.send("put", `/api/programs/${world.programId}`, { version: 1, program })).status).toBe(200);
    await trainer.send("delete", `/api/movements/${id}`);
    expect((await trainer.get("/api/movements")).body.find((entry: { id: string }) => entry.id === id).removed).toBe(true);
    const paper = await trainer.get(`/api/programs/${world.programId}/hand-out.pdf`).buffer(true);
    expect([paper.status, (paper.body as Buffer).subarray(0, 4).toString()]).toEqual([200, "%PDF"]);
    expect((await trainer.send("post", `/api/movements/${id}/restore`)).body.removed).toBe(false);
  }, 120_000);

  it("travel as a file and come in under a new id; a broken file says where", async () => {
    const [id, copy] = [uuid(), uuid()];
    await store(id);
    const { text } = await trainer.get(`/api/movements/${id}/file`);
    const brought = await stranger.send("post", `/api/movements/${copy}/import`, { text });
    expect(brought.body).toMatchObject({
      id: copy,
      version: 1,
      own: { movement: { id: `own-${copy}` }, words: { name: "Door-handle turn" } },
    });
    const broken = await trainer.send("post", `/api/movements/${uuid()}/import`, { text: text.replace(/"elbow": 90/, '"elbow": "bent"') });
    expect(broken.status).toBe(400);
    expect(Object.keys(fieldsOf(broken))[0]).toContain("figure.poses.0.right.elbow");
  });

  it("need somebody signed in", async () => {
    const { default: request } = await import("supertest");
    expect((await request(test.app).get("/api/movements")).status).toBe(401);
  });
});
