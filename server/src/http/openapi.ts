/**
 * The OpenAPI 3.1 description, made from the same declarations the routes run on. What the contract names is a component under that name;
 * what is sent is described as it may be sent, what is answered as it is answered.
 */
import * as contract from "@kind-grip/core/api";
import { toJsonSchema, type ConversionConfig } from "@valibot/to-json-schema";
import * as v from "valibot";
import type { DeclaredRoute } from "./route";

type Definitions = Record<string, v.GenericSchema>;

/** The named shapes of the contract. */
const NAMED: Definitions = Object.fromEntries(
  Object.entries(contract).flatMap(([name, value]) =>
    typeof value === "object" && "kind" in value && value.kind === "schema" ? [[name, value as v.GenericSchema]] : [],
  ),
);

const REFUSALS = {
  400: "Invalid: each problem stands under fields",
  401: "Not signed in",
  403: "Not for this sign-in or API token, or without the token that every change on a page must carry",
  404: "No such thing, or not yours",
  409: "Somebody saved in between, or the records say something else by now: what is there stands under detail",
  413: "Larger than it may be",
  429: "Too many tries",
  503: "The database is away: send it again",
} as const;

export function openApiOf(routes: readonly DeclaredRoute[]): object {
  const schemas = new Components(routes);
  const paths: Record<string, Record<string, object>> = {};
  for (const route of routes) {
    const path = route.path.replace(/:(\w+)/g, "{$1}");
    (paths[path] ??= {})[route.method] = {
      operationId: route.id,
      tags: [route.tag],
      summary: route.summary,
      description: [
        route.roles === "anyone" ? "Needs no sign-in." : `For: ${route.roles.join(", ")}.`,
        ...(route.roles === "anyone" || !route.scope ? [] : [`With an API token for ${route.scope}.`]),
      ].join(" "),
      security:
        route.roles === "anyone"
          ? []
          : [{ session: [] }, ...(route.scope ? [{ token: route.scope === "every" ? [] : [route.scope] }] : [])],
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
      securitySchemes: {
        session: { type: "apiKey", in: "cookie", name: "kind-grip", description: "Of somebody signed in on a page." },
        token: { type: "http", scheme: "bearer", description: "An API token, made under Practice. Each names what it is for." },
      },
      parameters: {
        csrfToken: {
          name: "x-csrf-token",
          in: "header",
          required: false,
          description: "From /api/me; with a session nothing is changed without it. With an API token it is not needed.",
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

type Mode = "input" | "output";
const nameIn = (name: string, mode: Mode): string => (mode === "input" ? `${name}Sent` : name);

/** Every schema of the routes at once: the library looks through all that has a name each time it is asked. */
function converted(
  schemas: readonly v.GenericSchema[],
  mode: Mode,
): { shapes: Map<v.GenericSchema, object>; named: Record<string, object> } {
  const config: ConversionConfig = {
    errorMode: "ignore",
    typeMode: mode,
    target: "draft-2020-12",
    definitions: NAMED,
    overrideRef: ({ referenceId }) => `#/components/schemas/${nameIn(referenceId, mode)}`,
  };
  const all = v.object(Object.fromEntries(schemas.map((schema, i) => [`${i}`, schema])));
  const { properties, $defs } = toJsonSchema(all, config) as { properties: Record<string, object>; $defs: Record<string, object> };
  return {
    shapes: new Map(schemas.map((schema, i) => [schema, properties[i]!])),
    named: Object.fromEntries(Object.entries($defs).map(([name, shape]) => [nameIn(name, mode), shape])),
  };
}

/** The shapes of what is sent and answered; of those that have a name, the ones that are referred to. */
class Components {
  readonly made: Record<string, object> = {};
  private readonly byMode;

  constructor(routes: readonly DeclaredRoute[]) {
    const all = (schemas: (v.GenericSchema | undefined)[]) => [...new Set(schemas.filter((schema) => schema !== undefined))];
    this.byMode = {
      input: converted(all(routes.map(({ body }) => body)), "input"),
      output: converted(all([...routes.map(({ answer }) => answer), contract.Problem]), "output"),
    };
  }

  of(schema: v.GenericSchema, mode: Mode): object {
    const { shapes, named } = this.byMode[mode];
    const shape = shapes.get(schema)!;
    this.keepReferred(shape, named);
    return shape;
  }

  private keepReferred(shape: object, named: Record<string, object>): void {
    for (const [, name] of JSON.stringify(shape).matchAll(/"#\/components\/schemas\/(\w+)"/g)) {
      if (this.made[name!]) continue;
      this.made[name!] = named[name!]!;
      this.keepReferred(named[name!]!, named);
    }
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
