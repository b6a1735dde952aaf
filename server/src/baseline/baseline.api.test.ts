import { emptyRecord, type BaselineRecord } from "@kind-grip/core/baseline";
import type { KnownRecord } from "@kind-grip/core/api";
import { addDays } from "@kind-grip/core/calendar";
import { v7 as uuid } from "uuid";
import { symptomHistory, symptomsOn } from "../safety/participations";
import { makeWorld, type SampleWorld } from "../test/samples";
import { fieldsOf, openTestApp, TestTrainer, type TestApp } from "../test/test-app";

let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
let roundId: string;
beforeAll(async () => {
  test = await openTestApp();
  trainer = await TestTrainer.make(test);
});
beforeEach(async () => {
  world = await makeWorld(trainer);
  roundId = uuid();
  await trainer.send("post", `/api/crews/${world.crewId}/rounds`, { id: roundId, name: "Spring" });
});
afterAll(() => test.close());

const ACHE = { side: "left", region: "thumbBase", kind: "ache", level: 4, since: "2026-03-01", nights: "never", constant: false } as const;
const save = (person: number, record: BaselineRecord, version = 0) =>
  trainer.send("put", `/api/rounds/${roundId}/people/${world.people[person]!.id}`, { version, record });
const records = async () => (await trainer.get(`/api/rounds/${roundId}/records`)).body as { personId: string; record: BaselineRecord }[];
const withSafety = (answers: Partial<BaselineRecord["safety"]>): BaselineRecord => ({
  ...emptyRecord(),
  safety: { ...emptyRecord().safety, ...answers },
});
const restrictions = async () =>
  (await trainer.get(`/api/crews/${world.crewId}/held-out`)).body.restrictions as {
    personId: string;
    question: string;
    withdrawnAt: string | null;
  }[];

it("what was measured of a person goes to a therapist as FHIR, which is in the trail; another trainer's person is nobody", async () => {
  const record = withSafety({ chestPain: false });
  record.range.wristFlexion.left.active = 75;
  await save(0, record);
  const at = `/api/crews/${world.crewId}/people/${world.people[0]!.id}/fhir.json`;
  const { headers, text, body } = await trainer.get(at).buffer(true).expect(200);
  expect(headers["content-type"]).toContain("application/fhir+json");
  const { entry } = JSON.parse(text ?? (body as Buffer).toString()) as { entry: { resource: { resourceType: string } }[] };
  expect(entry.map(({ resource }) => resource.resourceType)).toEqual(["Patient", "Observation", "QuestionnaireResponse"]);
  expect((await trainer.get(`/api/crews/${world.crewId}/audit`)).text).toContain("measurements as FHIR");
  expect((await (await TestTrainer.make(test)).get(at)).status).toBe(404);
  expect((await trainer.get(at.replace(world.people[0]!.id, uuid()))).status).toBe(404);
});

it("what somebody feels counts from the day they were asked, not from the first day of their round; put right later it keeps that day", async () => {
  const [me, today] = [world.people[0]!.id, new Date().toISOString().slice(0, 10)];
  const said = (level: number) => ({ ...emptyRecord(), symptoms: [{ ...ACHE, id: uuid(), level }], symptomsAsked: true });
  const usual = async (day: string) =>
    symptomsOn(await symptomHistory(test.db, { crewId: world.crewId, personId: me }), day).map(({ level }) => level);
  await save(0, said(1));
  await test.db.models.Round.update({ startedOn: addDays(today, -40) }, { where: { id: roundId } });
  // Stored by a version that did not note the day.
  await test.db.models.Baseline.update({ symptomsAskedOn: null }, { where: { roundId, personId: me } });
  roundId = uuid();
  await trainer.send("post", `/api/crews/${world.crewId}/rounds`, { id: roundId, name: "Summer" });
  await test.db.models.Round.update({ startedOn: addDays(today, -20) }, { where: { id: roundId } });
  await save(0, emptyRecord());
  expect(await usual(today)).toEqual([1]);
  await save(0, said(5), 1);
  expect([await usual(addDays(today, -1)), await usual(today)]).toEqual([[1], [5]]);
  await test.db.models.Baseline.update({ symptomsAskedOn: addDays(today, -3) }, { where: { roundId, personId: me } });
  await save(0, said(4), 2);
  expect([await usual(addDays(today, -4)), await usual(addDays(today, -3))]).toEqual([[1], [4]]);
});

