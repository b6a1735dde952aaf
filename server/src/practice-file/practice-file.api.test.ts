/** A practice leaves with everything and comes in again elsewhere without loss, under other keys; nothing of another practice goes along. */
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";
import { connect, type Db } from "../db/connection";
import { DataKeys, newKey } from "../db/data-keys";
import { migrate } from "../db/migrate";
import { emptyDatabase, fillDatabase } from "../test/empty-database";
import { makeWorld, sampleRun } from "../test/samples";
import { openTestApp, TestTrainer, type TestApp } from "../test/test-app";
import { LEFT_BEHIND, PRACTICE_PARTS } from "./parts";
import { bringPractice } from "./read";
import { writePractice, type PracticeManifest } from "./write";

const folder = mkdtempSync(path.join(tmpdir(), "kind-grip-practice-"));
const file = path.join(folder, "left.zip");
const AT = new Date("2026-11-28T12:00:00Z");
let test: TestApp;
let elsewhere: Db;
let practiceId: string;
let left: PracticeManifest;
beforeAll(async () => {
  const address = await emptyDatabase();
  await fillDatabase(address, readFileSync(path.resolve(__dirname, "../test/earlier/0006.sql"), "utf8"));
  test = await openTestApp(address);
  practiceId = (await test.db.models.Account.findOne({ where: { email: "maren@fernhollow.example" }, rejectOnEmpty: true })).get()
    .practiceId;
  const trainer = await TestTrainer.make(test, practiceId);
  const world = await makeWorld(trainer);
  const run = sampleRun(world);
  await trainer.send("put", `/api/runs/${run.id}`, run);
  const attachment = { name: "wrist.png", type: "image/png", content: Buffer.from("\x89PNG\r\n\x1a\n\0\xff", "latin1").toString("base64") };
  const note = { id: "01930000-0000-7000-8000-000000000001", text: "line one\nline “two” \u2028 🖐", attachment };
  expect((await trainer.send("post", `/api/crews/${world.crewId}/people/${world.people[0]!.id}/notes`, note)).status).toBe(204);
  await trainer.send("post", `/api/crews/${world.crewId}/restrictions`, { personId: world.people[0]!.id, question: "hotJoint" });
  // Another practice on the same server.
  await makeWorld(await TestTrainer.make(test));
  elsewhere = connect(await emptyDatabase(), DataKeys.read(newKey()));
  await migrate(elsewhere);
  left = await writePractice(test.db, practiceId, file, AT);
}, 60_000);
afterAll(async () => {
  await test.close();
  await elsewhere.sequelize.close();
  rmSync(folder, { recursive: true, force: true });
});

const filesIn = (zip: string) =>
  Object.fromEntries(Object.entries(unzipSync(readFileSync(zip))).map(([name, bytes]) => [name, strFromU8(bytes)]));
const changed = (name: string, change: (text: string) => string): string => {
  const files = filesIn(file);
  const to = path.join(folder, "changed.zip");
  writeFileSync(
    to,
    zipSync(Object.fromEntries(Object.entries(files).map(([key, text]) => [key, strToU8(key === name ? change(text) : text)]))),
  );
  return to;
};

it("every table goes along or stays for a reason", () => {
  const named = [...PRACTICE_PARTS.map(({ model }) => model), ...Object.keys(LEFT_BEHIND)];
  expect([...named].sort()).toEqual(Object.keys(test.db.models).sort());
});

it("holds open files of the practice and nothing of another, without what opens doors", () => {
  const files = filesIn(file);
  expect(left.tables).toMatchObject({ practices: 1, person_notes: 1 });
  expect(left.tables.run_people).toBeGreaterThan(10);
  expect(JSON.parse(files["manifest.json"]!)).toEqual(left);
  const lines = (table: string) =>
    files[`tables/${table}.jsonl`]!.split("\n")
      .filter(Boolean)
      .map((line) => JSON.parse(line) as Record<string, unknown>);
  expect(lines("practices").map(({ id }) => id)).toEqual([practiceId]);
  expect(new Set(lines("accounts").map((row) => row.practiceId))).toEqual(new Set([practiceId]));
  expect(lines("person_notes")[0]).toMatchObject({
    text: "line one\nline “two” \u2028 🖐",
    content: Buffer.from("\x89PNG\r\n\x1a\n\0\xff", "latin1").toString("base64"),
  });
  expect(lines("restrictions").map(({ question }) => question)).toContain("hotJoint");
  expect(Object.values(files).join()).not.toMatch(/\$argon2|[0-9a-f]{8}\.[A-Za-z0-9+/]{40}/);
  for (const [table, count] of Object.entries(left.tables)) {
    const schema = JSON.parse(files[`schemas/${table}.schema.json`]!) as { properties: object; required: string[] };
    expect([table, lines(table).length]).toEqual([table, count]);
    for (const line of lines(table).slice(0, 3)) expect(Object.keys(line).sort()).toEqual([...schema.required].sort());
  }
});

