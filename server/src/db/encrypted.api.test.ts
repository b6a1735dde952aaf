/**
 * Health answers in the database: whoever copies its files or a dump reads none of them, nor does the log say any; they open for the
 * server with its keys, also under a new one.
 */
import { emptyRecord } from "@kind-grip/core/baseline";
import { v7 as uuid } from "uuid";
import { QueryTypes, type Model, type ModelStatic } from "sequelize";
import { migrate } from "./migrate";
import { connect } from "./connection";
import { DataKeys, newKey } from "./data-keys";
import { encryptedTables } from "./encrypted";
import { underNewestKey } from "./rewrite-encrypted";
import { emptyDatabase } from "../test/empty-database";
import { BY_TELEPHONE, makeWorld, sampleRun, type SampleWorld } from "../test/samples";
import { TEST_KEYS } from "../test/data-keys";
import { openTestApp, TestTrainer, type TestApp } from "../test/test-app";

const log: string[] = [];
let address: string;
let test: TestApp;
let trainer: TestTrainer;
let world: SampleWorld;
beforeAll(async () => {
  address = await emptyDatabase();
  test = await openTestApp(address, log, undefined, BY_TELEPHONE);
  trainer = await TestTrainer.make(test);
  world = await makeWorld(trainer);
});
afterAll(() => test.close());

/** Words nobody else writes. What is told apart by itself in a list stands with the words around it as JSON has them. */
const SECRETS = {
  roundNote: "zinnober grip since the fall",
  restrictionWords: "zinnober lump at the wrist",
  clearanceNote: "zinnober clearance note",
  givenBy: "Dr Zinnober Falke",
  withdrawn: "zinnober was a mistake",
  reportWords: "zinnober pulling in the thumb",
  reply: "zinnober reply to the person",
  decision: "zinnober reason to overrule",
  note: "zinnober note about the splint",
  fileName: "zinnober-wrist.png",
  telephone: "+15550199911",
  answers: ['"kind":"tingling"', '"sharpPain"', "sharpPain", "numbness", "wristFlexors", '"hypermobility"', "hypermobility"],
};
const PNG = Buffer.from("iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==", "base64");
const crew = () => `/api/crews/${world.crewId}`;
const person = (at = 0) => world.people[at]!.id;

/** Everything of it, as it stands in the files. */
async function everyCell(): Promise<string[]> {
  const names = await test.db.sequelize.query<{ name: string }>(
    "SELECT TABLE_NAME AS name FROM information_schema.TABLES WHERE TABLE_SCHEMA = DATABASE()",
    { type: QueryTypes.SELECT },
  );
  const cells: string[] = [];
  for (const { name } of names)
    for (const row of await test.db.sequelize.query<Record<string, unknown>>(`SELECT * FROM \`${name}\``, { type: QueryTypes.SELECT }))
      for (const [column, value] of Object.entries(row))
        if (value !== null)
          cells.push(
            `${name}.${column}: ${Buffer.isBuffer(value) ? value.toString("latin1") : typeof value === "string" ? value : JSON.stringify(value)}`,
          );
  return cells;
}
const ok = async (answer: Promise<{ status: number; body: unknown }>) => {
  const { status, body } = await answer;
  expect([status < 300, status < 300 ? null : [status, body]]).toEqual([true, null]);
  return body as Record<string, unknown>;
};