it("what all rounds found of each: a round that was only begun takes nothing away, a second sitting adds nothing, and the look is in the trail", async () => {
  const at = `/api/crews/${world.crewId}/known-records`;
  const known = async () => (await trainer.get(at)).body as KnownRecord[];
  expect(await known()).toEqual([]);
  const spring = { ...emptyRecord(), symptomsAsked: true };
  spring.range.wristFlexion = { left: { active: 40, assisted: null }, right: { active: 75, assisted: null } };
  await save(0, spring);
  await save(1, emptyRecord());
  await test.db.models.Round.update({ startedOn: "2026-01-05" }, { where: { id: roundId } });
  expect(await known()).toMatchObject([{ personId: world.people[0]!.id, measuredOn: "2026-01-05", record: { range: spring.range } }]);
  const first = roundId;
  const round = async (repeats: string | null) => {
    roundId = uuid();
    const { status } = await trainer.send("post", `/api/crews/${world.crewId}/rounds`, { id: roundId, name: "Next", repeats });
    expect(status).toBeLessThan(300);
  };
  await round(null);
  expect(await known()).toMatchObject([{ measuredOn: "2026-01-05", record: { symptomsAsked: true, range: spring.range } }]);
  const asked = { ...emptyRecord(), symptoms: [{ ...ACHE, id: uuid() }], symptomsAsked: true };
  await save(0, asked);
  const [now] = await known();
  expect(now).toMatchObject({ record: { symptoms: [{ level: 4 }], range: spring.range } });
  expect(now!.measuredOn > "2026-01-05").toBe(true);
  const before = async (id: string) => trainer.get(`${at}?before=${id}`);
  expect((await before(roundId)).body).toMatchObject([{ measuredOn: "2026-01-05", record: { symptoms: [], range: spring.range } }]);
  expect((await before(first)).body).toEqual([]);
  expect((await before(uuid())).status).toBe(404);
  await round(first);
  const again = { ...emptyRecord() };
  again.range.wristFlexion = { left: { active: 44, assisted: null }, right: { active: 71, assisted: null } };
  expect((await save(0, again)).status).toBe(200);
  expect(await known()).toEqual([now]);
  expect((await trainer.get(`/api/crews/${world.crewId}/audit`)).text).toContain("what all rounds found");
  expect((await (await TestTrainer.make(test)).get(at)).status).toBe(404);
});

describe("rounds", () => {
  it("are made once, listed with how far they are, and closed", async () => {
    await trainer.send("post", `/api/crews/${world.crewId}/rounds`, { id: roundId, name: "Spring" });
    await save(0, withSafety({ chestPain: false }));
    const list = (await trainer.get(`/api/crews/${world.crewId}/rounds`)).body;
    expect(list).toMatchObject([{ id: roundId, name: "Spring", closed: false, begun: 1, finished: 0 }]);
    expect((await trainer.send("put", `/api/rounds/${roundId}`, { name: "Spring 26", closed: true })).body).toMatchObject({
      name: "Spring 26",
      closed: true,
    });
    const late = await save(1, withSafety({ chestPain: false }));
    expect([late.status, late.body.code]).toEqual([409, "closed"]);
  });
  it("as CSV: a row for each who has a record, what was answered with yes, means of the grip; and the export is in the trail", async () => {
    const record = withSafety({ chestPain: false, hotJoint: true });
    record.symptomsAsked = true;
    record.symptoms = [
      { id: uuid(), side: "left", region: "thumbBase", kind: "ache", level: 4, since: "2026-03-01", nights: "never", constant: false },
    ];
    record.range.wristFlexion.left.active = 75;
    record.grip.right = [30, 34].map((kg) => ({ kg, faults: [], from: "typed" }));
    expect((await save(0, record)).status).toBe(200);
    const { text, headers } = await trainer.get(`/api/rounds/${roundId}/records.csv`).expect(200);
    expect(headers["content-disposition"]).toContain("Spring.csv");
    const [head, ...rows] = text
      .replace("\uFEFF", "")
      .trim()
      .split("\r\n")
      .map((line: string) => line.split(","));
    expect(rows).toHaveLength(1);
    const cell = (name: string) => rows[0]![head!.indexOf(name)];
    expect(["name", "safetyYes", "symptoms", "wristFlexion left active deg", "grip left kg", "grip right kg"].map(cell)).toEqual([
      world.people[0]!.name,
      "hotJoint",
      "thumbBase left 4",
      "75",
      "",
      "32",
    ]);
    const { entries } = (await trainer.get(`/api/crews/${world.crewId}/audit`)).body as { entries: { subject: string; what: string }[] };
    expect(entries.find(({ subject }) => subject === "export")?.what).toMatch(/^round .* as CSV$/);
  });
  it("of an earlier version, that did not store how far its records are, are counted all the same, and stored from then on", async () => {
    await save(0, emptyRecord());
    await save(1, withSafety({ chestPain: false }));
    const stored = async () =>
      (await test.db.models.Baseline.findAll({ where: { roundId }, order: ["progress"], attributes: ["progress"] })).map(
        (row) => row.get().progress,
      );
    expect(await stored()).toEqual(["begun", "empty"]);
    await test.db.models.Baseline.update({ progress: null }, { where: { roundId } });
    const { body } = await trainer.get(`/api/crews/${world.crewId}/rounds`);
    expect(body).toMatchObject([{ id: roundId, begun: 1, finished: 0 }]);
    expect(await stored()).toEqual(["begun", "empty"]);
  });
  it("go only while nothing was entered", async () => {
    const spare = uuid();
    await trainer.send("post", `/api/crews/${world.crewId}/rounds`, { id: spare, name: "By mistake" });
    expect((await trainer.send("delete", `/api/rounds/${spare}`)).status).toBe(204);
    await save(0, withSafety({ chestPain: false }));
    expect((await trainer.send("delete", `/api/rounds/${roundId}`)).body.code).toBe("hasRecords");
  });
});

