/**
 * Pages that many others have in common but for a few lines: laid out and drawn once, and placed under each of them by name, as a form of
 * the PDF. A paper begins with its underlays, which are no pages of it; `images: { "underlay 0": "underlay 0" }` names the first.
 */
import { createRequire } from "node:module";
import { drawnOnce } from "./pdf-figures";
import type { Form, LaidItem, LaidPage, PdfDocument, PdfDocumentClass, PdfRenderer, PdfRendererClass } from "./pdfmake-inside";

const require = createRequire(import.meta.url);
const { default: Document } = require("pdfmake/js/PDFDocument.js") as { default: PdfDocumentClass };
const { default: Renderer } = require("pdfmake/js/Renderer.js") as { default: PdfRendererClass };

/** Id of the line from which on a page is what others share. An id stands once in a paper. */
export const sharedFrom = (place: number): string => `shared from ${place}`;
/** Id of a line below it that each page has for itself. */
export const ownLine = (page: number): string => `own ${page}`;
const isShared = ({ item }: LaidItem) => item.id?.startsWith("shared from ") ?? false;
const isOwn = ({ item }: LaidItem) => item.id?.startsWith("own ") ?? false;

export const underlayName = (place: number): string => `underlay ${place}`;
const NAME = /^underlay (\d+)$/;

/** A4, points. */
export const PAGE = { width: 595.28, height: 841.89 };

interface WithUnderlays extends PdfDocument {
  underlays?: LaidPage[];
}

const provideImage = Document.prototype.provideImage;
Document.prototype.provideImage = function (this: WithUnderlays, name: string) {
  const place = NAME.exec(this.images[name] ?? "")?.[1];
  if (place === undefined) return provideImage.call(this, name);
  return (this._imageRegistry[name] ??= underlayForm(this, Number(place)));
};

/** Asked for when it is measured, drawn when it is first placed: by then everything has been laid out. */
function underlayForm(document: WithUnderlays, place: number): Form {
  const form: Form = {
    label: `Underlay${place + 1}`,
    ...PAGE,
    embed() {
      const page = document.underlays![place]!;
      form.obj = drawnOnce(document, PAGE.width, PAGE.height, () => drawAlone(document, { ...page, items: sharedItems(page) }));
    },
  };
  return form;
}

/** A page's items where the document writes now, and no new page for them. */
function drawAlone(document: PdfDocument, page: LaidPage): void {
  document.addPage = () => document;
  try {
    renderPages.call(new Renderer(document), [page]);
  } finally {
    // The one of its class again.
    delete (document as Partial<PdfDocument>).addPage;
  }
}

const renderPages = Renderer.prototype.renderPages;
Renderer.prototype.renderPages = function (this: PdfRenderer & { pdfDocument: WithUnderlays }, pages: LaidPage[]) {
  const count = Object.values(this.pdfDocument.images).filter((image) => NAME.test(image)).length;
  this.pdfDocument.underlays = pages.slice(0, count);
  renderPages.call(this, count === 0 ? pages : pages.slice(count).map((page) => ({ ...page, items: ownItems(page) })));
};

/** Without ids: they would become places of the document to go to. */
const nameless = ({ type, item }: LaidItem): LaidItem => {
  if (type === "line") delete item.id;
  return { type, item };
};

function sharedItems({ items }: LaidPage): LaidItem[] {
  return items
    .slice(items.findIndex(isShared))
    .filter((item) => !isOwn(item))
    .map(nameless);
}

/** Of a page with an underlay what stands before it, and what is its own of the rest. */
function ownItems({ items }: LaidPage): LaidItem[] {
  const underlay = items.findIndex(({ type, item }) => type === "image" && NAME.test(item.image ?? ""));
  const shown = underlay < 0 ? items : items.filter((item, i) => i <= underlay || isOwn(item));
  return shown.map(nameless);
}
