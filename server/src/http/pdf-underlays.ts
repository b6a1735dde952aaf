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

/**
 * Id of a line that each page has for itself: its kind, and where it stands, as an id stands once in a paper. On a page with an underlay
 * it comes to stand as high as the line of its kind on the underlay, which is not drawn there.
 */
export const ownLine = (kind: string, place: string | number): string => `own ${kind} ${place}`;
const OWN = /^own (\w+) /;
const ownKind = ({ item }: LaidItem): string | undefined => OWN.exec(item.id ?? "")?.[1];

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
      form.obj = drawnOnce(document, PAGE.width, PAGE.height, () =>
        drawAlone(document, { ...page, items: page.items.filter((item) => !ownKind(item)).map(nameless) }),
      );
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
  const underlays = pages.slice(0, count);
  renderPages.call(this, count === 0 ? pages : pages.slice(count).map((page) => ({ ...page, items: placedItems(page, underlays) })));
};

/** Without ids: they would become places of the document to go to. */
const nameless = ({ type, item }: LaidItem): LaidItem => {
  if (type === "line") delete item.id;
  return { type, item };
};

/** Of a page with an underlay only that and its own lines, where the underlay has theirs. */
function placedItems({ items }: LaidPage, underlays: readonly LaidPage[]): LaidItem[] {
  const placeOf = ({ item }: LaidItem) => NAME.exec(item.image ?? "")?.[1];
  const place = items.map(placeOf).find((name) => name !== undefined);
  if (place === undefined) return items.map(nameless);
  const heights = new Map(underlays[Number(place)]!.items.map((each) => [ownKind(each), each.item.y]));
  return items.flatMap((each) => {
    const kind = ownKind(each);
    if (kind !== undefined) each.item.y = heights.get(kind) ?? each.item.y;
    return kind === undefined && placeOf(each) === undefined ? [] : [nameless(each)];
  });
}
