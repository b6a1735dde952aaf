/** The OpenAPI description, made from the same declarations the routes run on. */
import { toJsonSchema } from "@valibot/to-json-schema";
import type * as v from "valibot";
import type { DeclaredRoute } from "./route";

export function openApiOf(routes: readonly DeclaredRoute[]): object {
  const paths: Record<string, Record<string, object>> = {};
  for (const route of routes) {
    const path = route.path.replace(/:(\w+)/g, "{$1}");
    (paths[path] ??= {})[route.method] = {
      summary: route.summary,
      security: route.roles === "anyone" ? [] : [{ session: [] }],
      parameters: [...parametersOf(route.params, "path"), ...parametersOf(route.query, "query")],
      ...(route.body && { requestBody: { required: true, content: { "application/json": { schema: json(route.body) } } } }),
      responses: {
        200: { description: "Done" },
        400: { description: "Invalid: `fields` names each problem" },
        401: { description: "Not signed in" },
        404: { description: "No such thing, or not yours" },
      },
    };
  }
  return {
    openapi: "3.1.0",
    info: { title: "Kind Grip", version: "1" },
    components: { securitySchemes: { session: { type: "apiKey", in: "cookie", name: "kind-grip" } } },
    paths,
  };
}

function parametersOf(schema: v.GenericSchema | undefined, place: "path" | "query"): object[] {
  if (!schema) return [];
  const { properties = {}, required = [] } = json(schema) as { properties?: Record<string, object>; required?: string[] };
  return Object.entries(properties).map(([name, shape]) => ({
    name,
    in: place,
    required: place === "path" || required.includes(name),
    schema: shape,
  }));
}

function json(schema: v.GenericSchema): object {
  return toJsonSchema(schema, { errorMode: "ignore", typeMode: "input" });
}
