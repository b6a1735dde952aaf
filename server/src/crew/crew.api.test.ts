import type { NewPerson } from "@kind-grip/core/crew";
import { v7 as uuid } from "uuid";
import { samplePeople, sampleCrew, makeWorld, sampleRun } from "../test/samples";
import { fieldsOf, openTestApp, TestTrainer, type TestApp } from "../test/test-app";

type Entry = NewPerson & { version: number };

let test: TestApp;
let trainer: TestTrainer;
beforeAll(async () => {
  test = await openTestApp();
  trainer = await TestTrainer.make(test);
});
afterAll(() => test.close());

const makeCrew = async () => {
  const id = uuid();
  await trainer.send("post", "/api/crews", { id, crew: sampleCrew() });
  return id;
};

describe("crews", () => {
  it("are made once, however often the request is sent", async () => {
    const id = uuid();
    const first = await trainer.send("post", "/api/crews", { id, crew: sampleCrew({ name: "Once" }) });
    const again = await trainer.send("post", "/api/crews", { id, crew: sampleCrew({ name: "Once" }) });
    expect([first.status, again.status]).toEqual([200, 200]);
    expect(again.body).toEqual(first.body);
    expect((await trainer.get("/api/crews")).body.filter((crew: { name: string }) => crew.name === "Once")).toHaveLength(1);
  });

  it("name every bad field and store nothing", async () => {
    const id = uuid();
    const crew = {
      ...sampleCrew({ name: " ", timeZone: "Nowhere/Land", mostOffJob: 0 }),
      slots: { preShift: 30, break: 180, postShift: 600 },
    };
    const answer = await trainer.send("post", "/api/crews", { id, crew });
    expect(answer.status).toBe(400);
    expect(fieldsOf(answer)).toMatchObject({
      "crew.name": "is missing",
      "crew.timeZone": expect.stringContaining("is not a time zone"),
      "crew.mostOffJob": expect.stringContaining("1 to 500"),
      "crew.slots.preShift": expect.stringContaining("1 to 60 minutes"),
    });
    await trainer.get(`/api/crews/${id}`).expect(404);
  });

  it("refuse a save against an older version and show the newer", async () => {
    const id = await makeCrew();
    expect((await trainer.send("put", `/api/crews/${id}`, { version: 1, crew: sampleCrew({ place: "Hall A" }) })).body.version).toBe(2);
    const late = await trainer.send("put", `/api/crews/${id}`, { version: 1, crew: sampleCrew({ place: "Hall B" }) });
    expect([late.status, late.body.code, late.body.detail.place]).toEqual([409, "stale", "Hall A"]);
  });

  it("come back after being removed, with their people", async () => {
    const id = await makeCrew();
    await trainer.send("post", `/api/crews/${id}/people`, { people: samplePeople(2) });
    await trainer.send("delete", `/api/crews/${id}`);
    await trainer.get(`/api/crews/${id}`).expect(404);
    await trainer.send("post", `/api/crews/${id}/restore`);
    expect((await trainer.get(`/api/crews/${id}/people`)).body).toHaveLength(2);
  });

  it("an id that is no UUID belongs to nothing", async () => {
    await trainer.get("/api/crews/17").expect(404);
  });
});