it("comes in elsewhere, and leaves from there identical", async () => {
  const came = await bringPractice(elsewhere, file);
  expect(came).toMatchObject({ id: practiceId, name: left.practice.name, trainers: expect.arrayContaining(["maren@fernhollow.example"]) });
  expect(came.rows).toBe(Object.values(left.tables).reduce((sum, count) => sum + count, 0));
  const again = path.join(folder, "again.zip");
  await writePractice(elsewhere, practiceId, again, AT);
  const [one, other] = [filesIn(file), filesIn(again)];
  expect(Object.keys(other)).toEqual(Object.keys(one));
  for (const [name, text] of Object.entries(one)) expect([name, other[name] === text]).toEqual([name, true]);
  // Nobody signs in with a password from before.
  const account = (await elsewhere.models.Account.findOne({ where: { email: "maren@fernhollow.example" }, rejectOnEmpty: true })).get();
  const before = (await test.db.models.Account.findOne({ where: { email: "maren@fernhollow.example" }, rejectOnEmpty: true })).get();
  expect(account.passwordHash).not.toBe(before.passwordHash);
  await expect(bringPractice(elsewhere, file)).rejects.toThrow("is here already");
});

it.each([
  ["no file of its own", "manifest.json", (text: string) => text.replace("kind-grip-practice", "something-else"), "is no practice's file"],
  ["another version", "manifest.json", (text: string) => text.replace('"0001-the-whole-path",', ""), "was written by another version"],
  [
    "a line that is missing",
    "tables/people.jsonl",
    (text: string) => text.slice(text.indexOf("\n") + 1),
    /people has \d+ rows instead of \d+/,
  ],
  ["a line that is cut", "tables/people.jsonl", (text: string) => text.slice(3), "people, line 1 cannot be read"],
  ["a column nobody knows", "tables/people.jsonl", (text: string) => text.replace("{", '{"secret":1,'), "people, line 1 is no row of it"],
])("%s is refused in words, and nothing of it is there", async (_, name, change, words) => {
  const empty = connect(await emptyDatabase(), DataKeys.read(newKey()));
  await migrate(empty);
  await expect(bringPractice(empty, changed(name, change))).rejects.toThrow(words);
  expect(await empty.models.Practice.count()).toBe(0);
  expect(await empty.models.Person.count()).toBe(0);
  await empty.sequelize.close();
});

it("what is not there, or is no zip, is said", async () => {
  await expect(bringPractice(elsewhere, path.join(folder, "none.zip"))).rejects.toThrow("none.zip is not there");
  const half = path.join(folder, "half.zip");
  writeFileSync(half, readFileSync(file).subarray(0, 2000));
  await expect(bringPractice(elsewhere, half)).rejects.toThrow("it is no zip, or a part of one");
});

it("an e-mail address that signs in here already is said, and nothing came", async () => {
  const other = connect(await emptyDatabase(), DataKeys.read(newKey()));
  await migrate(other);
  const id = "01930000-0000-7000-8000-00000000000a";
  await other.models.Practice.create({ id, name: "Mine", demoNow: null });
  await other.models.Account.create({
    id,
    practiceId: id,
    role: "trainer",
    email: "maren@fernhollow.example",
    name: "Other",
    passwordHash: "x",
  });
  await expect(bringPractice(other, file)).rejects.toThrow("something of it is here already: accounts_email maren@fernhollow.example");
  expect(await other.models.Practice.count()).toBe(1);
  await other.sequelize.close();
});
