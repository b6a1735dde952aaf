/** The parts of pdfmake's document that drawings on paper stand on; as of its version in the lock file. */
interface Written {
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

export interface PdfDocument {
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
  prototype: PdfDocument;
}

export type DrawSvg = (document: PdfDocument, svg: string, x: number, y: number, options: object) => void;
