/** What is kept of a person: given to them, forgotten when asked, and when it is old; what keeps somebody from harm never goes before its time. */
import type { KeptOfPerson, KnownRecord, ReportEntry, RetentionEntry } from "@kind-grip/core/api";
import { emptyRecord } from "@kind-grip/core/baseline";
import type { Program } from "@kind-grip/core/program";
import { v7 as uuid } from "uuid";
import { BY_TELEPHONE, makeWorld, samplePeople, sampleRun, seriesFor, type SampleWorld } from "../test/samples";
import { fieldsOf, openTestApp, TestTrainer, type TestApp } from "../test/test-app";
import { keepToRetention } from "./retention";

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
beforeAll(async () => {
  test = await openTestApp(undefined, undefined, undefined, BY_TELEPHONE);
});
beforeEach(async () => {
  trainer = await TestTrainer.make(test);
  world = await makeWorld(trainer);
});
afterAll(() => test.close());

const crew = () => `/api/crews/${world.crewId}`;
const person = (at = 0) => world.people[at]!;
const of = (at = 0) => `${crew()}/people/${person(at).id}`;
const PNG = Buffer.from("iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==", "base64");

/** A day of somebody: measured, in a run with a mark, a morning, a report, a note with a file, an address, their own form. */
async function lived(at = 0) {
  const phone = await trainer.member(test, world.crewId, person(at).id);
  const now = new Date().toISOString();
  const run = sampleRun(world);
  const people = run.people.map((each) => ({
    ...each,
    present: true,
    marks: each.personId === person(at).id ? [{ kind: "tooMuch" as const, itemId: null }] : [],
  }));
  await trainer.send("put", `/api/runs/${run.id}`, { ...run, people, startedAt: now, endedAt: now });
  const roundId = uuid();
  await trainer.send("post", `${crew()}/rounds`, { id: roundId, name: "Spring" });
  await trainer.send("put", `/api/rounds/${roundId}/people/${person(at).id}`, {
    version: 0,
    record: { ...emptyRecord(), note: "measured note" },
  });
  const morning = { id: uuid(), day: now.slice(0, 10), level: 3, regions: [], tingling: false, stillThere: null };
  await phone.send("put", `/api/member/check-ins/${morning.id}`, morning);
  const report = {
    id: uuid(),
    at: now,
    kind: "other",
    movementId: null,
    words: "aches a little",
    side: null,
    regions: [],
    stillThere: null,
    freshInjury: null,
  };
  await phone.send("put", `/api/member/symptom-reports/${report.id}`, report);
  await phone.send("put", "/api/member/contacts", { way: "telephone", address: "+15550100001" });
  const attachment = { name: "wrist.png", type: "image/png", content: PNG.toString("base64") };
  await trainer.send("post", `${of(at)}/notes`, { id: uuid(), text: "a note of mine", attachment });
  await trainer.send("post", `${crew()}/restrictions`, { personId: person(at).id, question: "hotJoint" });
  return { phone, run };
}

describe("everything about me", () => {
  it("is counted on the own phone, and a file with all of it; of nobody else", async () => {
    const { phone, run } = await lived();
    await lived(1);
    // A session says who does which form: of others that is not theirs to know.
    const others = sampleRun(world);
    const items = others.session.items.map((item, i) =>
      i === 0
        ? {
            ...item,
            personal: Object.fromEntries([0, 1].map((at) => [person(at).id, { formId: item.formId, dose: item.dose, loadKg: null }])),
          }
        : item,
    );
    await trainer.send("put", `/api/runs/${others.id}`, { ...others, session: { ...others.session, items } });
    const kept = (await phone.get("/api/member/everything").expect(200)).body as KeptOfPerson;
    const counts = Object.fromEntries(kept.map(({ kind, count }) => [kind, count]));
    expect(counts).toMatchObject({ rounds: 1, mornings: 1, reports: 1, contacts: 1, notes: 1, restrictions: 1, days: 1 });
    expect(kept.find(({ kind }) => kind === "mornings")).toMatchObject({ from: expect.stringMatching(/^\d{4}-\d\d-\d\d$/) });
    const answer = await phone.get("/api/member/everything.json").expect(200);
    expect(answer.headers["content-disposition"]).toContain("everything.kind-grip-person.json");
    const file = JSON.parse(answer.text ?? answer.body.toString()) as Record<string, Record<string, unknown>[]> & { person: object };
    expect(file).toMatchObject({ format: "kind-grip-person", version: 1, person: { id: person().id, name: person().name } });
    expect(file.rounds).toMatchObject([{ round: "Spring", document: { note: "measured note" } }]);
    expect(file.reports).toMatchObject([{ words: "aches a little" }]);
    expect(file.notes).toMatchObject([{ text: "a note of mine", fileName: "wrist.png", content: PNG.toString("base64") }]);
    expect(file.runs!.find(({ runId }) => runId === run.id)).toMatchObject({ marks: [{ kind: "tooMuch" }], sessionName: run.session.name });
    const led = file.runs!.find(({ runId }) => runId === others.id)!.session as Program["sessions"][number];
    expect(Object.keys(led.items[0]!.personal)).toEqual([person().id]);
    const text = JSON.stringify(file);
    expect([text.includes(person(1).id), text.includes(person(1).name)]).toEqual([false, false]);
  });

  it("is handed out by the trainer, which is in the trail; another trainer's person is nobody", async () => {
    await lived();
    expect((await trainer.get(`${of()}/everything.json`)).status).toBe(200);
    expect((await trainer.get(`${crew()}/audit`)).text).toContain("everything of a person, as a file");
    const stranger = await TestTrainer.make(test);
    expect((await stranger.get(`${of()}/everything.json`)).status).toBe(404);
    expect((await trainer.get(`${crew()}/people/${uuid()}/everything.json`)).status).toBe(404);
  });
});

