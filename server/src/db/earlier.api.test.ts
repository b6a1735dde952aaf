/** Databases of each earlier version of the product, as they were, opened with today's. */
import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { libraryOf } from "@kind-grip/core/library";
import { programProblems } from "@kind-grip/core/program";
import { compileGroup } from "@kind-grip/core/session";
import { QueryTypes, type Model, type ModelStatic } from "sequelize";
import request from "supertest";
import { hashPassword } from "../auth/password";
import { connect, type Db } from "./connection";
import { encryptedTables } from "./encrypted";
import { migrate } from "./migrate";
import { practiceLibrary } from "../library/practice-library";
import { TEST_KEYS } from "../test/data-keys";
import { emptyDatabase, fillDatabase } from "../test/empty-database";
import { openTestApp, PASSWORD, TestCaller, type TestApp } from "../test/test-app";

const FOLDER = path.resolve(__dirname, "../test/earlier");
const FILES = readdirSync(FOLDER)
  .filter((name) => name.endsWith(".sql"))
  .sort();

/** A database of its own with what a dump says, and its address. */
async function restored(file: string): Promise<string> {
  const address = await emptyDatabase();
  await fillDatabase(address, readFileSync(path.join(FOLDER, file), "utf8"));
  return address;
}

/** Columns that are encrypted and hold something that is not. */
async function plainValues({ sequelize, models }: Db): Promise<string[]> {
  const found: string[] = [];
  const tables = "SELECT TABLE_NAME AS name FROM information_schema.TABLES WHERE TABLE_SCHEMA = DATABASE()";
  const there = (await sequelize.query<{ name: string }>(tables, { type: QueryTypes.SELECT })).map(({ name }) => name);
  for (const { table, columns } of encryptedTables(Object.values(models) as ModelStatic<Model>[]).filter(({ table }) =>
    there.includes(table),
  ))
    for (const column of columns) {
      const sql = `SELECT \`${column}\` AS value FROM \`${table}\` WHERE \`${column}\` NOT REGEXP '^[0-9a-f]{8}[.]' LIMIT 1`;
      if ((await sequelize.query(sql, { type: QueryTypes.SELECT })).length > 0) found.push(`${table}.${column}`);
    }
  return found;
}

it("killed while it encrypts what was there, it goes on at the next start", async () => {
  const address = await restored(FILES.at(-1)!);
  const broken = connect(address, TEST_KEYS);
  const ask = broken.sequelize.query.bind(broken.sequelize) as (...all: unknown[]) => Promise<unknown>;
  let encrypted = 0;
  broken.sequelize.query = ((...all: unknown[]) => {
    if (/SET `\w+` = :becomes/.test(String(all[0])) && ++encrypted > 7) return Promise.reject(new Error("killed"));
    return ask(...all);
  }) as typeof broken.sequelize.query;
  await expect(migrate(broken)).rejects.toThrow("killed");
  expect(await plainValues(broken)).not.toEqual([]);
  await broken.sequelize.close();
  const db = connect(address, TEST_KEYS);
  expect((await migrate(db))[0]).toBe("0034-encrypted");
  expect(await plainValues(db)).toEqual([]);
  for (const model of [db.models.Baseline, db.models.RunPerson, db.models.Restriction, db.models.SymptomReport])
    for (const row of await (model as ModelStatic<Model>).findAll()) expect(row.get({ plain: true })).toBeDefined();
  await db.sequelize.close();
});

it("there is one of every version before this one", () => expect(FILES.length).toBeGreaterThanOrEqual(5));

