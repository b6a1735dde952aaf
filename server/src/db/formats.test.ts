/**
 * The shape of every stored document, kept by its format. A document in today's format is not parsed again as it is read, so any change of
 * its schema, a new optional field too, needs the next format and a step to it; this test fails when it was forgotten. Run Jest
 * with `-u` for a new format, and without one only for a change that fits everything stored already, such as one more value.
 */
import { NOISE_DOCUMENT, RECORD_DOCUMENT } from "@kind-grip/core/baseline";
import { BOOKING_RULES_DOCUMENT } from "@kind-grip/core/booking";
import { CREW_DETAIL } from "@kind-grip/core/crew";
import { STANDING_DOCUMENT, WEEK_DOCUMENT } from "@kind-grip/core/dayplan";
import type { DocumentFormat } from "@kind-grip/core/document";
import { FIRST_AID_DOCUMENT } from "@kind-grip/core/followup";
import { MOVEMENT_DOCUMENT } from "@kind-grip/core/library";
import { OBSERVATION_DOCUMENT } from "@kind-grip/core/observe";
import { PROGRAM_DOCUMENT } from "@kind-grip/core/program";
import { SETTINGS_DOCUMENT } from "@kind-grip/core/response";
import { SESSION_DOCUMENT } from "@kind-grip/core/session";
import { WORK_DOCUMENT } from "@kind-grip/core/strain";
import { toJsonSchema } from "@valibot/to-json-schema";

const DOCUMENTS: readonly DocumentFormat<never>[] = [
  PROGRAM_DOCUMENT,
  WEEK_DOCUMENT,
  STANDING_DOCUMENT,
  BOOKING_RULES_DOCUMENT,
  SESSION_DOCUMENT,
  MOVEMENT_DOCUMENT,
  WORK_DOCUMENT,
  OBSERVATION_DOCUMENT,
  RECORD_DOCUMENT,
  NOISE_DOCUMENT,
  CREW_DETAIL,
  SETTINGS_DOCUMENT,
  FIRST_AID_DOCUMENT,
] as never;

interface JsonSchema {
  properties?: Record<string, JsonSchema>;
  required?: string[];
  items?: JsonSchema;
  anyOf?: JsonSchema[];
  oneOf?: JsonSchema[];
  allOf?: JsonSchema[];
  additionalProperties?: JsonSchema | boolean;
  enum?: unknown[];
  const?: unknown;
  type?: string;
}

/** One line a field: where it is and what it may be, `?` where it may be left out. */
function linesOf(schema: JsonSchema, path = ""): string[] {
  const { properties = {}, required = [], items, anyOf = [], oneOf = [], allOf = [], additionalProperties } = schema;
  const below = [
    ...Object.entries(properties).flatMap(([name, each]) => linesOf(each, `${path}.${name}${required.includes(name) ? "" : "?"}`)),
    ...(items ? linesOf(items, `${path}[]`) : []),
    ...[...anyOf, ...oneOf, ...allOf].flatMap((each) => linesOf(each, path)),
    ...(typeof additionalProperties === "object" ? linesOf(additionalProperties, `${path}{}`) : []),
  ];
  if (below.length > 0) return below;
  const values = schema.enum ?? ("const" in schema ? [schema.const] : null);
  return [`${path} ${values ? values.join(" | ") : (schema.type ?? "anything")}`];
}

/** What is stored is what the schema gives out. */
const shapeOf = (document: DocumentFormat<never>) =>
  [...new Set(linesOf(toJsonSchema(document.schema, { errorMode: "ignore", typeMode: "output" }) as JsonSchema))].sort().join("\n");

it.each(DOCUMENTS.map((document) => [`${document.name}, format ${document.format}`, document] as const))(
  "%s has the shape it was stored in",
  (_name, document) => {
    expect(shapeOf(document)).toMatchSnapshot();
  },
);
