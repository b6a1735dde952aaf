/** Long answers are packed for whoever takes it; what is short, sent in or secret is not. */
import request from "supertest";
import { makeWorld } from "../test/samples";
import { openTestApp, TestTrainer, type TestApp } from "../test/test-app";

let test: TestApp;
let trainer: TestTrainer;
beforeAll(async () => {
  test = await openTestApp();
  trainer = await TestTrainer.make(test);
});
afterAll(() => test.close());

it.each([
  ["gzip, deflate, br", "br"],
  ["gzip, deflate", "gzip"],
  ["identity", undefined],
])("whoever takes %s gets %s, and the same answer", async (takes, encoding) => {
  const plain = await request(test.app).get("/api/openapi.json").set("Accept-Encoding", "identity");
  const { headers, text } = await request(test.app).get("/api/openapi.json").set("Accept-Encoding", takes);
  expect(headers["content-encoding"]).toBe(encoding);
  expect(headers.vary).toMatch(/accept-encoding/i);
  // What asks in these tests does not unpack brotli.
  if (encoding !== "br") expect(text).toBe(plain.text);
});

it("what is short, and the answer with the token for sending, are not packed", async () => {
  const world = await makeWorld(trainer);
  for (const path of ["/api/me", `/api/crews/${world.crewId}`]) {
    const { headers } = await trainer.get(path).expect(200);
    expect(headers["content-encoding"]).toBeUndefined();
  }
});