describe("forgetting a person", () => {
  const erase = (name = person().name, at = 0) => trainer.send("post", `${of(at)}/erase`, { name });
  /** What is told of a crew as a whole. */
  const figures = async () => {
    const report = (await trainer.get(`${crew()}/report`)).body as ReportEntry;
    const { weeks } = (await trainer.get(`${crew()}/progress?days=366`)).body as { weeks: unknown };
    const { totals } = (await trainer.get(`${crew()}/runs`)).body as { totals: unknown };
    return { report, weeks, totals };
  };

  it("asks for the name, and takes everything that says who it was and how they were; the crew's figures stand", async () => {
    const { phone, run } = await lived();
    await lived(1);
    const program = (await trainer.get(`${crew()}/programs`)).body[0] as { version: number; program: Program };
    const item = program.program.sessions[0]!.items[0]!;
    const own = { formId: item.formId, dose: item.dose, loadKg: null };
    const sessions = program.program.sessions.map((session, s) =>
      s === 0
        ? { ...session, items: session.items.map((each, i) => (i === 0 ? { ...each, personal: { [person().id]: own } } : each)) }
        : session,
    );
    await trainer.send("put", `/api/programs/${world.programId}`, { version: program.version, program: { ...program.program, sessions } });
    const ledWithForms = { ...sampleRun(world), session: sessions[0]! };
    expect((await trainer.send("put", `/api/runs/${ledWithForms.id}`, ledWithForms)).status).toBe(200);
    const group = { id: uuid(), name: "Early", people: [person().id, person(1).id] };
    await trainer.send("put", `${crew()}/standing-plan`, { version: 0, plan: { groups: [group], series: [seriesFor(world)] } });
    await trainer.send("post", `${crew()}/export`, {});

    expect(fieldsOf(await erase("Somebody Else"))).toEqual({ name: "is not this person's name" });
    const before = await figures();
    expect((await erase()).status).toBe(200);
    expect(await test.db.models.Job.count({ where: { crewId: world.crewId } })).toBe(0);
    expect(await figures()).toEqual(before);

    const people = (await trainer.get(`${crew()}/people`)).body as { id: string; name: string; badge: string | null; isErased?: true }[];
    expect(people.find(({ id }) => id === person().id)).toMatchObject({ name: "Erased person 1", badge: null, isErased: true });
    expect((await phone.get("/api/member/day")).status).toBe(401);
    const whole = JSON.stringify((await trainer.get(`${crew()}/export.json`)).body);
    for (const gone of [`"${person().name}"`, "wrist.png", "+15550100001"])
      expect([gone, whole.split(gone).length - 1 <= 1]).toEqual([gone, true]);
    const file = JSON.parse((await trainer.get(`${of()}/everything.json`)).text) as Record<string, unknown[]>;
    const left = Object.entries(file).filter(([, value]) => Array.isArray(value) && value.length > 0);
    expect(left.map(([kind]) => kind).sort()).toEqual(["days", "readings", "runs"]);
    expect(file.runs).toHaveLength(2);
    expect(file.runs!.every((each) => (each as { marks: unknown }).marks === null)).toBe(true);
    expect(
      (await trainer.get(`/api/runs/${run.id}`)).body.people.find((each: { personId: string }) => each.personId === person().id),
    ).toMatchObject({
      present: true,
      marks: [],
    });
    const after = (await trainer.get(`${crew()}/programs`)).body[0] as { program: Program };
    expect(after.program.sessions[0]!.items[0]!.personal).toEqual({});
    const asLed = (await trainer.get(`/api/runs/${ledWithForms.id}`)).body as { session: Program["sessions"][number] };
    expect(asLed.session.items.map(({ personal }) => personal)).toEqual(asLed.session.items.map(() => ({})));
    expect((await trainer.get(`${crew()}/audit`)).text).toContain("erased for good");

    // Asked for again it is done; they cannot be given a name again.
    expect((await erase()).status).toBe(200);
    const { id, ...was } = person();
    expect((await trainer.send("put", of(), { version: 3, person: { ...was, name: "Back again" } })).status).toBe(404);
    const changes = [{ id, version: 3, person: { ...was, name: "Back again" } }];
    expect(fieldsOf(await trainer.send("post", `${crew()}/people`, { people: [], answers: [], changes }))).toEqual({
      "changes.0.id": "is nobody of this crew",
    });
    expect((await trainer.send("post", `${crew()}/access`, { personIds: [id] })).status).toBe(400);
    expect((await trainer.send("post", `${of()}/notes`, { id: uuid(), text: "still", attachment: null })).status).toBe(404);
  });

  it("what comes late of them says no more than that they were there", async () => {
    await erase();
    const run = sampleRun(world);
    const people = run.people.map((each, i) => (i === 0 ? { ...each, marks: [{ kind: "tingling" as const, itemId: null }] } : each));
    expect((await trainer.send("put", `/api/runs/${run.id}`, { ...run, people })).status).toBe(200);
    const stored = await test.db.models.RunPerson.findOne({ where: { runId: run.id, personId: person().id }, rejectOnEmpty: true });
    expect(stored.get()).toMatchObject({ markCount: 0, marks: [] });
    expect(await test.db.models.SymptomAlert.count({ where: { personId: person().id } })).toBe(0);
  });

  it("says where the same name is in another crew, and is nobody else's to do", async () => {
    const other = await makeWorld(trainer);
    const { elsewhere } = (await erase()).body as { elsewhere: { crewId: string; name: string }[] };
    expect(elsewhere).toContainEqual(expect.objectContaining({ crewId: other.crewId, name: person().name }));
    const stranger = await TestTrainer.make(test);
    expect((await stranger.send("post", `${of(1)}/erase`, { name: person(1).name })).status).toBe(404);
    const lead = await trainer.staff(test, "lead", [world.crewId]);
    expect((await lead.send("post", `${of(1)}/erase`, { name: person(1).name })).status).toBe(403);
  });
});

