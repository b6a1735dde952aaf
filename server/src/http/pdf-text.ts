/**
 * Text on paper, whatever it is written in. The library that makes the paper sets one face a piece and every line from left to right:
 * here a text is cut into pieces by the face that has its letters, and for a language that runs from right to left it is broken into lines
 * and its words are put in the order they are seen in (Unicode Standard Annex 9, by bidi-js).
 */
import bidiFactory from "bidi-js";
import { create, type Font } from "fontkit";
import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import path from "node:path";
import { once } from "es-toolkit";
import type { Content } from "pdfmake/interfaces";
import { unpackWoff } from "./woff";

export const FACES = ["Legible", "LegibleExtended", "Arabic"] as const;
export type Face = (typeof FACES)[number];

const require = createRequire(import.meta.url);
const filesBeside = (manifest: string) => path.join(path.dirname(manifest), "files");
const legible = filesBeside(require.resolve("@fontsource/atkinson-hyperlegible-next/package.json"));
const arabic = filesBeside(require.resolve("@fontsource/noto-sans-arabic/package.json"));
const FILES: Readonly<Record<Face, (weight: number) => string>> = {
  Legible: (weight) => path.join(legible, `atkinson-hyperlegible-next-latin-${weight}-normal.woff`),
  LegibleExtended: (weight) => path.join(legible, `atkinson-hyperlegible-next-latin-ext-${weight}-normal.woff`),
  Arabic: (weight) => path.join(arabic, `noto-sans-arabic-arabic-${weight}-normal.woff`),
};

/** Every face in both weights, as fonts of paper. */
export const fontFiles = once(() =>
  FACES.map((face) => {
    const [normal, bold] = [400, 700].map((weight) => unpackWoff(readFileSync(FILES[face](weight))));
    return { face, normal: normal!, bold: bold! };
  }),
);

const measuring = once(
  () =>
    new Map(fontFiles().map(({ face, normal, bold }) => [face, { normal: create(normal) as Font, bold: create(bold) as Font }] as const)),
);

/** A part of a line with a look of its own. */
export interface Piece {
  text: string;
  bold?: boolean;
  fontSize?: number;
  color?: string;
}

/** The face that has a letter; of a letter that none has, the first. */
function faceOf(letter: string): Face {
  const code = letter.codePointAt(0)!;
  return FACES.find((face) => measuring().get(face)!.normal.hasGlyphForCodePoint(code)) ?? "Legible";
}

/** Pieces in which each has one face; spaces stay with what stands before them. */
export function inFaces(pieces: readonly Piece[]): (Piece & { font?: Face })[] {
  return pieces.flatMap((piece) => {
    const parts: (Piece & { font: Face })[] = [];
    for (const letter of piece.text) {
      const last = parts.at(-1);
      const face = letter.trim() === "" && last ? last.font : faceOf(letter);
      if (last?.font === face) last.text += letter;
      else parts.push({ ...piece, text: letter, font: face });
    }
    return parts;
  });
}

/** Everything that is written in a part of a paper, each piece in a face that has its letters. */
export function withFaces(content: Content): Content {
  if (typeof content === "string") return content === "" ? content : { text: facesOf(content) };
  if (Array.isArray(content)) return content.map(withFaces);
  const node = content as unknown as Record<string, unknown>;
  const changed: Record<string, unknown> = { ...node };
  if (typeof node.text === "string" && node.font === undefined) changed.text = facesOf(node.text);
  else if (Array.isArray(node.text)) changed.text = (node.text as (string | Piece)[]).flatMap(facesOfPiece);
  for (const key of ["stack", "columns", "ul", "ol"]) if (Array.isArray(node[key])) changed[key] = (node[key] as Content[]).map(withFaces);
  return changed as unknown as Content;
}

/** Pieces of a line keep their own look; in it they cannot be nested. */
function facesOfPiece(piece: string | (Piece & { font?: Face })): (string | Piece)[] {
  if (typeof piece === "string") return [facesOf(piece)].flat();
  return piece.font === undefined ? inFaces([piece]) : [piece];
}

/** The text itself where the usual face has all of it. */
function facesOf(text: string): string | Piece[] {
  const pieces = inFaces([{ text }]);
  return pieces.every(({ font }) => font === "Legible") ? text : pieces;
}

interface Token extends Piece {
  font: Face;
  level: number;
}

const bidi = once(bidiFactory);

/** Letters of a line with the look of the piece each is of. */
interface Letter {
  letter: string;
  look: Omit<Piece, "text">;
}

