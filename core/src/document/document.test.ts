import * as v from "valibot";
import { documentFormat, readDocument, UnreadableDocument, upcast } from ".";

const Note = v.strictObject({
  title: v.pipe(v.string(), v.minLength(1)),
  lines: v.array(v.string()),
  starred: v.optional(v.boolean(), false),
});
/** First a bare text, then a text with a title, then lines. */
const NOTE = documentFormat({
  name: "note",
  format: 3,
  steps: [
    (text) => ({ title: String(text).split("\n")[0], text }),
    (note) => {
      const { title, text } = note as { title: string; text: string };
      return { title, lines: text.split("\n") };
    },
  ],
  schema: Note,
});

it.each([
  [1, "Bread\nflour"],
  [2, { title: "Bread", text: "Bread\nflour" }],
  [3, { title: "Bread", lines: ["Bread", "flour"] }],
])("reads format %i as today's, filling in what was left out", (format, stored) => {
  expect(readDocument(NOTE, stored, format)).toEqual({ title: "Bread", lines: ["Bread", "flour"], starred: false });
});

it.each([0, 4, 1.5, NaN])("does not guess at format %d", (format) => {
  expect(() => upcast(NOTE, {}, format)).toThrow(UnreadableDocument);
});

it("leaves what is unfinished as it is, but does not read it as stored", () => {
  const unfinished = { title: "", lines: [] };
  expect(upcast(NOTE, unfinished, 3)).toBe(unfinished);
  expect(() => readDocument(NOTE, unfinished, 3)).toThrow(/a stored note is not one: title/);
});

it("a step that fails says of which format", () => {
  expect(() => upcast(NOTE, null, 2)).toThrow("a note of format 2 cannot be brought up to 3");
});

it("needs a step between every two formats", () => {
  expect(() => documentFormat({ name: "note", format: 2, steps: [], schema: Note })).toThrow(RangeError);
});