it("a whole day of health answers leaves no word in a copied database, and none in the log", async () => {
  const roundId = uuid();
  const now = new Date().toISOString();
  const run = sampleRun(world);
  await ok(trainer.send("put", `/api/runs/${run.id}`, { ...run, startedAt: now, endedAt: now }));
  await ok(trainer.send("post", `${crew()}/rounds`, { id: roundId, name: "First round" }));
  const records = `/api/rounds/${roundId}/people/${person()}`;
  const empty = emptyRecord();
  const record = {
    ...empty,
    safety: { ...empty.safety, hypermobility: true },
    symptoms: [
      {
        id: uuid(),
        side: "left",
        region: "wristFlexors",
        kind: "numbness",
        level: 4,
        since: "2026-03-01",
        nights: "never",
        constant: false,
      },
    ],
    symptomsAsked: true,
    bodyMass: { agreed: true, kg: 73.25 },
    note: SECRETS.roundNote,
  };
  const stored = await trainer.send("put", records, { version: 0, record });
  expect([stored.status, stored.body]).toEqual([200, expect.anything()]);

  const held = await ok(
    trainer.send("post", `${crew()}/restrictions`, { personId: person(), question: "sharpPain", words: SECRETS.restrictionWords }),
  );
  const restriction = (held.restrictions as { id: string }[])[0]!;
  const clearance = {
    id: uuid(),
    restrictionId: restriction.id,
    givenBy: SECRETS.givenBy,
    profession: "hand therapist",
    allows: ["getReady"],
  };
  await ok(
    trainer.send("post", `${crew()}/clearances`, {
      ...clearance,
      from: now.slice(0, 10),
      until: `${Number(now.slice(0, 4)) + 1}-01-01`,
      note: SECRETS.clearanceNote,
    }),
  );
  await ok(trainer.send("post", `/api/clearances/${clearance.id}/withdraw`, { why: SECRETS.withdrawn }));

  const phone = await trainer.member(test, world.crewId, person(1));
  const report = {
    id: uuid(),
    at: now,
    kind: "numbness",
    movementId: null,
    words: SECRETS.reportWords,
    side: "left",
    regions: [],
    stillThere: false,
    freshInjury: null,
  };
  await ok(phone.send("put", `/api/member/symptom-reports/${report.id}`, report));
  const morning = { id: uuid(), day: now.slice(0, 10), level: 7, regions: [], tingling: true, stillThere: true };
  await ok(phone.send("put", `/api/member/check-ins/${morning.id}`, morning));
  await ok(phone.send("put", "/api/member/contacts", { way: "telephone", address: SECRETS.telephone }));
  const [alert] = (await trainer.get("/api/today")).body.alerts as { personId: string; reports: { alertId: string }[] }[];
  await ok(
    trainer.send("post", `${crew()}/people/${alert!.personId}/alerts/answer`, {
      alertIds: alert!.reports.map(({ alertId }) => alertId),
      answer: { answer: "keepPaused", reply: SECRETS.reply },
    }),
  );
  const attachment = { name: SECRETS.fileName, type: "image/png", content: PNG.toString("base64") };
  await ok(trainer.send("post", `${crew()}/people/${person()}/notes`, { id: uuid(), text: SECRETS.note, attachment }));
  // The whole crew as a file, which waits in the database to be fetched.
  await ok(trainer.send("post", `${crew()}/export`, {}));

  const { answers, ...words } = SECRETS;
  const everything = await everyCell();
  expect(everything.length).toBeGreaterThan(300);
  for (const secret of [...Object.values(words), ...answers, "73.25", PNG.toString("latin1").slice(1, 12)])
    expect([secret, everything.filter((cell) => cell.includes(secret))]).toEqual([secret, []]);
  for (const secret of [...Object.values(words), ...answers, "73.25"])
    expect([secret, log.filter((line) => line.includes(secret))]).toEqual([secret, []]);
  expect(log.length).toBeGreaterThan(20);
});

it("opens under its keys alone: others are told at the start which one is missing", async () => {
  const before = TEST_KEYS.currentId!;
  const stranger = connect(address, DataKeys.read(newKey()));
  await expect(migrate(stranger)).rejects.toThrow(`encrypted with the data key ${before}, which is not here`);
  await stranger.sequelize.close();
});

it("is written under a new key while people work, and the key before is needed no more", async () => {
  const next = newKey();
  const both = connect(address, DataKeys.read(`${TEST_KEYS.toText()},${next}`));
  await migrate(both);
  const tables = encryptedTables(Object.values(both.models) as ModelStatic<Model>[]);
  expect(tables.map(({ table }) => table)).toEqual(expect.arrayContaining(["baseline_records", "run_people", "person_notes", "jobs"]));
  expect(await underNewestKey(both.sequelize, both.keys, tables)).toBeGreaterThan(30);
  expect(await underNewestKey(both.sequelize, both.keys, tables)).toBe(0);
  await both.sequelize.close();
  expect((await everyCell()).filter((cell) => cell.includes(`${TEST_KEYS.currentId}.`))).toEqual([]);

  const onlyNext = connect(address, DataKeys.read(next));
  await migrate(onlyNext);
  const rows = await onlyNext.models.Restriction.findAll();
  expect(rows.map((row) => row.get().words).filter(Boolean)).toEqual([SECRETS.restrictionWords]);
  expect((await onlyNext.models.PersonNote.findOne({ rejectOnEmpty: true })).get().content).toEqual(PNG);
  await onlyNext.sequelize.close();
});

it("is not written where its row is not known, nor read from another row", async () => {
  const { Restriction, SymptomReport } = test.db.models;
  await expect(Restriction.update({ words: "plain" }, { where: {} })).rejects.toThrow("without its row");
  await expect(Restriction.findAll({ where: { words: "plain" } })).rejects.toThrow("without its row");
  const other = connect(address, DataKeys.none());
  await expect(other.models.SymptomReport.findAll().then((rows) => rows[0]!.get())).rejects.toThrow("is not here");
  await other.sequelize.close();
  expect(await SymptomReport.count()).toBe(1);
});
