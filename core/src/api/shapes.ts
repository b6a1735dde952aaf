/** Shapes that the contracts of several subjects share. */
import * as v from "valibot";
import { Id, NonEmptyText } from "../units";

/** The version the caller last saw; a save against an older one is refused with 409. 0 for what was never stored. */
export const Version = v.pipe(v.number("is missing"), v.integer(), v.minValue(0));

/** The secret in the square of a card. */
export const CardToken = v.pipe(v.string("is missing"), v.minLength(20, "is no card"), v.maxLength(80, "is no card"));

/** A page of a list, from 0. */
export const Page = v.object({
  page: v.optional(v.pipe(v.string(), v.regex(/^\d{1,6}$/, "must be a page number"), v.transform(Number)), "0"),
});

/** A reason that is asked for and kept. */
export const Why = v.strictObject({
  why: v.pipe(v.string("is missing"), v.trim(), v.minLength(3, "is missing: say why"), v.maxLength(600, "is longer than 600 characters")),
});

/** What became of something that is sent again until it is confirmed: sending it twice stores it once. */
export const Stored = v.strictObject({ id: Id, stored: v.picklist(["new", "already"]) });
export type Stored = v.InferOutput<typeof Stored>;

/** The text of a file that is brought in. */
export const FileText = (mostCharacters: number, what: string) =>
  v.pipe(v.string("is missing"), v.maxLength(mostCharacters, `is longer than a ${what} file can be`));

export const named = v.strictObject({ name: NonEmptyText });

/** Entries of one page with how many there are in all. */
export function pageOf<K extends string, S extends v.GenericSchema>(key: K, entry: S) {
  const list = { [key]: v.array(entry) } as unknown as Record<K, v.ArraySchema<S, undefined>>;
  return v.strictObject({ total: v.number(), pageSize: v.number(), ...list });
}

/** The body of every answer that is not 2xx. */
export const Problem = v.strictObject({
  code: v.string(),
  message: v.string(),
  /** Dotted path → what is wrong there. */
  fields: v.array(v.strictObject({ path: v.string(), message: v.string() })),
  /** What the screen needs to offer a way on: the newer version, say. */
  detail: v.optional(v.unknown()),
});
export type Problem = v.InferOutput<typeof Problem>;