/** One line as it is seen, from left to right. @param line in the order it is read in */
function asSeen(line: readonly Letter[]): Token[] {
  const text = line.map(({ letter }) => letter).join("");
  const { levels } = bidi().getEmbeddingLevels(text, "rtl");
  const mirrored = bidi().getMirroredCharactersMap(text, levels);
  const tokens: Token[] = [];
  let look: Letter["look"] | undefined;
  let wasSpace = false;
  let i = 0;
  for (const each of line) {
    const level = levels[i]!;
    const isSpace = each.letter.trim() === "";
    const font = isSpace ? "Legible" : faceOf(each.letter);
    const last = tokens.at(-1);
    // Words one by one: the paper's library shapes a word rightly, and sets words from left to right.
    if (last && last.level === level && last.font === font && wasSpace === isSpace && look === each.look) last.text += each.letter;
    else tokens.push({ ...each.look, text: each.letter, font, level });
    if (level % 2 === 1 && font !== "Arabic") tokens.at(-1)!.text = tokens.at(-1)!.text.slice(0, -1) + (mirrored.get(i) ?? each.letter);
    look = each.look;
    wasSpace = isSpace;
    i += each.letter.length;
  }
  // What the face would set the other way round: words of Latin from right to left, Arabic figures from left to right.
  for (const token of tokens) if ((token.level % 2 === 1) !== (token.font === "Arabic")) token.text = [...token.text].reverse().join("");
  // Rule L2: from the highest level down to 1, what is of that level or above is turned round.
  for (let level = Math.max(1, ...tokens.map((token) => token.level)); level >= 1; level--) {
    for (let from = 0; from < tokens.length; from++) {
      let until = from;
      while (until < tokens.length && tokens[until]!.level >= level) until++;
      if (until > from) tokens.splice(from, until - from, ...tokens.slice(from, until).reverse());
      from = until;
    }
  }
  return tokens;
}

/** Widths of words in ems: the same words come again and again. */
const widths = new Map<string, number>();

function widthOf({ text, font, bold = false }: Pick<Token, "text" | "font" | "bold">, fontSize: number): number {
  const key = `${font} ${bold} ${text}`;
  const known = widths.get(key);
  if (known !== undefined) return known * fontSize;
  const face = measuring().get(font)![bold ? "bold" : "normal"];
  const em = face.layout(text).advanceWidth / face.unitsPerEm;
  if (widths.size < MOST_WIDTHS) widths.set(key, em);
  return em * fontSize;
}

/** How long a text is on one line, points. */
export function textWidth(text: string, fontSize: number): number {
  return inFaces([{ text }]).reduce((sum, piece) => sum + widthOf({ font: "Legible", ...piece }, fontSize), 0);
}

/** The Arabic face asks for lines of more than two ems, for marks that nothing here has. */
const ARABIC_LINE_HEIGHT = 0.7;
const LINE_HEIGHT = 1.15;
const MOST_WIDTHS = 20_000;
/** Rounding of what is measured here against what the paper's library measures, points. */
const SLACK = 0.5;

/**
 * Lines of a language that runs from right to left, in the order they are seen in.
 * @param width in which they have to stand, points @param fontSize of pieces that have none of their own
 */
export function rightToLeft(pieces: readonly Piece[], width: number, fontSize: number, alignment: "left" | "right" = "right"): Content[] {
  const words: Letter[][] = [];
  for (const { text, ...look } of pieces) {
    for (const letter of text) {
      const last = words.at(-1);
      const begins = last?.at(-1)?.letter === " " && letter !== " ";
      if (!last || begins) words.push([{ letter, look }]);
      else last.push({ letter, look });
    }
  }
  const lines: Letter[][] = [];
  const lengthOf = (line: readonly Letter[]) =>
    asSeen(trimmed(line)).reduce((sum, token) => sum + widthOf(token, token.fontSize ?? fontSize), 0);
  for (const word of words) {
    const last = lines.at(-1);
    if (last && lengthOf([...last, ...word]) <= width - SLACK) last.push(...word);
    else lines.push([...word]);
  }
  return lines.map((line) => {
    const text = asSeen(trimmed(line)).map(({ level: _level, ...token }) => token);
    const lineHeight = text.some(({ font }) => font === "Arabic") ? ARABIC_LINE_HEIGHT : LINE_HEIGHT;
    return { text, fontSize, noWrap: true, lineHeight, alignment };
  });
}

function trimmed(line: readonly Letter[]): Letter[] {
  const from = line.findIndex(({ letter }) => letter.trim() !== "");
  const until = line.findLastIndex(({ letter }) => letter.trim() !== "");
  return line.slice(Math.max(0, from), until + 1);
}
