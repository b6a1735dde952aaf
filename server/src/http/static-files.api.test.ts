/** The pages' files: packed for whoever takes it, as they are for others, kept for ever where their name changes with them. */
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { brotliCompressSync, gzipSync } from "node:zlib";
import request from "supertest";
import { createApp } from "../app";
import { connect, type Db } from "../db/connection";
import { TEST_KEYS } from "../test/data-keys";

const webRoot = mkdtempSync(path.join(tmpdir(), "kind-grip-pages-"));
const CODE = "export const answer = 42;\n".repeat(200);
let app: ReturnType<typeof createApp>;
let db: Db;
beforeAll(() => {
  mkdirSync(path.join(webRoot, "assets"));
  const file = path.join(webRoot, "assets", "page-abc.js");
  writeFileSync(file, CODE);
  writeFileSync(`${file}.br`, brotliCompressSync(CODE));
  writeFileSync(`${file}.gz`, gzipSync(CODE));
  writeFileSync(path.join(webRoot, "index.html"), "<!doctype html><title>Kind Grip</title>");
  db = connect(process.env.TEST_DATABASE_URL!, TEST_KEYS);
  app = createApp({ db, secret: "test", webRoot, logLevel: "silent" });
});
afterAll(async () => {
  await app.stop();
  await db.sequelize.close();
  rmSync(webRoot, { recursive: true });
});

const ask = (encoding: string, address = "/assets/page-abc.js") => request(app).get(address).set("Accept-Encoding", encoding);

it.each([
  ["gzip, deflate, br, zstd", "br"],
  ["gzip, deflate", "gzip"],
  ["identity", undefined],
])("whoever takes %s gets %s", async (takes, encoding) => {
  const { status, headers } = await ask(takes);
  expect([status, headers["content-encoding"]]).toEqual([200, encoding]);
  expect(headers["content-type"]).toMatch(/javascript/);
  expect(headers.vary).toMatch(/accept-encoding/i);
  expect(headers["cache-control"]).toBe("public, max-age=31536000, immutable");
});

it("what is unpacked is what was packed", async () => {
  expect((await ask("gzip")).text).toBe(CODE);
  expect((await ask("identity")).text).toBe(CODE);
  expect(Number((await ask("br").buffer(false)).headers["content-length"])).toBeLessThan(CODE.length / 5);
});

it("any address of the interface is its one page, never kept", async () => {
  const { text, headers } = await ask("br", "/crews/1/program");
  expect([text, headers["cache-control"]]).toEqual([expect.stringContaining("Kind Grip"), "no-cache"]);
});
