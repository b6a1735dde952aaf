import type { MemberDay } from "@kind-grip/core/api";
import { mondayOf } from "@kind-grip/core/calendar";
import { libraryOf, sampleCustomMovement, SHIPPED_LIBRARY, type CustomMovement } from "@kind-grip/core/library";
import { compileGroup, compilePerson } from "@kind-grip/core/session";
import { durationText } from "@kind-grip/core/units";
import request from "supertest";
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

const store = (id: string, version = 0, custom: CustomMovement = sampleCustomMovement(id), by = trainer) =>
  by.send("put", `/api/movements/${id}`, { version, custom });

describe("custom movements", () => {
  it("are stored once however often they are sent, and counted on", async () => {
    const id = uuid();
    for (let i = 0; i < 2; i++) expect((await store(id)).body).toMatchObject({ id, version: 1, removed: false });
    const renamed = { ...sampleCustomMovement(id), words: { ...sampleCustomMovement(id).words, name: "Handle turn" } };
    expect((await store(id, 1, renamed)).body.version).toBe(2);
    const late = await store(id, 1);
    expect([late.status, late.body.detail.custom.words.name]).toEqual([409, "Handle turn"]);
    expect((await trainer.get("/api/movements")).body.filter((entry: { id: string }) => entry.id === id)).toHaveLength(1);
  });

  it("with an impossible joint are refused with the joint and its range, and nothing is kept", async () => {
    const id = uuid();
    const custom = sampleCustomMovement(id);
    custom.figure.poses[0]!.right!.elbow = 170;
    const refused = await store(id, 0, custom);
    expect([refused.status, fieldsOf(refused)["custom.figure.poses.0"]]).toEqual([400, "right.elbow is 170°, it goes from -5° to 150°"]);
    expect((await trainer.get(`/api/movements/${id}/file`)).status).toBe(404);
  });

  it("belong to their practice: nobody else sees, changes, exports or uses them", async () => {
    const id = uuid();
    await store(id);
    expect((await stranger.get("/api/movements")).body).toEqual([]);
    expect((await stranger.get(`/api/movements/${id}/file`)).status).toBe(404);
    expect((await store(id, 1, sampleCustomMovement(id), stranger)).status).toBe(404);
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
      custom: { movement: { id: `own-${copy}` }, words: { name: "Door-handle turn" } },
    });
    const broken = await trainer.send("post", `/api/movements/${uuid()}/import`, { text: text.replace(/"elbow": 90/, '"elbow": "bent"') });
    expect(broken.status).toBe(400);
    expect(Object.keys(fieldsOf(broken))[0]).toContain("figure.poses.0.right.elbow");
  });

  it("have their name, time, figure and easier forms on a phone, and their time in a calendar of a process that has seen none", async () => {
    const [id, placementId] = [uuid(), uuid()];
    const custom = { ...sampleCustomMovement(id), words: { ...sampleCustomMovement(id).words, name: "Slow handle turn" } };
    custom.movement = { ...custom.movement, readySec: 47 };
    await store(id, 0, custom);
    const { crewId, people, programId, program: made } = await makeWorld(trainer);
    const program = structuredClone(made);
    const [session] = program.sessions;
    Object.assign(session!.items[0]!, { movementId: `own-${id}`, formId: "standard", sides: "inTurn", personal: {} });
    await trainer.send("put", `/api/programs/${programId}`, { version: 1, program });
    const startsAt = new Date(Math.ceil((Date.now() + 3600_000) / 300_000) * 300_000).toISOString();
    const placement = { id: placementId, programId, sessionId: session!.id, startsAt };
    const saved = await trainer.send("put", `/api/crews/${crewId}/plan/${mondayOf(startsAt.slice(0, 10))}`, {
      version: 0,
      placements: [placement],
    });
    expect(saved.status).toBe(200);

    const phone = await trainer.member(test, crewId, people[0]!.id);
    const day = (await phone.get("/api/member/day")).body as MemberDay;
    expect(day.customMovements).toEqual([custom]);
    const library = libraryOf(day.customMovements);
    const there = day.anyTime.find((entry) => entry.session.id === session!.id)!;
    expect(there.totalSec).toBe(compilePerson(there.session, library.timings).totalSec);
    expect(there.totalSec - compilePerson(there.session, SHIPPED_LIBRARY.timings).totalSec).toBeGreaterThan(30);

    const { body } = await trainer.send("post", `/api/crews/${crewId}/calendar-links`, { id: uuid(), name: "L", personId: null });
    const cold = await openTestApp();
    try {
      const { text } = await request(cold.app).get(body.path);
      const lines = text.replace(/\r\n /g, "");
      expect(lines).toContain("Slow handle turn");
      const sessionSec = compileGroup(
        session!,
        library.timings,
        people.map((person) => person.id),
      ).totalSec;
      expect(lines).toContain(`SUMMARY:Warm-up (${durationText(sessionSec)})`);
    } finally {
      await cold.close();
    }
  });

  it("need somebody signed in", async () => {
    expect((await request(test.app).get("/api/movements")).status).toBe(401);
  });
});
