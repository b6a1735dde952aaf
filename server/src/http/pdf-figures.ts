/**
 * Drawings that are used again and again on paper: each is drawn once a document, as a form of the PDF, and placed by name. pdfmake draws
 * an SVG anew wherever it stands; here it takes one where an image is named, next to the pictures it knows by itself.
 */
import { createRequire } from "node:module";
import type { DrawSvg, Form, PdfDocument, PdfDocumentClass, Written } from "./pdfmake-inside";

const require = createRequire(import.meta.url);
const { default: Document } = require("pdfmake/js/PDFDocument.js") as { default: PdfDocumentClass };
const drawSvg = require("pdfmake/js/3rd-party/svg-to-pdfkit/source.js") as DrawSvg;

/** Width and height of a drawing, from its viewBox. */
export function svgSize(svg: string): [width: number, height: number] {
  const [, width, height] = /viewBox="[\d.-]+ [\d.-]+ ([\d.]+) ([\d.]+)"/.exec(svg) ?? [];
  if (!width || !height) throw new Error("a drawing for paper needs a viewBox");
  return [Number(width), Number(height)];
}

const provideImage = Document.prototype.provideImage;

/** Lets every document take SVG text where it takes an image: `images: { name: "<svg …>" }`, `{ image: "name" }`. */
Document.prototype.provideImage = function (this: PdfDocument, name: string) {
  const svg = this.images[name];
  if (!svg?.startsWith("<svg")) return provideImage.call(this, name);
  return (this._imageRegistry[name] ??= formOf(this, svg));
};

function formOf(document: PdfDocument, svg: string): Form {
  const [width, height] = svgSize(svg);
  const label = `Figure${Object.keys(document._imageRegistry).length + 1}`;
  const obj = drawnOnce(document, width, height, () => drawSvg(document, svg, 0, 0, { width, height, assumePt: true }));
  return { label, width, height, obj, embed: () => undefined };
}

/** A form of the document, as large as said. @param draw what the document is told goes into it instead of on a page */
export function drawnOnce(document: PdfDocument, width: number, height: number, draw: () => void): Written {
  const drawn = { fonts: {}, xobjects: {}, ext_gstates: {}, patterns: {}, colorSpaces: {} };
  const form = document.ref({
    Type: "XObject",
    Subtype: "Form",
    FormType: 1,
    BBox: [0, 0, width, height],
    // An image fills the square from 0 to 1, upwards; the drawing goes downwards.
    Matrix: [1 / width, 0, 0, -1 / height, 0, 1],
    Resources: {
      Font: drawn.fonts,
      XObject: drawn.xobjects,
      ExtGState: drawn.ext_gstates,
      Pattern: drawn.patterns,
      ColorSpace: drawn.colorSpaces,
    },
  });
  const { page, _ctm: placed } = document;
  document.page = { width, height, ...drawn, write: (content) => form.write(content) };
  document._ctm = [1, 0, 0, 1, 0, 0];
  try {
    draw();
  } finally {
    document.page = page;
    document._ctm = placed;
  }
  form.end();
  return form;
}
