import request from "supertest";
import { v7 as uuid } from "uuid";
import { makeWorld, sampleProgram, type SampleWorld } from "../test/samples";
import { fieldsOf, openTestApp, TestTrainer, type TestApp } from "../test/test-app";

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
beforeAll(async () => {
  test = await openTestApp();
  trainer = await TestTrainer.make(test);
});
beforeEach(async () => {
  world = await makeWorld(trainer);
});
afterAll(() => test.close());

const save = (version: number, program = world.program) => trainer.send("put", `/api/programs/${world.programId}`, { version, program });

describe("saving", () => {
  it("counts versions; the second editor is shown the first one's", async () => {
    expect((await save(1, { ...world.program, name: "Hers" })).body).toMatchObject({ version: 2, program: { name: "Hers" } });
    const late = await save(1, { ...world.program, name: "His" });
    expect([late.status, late.body.code, late.body.detail.program.name]).toEqual([409, "stale", "Hers"]);
    expect((await trainer.get(`/api/programs/${world.programId}`)).body.program.name).toBe("Hers");
  });

  it("the same save twice, after a lost answer, is one save", async () => {
    const changed = { ...world.program, weeks: 8 };
    const first = await save(1, changed);
    const again = await save(1, changed);
    expect([again.status, again.body.version]).toEqual([200, first.body.version]);
  });

  it("of two at the same moment exactly one wins", async () => {
    const answers = await Promise.all(["a", "b", "c", "d"].map((name) => save(1, { ...world.program, name })));
    expect(answers.map((answer) => answer.status).sort()).toEqual([200, 409, 409, 409]);
  });

  it("names a movement the library does not have, a side it cannot be done in, and a person of no crew", async () => {
    const program = structuredClone(world.program);
    const stranger = uuid();
    program.sessions[0]!.items[0]!.movementId = "moon-walk";
    program.sessions[0]!.items[1]!.sides = "together";
    program.sessions[1]!.items[0]!.personal = { [stranger]: { formId: "standard" } };
    const fields = fieldsOf(await save(1, program));
    expect(fields["program.sessions.0.items.0.movementId"]).toContain("moon-walk");
    expect(fields["program.sessions.0.items.1.sides"]).toContain("inTurn, alternating");
    expect(fields[`program.sessions.1.items.0.personal.${stranger}`]).toBe("is not in this crew");
    expect((await trainer.get(`/api/programs/${world.programId}`)).body.version).toBe(1);
  });

  it("refuses doses outside their range, on the edge not", async () => {
    const withHold = (holdSec: number) => {
      const program = structuredClone(world.program);
      program.sessions[0]!.items[1]!.dose = { kind: "holds", reps: 3, holdSec, restSec: 5 };
      return program;
    };
    expect((await save(1, withHold(181))).status).toBe(400);
    expect((await save(1, withHold(180))).status).toBe(200);
  });
});

describe("the file", () => {
  it("goes out and comes in again as the same program under new ids, without people", async () => {
    const program = structuredClone(world.program);
    program.sessions[0]!.items[1]!.personal = { [world.people[0]!.id]: { formId: "elbow-90" } };
    await save(1, program);
    const file = await trainer.get(`/api/programs/${world.programId}/file`);
    expect(file.headers["content-disposition"]).toContain("kind-grip.json");
    expect(file.text).not.toContain(world.people[0]!.id);
    const id = uuid();
    const imported = await trainer.send("post", `/api/crews/${world.crewId}/programs/import`, { id, text: file.text });
    expect(imported.status).toBe(200);
    const bare = (value: unknown) => JSON.stringify(value).replace(/"id":"[^"]*"/g, "");
    expect(bare(imported.body.program)).toBe(bare(JSON.parse(file.text).program));
    expect(imported.body.program.sessions[0].id).not.toBe(program.sessions[0]!.id);
  });

  it("that is broken is explained and leaves nothing behind", async () => {
    const bring = (text: string) => trainer.send("post", `/api/crews/${world.crewId}/programs/import`, { id: uuid(), text });
    expect((await bring("hello")).body.fields[0].message).toMatch(/not JSON/);
    expect((await bring('{"format":"other","version":1}')).body.fields[0].path).toBe("format");
    expect((await bring('{"format":"kind-grip/program","version":2}')).body.fields[0].message).toMatch(/version 2/);
    expect((await trainer.get(`/api/crews/${world.crewId}/programs`)).body).toHaveLength(1);
  });
});

describe("the hand-out", () => {
  const pagesOf = async (programId: string) => {
    const pdf = await trainer.get(`/api/programs/${programId}/hand-out.pdf`).responseType("blob");
    expect(pdf.headers["content-type"]).toBe("application/pdf");
    return (pdf.body as Buffer).toString("latin1").match(/\/Type \/Page\b/g)?.length;
  };

  it("is one page a session, also with many items", async () => {
    expect(await pagesOf(world.programId)).toBe(2);
    const full = sampleProgram();
    const items = full.sessions[0]!.items;
    full.sessions[0]!.items = Array.from({ length: 10 }, (_, i) => ({ ...items[i % 2]!, id: uuid() }));
    await save(1, full);
    expect(await pagesOf(world.programId)).toBe(2);
  }, 120_000);

  it("of an empty program says so on one page", async () => {
    await save(1, { ...world.program, sessions: [] });
    expect(await pagesOf(world.programId)).toBe(1);
  }, 60_000);
});

it("a removed program is gone and comes back", async () => {
  await trainer.send("delete", `/api/programs/${world.programId}`);
  await trainer.get(`/api/programs/${world.programId}`).expect(404);
  expect((await save(1)).status).toBe(404);
  await trainer.send("post", `/api/programs/${world.programId}/restore`);
  await trainer.get(`/api/programs/${world.programId}`).expect(200);
});

it("describes itself as OpenAPI, to whoever asks, from the schemas its answers are held against", async () => {
  const { body } = await request(test.app).get("/api/openapi.json").expect(200);
  expect(Object.keys(body.paths)).toHaveLength(new Set(test.app.declared.map((route) => route.path)).size);
  const save = body.paths["/api/programs/{programId}"].put;
  expect([save.operationId, save.tags]).toEqual(["saveProgram", ["program"]]);
  expect(save.requestBody.content["application/json"].schema).toEqual({ $ref: "#/components/schemas/ChangedProgramSent" });
  expect(body.components.schemas.ChangedProgramSent.required).toEqual(["version", "program"]);
  expect(save.responses["200"].content["application/json"].schema).toEqual({ $ref: "#/components/schemas/ProgramEntry" });
});
