/**
 * A stored document has a format: a whole number that grows when its shape changes. What was stored in an older format is brought up to
 * today's, one step after the other, before anybody reads it; what a newer product stored is not guessed at.
 */
import * as v from "valibot";

export interface DocumentFormat<T> {
  /** What it is, for messages: "program". */
  name: string;
  /** Today's format, from 1. */
  format: number;
  /** The step at place i makes format i + 2 of format i + 1; there is one step less than there are formats. */
  steps: readonly ((older: unknown) => unknown)[];
  /** Of today's shape. */
  schema: v.GenericSchema<unknown, T>;
}

/** @throws RangeError when there is not one step less than there are formats */
export function documentFormat<T>(format: DocumentFormat<T>): DocumentFormat<T> {
  if (format.steps.length !== format.format - 1)
    throw new RangeError(`${format.name}: format ${format.format} needs ${format.format - 1} steps, it has ${format.steps.length}`);
  return format;
}

/** A document of an earlier product. */
export class UnreadableDocument extends Error {}

/**
 * Brings a document to today's shape without judging what is in it: a draft may be unfinished.
 * @param format it was stored in
 * @throws UnreadableDocument when a newer product stored it, or a step cannot make sense of it
 */
export function upcast<T>(of: DocumentFormat<T>, stored: unknown, format: number): T {
  if (!Number.isInteger(format) || format < 1 || format > of.format)
    throw new UnreadableDocument(`a ${of.name} of format ${format} cannot be read: this product reads formats 1 to ${of.format}`);
  try {
    return of.steps.slice(format - 1).reduce((older, step) => step(older), stored) as T;
  } catch (error) {
    throw new UnreadableDocument(`a ${of.name} of format ${format} cannot be brought up to ${of.format}`, { cause: error });
  }
}

/**
 * Reads a stored document: brought up to today's shape, and passed through its schema, which fills in what was left out.
 * @throws UnreadableDocument with the first field that is wrong
 */
export function readDocument<T>(of: DocumentFormat<T>, stored: unknown, format: number): T {
  const parsed = v.safeParse(of.schema, upcast(of, stored, format));
  if (parsed.success) return parsed.output;
  const [issue] = parsed.issues;
  throw new UnreadableDocument(`a stored ${of.name} is not one: ${v.getDotPath(issue) ?? "it"} ${issue.message}`);
}
