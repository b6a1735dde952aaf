/** The record of one person: what is in it, in which order, in pages; notes and their files; who may see it, and that it is in the trail. */
import type { PersonRecordPage, RecordEvent } from "@kind-grip/core/api";
import { v7 as uuid } from "uuid";
import { makeWorld, sampleRun, type SampleWorld } from "../test/samples";
import { fieldsOf, openTestApp, TestTrainer, type TestApp } from "../test/test-app";

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
beforeAll(async () => {
  test = await openTestApp();
  trainer = await TestTrainer.make(test);
  world = await makeWorld(trainer);
});
afterAll(() => test.close());

const at = (rest = "", person = 0) => `/api/crews/${world.crewId}/people/${world.people[person]!.id}${rest}`;
const record = async (person = 0, before?: string) =>
  (await trainer.get(at(`/record${before ? `?before=${before}` : ""}`, person)).expect(200)).body as PersonRecordPage;
const kinds = (events: readonly RecordEvent[]) => events.map(({ kind }) => kind);
const PNG = Buffer.from("iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==", "base64");
const note = (more: object = {}) => ({ id: uuid(), text: "Grip tape was too thick", attachment: null, ...more });
const picture = (more: object = {}) => ({ name: "wrist.png", type: "image/png", content: PNG.toString("base64"), ...more });

it("holds everything of a person, newest first, and nothing of anybody else", async () => {
  const run = sampleRun(world);
  await trainer.send("put", `/api/runs/${run.id}`, run);
  await trainer.send("post", `/api/crews/${world.crewId}/absences`, {
    id: uuid(),
    personId: world.people[0]!.id,
    from: "2020-01-06",
    until: "2020-01-08",
  });
  await trainer.send("post", `/api/crews/${world.crewId}/restrictions`, { personId: world.people[0]!.id, question: "sharpPain" });
  await trainer.send("put", at(`/symptom-reports/${uuid()}`), {});
  await trainer.send("post", at("/notes"), note());
  const { events, more } = await record();
  expect(more).toBe(false);
  expect(kinds(events).sort()).toEqual(["absence", "note", "restriction", "run"]);
  const moments = events.map((event) => event.at);
  expect(moments).toEqual([...moments].sort().reverse());
  expect(events.find((event) => event.kind === "note")).toMatchObject({ text: "Grip tape was too thick", by: "Test", attachment: null });
  expect(events.find((event) => event.kind === "run")).toMatchObject({ runId: run.id, sessionName: run.session.name });
  expect(kinds((await record(1)).events)).not.toContain("note");
});

it("says of a run the working day it counts for, and of a morning whether it is above what is usual", async () => {
  const other = await makeWorld(trainer);
  const day = "2026-03-03";
  const run = { ...sampleRun(other), startedAt: `${day}T07:00:00.000Z`, endedAt: `${day}T07:05:00.000Z` };
  await trainer.send("put", `/api/runs/${run.id}`, run);
  await test.db.models.Run.update({ workingDay: "2026-03-02" }, { where: { id: run.id } });
  const personId = other.people[0]!.id;
  const morning = { crewId: other.crewId, personId, regions: [], tingling: false };
  const felt = [0, 3].map((level, i) => ({ ...morning, id: uuid(), level, day: `2026-03-1${i}`, at: new Date(`2026-03-1${i}T06:00:00Z`) }));
  await test.db.models.CheckIn.bulkCreate(felt);
  const { events } = (await trainer.get(`/api/crews/${other.crewId}/people/${personId}/record`)).body as PersonRecordPage;
  expect(events).toMatchObject([
    { kind: "morning", level: 3, raised: true },
    { kind: "morning", level: 0, raised: false },
    { kind: "run", day: "2026-03-02" },
  ]);
});

it("comes in pages that join without a gap", async () => {
  const personId = world.people[1]!.id;
  await test.db.models.CheckIn.bulkCreate(
    Array.from({ length: 260 }, (_, i) => {
      const day = new Date(Date.UTC(2025, 0, 1 + i));
      return {
        id: uuid(),
        crewId: world.crewId,
        personId,
        day: day.toISOString().slice(0, 10),
        level: i % 5,
        regions: [],
        tingling: false,
        at: day,
      };
    }),
  );
  const first = await record(1);
  expect([first.events.length, first.more]).toEqual([240, true]);
  const second = await record(1, first.events.at(-1)!.at);
  expect(second.more).toBe(false);
  const days = [...first.events, ...second.events].flatMap((event) => (event.kind === "morning" ? [event.day] : []));
  expect(new Set(days).size).toBe(260);
});

