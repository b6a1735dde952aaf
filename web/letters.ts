/**
 * The letters of the application's face in two files instead of one: those of an English page first, and the rest of the Latin letters for
 * whoever has a name or a language with more of them. Only the weights that are used. A browser fetches what it meets.
 */
import { mkdirSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import subsetFont from "subset-font";
import type { Plugin } from "vite";

const INTO = path.join(import.meta.dirname, ".letters");
const FACE = /atkinson-hyperlegible-next\/index\.css$/;
const LATIN = /@font-face \{[^}]*url\(\.\/(?<file>files\/[\w-]*-latin-wght-normal\.woff2)\)[^}]*unicode-range: (?<range>[^;]*);\n\}/;
const WEIGHTS = { min: 400, max: 800 };
const FIRST = codesOf(
  "U+0000-007E,U+00A0,U+00B0,U+00B1,U+00B7,U+00D7,U+2009,U+200B-200F,U+202F,U+2066-2069,U+2013,U+2014,U+2018,U+2019,U+201C,U+201D,U+2026,U+2212",
);

export const letters: Plugin = {
  name: "letters",
  apply: "build",
  enforce: "pre",
  async transform(css, id) {
    if (!FACE.test(id)) return undefined;
    const { file, range } = LATIN.exec(css)!.groups!;
    mkdirSync(INTO, { recursive: true });
    const whole = readFileSync(path.join(path.dirname(id), file!));
    const rest = codesOf(range!).filter((code) => !FIRST.includes(code));
    const faces = await Promise.all(
      [FIRST, rest].map(async (codes, i) => {
        const text = String.fromCodePoint(...codes);
        const source = await subsetFont(whole, text, { targetFormat: "woff2", variationAxes: { wght: WEIGHTS } });
        const into = path.join(INTO, `letters-${["first", "rest"][i]}.woff2`);
        writeFileSync(into, source);
        return `@font-face {
  font-family: 'Atkinson Hyperlegible Next Variable';
  font-style: normal;
  font-display: swap;
  font-weight: ${WEIGHTS.min} ${WEIGHTS.max};
  src: url(${path.relative(path.dirname(id), into)}) format('woff2-variations');
  unicode-range: ${rangeOf(codes)};
}`;
      }),
    );
    // Faces of other weights would not be taken together with these.
    return css.replace(LATIN, faces.join("\n")).replaceAll(/font-weight: \d+ \d+/g, `font-weight: ${WEIGHTS.min} ${WEIGHTS.max}`);
  },
};

/** @param range as a style sheet names them: U+0041, U+0061-007A */
function codesOf(range: string): number[] {
  return range.split(",").flatMap((part) => {
    const [from, to] = part
      .trim()
      .replace("U+", "")
      .split("-")
      .map((hex) => parseInt(hex, 16));
    return Array.from({ length: (to ?? from!) - from! + 1 }, (_, i) => from! + i);
  });
}

function rangeOf(codes: readonly number[]): string {
  const runs: [from: number, to: number][] = [];
  for (const code of [...codes].sort((a, b) => a - b)) {
    const last = runs.at(-1);
    if (last && last[1] === code - 1) last[1] = code;
    else runs.push([code, code]);
  }
  return runs.map((run) => `U+${[...new Set(run)].map((code) => code.toString(16)).join("-")}`).join(",");
}
