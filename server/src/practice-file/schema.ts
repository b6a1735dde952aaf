/** JSON Schemas of the rows of a practice's file, from the tables they come from. */
import { toJsonSchema } from "@valibot/to-json-schema";
import type { DocumentFormat } from "@kind-grip/core/document";
import type { Model, ModelStatic } from "sequelize";
import type { Db } from "../db/connection";
import { EncryptedType } from "../db/encrypted";
import { columnsOf, tableOf, type PracticePart } from "./parts";

type Schema = Record<string, unknown>;
const KINDS: Readonly<Record<string, Schema>> = {
  UUID: { type: "string", format: "uuid" },
  DATE: { type: "string", format: "date-time" },
  DATEONLY: { type: "string", format: "date" },
  INTEGER: { type: "integer" },
  SMALLINT: { type: "integer" },
  BIGINT: { type: "integer" },
  "DOUBLE PRECISION": { type: "number" },
  BOOLEAN: { type: "boolean" },
  JSON: {},
};

/** Of one line. Everything that may be missing in a row is null there. */
export const rowSchema = (db: Db, part: PracticePart): Schema => ({
  $schema: DRAFT,
  title: tableOf(db, part).getTableName(),
  ...columnsSchema(tableOf(db, part), columnsOf(db, part)),
});

export const DRAFT = "http://json-schema.org/draft-07/schema#";

/** Of a row of a table with some of its columns. */
export function columnsSchema(table: ModelStatic<Model>, columns: readonly string[]): Schema {
  const attributes = table.getAttributes();
  const properties = Object.fromEntries(
    columns.map((name) => {
      const { type, primaryKey, document } = attributes[name] as unknown as {
        type: unknown;
        primaryKey?: boolean;
        document?: DocumentFormat<unknown>;
      };
      if (document) return [name, orNull(toJsonSchema(document.schema, { errorMode: "ignore", typeMode: "output" }) as Schema)];
      const isBytes = type instanceof EncryptedType && type.kind === "bytes";
      const kind: Schema = isBytes
        ? { type: "string", contentEncoding: "base64" }
        : type instanceof EncryptedType
          ? {}
          : (KINDS[(type as { key: string }).key] ?? { type: "string" });
      return [name, primaryKey ? kind : orNull(kind)];
    }),
  );
  return {
    type: "object",
    properties,
    required: columns,
    additionalProperties: false,
  };
}

/** What says nothing of its kind may be null as it is. */
const orNull = (schema: Schema): Schema => (Object.keys(schema).length === 0 ? schema : { anyOf: [schema, { type: "null" }] });
