/** Paper: one face, one ink, nothing from outside. */
import { createRequire } from "node:module";
import path from "node:path";
import pdfmake from "pdfmake";
import type { TDocumentDefinitions } from "pdfmake/interfaces";

export const INK = "#1D2B2A";
export const SPRUCE = "#17594F";
export const QUIET = "#5B6562";
export const LINE = "#D9D2C3";
export const WARM = "#A34A17";

const require = createRequire(import.meta.url);
const fontFolder = path.join(path.dirname(require.resolve("@fontsource/atkinson-hyperlegible-next/package.json")), "files");
const fontFile = (weight: number) => path.join(fontFolder, `atkinson-hyperlegible-next-latin-${weight}-normal.woff`);
const FONTS = { Legible: { normal: fontFile(400), bold: fontFile(700), italics: fontFile(400), bolditalics: fontFile(700) } };

/** A4, in the application's face. */
export async function pdfOf(definition: TDocumentDefinitions): Promise<Buffer> {
  pdfmake.setFonts(FONTS);
  // Nothing from outside is ever drawn; from this machine only the fonts.
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy((file) => path.resolve(file).startsWith(fontFolder));
  return pdfmake
    .createPdf({
      pageSize: "A4",
      defaultStyle: { font: "Legible", fontSize: 12, color: INK, lineHeight: 1.15 },
      ...definition,
    })
    .getBuffer();
}
