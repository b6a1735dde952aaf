/** A JSON Schema in a few words: what a value is, and within what. */
import { t } from "../base/words";
import type { JsonSchema } from "./operations";

/** More values than that are counted, not listed. */
const LISTED = 12;

export const nameOfRef = (ref: string): string => ref.split("/").at(-1)!;

/** What stands behind the value: the shape of an object, or of what a list is of. */
export function shapeIn(schema: JsonSchema): JsonSchema | undefined {
  if (schema.$ref || schema.properties) return schema;
  if (schema.items) return shapeIn(schema.items);
  const ways = (schema.anyOf ?? schema.oneOf ?? []).filter((each) => each.type !== "null");
  return ways.length === 1 ? shapeIn(ways[0]!) : undefined;
}

/** The ways a value can be, where each has a shape of its own. */
export function waysOf({ anyOf, oneOf, items }: JsonSchema): JsonSchema[] {
  const ways = (anyOf ?? oneOf ?? []).filter((each) => each.type !== "null");
  return ways.length > 1 && ways.some((each) => shapeIn(each)) ? ways : items ? waysOf(items) : [];
}

export function typeText(schema: JsonSchema): string {
  if (schema.$ref) return nameOfRef(schema.$ref);
  const ways = schema.anyOf ?? schema.oneOf;
  if (ways) return oneOf(ways.map(typeText));
  if (schema.const !== undefined) return JSON.stringify(schema.const);
  if (schema.enum) return enumText(schema.enum);
  if (schema.prefixItems) return t("list of {{what}}", { what: schema.prefixItems.map(typeText).join(", ") });
  const type = Array.isArray(schema.type) ? schema.type : [schema.type ?? ""];
  return oneOf(type.map((each) => plainText(each, schema)));
}

function plainText(type: string, schema: JsonSchema): string {
  switch (type) {
    case "string":
      return [schema.format ?? t("text"), lengthText(schema), schema.pattern ? t("like {{pattern}}", { pattern: schema.pattern }) : ""]
        .filter(Boolean)
        .join(", ");
    case "integer":
    case "number":
      return [type === "integer" || schema.multipleOf === 1 ? t("whole number") : t("number"), rangeText(schema)]
        .filter(Boolean)
        .join(", ");
    case "boolean":
      return t("true or false");
    case "null":
      return "null";
    case "array":
      return [t("list of {{what}}", { what: schema.items ? typeText(schema.items) : t("anything") }), countText(schema)]
        .filter(Boolean)
        .join(", ");
    case "object":
      if (schema.properties) return t("object");
      return typeof schema.additionalProperties === "object"
        ? t("{{what}} by name", { what: typeText(schema.additionalProperties) })
        : t("object");
    default:
      return t("anything");
  }
}

const oneOf = (texts: readonly string[]): string => [...new Set(texts)].join(` ${t("or")} `);

function enumText(values: readonly unknown[]): string {
  const listed = values.slice(0, LISTED).map((value) => JSON.stringify(value));
  const more = values.length - listed.length;
  return [oneOf(listed), ...(more > 0 ? [t("and {{count}} more", { count: more })] : [])].join(" ");
}

function between(least: number | undefined, most: number | undefined): string {
  if (least !== undefined && most !== undefined) return least === most ? `${least}` : t("{{least}} to {{most}}", { least, most });
  if (least !== undefined) return t("at least {{least}}", { least });
  return most === undefined ? "" : t("at most {{most}}", { most });
}
const rangeText = ({ minimum, maximum }: JsonSchema): string => between(minimum, maximum);
function lengthText({ minLength, maxLength }: JsonSchema): string {
  const range = between(minLength, maxLength);
  return range && t("{{range}} letters", { range });
}
function countText({ minItems, maxItems }: JsonSchema): string {
  const range = between(minItems, maxItems);
  return range && t("{{range}} of them", { range });
}
