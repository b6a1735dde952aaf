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
  for (const name of ["figure.worker-abc.js", "still.svg", "letters.woff2", "page.css"])
    writeFileSync(path.join(webRoot, "assets", name), "/* nothing */");
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

it.each([
  ["a page", "/crews/1/program", true],
  // A worker's rights are those of its own answer, and a picture can be opened as a page.
  ["a worker's code", "/assets/figure.worker-abc.js", true],
  ["a picture", "/assets/still.svg", true],
  ["what is not there", "/api/nothing", true],
  ["a page's code", "/assets/page-abc.js", false],
  ["letters", "/assets/letters.woff2", false],
  ["a style sheet", "/assets/page.css", false],
])("%s says what it may load: %s, %s", async (_, address, does) => {
  const { headers } = await ask("br", address);
  expect("content-security-policy" in headers).toBe(does);
  expect("x-frame-options" in headers).toBe(does);
  expect(headers["x-content-type-options"]).toBe("nosniff");
  expect(headers["cross-origin-resource-policy"]).toBe("same-origin");
});

it("any address of the interface is its one page, never kept", async () => {
  const { text, headers } = await ask("br", "/crews/1/program");
  expect([text, headers["cache-control"]]).toEqual([expect.stringContaining("Kind Grip"), "no-cache"]);
});
