/** Paper: one face, one ink, nothing from outside. */
import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import path from "node:path";
import { once } from "es-toolkit";
import pdfmake from "pdfmake";
import type { TDocumentDefinitions } from "pdfmake/interfaces";
import "./pdf-figures";
import { unpackWoff } from "./woff";

export const INK = "#1D2B2A";
export const SPRUCE = "#17594F";
export const QUIET = "#5B6562";
export const LINE = "#D9D2C3";
export const WARM = "#A34A17";

const require = createRequire(import.meta.url);
const fontFolder = path.join(path.dirname(require.resolve("@fontsource/atkinson-hyperlegible-next/package.json")), "files");
/** pdfmake's own files, which its types leave out. */
const { virtualfs: files } = pdfmake as unknown as { virtualfs: { writeFileSync(name: string, content: Buffer): void } };

/** Fonts are read once, into pdfmake's own files. */
function readFont(weight: number): string {
  const name = `legible-${weight}.ttf`;
  files.writeFileSync(name, unpackWoff(readFileSync(path.join(fontFolder, `atkinson-hyperlegible-next-latin-${weight}-normal.woff`))));
  return name;
}

/** Fonts in place; nothing from outside is ever drawn, and nothing from this machine. */
const prepare = once(() => {
  const [normal, bold] = [readFont(400), readFont(700)];
  pdfmake.setFonts({ Legible: { normal, bold, italics: normal, bolditalics: bold } });
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy(() => false);
});

/** A4, in the application's face. @param progress hears how much of what is laid out is drawn, 0 to 1 */
export async function pdfOf(definition: TDocumentDefinitions, progress?: (share: number) => void): Promise<Buffer> {
  prepare();
  return pdfmake
    .createPdf(
      {
        pageSize: "A4",
        defaultStyle: { font: "Legible", fontSize: 12, color: INK, lineHeight: 1.15 },
        ...definition,
      },
      // Left out of the types of pdfmake.
      { progressCallback: progress } as object,
    )
    .getBuffer();
}
