import express from "express";
import request from "supertest";
import { packedAnswers } from "./packed";
import { WrittenAnswer } from "./written";

function serving(answer: WrittenAnswer<unknown>) {
  const app = express();
  app.use(packedAnswers());
  app.get("/", (asked, response) => answer.send(asked, response));
  return app;
}

it("is put into words once for everybody who gets it, packed or not", async () => {
  const toJSON = jest.fn(() => ({ crews: Array.from({ length: 400 }, (_, i) => `Crew ${i}`) }));
  const app = serving(new WrittenAnswer({ toJSON }));
  for (const [takes, encoding] of [
    ["gzip, br", "gzip"],
    ["gzip", "gzip"],
    ["identity", undefined],
  ] as const) {
    const { headers, body } = await request(app).get("/").set("Accept-Encoding", takes).expect(200);
    expect([headers["content-encoding"], headers["content-type"], headers.vary]).toEqual([
      encoding,
      "application/json; charset=utf-8",
      "Accept-Encoding",
    ]);
    expect((body as { crews: string[] }).crews).toHaveLength(400);
  }
  expect(toJSON).toHaveBeenCalledTimes(1);
});

it("a short one is not packed", async () => {
  const { headers, body } = await request(serving(new WrittenAnswer({ crews: [] }))).get("/");
  expect([headers["content-encoding"], body]).toEqual([undefined, { crews: [] }]);
});
