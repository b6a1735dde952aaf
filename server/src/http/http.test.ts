/** The one way to declare a route, without a database: what it refuses, and who it lets in. */
import express from "express";
import request from "supertest";
import * as v from "valibot";
import { ConnectionError } from "sequelize";
import { tmpdir } from "node:os";
import { freeBytesOf, LEAST_FREE_BYTES, refuseWithoutRoom } from "./disk";
import { errorHandler } from "./errors";
import { openApiOf } from "./openapi";
import { notFound, Problem, stale } from "./problem";
import { Routes } from "./route";

const routes = new Routes();
const thrown: Record<string, () => never> = {
  missing: () => {
    throw notFound("crew");
  },
  stale: () => {
    throw stale({ version: 7 });
  },
  away: () => {
    throw new ConnectionError(new Error("connect ECONNREFUSED 127.0.0.1:3306"));
  },
  full: () => {
    throw Object.assign(new Error("SQL"), { parent: { code: "ER_RECORD_FILE_FULL", errno: 1114 } });
  },
  broken: () => {
    throw new Error("the secret inside");
  },
  limited: () => {
    throw new Problem(429, "tooManyAttempts", "Wait.");
  },
};
routes.add({
  id: "closed",
  method: "get",
  path: "/closed",
  summary: "Closed by default",
  answer: v.strictObject({ inside: v.boolean() }),
  handle: async () => ({ inside: true }),
});
routes.add({
  id: "throws",
  method: "get",
  path: "/throws/:what",
  summary: "Throws",
  roles: "anyone",
  params: v.object({ what: v.string() }),
  handle: async ({ params }) => thrown[params.what]!(),
});
routes.add({
  id: "thing",
  method: "get",
  path: "/things/:thingId",
  summary: "By id",
  roles: "anyone",
  params: v.object({ thingId: v.pipe(v.string(), v.uuid()) }),
  handle: async ({ params }) => params,
});
routes.add({
  id: "addThing",
  method: "post",
  path: "/things",
  summary: "Takes a body",
  roles: "anyone",
  query: v.object({ page: v.optional(v.pipe(v.string(), v.regex(/^\d+$/, "must be a number")), "0") }),
  body: v.strictObject({ name: v.pipe(v.string("is missing"), v.minLength(1, "is missing")), count: v.number("must be a number") }),
  bodyLimit: "1kb",
  handle: async ({ body, query }) => ({ ...body, ...query }),
});
routes.add({
  id: "removeThings",
  method: "delete",
  path: "/things",
  summary: "Answers nothing",
  roles: "anyone",
  handle: async () => undefined,
});
const app = express().use(routes.router).use(errorHandler);

it("is closed unless it says otherwise", async () => {
  expect((await request(app).get("/closed")).body.code).toBe("signedOut");
});

it("names every bad field at once, in body and query", async () => {
  const answer = await request(app).post("/things").send({ count: "x" });
  expect([answer.status, answer.body.fields]).toEqual([
    400,
    [
      { path: "name", message: "is missing" },
      { path: "count", message: "must be a number" },
    ],
  ]);
  expect((await request(app).post("/things").send({ name: "a", count: 1, admin: true })).body.fields).toEqual([
    { path: "admin", message: "is not a field known here" },
  ]);
  expect((await request(app).post("/things?page=x").send({ name: "a", count: 1 })).body.fields).toEqual([
    { path: "query.page", message: "must be a number" },
  ]);
  expect((await request(app).post("/things").send({ name: "a", count: 1 })).body).toEqual({ name: "a", count: 1, page: "0" });
});

it("refuses bodies over the route's own limit, and answers 204 to nothing", async () => {
  expect(
    (
      await request(app)
        .post("/things")
        .send({ name: "x".repeat(1100), count: 1 })
    ).status,
  ).toBe(413);
  expect((await request(app).delete("/things")).status).toBe(204);
});

