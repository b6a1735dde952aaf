/**
 * The OpenAPI 3.1 description, made from the same declarations the routes run on. What the contract names is a component under that name;
 * what is sent is described as it may be sent, what is answered as it is answered.
 */
import * as contract from "@kind-grip/core/api";
import { toJsonSchema, type ConversionConfig } from "@valibot/to-json-schema";
import type * as v from "valibot";
import type { DeclaredRoute } from "./route";

type Definitions = Record<string, v.GenericSchema>;

/** The named shapes of the contract. */
const NAMED: Definitions = Object.fromEntries(
  Object.entries(contract).flatMap(([name, value]) =>
    typeof value === "object" && "kind" in value && value.kind === "schema" ? [[name, value as v.GenericSchema]] : [],
  ),
);

const REFUSALS = {
  400: "Invalid: `fields` names each problem",
  401: "Not signed in",
  403: "Not for this sign-in, or without the token that every change must carry",
  404: "No such thing, or not yours",
  409: "Somebody saved in between, or the records say something else by now: `detail` has what is there",
  413: "Larger than it may be",
  429: "Too many tries",
  503: "The database is away: send it again",
} as const;

export function openApiOf(routes: readonly DeclaredRoute[]): object {
  const schemas = new Components();
  const paths: Record<string, Record<string, object>> = {};
  for (const route of routes) {
    const path = route.path.replace(/:(\w+)/g, "{$1}");
    (paths[path] ??= {})[route.method] = {
      operationId: route.id,
      tags: [route.tag],
      summary: route.summary,
      description: route.roles === "anyone" ? "Needs no sign-in." : `For: ${route.roles.join(", ")}.`,
      security: route.roles === "anyone" ? [] : [{ session: [] }],
      parameters: [...parametersOf(route.params, "path"), ...parametersOf(route.query, "query"), ...tokenOf(route)],
      ...(route.body && {
        requestBody: { required: true, content: { "application/json": { schema: schemas.of(route.body, "input") } } },
      }),
      responses: { ...doneWith(route, schemas), ...refusalsOf(route) },
    };
  }
  const problem = schemas.of(contract.Problem, "output");
  return {
    openapi: "3.1.0",
    info: {
      title: "Kind Grip",
      version: "1",
      description: "Hand, wrist and forearm programs for crews.",
      license: { name: "UNLICENSED", identifier: "LicenseRef-Unlicensed" },
    },
    servers: [{ url: "/" }],
    tags: [...new Set(routes.map(({ tag }) => tag))].map((name) => ({ name })),
    paths,
    components: {
      securitySchemes: { session: { type: "apiKey", in: "cookie", name: "kind-grip" } },
      parameters: {
        csrfToken: {
          name: "x-csrf-token",
          in: "header",
          required: true,
          description: "From `/api/me`; without it nothing is changed.",
          schema: { type: "string" },
        },
      },
      responses: Object.fromEntries(
        Object.entries(REFUSALS).map(([status, description]) => [
          `Refusal${status}`,
          { description, content: { "application/json": { schema: problem } } },
        ]),
      ),
      schemas: schemas.made,
    },
  };
}

/** Schemas that were asked for, each once. */
class Components {
  readonly made: Record<string, object> = {};

  of(schema: v.GenericSchema, mode: "input" | "output"): object {
    const name = Object.keys(NAMED).find((each) => NAMED[each] === schema);
    if (!name) return this.inline(schema, mode);
    const key = mode === "input" ? `${name}Sent` : name;
    if (!this.made[key]) {
      // Its place is taken before it is made: it may come upon itself.
      this.made[key] = {};
      this.made[key] = this.inline(schema, mode, name);
    }
    return { $ref: `#/components/schemas/${key}` };
  }

  private inline(schema: v.GenericSchema, mode: "input" | "output", except?: string): object {
    const { [except ?? ""]: _, ...definitions } = NAMED;
    const nameOf = (id: string) => (mode === "input" ? `${id}Sent` : id);
    const config: ConversionConfig = {
      errorMode: "ignore",
      typeMode: mode,
      target: "draft-2020-12",
      definitions,
      overrideRef: ({ referenceId }) => `#/components/schemas/${nameOf(referenceId)}`,
    };
    const { $schema: _schema, $defs: _defs, ...json } = toJsonSchema(schema, config) as Record<string, unknown>;
    const text = JSON.stringify(json);
    for (const [name, shape] of Object.entries(definitions))
      if (text.includes(`"#/components/schemas/${nameOf(name)}"`)) this.of(shape, mode);
    return json;
  }
}

function doneWith({ answer, file }: DeclaredRoute, schemas: Components): object {
  if (file) return { 200: { description: "The file", content: { [file]: { schema: { type: "string", format: "binary" } } } } };
  if (!answer) return { 204: { description: "Done" } };
  return { 200: { description: "Done", content: { "application/json": { schema: schemas.of(answer, "output") } } } };
}

function refusalsOf({ method, params, query, body, roles }: DeclaredRoute): object {
  const changes = method !== "get";
  const statuses = [
    ...(params || query || body ? [400] : []),
    ...(roles === "anyone" ? [] : [401]),
    ...(changes || roles !== "anyone" ? [403] : []),
    ...(params ? [404] : []),
    ...(changes ? [409] : []),
    ...(body ? [413] : []),
    429,
    503,
  ];
  return Object.fromEntries(statuses.map((status) => [status, { $ref: `#/components/responses/Refusal${status}` }]));
}

function tokenOf({ method }: DeclaredRoute): object[] {
  return method === "get" ? [] : [{ $ref: "#/components/parameters/csrfToken" }];
}

function parametersOf(schema: v.GenericSchema | undefined, place: "path" | "query"): object[] {
  if (!schema) return [];
  const { properties = {}, required = [] } = toJsonSchema(schema, { errorMode: "ignore", typeMode: "input", target: "draft-2020-12" }) as {
    properties?: Record<string, object>;
    required?: string[];
  };
  return Object.entries(properties).map(([name, shape]) => ({
    name,
    in: place,
    required: place === "path" || required.includes(name),
    schema: shape,
  }));
}
