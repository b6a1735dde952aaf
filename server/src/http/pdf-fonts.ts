/**
 * What a font knows of itself and of the words it has set stays from paper to paper: to read a face anew, and to shape each word of a
 * language anew, is a third of what a page costs. Only which letters go into the file is a paper's own.
 */
import { createRequire } from "node:module";
import type { Face, PdfDocument, PdfDocumentClass, PdfFont } from "./pdfmake-inside";

const require = createRequire(import.meta.url);
const { default: Document } = require("pdfmake/js/PDFDocument.js") as { default: PdfDocumentClass };

/** Words of one face that are kept: of every language, and the names of a large practice. */
const MOST_WORDS = 20_000;

interface Known {
  face: Face;
  words: PdfFont["layoutCache"];
}
/** By family and style. */
const known = new Map<string, Known>();

const provideFont = Document.prototype.provideFont;

Document.prototype.provideFont = function (this: PdfDocument, family: string, bold: boolean, italics: boolean): PdfFont {
  const name = this.getFontType(bold, italics);
  const isNew = this.fontCache[family]?.[name] === undefined;
  const font = provideFont.call(this, family, bold, italics);
  if (!isNew) return font;
  const key = `${family} ${name}`;
  const before = known.get(key);
  if (before) Object.assign(font, { font: before.face, subset: before.face.createSubset(), layoutCache: before.words });
  if (!before || Object.keys(before.words).length > MOST_WORDS) {
    font.layoutCache = Object.create(null) as Known["words"];
    known.set(key, { face: font.font, words: font.layoutCache });
  }
  return font;
};