it("an id that is none belongs to nothing", async () => {
  expect((await request(app).get("/things/17")).status).toBe(404);
  expect((await request(app).get("/things/01a20bde-4b43-75ba-92df-a508ef2d5a94")).status).toBe(200);
});

it.each([
  ["missing", 404, "notFound"],
  ["stale", 409, "stale"],
  ["away", 503, "databaseAway"],
  ["full", 503, "diskFull"],
  ["broken", 500, "failed"],
  ["limited", 429, "tooManyAttempts"],
])("what is thrown as %s answers %d, and tells nothing of the inside", async (what, status, code) => {
  const answer = await request(app).get(`/throws/${what}`);
  expect([answer.status, answer.body.code]).toEqual([status, code]);
  expect(JSON.stringify(answer.body)).not.toMatch(/secret|ECONNREFUSED|127\.0/);
});

it("an answer that is not what its route declares is not given, where that is looked at", async () => {
  const strict = new Routes({ checkAnswers: true });
  const answers: Record<string, object | undefined> = { right: { name: "a" }, more: { name: "a", health: "secret" }, none: undefined };
  for (const [what, answer] of Object.entries(answers))
    strict.add({
      id: what,
      method: "get",
      path: `/${what}`,
      summary: what,
      roles: "anyone",
      answer: v.strictObject({ name: v.string() }),
      handle: async () => answer,
    });
  strict.add({ id: "silent", method: "get", path: "/silent", summary: "Nothing", roles: "anyone", handle: async () => ({ name: "a" }) });
  const checked = express().use(strict.router).use(errorHandler);
  const statuses = [];
  for (const what of ["right", "more", "none", "silent"]) statuses.push((await request(checked).get(`/${what}`)).status);
  expect(statuses).toEqual([200, 500, 500, 500]);
});

it("is described from its own schemas", () => {
  const { paths } = openApiOf(routes.declared) as {
    paths: Record<
      string,
      Record<
        string,
        { security: unknown[]; parameters: unknown[]; requestBody?: { content: Record<string, { schema: { required: string[] } }> } }
      >
    >;
  };
  expect(paths["/closed"]!.get!.security).toEqual([{ session: [] }]);
  expect(paths["/things/{thingId}"]!.get!.parameters).toMatchObject([{ name: "thingId", in: "path", required: true }]);
  expect(paths["/things"]!.post!.requestBody!.content["application/json"]!.schema.required).toEqual(["name", "count"]);
  expect(paths["/things"]!.post!.parameters).toMatchObject([
    { name: "page", in: "query", required: false },
    { $ref: "#/components/parameters/csrfToken" },
  ]);
});

describe("a disk without room", () => {
  let free = LEAST_FREE_BYTES;
  const changed: unknown[] = [];
  const guarded = express()
    .use(refuseWithoutRoom(async () => free))
    .use("/thing", (httpRequest, response) => {
      changed.push(httpRequest.method);
      response.json({ there: true });
    })
    .use(errorHandler);
  it.each([
    [LEAST_FREE_BYTES, 200],
    [LEAST_FREE_BYTES - 1, 503],
  ])("with %d bytes a change answers %d; looking goes on", async (bytes, status) => {
    free = bytes;
    changed.length = 0;
    for (const method of ["post", "put", "delete"] as const) expect((await request(guarded)[method]("/thing")).status).toBe(status);
    expect((await request(guarded).get("/thing")).status).toBe(200);
    expect(changed).toEqual(status === 200 ? ["POST", "PUT", "DELETE", "GET"] : ["GET"]);
  });
  it("is asked of the disk the folder is on, and not at every call", async () => {
    const bytes = freeBytesOf(tmpdir());
    expect(await bytes()).toBeGreaterThan(0);
    expect(bytes()).toBe(bytes());
    await expect(freeBytesOf("/no/such/folder")()).rejects.toThrow(/ENOENT/);
  });
});
