/** The parts of pdfmake's document that drawings on paper stand on; as of its version in the lock file. */
export interface Written {
  /** What the object says of itself, as a dictionary; other objects stand in it as they are. */
  data: Record<string, unknown>;
  write(content: unknown): void;
  end(): void;
}

interface Page {
  width: number;
  height: number;
  fonts: object;
  xobjects: object;
  ext_gstates: object;
  patterns: object;
  colorSpaces: object;
  write(content: unknown): void;
}

/** What PDFKit needs of an image to place it. */
export interface Form {
  label: string;
  width: number;
  height: number;
  /** The form in the document; made by `embed` where it is not there yet. */
  obj?: Written;
  embed(): void;
}

/** Something laid out on a page; a line knows the id of what it begins. */
export interface LaidItem {
  type: string;
  item: { id?: string; image?: string; y?: number };
}
export interface LaidPage {
  items: LaidItem[];
  pageSize: { width: number; height: number };
}
export interface PdfRenderer {
  pdfDocument: PdfDocument;
  renderPages(pages: LaidPage[]): void;
}
export interface PdfRendererClass {
  new (document: PdfDocument): PdfRenderer;
  prototype: PdfRenderer;
}

/** A font file that was read. */
export interface Face {
  createSubset(): object;
}

/** A font in one document. */
export interface PdfFont {
  font: Face;
  /** The letters that the document has of it. */
  subset: object;
  /** Words as they are set. */
  layoutCache: Record<string, object>;
}

export interface PdfDocument {
  /** Family → style → font. */
  fontCache: Record<string, Record<string, PdfFont> | undefined>;
  getFontType(bold: boolean, italics: boolean): string;
  provideFont(family: string, bold: boolean, italics: boolean): PdfFont;
  addPage(options: object): PdfDocument;
  images: Readonly<Record<string, string>>;
  page: Page;
  /** Where user space is now. */
  _ctm: number[];
  /** Images of the document, by name. */
  _imageRegistry: Record<string, object>;
  provideImage(name: string): object;
  ref(data: object): Written;
}

export interface PdfDocumentClass {
  new (): PdfDocument;
  prototype: PdfDocument;
}

export type DrawSvg = (document: PdfDocument, svg: string, x: number, y: number, options: object) => void;
