/**
 * Drawings that are used again and again on paper: each is drawn once a document, as a form of the PDF, and placed by name. pdfmake draws
 * an SVG anew wherever it stands; here it takes one where an image is named, next to the pictures it knows by itself.
 */
import { createRequire } from "node:module";
import { listenTo, putInto, takeOut, type KeptForm } from "./pdf-forms";
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

/** How a drawing that is kept begins, among the images of a document. */
const KEPT = '{"width"';

/** Draws an SVG as a document takes it too, for next to nothing: `images: { name: keptForm(svg) }`. */
export function keptForm(svg: string): string {
  const document = new Document();
  const heard = listenTo(document);
  const [width, height] = svgSize(svg);
  const form = drawnOnce(document, width, height, () => drawSvg(document, svg, 0, 0, { width, height, assumePt: true }));
  return JSON.stringify(takeOut(form, [width, height], heard));
}

/** As large as a kept drawing, with nothing on it: for paper that is laid out to be measured. */
export function blankForm(kept: string): string {
  const { width, height } = JSON.parse(kept.slice(0, kept.indexOf(',"objects"')) + "}") as KeptForm;
  return JSON.stringify({ width, height, objects: [{ said: {} }] } satisfies KeptForm);
}

const provideImage = Document.prototype.provideImage;

/** Lets every document take a drawing where it takes an image, as SVG or kept: `images: { name: "<svg …>" }`, `{ image: "name" }`. */
Document.prototype.provideImage = function (this: PdfDocument, name: string) {
  const drawing = this.images[name];
  if (drawing?.startsWith("<svg")) return (this._imageRegistry[name] ??= formOf(this, keptForm(drawing)));
  if (drawing?.startsWith(KEPT)) return (this._imageRegistry[name] ??= formOf(this, drawing));
  return provideImage.call(this, name);
};

function formOf(document: PdfDocument, kept: string): Form {
  const form = JSON.parse(kept) as KeptForm;
  const label = `Figure${Object.keys(document._imageRegistry).length + 1}`;
  return { label, width: form.width, height: form.height, obj: putInto(document, form), embed: () => undefined };
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
