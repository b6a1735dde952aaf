import SwaggerParser from "@apidevtools/swagger-parser";
import { Validator } from "@seriousme/openapi-schema-validator";
import type { DeclaredRoute } from "./route";
import { openApiOf } from "./openapi";
import { createApp } from "../app";
import { connect } from "../db/connection";
import { TEST_KEYS } from "../test/data-keys";

/** The routes of the application; none of them is called, so the database is never asked. */
const db = connect("mariadb://nobody@127.0.0.1:9/none", TEST_KEYS);
const app = createApp({ db, secret: "test", logLevel: "silent" });
const routes: readonly DeclaredRoute[] = app.declared;
const description = openApiOf(routes) as {
  openapi: string;
  tags: { name: string }[];
  paths: Record<string, Record<string, { operationId: string; tags: string[]; responses: Record<string, object> }>>;
  components: { schemas: Record<string, object> };
};
const operations = Object.values(description.paths).flatMap((path) => Object.values(path));
const copy = () => structuredClone(description) as never;
afterAll(async () => {
  await app.stop();
  await db.sequelize.close();
});

describe("the description", () => {
  it("is OpenAPI 3.1 for two validators that know nothing of one another", async () => {
    const first = await new Validator().validate(copy());
    expect(first).toMatchObject({ valid: true });
    await expect(SwaggerParser.validate(copy())).resolves.toBeDefined();
  });

  it("names every operation once, and puts each under a subject", () => {
    expect(operations).toHaveLength(routes.length);
    const ids = operations.map(({ operationId }) => operationId);
    expect(new Set(ids).size).toBe(ids.length);
    const tags = description.tags.map(({ name }) => name);
    for (const operation of operations) expect(tags).toContain(operation.tags[0]);
  });

  it("says of every operation what it answers, and of every refusal how", () => {
    for (const { operationId, responses } of operations) {
      expect([operationId, Object.keys(responses).filter((status) => status.startsWith("2"))]).toEqual([operationId, [expect.any(String)]]);
      expect([operationId, responses["503"]]).toEqual([operationId, { $ref: "#/components/responses/Refusal503" }]);
    }
  });

  it("leads nowhere that is not there, and carries nothing that nobody refers to", () => {
    const text = JSON.stringify(description);
    const referred = new Set([...text.matchAll(/#\/components\/schemas\/(\w+)/g)].map(([, name]) => name!));
    expect([...referred].sort()).toEqual(Object.keys(description.components.schemas).sort());
    for (const shape of Object.values(description.components.schemas)) expect(Object.keys(shape).length).toBeGreaterThan(0);
  });
});
