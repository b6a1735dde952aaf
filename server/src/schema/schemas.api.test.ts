/** What goes out is what its published schema says, field by field, and the schemas in docs/ are today's. */
import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import Ajv, { type ValidateFunction } from "ajv";
import { v7 as uuid } from "uuid";
import { emptyRecord } from "@kind-grip/core/baseline";
import { sealTrails } from "../audit/seal";
import { BY_TELEPHONE, makeWorld, sampleRun, sampleWork, seriesFor, type SampleWorld } from "../test/samples";
import { openTestApp, TestTrainer, type TestApp } from "../test/test-app";
import { fileSchemas } from "./file-schemas";

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
const crew = () => `/api/crews/${world.crewId}`;
const FOLDER = path.resolve(__dirname, "../../../docs/formats/schemas");
beforeAll(async () => {
  test = await openTestApp(undefined, undefined, undefined, BY_TELEPHONE);
  trainer = await TestTrainer.make(test);
  world = await makeWorld(trainer);
  const phone = await trainer.member(test, world.crewId, world.people[0]!.id);
  const run = sampleRun(world);
  await trainer.send("put", `/api/runs/${run.id}`, run);
  await trainer.send("put", `${crew()}/work`, { version: 0, work: sampleWork() });
  await trainer.send("put", `${crew()}/standing-plan`, { version: 0, plan: { groups: [], series: [seriesFor(world)] } });
  const roundId = uuid();
  await trainer.send("post", `${crew()}/rounds`, { id: roundId, name: "Spring" });
  await trainer.send("put", `/api/rounds/${roundId}/people/${world.people[0]!.id}`, { version: 0, record: emptyRecord() });
  await trainer.send("post", `${crew()}/restrictions`, { personId: world.people[0]!.id, question: "hotJoint" });
  await phone.send("put", "/api/member/contacts", { way: "telephone", address: "+15550100001" });
  const day = new Date().toISOString().slice(0, 10);
  const morning = { id: uuid(), day, level: 7, regions: ["thumbBase"], tingling: true, stillThere: true };
  await phone.send("put", `/api/member/check-ins/${morning.id}`, morning);
  await trainer.send("post", `${crew()}/people/${world.people[0]!.id}/notes`, { id: uuid(), text: "a note", attachment: null });
});
afterAll(() => test.close());

const ajv = new Ajv({ strict: false, validateFormats: false, allErrors: true });
/** Compiling one takes much longer than looking at a file. */
const compiled = new Map<string, ValidateFunction>();
const problems = async (name: string, file: unknown) => {
  const schema = (await trainer.get(`/api/schemas/${name}`).expect(200)).body as object;
  const validate = compiled.get(name) ?? ajv.compile(schema);
  compiled.set(name, validate);
  validate(file);
  return (validate.errors ?? []).map(({ instancePath, message, params }) => `${instancePath} ${message} ${JSON.stringify(params)}`);
};
const fetched = async (address: string) => {
  const { text, body } = await trainer.get(address).buffer(true).expect(200);
  return JSON.parse(text ?? (body as Buffer).toString()) as Record<string, unknown>;
};

it.each([
  ["crew", () => `${crew()}/export.json`],
  ["person", () => `${crew()}/people/${world.people[0]!.id}/everything.json`],
  ["program", () => `/api/programs/${world.programId}/file`],
  ["texts", () => "/api/practice/texts/file"],
])("a %s file is as its schema says, and one that is not is found", async (name, address) => {
  const file = await fetched(address());
  expect(await problems(name, file)).toEqual([]);
  expect(await problems(name, { ...file, somethingElse: 1 })).not.toEqual([]);
  expect(await problems(name, { ...file, version: 99 })).not.toEqual([]);
});

it("the trail's file is as its schema says", async () => {
  await sealTrails(test.db, new Date(Date.now() + 3_600_000));
  const { exportTrail } = await import("../audit/seal");
  const account = (await test.db.models.Account.findOne({ where: { email: trainer.email }, rejectOnEmpty: true })).get();
  const file = JSON.parse(JSON.stringify(await exportTrail(test.db, account.practiceId, new Date()))) as {
    segments: object[];
    entries: object[];
  };
  expect([file.segments.length > 0, file.entries.length > 0]).toEqual([true, true]);
  expect(await problems("trail", file)).toEqual([]);
});

it("are served to anybody, by name", async () => {
  const names = (await trainer.get("/api/schemas")).body as string[];
  expect(names).toEqual(Object.keys(fileSchemas(test.db)));
  expect((await trainer.get("/api/schemas/nothing")).status).toBe(404);
  expect((await trainer.get("/api/schemas/constructor")).status).toBe(404);
});

it("those in docs/formats/schemas are today's: npm run schemas", () => {
  const today = fileSchemas(test.db);
  expect(readdirSync(FOLDER).sort()).toEqual(
    Object.keys(today)
      .map((name) => `${name}.schema.json`)
      .sort(),
  );
  for (const [name, schema] of Object.entries(today))
    expect([name, JSON.parse(readFileSync(path.join(FOLDER, `${name}.schema.json`), "utf8"))]).toEqual([
      name,
      JSON.parse(JSON.stringify(schema)),
    ]);
});