describe("records", () => {
  it("half filled are kept as they are, and gone on with", async () => {
    const half = withSafety({ freshInjury: false });
    expect((await save(0, half)).body).toMatchObject({ version: 1, record: half });
    const more = { ...half, grip: { ...half.grip, left: [{ kg: 31.4, faults: [], from: "typed" as const }] } };
    await save(0, more, 1);
    expect((await records()).map(({ record }) => record)).toEqual([more]);
  });
  it("the same save sent twice is one; an older one is refused with the newer", async () => {
    const record = withSafety({ freshInjury: false });
    await save(0, record);
    expect((await save(0, record)).body.version).toBe(1);
    const late = await save(0, withSafety({ hotJoint: false }));
    expect([late.status, late.body.detail.record]).toEqual([409, record]);
  });
  it("bad figures are named and nothing is stored", async () => {
    const record = emptyRecord();
    record.range.wristFlexion.left = { active: 60, assisted: 40 };
    record.grip.right = [{ kg: 400, faults: [], from: "typed" }];
    expect(fieldsOf(await save(0, record))).toEqual({
      "record.range.wristFlexion.left.assisted": "is less than without help",
      "record.grip.right.0.kg": "must be 0 to 120 kg",
    });
    expect(await records()).toEqual([]);
  });
  it("a bad answer is not said back", async () => {
    const answer = await save(0, { ...emptyRecord(), safety: { chestPain: "my secret answer" } } as never);
    expect(answer.status).toBe(400);
    expect(answer.text).not.toContain("secret");
  });
  it("somebody of another crew has none here", async () => {
    const other = await makeWorld(trainer);
    const answer = await trainer.send("put", `/api/rounds/${roundId}/people/${other.people[0]!.id}`, { version: 0, record: emptyRecord() });
    expect(fieldsOf(answer)).toEqual({ personId: "is not in this crew" });
  });
  it("keep a person from being removed as if they had never been", async () => {
    await save(0, withSafety({ chestPain: false }));
    expect((await trainer.send("delete", `/api/crews/${world.crewId}/people/${world.people[0]!.id}`)).body.code).toBe("hasRecords");
  });
});

