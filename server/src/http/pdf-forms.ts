/**
 * A drawing as a PDF has it: its form, and whatever that names, each with its content packed. Drawn once, such a form is put into any
 * number of papers for next to nothing; an SVG takes tens of milliseconds each time it is drawn.
 */
import { deflateSync } from "node:zlib";
import type { PdfDocument, Written } from "./pdfmake-inside";

export interface KeptForm {
  width: number;
  height: number;
  /** The form itself is the first. */
  objects: { said: unknown; packed?: string }[];
}

/** Stands for another object of the form, by its place among them. */
interface Named {
  object: number;
}

/** Hears what is written to every object that is made in a document from now on. */
export function listenTo(document: PdfDocument): Map<Written, unknown[]> {
  const heard = new Map<Written, unknown[]>();
  const { ref } = document;
  document.ref = function (said) {
    const made = ref.call(this, said);
    const parts: unknown[] = [];
    heard.set(made, parts);
    const { write } = made;
    made.write = function (part) {
      parts.push(part);
      write.call(this, part);
    };
    return made;
  };
  return heard;
}

/** @param heard what was written to the form's objects, by `listenTo` before it was drawn */
export function takeOut(form: Written, [width, height]: [number, number], heard: Map<Written, unknown[]>): KeptForm {
  const found = [form];
  const named = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(named);
    if (typeof value !== "object" || value === null) return value;
    if (heard.has(value as Written)) {
      if (!found.includes(value as Written)) found.push(value as Written);
      return { object: found.indexOf(value as Written) } satisfies Named;
    }
    return Object.fromEntries(Object.entries(value).map(([key, part]) => [key, named(part)]));
  };
  const objects: KeptForm["objects"] = [];
  // Objects that one names are found while it is looked at, and come after it.
  for (const object of found) {
    const { Length: _length, Filter: _filter, ...said } = object.data;
    const content = Buffer.concat(
      heard.get(object)!.map((part) => (part instanceof Uint8Array ? part : Buffer.from(`${part}\n`, "latin1"))),
    );
    objects.push({ said: named(said), ...(content.length > 0 && { packed: deflateSync(content, { level: 9 }).toString("base64") }) });
  }
  return { width, height, objects };
}

/** @returns the form, in another document */
export function putInto(document: PdfDocument, { objects }: KeptForm): Written {
  const made = objects.map(({ packed }) => document.ref(packed === undefined ? {} : { Filter: "FlateDecode" }));
  const meant = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(meant);
    if (typeof value !== "object" || value === null) return value;
    if ("object" in value) return made[(value as Named).object];
    return Object.fromEntries(Object.entries(value).map(([key, part]) => [key, meant(part)]));
  };
  objects.forEach(({ said, packed }, i) => {
    const object = made[i]!;
    Object.assign(object.data, meant(said));
    if (packed !== undefined) object.write(Buffer.from(packed, "base64"));
    object.end();
  });
  return made[0]!;
}
