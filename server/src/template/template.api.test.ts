import { v7 as uuid } from "uuid";
import { makeWorld, type SampleWorld } from "../test/samples";
import { fieldsOf, openTestApp, TestTrainer, type TestApp } from "../test/test-app";

let test: TestApp;
let trainer: TestTrainer;
let colleague: TestTrainer;
let stranger: TestTrainer;
let world: SampleWorld;
beforeAll(async () => {
  const practiceId = uuid();
  test = await openTestApp();
  [trainer, colleague] = [await TestTrainer.make(test, practiceId), await TestTrainer.make(test, practiceId)];
  stranger = await TestTrainer.make(test);
  world = await makeWorld(trainer);
});
afterAll(() => test.close());

const keep = (by: TestTrainer, change: object = {}, id = uuid()) =>
  by.send("post", "/api/templates", { id, name: "For roofs", why: "", program: world.program, ...change });
const names = async (by: TestTrainer) => ((await by.get("/api/templates")).body as { name: string }[]).map(({ name }) => name);

it("is kept once however often it is sent, without people and without a first day", async () => {
  const id = uuid();
  const program = { ...structuredClone(world.program), settlingFrom: "2026-03-02", lighterWeeks: [3] };
  const [item] = program.sessions[0]!.items;
  item!.personal = { [world.people[0]!.id]: { formId: item!.formId } };
  for (let i = 0; i < 2; i++) expect((await keep(trainer, { program, why: " Stands all day. " }, id)).status).toBe(200);
  const [kept, ...others] = (await trainer.get("/api/templates")).body;
  expect(others).toEqual([]);
  expect(kept).toMatchObject({ id, name: "For roofs", why: "Stands all day." });
  expect(JSON.stringify(kept)).not.toContain(world.people[0]!.id);
  expect([kept.program.settlingFrom, kept.program.lighterWeeks]).toEqual([undefined, undefined]);
});

it("belongs to the practice: a colleague has it, a stranger neither sees, takes out nor overwrites it", async () => {
  const id = uuid();
  await keep(trainer, { name: "Shared" }, id);
  expect(await names(colleague)).toContain("Shared");
  expect(await names(stranger)).toEqual([]);
  expect((await stranger.send("delete", `/api/templates/${id}`)).status).toBe(404);
  expect((await stranger.send("post", `/api/templates/${id}/restore`)).status).toBe(404);
  expect((await keep(stranger, { name: "Stolen" }, id)).status).toBe(404);
  expect(await names(trainer)).toContain("Shared");
});

it("is taken out and brought back", async () => {
  const id = uuid();
  await keep(trainer, { name: "Once" }, id);
  expect((await colleague.send("delete", `/api/templates/${id}`)).status).toBe(204);
  expect(await names(trainer)).not.toContain("Once");
  expect((await trainer.send("post", `/api/templates/${id}/restore`)).status).toBe(204);
  expect(await names(trainer)).toContain("Once");
});

it("what cannot be a program is refused with its fields", async () => {
  const program = structuredClone(world.program);
  program.sessions[0]!.items[0]!.movementId = "unknown";
  expect(Object.keys(fieldsOf(await keep(trainer, { program })))).toEqual(["program.sessions.0.items.0.movementId"]);
  expect(Object.keys(fieldsOf(await keep(trainer, { name: " " })))).toEqual(["name"]);
  expect(Object.keys(fieldsOf(await keep(trainer, { why: "x".repeat(601) })))).toEqual(["why"]);
});