describe("people", () => {
  it("2,000 come in at once, and again without doubling", async () => {
    const id = await makeCrew();
    const people = samplePeople(2000);
    const first = await trainer.send("post", `/api/crews/${id}/people`, { people });
    expect([first.status, first.body.length]).toEqual([200, 2000]);
    await trainer.send("post", `/api/crews/${id}/people`, { people });
    expect((await trainer.get(`/api/crews/${id}/people`)).body).toHaveLength(2000);
  });

  it("come in all or not at all: one taken badge keeps everybody out, named by row", async () => {
    const id = await makeCrew();
    await trainer.send("post", `/api/crews/${id}/people`, { people: samplePeople(1, { name: "First", badge: "x-7" }) });
    const people = samplePeople(5);
    people[3]!.badge = "X-7";
    const answer = await trainer.send("post", `/api/crews/${id}/people`, { people });
    expect([answer.status, fieldsOf(answer)]).toEqual([400, { "people.3.badge": "is already First's" }]);
    expect((await trainer.get(`/api/crews/${id}/people`)).body).toHaveLength(1);
  });

  it("are changed many at once, all or none, and a badge may go from one to another", async () => {
    const id = await makeCrew();
    const kept = (await trainer.send("post", `/api/crews/${id}/people`, { people: samplePeople(40) })).body as Entry[];
    const change = ({ id: personId, version, ...person }: Entry, more: object) => ({
      id: personId,
      version,
      person: { ...person, ...more },
    });
    const send = (changes: object[], people: object[] = []) => trainer.send("post", `/api/crews/${id}/people`, { people, changes });
    const hands = kept.map((entry) => change(entry, { handedness: "left" }));
    const done = await send(hands);
    expect([done.status, done.body.map((entry: Entry) => [entry.handedness, entry.version])]).toEqual([200, kept.map(() => ["left", 2])]);
    // Sent again after a lost answer, nothing is done twice; and nothing is late, for it is as wished.
    expect((await send(hands)).body.map((entry: Entry) => entry.version)).toEqual(kept.map(() => 2));

    const [a, b] = done.body as [Entry, Entry];
    const swapped = await send([change(a, { badge: b.badge }), change(b, { badge: a.badge })]);
    expect(swapped.body.map((entry: Entry) => entry.badge).sort()).toEqual([a.badge, b.badge].sort());

    const [extra] = samplePeople(1, { name: "Somebody New", badge: "n-1" });
    const late = await send([change(done.body[2], { name: "C" }), change(a, { name: "Too Late" })], [extra!]);
    expect([late.status, late.body.code, late.body.detail.map((entry: Entry) => entry.id)]).toEqual([409, "stale", [a.id]]);
    const taken = await send([change(done.body[2], { badge: done.body[3].badge })], [extra!]);
    expect([taken.status, fieldsOf(taken)]).toEqual([400, { "changes.0.person.badge": "is somebody else's in this crew" }]);
    const names = ((await trainer.get(`/api/crews/${id}/people`)).body as Entry[]).map(({ name }) => name);
    expect([names.length, names.includes("C"), names.includes("Somebody New")]).toEqual([40, false, false]);
  });

  it("of another crew are nobody here, and nobody at all is refused", async () => {
    const [id, other] = [await makeCrew(), await makeCrew()];
    const [entry] = (await trainer.send("post", `/api/crews/${other}/people`, { people: samplePeople(1, { name: "Una Else" }) }))
      .body as Entry[];
    const { id: personId, version, ...person } = entry!;
    const answer = await trainer.send("post", `/api/crews/${id}/people`, { people: [], changes: [{ id: personId, version, person }] });
    expect([answer.status, fieldsOf(answer)]).toEqual([400, { "changes.0.id": "is nobody of this crew" }]);
    expect(fieldsOf(await trainer.send("post", `/api/crews/${id}/people`, { people: [] }))).toEqual({ people: "names nobody" });
  });

  it("two imports of the same badge at the same moment: one wins, whole", async () => {
    const id = await makeCrew();
    const answers = await Promise.all([1, 2, 3].map(() => trainer.send("post", `/api/crews/${id}/people`, { people: samplePeople(20) })));
    expect(answers.map((answer) => answer.status).sort()).toEqual([200, 409, 409]);
    expect((await trainer.get(`/api/crews/${id}/people`)).body).toHaveLength(20);
  });

  it("a last day before the first is refused, the day itself is not", async () => {
    const id = await makeCrew();
    const [person] = samplePeople(1);
    await trainer.send("post", `/api/crews/${id}/people`, { people: [person!] });
    const change = (leftOn: string) =>
      trainer.send("put", `/api/crews/${id}/people/${person!.id}`, {
        version: 1,
        person: { name: "A", badge: null, handedness: null, startedOn: "2026-03-02", leftOn, language: null },
      });
    expect(fieldsOf(await change("2026-03-01"))).toEqual({ "person.leftOn": "is before the first day" });
    expect((await change("2026-03-02")).status).toBe(200);
  });

  it("with runs cannot be removed, without can", async () => {
    const world = await makeWorld(trainer);
    await trainer.send("put", `/api/runs/${uuid()}`, {});
    const run = sampleRun(world);
    await trainer.send("put", `/api/runs/${run.id}`, run);
    const [extra] = samplePeople(1, { badge: null });
    await trainer.send("post", `/api/crews/${world.crewId}/people`, { people: [extra!], answers: [{ id: extra!.id, sameAs: null }] });
    expect((await trainer.send("delete", `/api/crews/${world.crewId}/people/${world.people[0]!.id}`)).body.code).toBe("hasRuns");
    expect((await trainer.send("delete", `/api/crews/${world.crewId}/people/${extra!.id}`)).status).toBe(204);
  });

  it("as CSV: readable by spreadsheets, formulas defused", async () => {
    const id = await makeCrew();
    await trainer.send("post", `/api/crews/${id}/people`, { people: samplePeople(1, { name: "=1+1, Ørsted", badge: null }) });
    const { text, headers } = await trainer.get(`/api/crews/${id}/people.csv`);
    expect(headers["content-type"]).toMatch(/text\/csv/);
    expect(text).toContain("name,badge,handedness,startedOn,leftOn,language");
    expect(text).toContain(`"'=1+1, Ørsted",,right,2024-01-01,`);
  });
});

describe("bodies", () => {
  it("over the limit are refused", async () => {
    const id = await makeCrew();
    const answer = await trainer.send("put", `/api/crews/${id}`, { version: 1, crew: sampleCrew({ place: "x".repeat(300_000) }) });
    expect([answer.status, answer.body.code]).toEqual([413, "tooLarge"]);
  });

  it("that are not JSON are refused", async () => {
    const token = (await trainer.get("/api/me")).body.csrfToken as string;
    const answer = await trainer.agent
      .post("/api/crews")
      .set("x-csrf-token", token)
      .set("content-type", "application/json")
      .send("{ name: ");
    expect([answer.status, answer.body.code]).toEqual([400, "notJson"]);
  });

  it("with a field nobody knows are refused", async () => {
    const answer = await trainer.send("post", "/api/crews", { id: uuid(), crew: { ...sampleCrew(), admin: true } });
    expect(answer.status).toBe(400);
  });
});
