/** Reads an OpenAPI 3.1 description as far as this server's uses it. */

export interface JsonSchema {
  $ref?: string;
  type?: string | string[];
  properties?: Record<string, JsonSchema>;
  required?: string[];
  additionalProperties?: boolean | JsonSchema;
  items?: JsonSchema;
  prefixItems?: JsonSchema[];
  anyOf?: JsonSchema[];
  oneOf?: JsonSchema[];
  allOf?: JsonSchema[];
  enum?: unknown[];
  const?: unknown;
  format?: string;
  pattern?: string;
  minimum?: number;
  maximum?: number;
  multipleOf?: number;
  minLength?: number;
  maxLength?: number;
  minItems?: number;
  maxItems?: number;
  default?: unknown;
}

interface Content {
  content?: Record<string, { schema: JsonSchema }>;
}
interface Parameter {
  name: string;
  in: string;
  required?: boolean;
  schema: JsonSchema;
}
interface Described {
  operationId: string;
  tags: string[];
  summary: string;
  description: string;
  security: Record<string, string[]>[];
  parameters: (Parameter | { $ref: string })[];
  requestBody?: Content;
  responses: Record<string, (Content & { description: string }) | { $ref: string }>;
}

export interface Description {
  paths: Record<string, Record<string, Described>>;
  components: { schemas: Record<string, JsonSchema>; responses: Record<string, { description: string }> };
}

export interface Operation {
  id: string;
  subject: string;
  method: string;
  path: string;
  summary: string;
  whoMay: string;
  /** The scope a token needs; empty where every token is good, undefined where none is. */
  scope?: string;
  parameters: Parameter[];
  sent?: JsonSchema;
  answer: { status: string; kind: string; schema?: JsonSchema };
  refusals: { status: string; text: string }[];
}

/** In the order of the description. */
export function operationsOf({ paths, components }: Description): Operation[] {
  return Object.entries(paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, each]) => {
      const token = each.security.find(({ token: scopes }) => scopes)?.token;
      const done = Object.entries(each.responses).find(([status]) => status.startsWith("2"))!;
      const [kind, media] = Object.entries((done[1] as Content).content ?? {})[0] ?? ["", undefined];
      return {
        id: each.operationId,
        subject: each.tags[0] ?? "",
        method: method.toUpperCase(),
        path,
        summary: each.summary,
        whoMay: each.description,
        ...(token ? { scope: token[0] ?? "" } : {}),
        parameters: each.parameters.filter((parameter): parameter is Parameter => "name" in parameter),
        ...schemaOf(each.requestBody),
        answer: { status: done[0], kind, ...(kind === "application/json" && media ? { schema: media.schema } : {}) },
        refusals: Object.keys(each.responses)
          .filter((status) => !status.startsWith("2"))
          .map((status) => ({ status, text: components.responses[`Refusal${status}`]?.description ?? "" })),
      };
    }),
  );
}

function schemaOf(body: Content | undefined): { sent?: JsonSchema } {
  const schema = body?.content?.["application/json"]?.schema;
  return schema ? { sent: schema } : {};
}

/** Those that say all of the words somewhere: in path, name, summary or subject. @param scope only what a token of it may call */
export function found(operations: readonly Operation[], words: string, scope?: string): Operation[] {
  const wanted = words.trim().toLowerCase().split(/\s+/);
  return operations.filter(
    ({ id, path, summary, subject, method, scope: own }) =>
      (scope === undefined || own === scope) &&
      wanted.every((word) => `${method} ${path} ${id} ${summary} ${subject}`.toLowerCase().includes(word)),
  );
}
