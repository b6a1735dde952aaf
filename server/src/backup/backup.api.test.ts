/**
 * The rehearsal: a nightly backup goes into a second database that is shown equal, a moment between two backups is reached by the binary
 * log, and the server goes on with what came back. The commands are run as they are typed.
 */
import { execFileSync, spawn } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import type * as mariadb from "mariadb";
import { startPrivateServer, type PrivateServer } from "../db/private-server";
import { TEST_KEYS } from "../test/data-keys";
import { emptyDatabase, fillDatabase } from "../test/empty-database";
import { openTestApp, type TestApp } from "../test/test-app";
import { backupsIn } from "./backups";
import { placeOf, privatePlace } from "./clients";
import { logArguments } from "./binary-log";

const root = path.resolve(__dirname, "../../..");
const folder = mkdtempSync(path.join(tmpdir(), "kind-grip-backup-"));
const into = path.join(folder, "backups");
const data = path.join(folder, "data");
let server: PrivateServer;
let test: TestApp;

interface Ran {
  status: number | null;
  said: string;
}
function run(command: string, args: readonly string[], env: Record<string, string> = {}): Promise<Ran> {
  return new Promise((resolve) => {
    const child = spawn(path.join(root, "bin", command), args, {
      stdio: ["ignore", "pipe", "pipe"],
      env: { ...process.env, DATABASE_URL: "", BACKUP_PASSPHRASE: "", ...env },
    });
    let said = "";
    for (const stream of [child.stdout, child.stderr]) stream.on("data", (part: Buffer) => (said += part.toString()));
    child.once("close", (status) => resolve({ status, said }));
  });
}