describe("a note", () => {
  it("is kept once, however often it is sent; its file comes back as it was", async () => {
    const body = note({ text: "", attachment: picture() });
    for (let i = 0; i < 2; i++) expect((await trainer.send("post", at("/notes", 2), body)).status).toBe(204);
    const notes = (await record(2)).events.filter((event) => event.kind === "note");
    expect(notes).toHaveLength(1);
    expect(notes[0]).toMatchObject({ attachment: { name: "wrist.png", type: "image/png", bytes: PNG.length } });
    const file = await trainer
      .get(at(`/notes/${body.id}/file`, 2))
      .buffer(true)
      .expect(200);
    expect(file.headers).toMatchObject({
      "content-type": "image/png",
      "content-disposition": "attachment; filename=wrist.png",
      "x-content-type-options": "nosniff",
    });
    expect(Buffer.compare(file.body as Buffer, PNG)).toBe(0);

    expect((await trainer.send("delete", at(`/notes/${body.id}`, 2))).status).toBe(204);
    expect(kinds((await record(2)).events)).not.toContain("note");
    await trainer.get(at(`/notes/${body.id}/file`, 2)).expect(404);
    const { entries } = (await trainer.get(`/api/crews/${world.crewId}/audit`)).body as { entries: { subject: string; what: string }[] };
    const said = entries.filter(({ subject }) => ["note", "record"].includes(subject)).map(({ what }) => what);
    expect(said).toEqual(expect.arrayContaining(["note with a file added", "file of a note", "note removed", "everything on record"]));
  });

  it.each<[string, object, Record<string, unknown>]>([
    ["without words or file", { text: "  " }, { text: "is missing" }],
    ["of endless words", { text: "x".repeat(4001) }, { text: expect.stringContaining("4,000") }],
    ["whose file is a program", { attachment: picture({ type: "text/html" }) }, { "attachment.type": expect.stringContaining("PDF") }],
    [
      "whose file is not what it says",
      { attachment: picture({ content: Buffer.from("<svg onload=alert(1)>").toString("base64") }) },
      { "attachment.content": "is not the file it says it is" },
    ],
    ["whose file is no Base64", { attachment: picture({ content: "%%%" }) }, { "attachment.content": "is not Base64" }],
    [
      "whose file is too large",
      { attachment: picture({ content: Buffer.concat([PNG, Buffer.alloc(5_000_001)]).toString("base64") }) },
      { "attachment.content": "is larger than 5 MB" },
    ],
  ])("%s is refused at its field", async (_, more, fields) => {
    const answer = await trainer.send("post", at("/notes"), note(more));
    expect([answer.status, fieldsOf(answer)]).toEqual([400, fields]);
  });

  it("takes a file up to its limit", async () => {
    const content = Buffer.concat([PNG, Buffer.alloc(5_000_000 - PNG.length)]).toString("base64");
    expect((await trainer.send("post", at("/notes", 1), note({ attachment: picture({ content }) }))).status).toBe(204);
  });

  it("of another's person is found by nobody", async () => {
    const other = await TestTrainer.make(test);
    const body = note();
    await trainer.send("post", at("/notes"), body);
    for (const [method, rest, sent] of [
      ["get", "/record"],
      ["post", "/notes", note()],
      ["delete", `/notes/${body.id}`],
      ["get", `/notes/${body.id}/file`],
    ] as const)
      expect((await (method === "get" ? other.get(at(rest)) : other.send(method, at(rest), sent))).status).toBe(404);
    const lead = await trainer.staff(test, "lead", [world.crewId]);
    await lead.get(at("/record")).expect(403);
    const taken = await trainer.send("post", at("/notes", 1), body);
    expect([taken.status, taken.body.code]).toEqual([409, "taken"]);
  });

  it("keeps its person from being removed as if nothing was known of them", async () => {
    const id = uuid();
    const person = { id, name: "Una Marlowe", badge: null, handedness: null, startedOn: null, leftOn: null, language: null };
    await trainer.send("post", `/api/crews/${world.crewId}/people`, { people: [person] });
    await trainer.send("post", `/api/crews/${world.crewId}/people/${id}/notes`, note());
    expect((await trainer.send("delete", `/api/crews/${world.crewId}/people/${id}`)).body.code).toBe("hasRecords");
  });
});
