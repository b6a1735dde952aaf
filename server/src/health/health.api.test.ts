/** How each part is: on both sides of what is late, in words without anybody's name, for who has the token and on the server itself. */
import { mkdtempSync, mkdirSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import request from "supertest";
import { v7 as uuid } from "uuid";
import { createApp } from "../app";
import { connect } from "../db/connection";
import { LEAST_FREE_BYTES } from "../http/disk";
import { TEST_KEYS } from "../test/data-keys";
import { emptyDatabase } from "../test/empty-database";
import { migrate } from "../db/migrate";
import type { Db } from "../db/connection";
import { ageText, healthByPart, LATEST_SEC, type Surroundings } from "./parts";

const partOf = async (db: Db, part: string, surroundings: Surroundings = {}) =>
  (await healthByPart(db, surroundings)).find((each) => each.part === part)!;
const secAgo = (sec: number) => new Date(Date.now() - sec * 1000);

it("what waits is well as long as somebody is at work", async () => {
  // With nobody at work on it.
  const db = connect(await emptyDatabase(), TEST_KEYS);
  await migrate(db);
  expect((await healthByPart(db, {})).map(({ part, isWell }) => [part, isWell])).toEqual(
    ["database", "nodes", "files", "reminders", "trail", "mail", "backups"].map((part) => [part, true]),
  );
  const job = { practiceId: uuid(), crewId: null, subjectId: uuid(), contentKey: uuid(), kind: "trailExport" as const, language: null };
  const asked = {
    ...job,
    id: uuid(),
    fileName: "",
    task: "{}",
    state: "waiting" as const,
    asking: 1,
    progress: null,
    tries: 0,
    takenBy: null,
    takenUntil: null,
  };
  await db.models.Job.create({ ...asked, file: null, problem: null, askedAt: secAgo(LATEST_SEC.jobs - 30) });
  expect(await partOf(db, "files")).toMatchObject({
    isWell: true,
    says: expect.stringMatching(/^1 wait to be made, for 2 min at most$/),
  });
  await db.models.Job.update({ askedAt: secAgo(LATEST_SEC.jobs + 30) }, { where: {} });
  expect(await partOf(db, "files")).toMatchObject({ isWell: false });
  // Of nobody who is here.
  await db.sequelize.query(
    `SET STATEMENT foreign_key_checks = 0 FOR
     INSERT INTO messages (id, practiceId, crewId, personId, way, text, queuedAt, state, tries, nextTryAt)
     VALUES (UUID(), UUID(), UUID(), UUID(), 'email', 'Ada Quill', UTC_TIMESTAMP(3), 'waiting', 1, :due)`,
    { replacements: { due: secAgo(LATEST_SEC.reminders - 60) } },
  );
  expect(await partOf(db, "reminders")).toMatchObject({ isWell: true });
  await db.models.Message.update({ nextTryAt: secAgo(LATEST_SEC.reminders + 60) }, { where: {} });
  const late = await partOf(db, "reminders");
  expect(late).toMatchObject({ isWell: false, says: "1 are due, for 16 min at most" });
  // What waits for its time is not late.
  await db.models.Message.update({ nextTryAt: secAgo(-3600) }, { where: {} });
  expect(await partOf(db, "reminders")).toMatchObject({ isWell: true, says: "none are due" });
  await db.sequelize.close();
});

it("disk, mail and backups on both sides of what is enough", async () => {
  const db = connect(process.env.TEST_DATABASE_URL!, TEST_KEYS);
  const folder = mkdtempSync(path.join(tmpdir(), "kind-grip-health-"));
  const disk = (free: number) => partOf(db, "disk", { freeBytes: async () => free });
  expect([(await disk(LEAST_FREE_BYTES)).isWell, (await disk(LEAST_FREE_BYTES - 1)).isWell]).toEqual([true, false]);
  const refused = Object.assign(new Error("connect to 10.0.0.1"), { code: "ECONNREFUSED" });
  expect(await partOf(db, "mail", { askMail: () => Promise.reject(refused) })).toMatchObject({ isWell: false, says: "ECONNREFUSED" });
  expect(await partOf(db, "mail", { askMail: async () => true })).toMatchObject({ isWell: true, says: "answers" });
  expect(await partOf(db, "backups", { backupFolder: folder })).toMatchObject({ isWell: false });
  for (const [sec, isWell] of [
    [LATEST_SEC.backups - 60, true],
    [LATEST_SEC.backups + 60, false],
  ] as const) {
    const takenAt = secAgo(sec).toISOString();
    const file = { name: "dump", bytes: 0, sha256: "0".repeat(64), encrypted: false };
    const manifest = {
      format: "kind-grip-backup",
      version: 1,
      takenAt,
      database: "",
      madeBy: "",
      steps: [],
      file,
      tables: {},
      longestRowBytes: 0,
    };
    rmSync(path.join(folder, "one"), { recursive: true, force: true });
    mkdirSync(path.join(folder, "one"));
    writeFileSync(path.join(folder, "one", "manifest.json"), JSON.stringify({ ...manifest, dataKeys: [], binaryLog: null }));
    expect([isWell, (await partOf(db, "backups", { backupFolder: folder })).isWell]).toEqual([isWell, isWell]);
  }
  rmSync(folder, { recursive: true });
  await db.sequelize.close();
});

it("a database that is away is said once, and what does not hang on it all the same", async () => {
  const db = connect("mariadb://nobody@127.0.0.1:9/none", TEST_KEYS);
  const parts = await healthByPart(db, { askMail: async () => true });
  expect(parts.map(({ part, isWell }) => [part, isWell])).toEqual([
    ["database", false],
    ["mail", true],
    ["backups", true],
  ]);
  await db.sequelize.close();
});

it("is told to whoever has the token of the metrics, with 503 where a part is not well; to nobody else", async () => {
  const db = connect(process.env.TEST_DATABASE_URL!, TEST_KEYS);
  await migrate(db);
  const app = createApp({
    db,
    secret: "test",
    logLevel: "silent",
    metricsToken: "a-long-token",
    surroundings: { freeBytes: async () => 1 },
  });
  const ask = (token: string) => request(app).get("/healthz/parts").set("authorization", `Bearer ${token}`);
  const { status, body } = await ask("a-long-token");
  expect([status, body.parts.find(({ part }: { part: string }) => part === "disk")]).toEqual([
    503,
    { part: "disk", isWell: false, says: "0.0 GiB free" },
  ]);
  expect((await ask("a-long-tokex")).status).toBe(404);
  await app.stop();
  await db.sequelize.close();
});

it("a process that only works answers whether it lives, and nothing else; one that only answers makes no files", async () => {
  const db = connect(process.env.TEST_DATABASE_URL!, TEST_KEYS);
  const works = createApp({ db, secret: "test", logLevel: "silent", role: "works" });
  const statuses = await Promise.all(["/healthz", "/readyz", "/api/me", "/"].map(async (each) => (await request(works).get(each)).status));
  expect(statuses).toEqual([200, 200, 404, 404]);
  await works.stop();
  await db.sequelize.close();
});

it.each([
  [0, "0 s"],
  [59, "59 s"],
  [60, "1 min"],
  [3599, "60 min"],
  [3600, "1 h"],
  [172_799, "48 h"],
  [172_800, "2 days"],
])("%i s is said as %s", (sec, text) => expect(ageText(sec)).toBe(text));
