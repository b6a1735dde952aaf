/** Paper: one face, one ink, nothing from outside. */
import { once } from "es-toolkit";
import type { Language } from "@kind-grip/core/language";
import pdfmake from "pdfmake";
import type { ContextPageSize, TDocumentDefinitions } from "pdfmake/interfaces";
import "./pdf-figures";
import "./pdf-fonts";
import { fontFiles, withFaces } from "./pdf-text";

export const INK = "#1D2B2A";
export const SPRUCE = "#17594F";
export const QUIET = "#5B6562";
export const LINE = "#D9D2C3";
export const WARM = "#A34A17";

/** pdfmake's own files, which its types leave out. */
const { virtualfs: files } = pdfmake as unknown as { virtualfs: { writeFileSync(name: string, content: Buffer): void } };

/** Fonts in place, read once, into pdfmake's own files; nothing from outside is ever drawn, and nothing from this machine. */
const prepare = once(() => {
  const fonts = fontFiles().map(({ face, normal, bold }) => {
    files.writeFileSync(`${face}-400.ttf`, normal);
    files.writeFileSync(`${face}-700.ttf`, bold);
    return [face, { normal: `${face}-400.ttf`, bold: `${face}-700.ttf`, italics: `${face}-400.ttf`, bolditalics: `${face}-700.ttf` }];
  });
  pdfmake.setFonts(Object.fromEntries(fonts));
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy(() => false);
});

/** What is read aloud right, and found by its name: the language of a paper and its title. */
export interface Paper extends TDocumentDefinitions {
  language: Language;
  info: { title: string; subject?: string };
}

/** A4, in the application's face. @param progress hears how much of what is laid out is drawn, 0 to 1 */
export async function pdfOf(definition: Paper, progress?: (share: number) => void): Promise<Buffer> {
  prepare();
  const { footer } = definition;
  return pdfmake
    .createPdf(
      {
        pageSize: "A4",
        // Its name instead of the file's in the window of whoever reads it. Left out of the types of pdfmake.
        ...({ displayTitle: true } as object),
        defaultStyle: { font: "Legible", fontSize: 12, color: INK, lineHeight: 1.15 },
        ...definition,
        content: withFaces(definition.content),
        ...(typeof footer === "function" && {
          footer: (page: number, pages: number, size: ContextPageSize) => withFaces(footer(page, pages, size)!),
        }),
      },
      // Left out of the types of pdfmake.
      { progressCallback: progress } as object,
    )
    .getBuffer();
}