/** The database's own sum over each table: it shares nothing with how a backup is checked. */
async function checksums(open: () => Promise<mariadb.Connection>): Promise<Record<string, string>> {
  const connection = await open();
  try {
    const tables = ((await connection.query("SHOW TABLES")) as Record<string, string>[]).map((row) => Object.values(row)[0]!);
    const sums = (await connection.query(`CHECKSUM TABLE ${tables.map((name) => `\`${name}\``).join(", ")} EXTENDED`)) as {
      Table: string;
      Checksum: bigint;
    }[];
    return Object.fromEntries(sums.map(({ Table, Checksum }) => [Table.split(".")[1]!, String(Checksum)]));
  } finally {
    await connection.end();
  }
}
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
/** The binary log is read to the second. */
const nextSecond = () => pause(1000 - (Date.now() % 1000) + 20);
const backup = (...more: string[]) => run("backup", ["--data", data, "--into", into, ...more]);
const rename = (name: string) => test.db.models.Crew.update({ name }, { where: {} });
const nameIn = async (place: ReturnType<typeof privatePlace>) => {
  const connection = await place.open();
  try {
    return ((await connection.query("SELECT DISTINCT name FROM crews")) as { name: string }[]).map(({ name }) => name);
  } finally {
    await connection.end();
  }
};

beforeAll(async () => {
  server = await startPrivateServer({ dataDir: path.join(data, "mariadb"), keepsLogDays: 2 });
  await fillDatabase(server.url, readFileSync(path.join(root, "server/src/test/earlier/0005.sql"), "utf8"));
  test = await openTestApp(server.url);
}, 60_000);
afterAll(async () => {
  await test.close();
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
});

it("a nightly backup is restored on a second database that is shown equal, and a moment between two backups is reached", async () => {
  await rename("As it was at night");
  // What no text says plainly comes back as well.
  const [person] = await test.db.models.Person.findAll();
  await test.db.models.Person.update({ name: 'Zoë 🖐 O\'Brien\\\n"half"; -- DROP' }, { where: { id: person!.get().id } });
  const content = Buffer.from(Array.from({ length: 70_000 }, (_, index) => (index * 31) % 256));
  await test.db.models.PersonNote.create({
    id: "0190d3a0-0000-7000-8000-000000000001",
    crewId: person!.get().crewId,
    personId: person!.get().id,
    writtenBy: "0190d3a0-0000-7000-8000-000000000002",
    at: new Date("2026-11-27T21:00:00.123Z"),
    text: "",
    fileName: "wrist.png",
    fileType: "image/png",
    fileBytes: content.length,
    content,
  });
  const atNight = await checksums(privatePlace(data).open);
  const first = await backup("--keep", "2");
  expect(first).toEqual({ status: 0, said: expect.stringMatching(/ tables, \d+ rows, \d+ bytes, binary log at log\.\d+:\d+\n$/) });

  await rename("As it was at noon");
  const atNoon = await checksums(privatePlace(data).open);
  await nextSecond();
  const noon = new Date();
  await nextSecond();
  await rename("Spoilt");
  await test.db.models.PersonNote.destroy({ where: {} });
  const [kept] = backupsIn(into);
  expect(Object.keys(kept!.manifest.tables).sort()).toEqual(Object.keys(atNight).sort());
  expect(kept!.manifest.dataKeys).toEqual(TEST_KEYS.ids);

  // On a second server, by its address, under another name.
  const second = await emptyDatabase();
  const restored = await run("restore", [kept!.folder, "--database", second]);
  expect(restored).toEqual({ status: 0, said: expect.stringMatching(/^Equal to the backup of .*: \d+ tables, \d+ rows\.\n$/) });
  expect(await checksums(placeOf(second).open)).toEqual(atNight);
  const again = await run("restore", [kept!.folder, "--database", second]);
  expect(again).toEqual({ status: 1, said: expect.stringMatching(/is not empty \(\d+ tables\): a backup goes into an empty one/) });

  // In a folder of its own, and on to noon.
  const back = path.join(folder, "back");
  const logs = path.join(data, "mariadb/binary-log");
  const toNoon = await run("restore", [kept!.folder, "--data", back, "--until", noon.toISOString().slice(0, 19) + "Z", "--logs", logs]);
  expect([toNoon.status, toNoon.said]).toEqual([0, expect.stringContaining("Gone on from there with everything until")]);
  expect(toNoon.said).toContain(`Health answers open with the data key ${TEST_KEYS.ids[0]}`);
  const came = await startPrivateServer({ dataDir: path.join(back, "mariadb"), keepsLogDays: 2 });
  try {
    expect(await checksums(privatePlace(back).open)).toEqual(atNoon);
    expect(await nameIn(privatePlace(back))).toEqual(["As it was at noon"]);
  } finally {
    await came.stop();
  }
  // Into a database of another name the same is done under that name.
  const said = (to: string) =>
    execFileSync(
      "mariadb-binlog",
      ["--no-defaults", ...logArguments(kept!, to, { moment: noon, logs: [path.join(logs, kept!.manifest.binaryLog!.file)] })],
      {
        encoding: "utf8",
        env: { ...process.env, TZ: "UTC" },
      },
    );
  const tablesOf = (text: string) =>
    [...text.matchAll(/Table_map: `(\w+)`\.`(\w+)`/g)].map(([, database, table]) => `${database}.${table}`);
  expect(tablesOf(said("kind_grip"))).toEqual(["kind_grip.crews"]);
  expect(tablesOf(said("elsewhere"))).toEqual(["elsewhere.crews"]);
  const tooEarly = await run("restore", [
    kept!.folder,
    "--data",
    path.join(folder, "c"),
    "--until",
    "2020-01-01T00:00:00Z",
    "--logs",
    logs,
  ]);
  expect([tooEarly.status, tooEarly.said]).toEqual([1, expect.stringContaining("take one from before 2020-01-01T00:00:00.000Z")]);
}, 240_000);

it("under a passphrase nothing of it can be read, the number kept is kept, and one that was touched is told", async () => {
  await rename("Under a passphrase");
  const secret = { BACKUP_PASSPHRASE: "four blue kettles walking" };
  const made = await run("backup", ["--data", data, "--into", into, "--keep", "1"], secret);
  expect([made.status, made.said]).toEqual([0, expect.stringMatching(/, encrypted, .*\nRemoved .*\n$/)]);
  const [newest, ...others] = backupsIn(into);
  expect(others).toEqual([]);
  const file = path.join(newest!.folder, newest!.manifest.file.name);
  expect(readFileSync(file).subarray(0, 21).toString()).toBe("age-encryption.org/v1");

  const target = path.join(folder, "under");
  const without = await run("restore", [newest!.folder, "--data", target]);
  expect([without.status, without.said]).toEqual([1, expect.stringContaining("is encrypted: say its passphrase")]);
  const wrong = await run("restore", [newest!.folder, "--data", target], { BACKUP_PASSPHRASE: "another" });
  expect([wrong.status, wrong.said]).toEqual([1, "the passphrase does not open this backup\n"]);
  const right = await run("restore", [newest!.folder, "--data", target], secret);
  expect([right.status, right.said]).toEqual([0, expect.stringContaining("Equal to the backup")]);

  writeFileSync(file, Buffer.alloc(newest!.manifest.file.bytes));
  const changed = await backup("--check");
  expect([changed.status, changed.said]).toEqual([1, expect.stringContaining("its SHA-256 is another")]);
}, 240_000);
