/** Schemas of the files, for whoever reads or writes them elsewhere. */
import * as v from "valibot";
import type { AppContext } from "../context";
import { notFound } from "../http/problem";
import type { Routes } from "../http/route";
import { fileSchemas } from "./file-schemas";

export function addSchemaRoutes(routes: Routes, { db }: AppContext): void {
  let made: ReturnType<typeof fileSchemas> | undefined;
  const schemas = () => (made ??= fileSchemas(db));
  routes.add({
    id: "schemas",
    method: "get",
    scope: "every",
    path: "/api/schemas",
    summary: "Names of the files that have a JSON Schema here",
    answer: v.array(v.string()),
    roles: "anyone",
    handle: () => Promise.resolve(Object.keys(schemas())),
  });
  routes.add({
    id: "schema",
    method: "get",
    scope: "every",
    path: "/api/schemas/:name",
    summary: "The JSON Schema of a file (docs/formats/schemas)",
    answer: v.record(v.string(), v.unknown()),
    params: v.object({ name: v.string() }),
    roles: "anyone",
    handle: ({ params: { name } }) => {
      const schema = Object.hasOwn(schemas(), name) ? schemas()[name] : undefined;
      return schema ? Promise.resolve(schema) : Promise.reject(notFound("schema"));
    },
  });
}