describe("answers that mean stop", () => {
  it("hold out in the same moment, once, and stay when the answer is taken back", async () => {
    await save(0, withSafety({ chestPain: true, anticoagulants: true }));
    await save(0, withSafety({ chestPain: true, anticoagulants: true, tapeReaction: false }), 1);
    await save(0, withSafety({ chestPain: false }), 2);
    expect((await restrictions()).map(({ personId, question }) => [personId, question]).sort()).toEqual(
      ["anticoagulants", "chestPain"].map((question) => [world.people[0]!.id, question]),
    );
  });
  it("a symptom map that means lasting numbness holds out too", async () => {
    const symptom = {
      id: uuid(),
      side: "left",
      region: "thumbBase",
      kind: "numbness",
      level: 4,
      since: null,
      nights: "mostNights",
      constant: false,
    } as const;
    await save(1, { ...emptyRecord(), symptoms: [symptom], symptomsAsked: true });
    expect(await restrictions()).toMatchObject([{ personId: world.people[1]!.id, question: "lastingNumbness" }]);
  });
  it("two trainers' screens saying it at the same moment hold out once", async () => {
    await Promise.all([0, 1].map(() => save(0, withSafety({ chestPain: true }))));
    expect(await restrictions()).toHaveLength(1);
  });
  it("said again in a later round after a clearance holds again; a standing condition stays cleared", async () => {
    await save(0, withSafety({ hotJoint: true, knownEntrapment: true }));
    for (const { id } of (await restrictions()) as unknown as { id: string }[])
      await trainer
        .send("post", `/api/crews/${world.crewId}/clearances`, {
          id: uuid(),
          restrictionId: id,
          givenBy: "A. Clinician",
          profession: "Physician",
          allows: ["getReady", "mobility", "stretch", "glide", "strengthen", "release"],
          from: "2020-01-01",
          until: new Date(Date.now() + 86_400_000 * 30).toISOString().slice(0, 10),
          note: null,
        })
        .then(({ status }) => expect(status).toBe(400));
    const from = new Date().toISOString().slice(0, 10);
    for (const { id } of (await restrictions()) as unknown as { id: string }[])
      await trainer.send("post", `/api/crews/${world.crewId}/clearances`, {
        id: uuid(),
        restrictionId: id,
        givenBy: "A. Clinician",
        profession: "Physician",
        allows: ["getReady", "mobility", "stretch", "glide", "strengthen", "release"],
        from,
        until: new Date(Date.now() + 86_400_000 * 30).toISOString().slice(0, 10),
        note: null,
      });
    const heldOut = async () =>
      ((await trainer.get(`/api/crews/${world.crewId}/participation`)).body as { heldOut: boolean }[]).map((each) => each.heldOut);
    expect(await heldOut()).toEqual([]);
    roundId = uuid();
    await trainer.send("post", `/api/crews/${world.crewId}/rounds`, { id: roundId, name: "Autumn" });
    await save(0, withSafety({ hotJoint: true, knownEntrapment: true }));
    expect(await heldOut()).toEqual([true]);
    expect((await restrictions()).map(({ question }) => question).sort()).toEqual(["hotJoint", "hotJoint", "knownEntrapment"]);
  });
});

it("another trainer, of the same practice too, sees and changes nothing of it", async () => {
  await save(0, withSafety({ chestPain: true }));
  const [{ id: restrictionId }] = (await restrictions()) as unknown as [{ id: string }];
  const practiceId = (await test.db.models.Account.findOne({ where: { email: trainer.email } }))!.get().practiceId;
  const colleague = await TestTrainer.make(test, practiceId);
  const crew = `/api/crews/${world.crewId}`;
  for (const path of [
    `${crew}/rounds`,
    `${crew}/held-out`,
    `${crew}/participation`,
    `${crew}/audit`,
    `/api/rounds/${roundId}/records`,
    `/api/restrictions/${restrictionId}/referral.pdf`,
  ])
    expect([path, (await colleague.get(path)).status]).toEqual([path, 404]);
  const attempts: [method: "put" | "post" | "delete", path: string, body?: object][] = [
    ["put", `/api/rounds/${roundId}/people/${world.people[0]!.id}`, { version: 1, record: emptyRecord() }],
    ["put", `/api/rounds/${roundId}`, { name: "Mine", closed: true }],
    ["delete", `/api/rounds/${roundId}`],
    ["post", `${crew}/rounds`, { id: uuid(), name: "Mine" }],
    ["post", `${crew}/restrictions`, { personId: world.people[1]!.id, question: "chestPain" }],
    ["post", `/api/restrictions/${restrictionId}/withdraw`, { why: "because" }],
  ];
  for (const [method, path, body] of attempts) expect([path, (await colleague.send(method, path, body)).status]).toEqual([path, 404]);
});

describe("the trail", () => {
  const trail = async () =>
    (await trainer.get(`/api/crews/${world.crewId}/audit`)).body.entries as {
      act: string;
      subject: string;
      what: string;
      times: number;
      personId: string | null;
      by: string;
    }[];
  it("says who saw and changed what of whom, and never what was answered", async () => {
    await save(0, withSafety({ chestPain: true }));
    await records();
    await records();
    await restrictions();
    expect((await trail()).map(({ act, subject, what, times, personId }) => [act, subject, what, times, personId])).toEqual([
      ["saw", "restriction", "holds and clearances", 1, null],
      ["saw", "baseline", expect.stringMatching(/^round \d/), 2, null],
      ["changed", "baseline", "safety answers", 1, world.people[0]!.id],
      ["changed", "restriction", "raised", 1, world.people[0]!.id],
    ]);
    expect(JSON.stringify(await trail())).not.toMatch(/chest/i);
  });
  it("names the parts that changed and no others", async () => {
    const record = emptyRecord();
    await save(0, record);
    record.range.palmUp.left.active = 70;
    record.symptomsAsked = true;
    await save(0, record, 1);
    expect((await trail()).map(({ what }) => what)).toEqual(["symptoms, range"]);
  });
});