describe.each(FILES)("%s", (file) => {
  let test: TestApp;
  let maren: TestCaller;
  let crewId: string;
  beforeAll(async () => {
    test = await openTestApp(await restored(file));
    const trainer = (await test.db.models.Account.findOne({ where: { email: "maren@fernhollow.example" }, rejectOnEmpty: true })).get();
    const crew = (await test.db.models.Crew.findAll())[0]!.get();
    // Whoever the crew was of: it is looked at as its trainer.
    const owner = (await test.db.models.Account.findByPk(crew.trainerId, { rejectOnEmpty: true })).get();
    await test.db.models.Account.update({ passwordHash: await hashPassword(PASSWORD) }, { where: { id: [owner.id, trainer.id] } });
    maren = await TestCaller.signedIn(test, "/api/sign-in", { email: owner.email, password: PASSWORD });
    crewId = crew.id;
  });
  afterAll(() => test.close());

  it("opens, and every screen's answer is of today's shape", async () => {
    // Answers are held against their schemas in tests: one of an old shape would be a 500.
    const paths = ["/api/today", "/api/crews", "/api/movements", "/api/practice/settings", "/api/practice/staff"];
    const ofCrew = ["", "/people", "/programs", "/runs", "/work", "/rounds", "/participation", "/held-out", "/audit", "/decisions?all=yes"];
    const more = ["/decisions/history", "/progress?days=366", "/report", "/review", "/access", "/absences", "/calendar-links", "/messages"];
    for (const call of [...paths, ...[...ofCrew, ...more].map((rest) => `/api/crews/${crewId}${rest}`)])
      expect([call, (await maren.get(call)).status]).toEqual([call, 200]);
    for (const { id } of (await maren.get(`/api/crews/${crewId}/runs`)).body.runs as { id: string }[])
      expect((await maren.get(`/api/runs/${id}`)).status).toBe(200);
    for (const { id } of (await maren.get(`/api/crews/${crewId}/rounds`)).body as { id: string }[])
      expect((await maren.get(`/api/rounds/${id}/records`)).status).toBe(200);
    const weeks = await test.db.models.WeekPlan.findAll({ where: { crewId } });
    for (const week of weeks)
      expect((await maren.get(`/api/crews/${crewId}/plan/${week.get().weekStart}`)).body.placements).toBeInstanceOf(Array);
    expect((await maren.get(`/api/crews/${crewId}/export.json`)).status).toBe(200);
  });

  it("its programs can be led, changed and saved with today's product", async () => {
    const [entry] = (await maren.get(`/api/crews/${crewId}/programs`)).body;
    const account = (await test.db.models.Account.findOne({ rejectOnEmpty: true })).get();
    const library = await practiceLibrary(test.db, account.practiceId);
    expect(programProblems(library, entry.program)).toEqual([]);
    for (const session of entry.program.sessions) expect(compileGroup(session, library.timings, []).totalSec).toBeGreaterThan(0);
    const program = { ...entry.program, name: "Renamed" };
    const saved = await maren.send("put", `/api/programs/${entry.id}`, { version: entry.version, program });
    expect([saved.status, saved.body.version, saved.body.program.name]).toEqual([200, entry.version + 1, "Renamed"]);
  });

  it("keeps the movements the practice made", async () => {
    const entries = (await maren.get("/api/movements")).body as { custom: Parameters<typeof libraryOf>[0][number] }[];
    const rows = await test.db.models.CustomMovement.count();
    expect(entries).toHaveLength(rows);
    for (const { custom } of entries) expect(libraryOf([custom]).figure(custom.movement.id)).toEqual(custom.figure);
  });

  it("answers to questions that were called otherwise are answers to today's", async () => {
    const dump = readFileSync(path.join(FOLDER, file), "utf8");
    const records = (await test.db.models.Baseline.findAll()).map((row) => row.get().document);
    expect(records.filter(({ safety }) => safety.anticoagulants !== null)).toHaveLength(
      dump.match(/\\"(thinBlood|anticoagulants)\\":\s*(true|false)/g)?.length ?? 0,
    );
    const held = (await test.db.models.Restriction.findAll()).map((row) => row.get().question);
    expect(held.filter((question) => question === "hypermobility")).toHaveLength(
      dump.match(/, '(veryMobile|hypermobility)',/g)?.length ?? 0,
    );
  });

  it("what was answered about health is encrypted, all of it", async () => {
    expect(await plainValues(test.db)).toEqual([]);
  });

  it("opened again, there is nothing left to bring up to date", async () => {
    expect(await migrate(test.db)).toEqual([]);
    expect((await request(test.app).get("/readyz")).status).toBe(200);
  });
});