describe("what is old", () => {
  const YEARS_AGO = new Date(Date.now() - 3 * 366 * 86_400_000);
  const clock = () => Promise.resolve(new Date());
  const rules = { healthMonths: 12, runsMonths: null, trailMonths: null };
  const set = (change: object = {}, version = 0) =>
    trainer.send("put", "/api/practice/retention", { version, rules: { ...rules, ...change } });
  const entry = async () => (await trainer.get("/api/practice/retention")).body as RetentionEntry;
  /** Everything of the crew as if it had been years ago. */
  const age = async (at = YEARS_AGO) => {
    const { models } = test.db;
    const where = { crewId: world.crewId };
    const day = at.toISOString().slice(0, 10);
    await models.CheckIn.update({ day, at }, { where });
    await models.SymptomReport.update({ at }, { where });
    await models.SymptomAlert.update({ since: at }, { where });
    await models.Restriction.update({ since: at }, { where });
    await models.PersonNote.update({ at }, { where });
    await models.Run.update({ startedAt: at, endedAt: at }, { where });
    await models.PersonDay.update({ day }, { where });
    await models.Round.update({ startedOn: day, closedAt: at }, { where });
  };
  /** In a later round, with nothing asked. @returns the round */
  const measuredAgain = async () => {
    const later = uuid();
    await trainer.send("post", `${crew()}/rounds`, { id: later, name: "Autumn" });
    await trainer.send("put", `/api/rounds/${later}/people/${person().id}`, { version: 0, record: emptyRecord() });
    return later;
  };
  const counts = async () => {
    const { models } = test.db;
    const where = { crewId: world.crewId };
    const count = (table: unknown) => (table as typeof models.CheckIn).count({ where });
    return {
      mornings: await count(models.CheckIn),
      reports: await count(models.SymptomReport),
      notes: await count(models.PersonNote),
      restrictions: await count(models.Restriction),
      runs: await count(models.Run),
      days: await count(models.PersonDay),
    };
  };

  it("is kept as long as the practice says, at least half a year; nothing goes without rules", async () => {
    await lived();
    await age();
    const before = await counts();
    expect(await entry()).toMatchObject({ version: 0, rules: { healthMonths: null }, doneOn: null });
    await keepToRetention(test.db, clock);
    expect(await counts()).toEqual(before);
    expect(fieldsOf(await set({ healthMonths: 5 }))).toEqual({ "rules.healthMonths": "must be at least 6 months" });
    expect(fieldsOf(await set({ trailMonths: 11, runsMonths: 11 }))).toEqual({
      "rules.runsMonths": "must be at least 12 months",
      "rules.trailMonths": "must be at least 12 months",
    });
    expect((await set()).body).toMatchObject({ version: 1, setByName: "Test" });
    expect((await set({ healthMonths: 24 })).status).toBe(409);
  });

  it("goes once a day, with a line in the trail; what still keeps somebody out stays", async () => {
    await lived();
    // An alert nobody has answered: what it came from stays with it.
    const phone = await trainer.member(test, world.crewId, person(1).id);
    const sharp = {
      id: uuid(),
      at: new Date().toISOString(),
      kind: "sharpPain",
      movementId: null,
      words: "sharp",
      side: null,
      regions: [],
      stillThere: null,
      freshInjury: null,
    };
    await phone.send("put", `/api/member/symptom-reports/${sharp.id}`, sharp);
    await age();
    await test.db.models.SymptomAlert.update(
      { answeredAt: YEARS_AGO, endedAt: YEARS_AGO },
      { where: { crewId: world.crewId, personId: person().id } },
    );
    await set();
    expect(await keepToRetention(test.db, clock)).toBeGreaterThan(0);
    expect(await counts()).toEqual({ mornings: 0, reports: 1, notes: 0, restrictions: 1, runs: 1, days: expect.any(Number) });
    const participation = (await trainer.get(`${crew()}/participation`)).body as { personId: string; heldOut: boolean; paused?: unknown }[];
    expect(participation.find(({ personId }) => personId === person().id)?.heldOut).toBe(true);
    expect((await trainer.get(`${crew()}/audit`)).text).toMatch(/removed as old: [^"]*1 mornings/);
    expect((await entry()).doneOn).toBe(new Date().toISOString().slice(0, 10));
    expect(await keepToRetention(test.db, clock)).toBe(0);
    // The last record of somebody who is here says what is usual for them.
    expect(await test.db.models.Baseline.count({ where: { personId: person().id } })).toBe(1);
  });

  it("of two days one side of the line stays and the other goes", async () => {
    const phone = await trainer.member(test, world.crewId, person().id);
    const morning = { id: uuid(), day: new Date().toISOString().slice(0, 10), level: 3, regions: [], tingling: false, stillThere: null };
    await phone.send("put", `/api/member/check-ins/${morning.id}`, morning);
    await set();
    const now = new Date("2026-11-28T12:00:00Z");
    const dayOf = (day: string) => test.db.models.CheckIn.update({ day }, { where: { crewId: world.crewId } });
    await dayOf("2025-11-28");
    await keepToRetention(test.db, () => Promise.resolve(now));
    expect((await counts()).mornings).toBe(1);
    await dayOf("2025-11-27");
    await keepToRetention(test.db, () => Promise.resolve(new Date("2026-11-29T00:00:00Z")));
    expect((await counts()).mornings).toBe(0);
  });

  it("runs go with everything in them, and the trail by whole sealed segments", async () => {
    await lived();
    await age();
    await set({ healthMonths: null, runsMonths: 24 });
    await keepToRetention(test.db, clock);
    expect(await counts()).toMatchObject({ runs: 0, days: 0, mornings: 1, notes: 1 });
    expect(await test.db.models.RunPerson.count({ where: { personId: person().id } })).toBe(0);
  });

  it("who left and comes back after years is held out as before", async () => {
    await lived();
    await age();
    await test.db.models.Person.update({ leftOn: "2024-01-05" }, { where: { id: person().id } });
    await set();
    await keepToRetention(test.db, clock);
    expect(await test.db.models.Baseline.count({ where: { personId: person().id } })).toBe(0);
    expect((await counts()).restrictions).toBe(1);
    await test.db.models.Person.update({ leftOn: null }, { where: { id: person().id } });
    const participation = (await trainer.get(`${crew()}/participation`)).body as { personId: string; heldOut: boolean }[];
    expect(participation.find(({ personId }) => personId === person().id)?.heldOut).toBe(true);
  });

  it("a restriction that was withdrawn goes, one day after its time and not before", async () => {
    await trainer.send("post", `${crew()}/restrictions`, { personId: person().id, question: "hotJoint" });
    await set();
    const withdrawn = (at: string) => test.db.models.Restriction.update({ withdrawnAt: new Date(at) }, { where: { crewId: world.crewId } });
    await withdrawn("2025-11-28T12:00:00Z");
    await keepToRetention(test.db, () => Promise.resolve(new Date("2026-11-28T12:00:00Z")));
    expect((await counts()).restrictions).toBe(1);
    await withdrawn("2025-11-28T11:59:59Z");
    await keepToRetention(test.db, () => Promise.resolve(new Date("2026-11-29T11:59:59Z")));
    expect((await counts()).restrictions).toBe(0);
  });

  it("a later record that asked less does not take the place of one before", async () => {
    await lived();
    const first = (await test.db.models.Baseline.findOne({ where: { personId: person().id }, rejectOnEmpty: true })).get();
    await trainer.send("put", `/api/rounds/${first.roundId}/people/${person().id}`, {
      version: 1,
      record: { ...emptyRecord(), symptomsAsked: true },
    });
    await age();
    await measuredAgain();
    await set();
    await keepToRetention(test.db, clock);
    expect(await test.db.models.Baseline.count({ where: { personId: person().id } })).toBe(2);
  });

  it("what was measured once stays until it is measured again, in whichever rounds that was", async () => {
    await lived();
    const first = (await test.db.models.Baseline.findOne({ where: { personId: person().id }, rejectOnEmpty: true })).get();
    const reading = (kg: number) => ({ kg, faults: [], from: "typed" as const });
    const grip = { left: [reading(30)], right: [reading(33)] };
    const save = (roundId: string, version: number, record: object) =>
      trainer.send("put", `/api/rounds/${roundId}/people/${person().id}`, { version, record: { ...emptyRecord(), ...record } });
    expect((await save(first.roundId, 1, { symptomsAsked: true, grip })).status).toBe(200);
    await age();
    const later = await measuredAgain();
    expect((await save(later, 1, { symptomsAsked: true })).status).toBe(200);
    await set();
    await keepToRetention(test.db, clock);
    const known = async () =>
      ((await trainer.get(`${crew()}/known-records`)).body as KnownRecord[]).find(({ personId }) => personId === person().id)!.record;
    expect((await known()).grip).toEqual(grip);
    // Measured again, the old one has nothing that is known by it.
    const anew = { left: [reading(31)], right: [reading(34)] };
    expect((await save(later, 2, { symptomsAsked: true, grip: anew })).status).toBe(200);
    await test.db.models.Retention.update({ doneOn: null }, { where: {} });
    await keepToRetention(test.db, clock);
    expect((await test.db.models.Baseline.findAll({ where: { personId: person().id } })).map((row) => row.get().roundId)).toEqual([later]);
    expect((await known()).grip).toEqual(anew);
  });

  it("records of closed rounds go where there is a later one, or the person is long gone", async () => {
    await lived();
    await age();
    const later = await measuredAgain();
    await set();
    await keepToRetention(test.db, clock);
    const rows = await test.db.models.Baseline.findAll({ where: { personId: person().id } });
    expect(rows.map((row) => row.get().roundId)).toEqual([later]);
  });
});

it("somebody new in a crew has nothing kept of them but who they are", async () => {
  const [fresh] = samplePeople(1, { name: "Fresh Face", badge: null });
  await trainer.send("post", `${crew()}/people`, { people: [fresh], answers: [] });
  const phone = await trainer.member(test, world.crewId, fresh!.id);
  const kept = (await phone.get("/api/member/everything")).body as KeptOfPerson;
  expect(kept.map(({ kind }) => kind).filter((kind) => kind !== "readings")).toEqual([]);
});
