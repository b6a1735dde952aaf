/** A drawing that stands on many places of a paper is drawn once; fonts are unpacked to what they were. */
import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { inflateSync } from "node:zlib";
import { pdfOf } from "./pdf";
import { blankForm, keptForm, svgSize } from "./pdf-figures";
import { unpackWoff } from "./woff";

const RED = "1 0 0 scn";
const svg = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 20"><path d="M2 2 L38 2 L20 18 Z" fill="#ff0000"/></svg>';
const times = (count: number) => Array.from({ length: count }, () => ({ image: "triangle", width: 80 }));
const paper = (count: number) => pdfOf({ language: "de", info: { title: "Blatt" }, images: { triangle: svg }, content: times(count) });

/** The streams of a PDF, unpacked, with what is said of each. */
function streams(pdf: Buffer): { said: string; content: string }[] {
  const text = pdf.toString("latin1");
  return [...text.matchAll(/(<<(?:(?!endobj)[\s\S])*?>>)\s*stream\r?\n([\s\S]*?)\r?\nendstream/g)].map(([, said, packed]) => ({
    said: said!,
    content: said!.includes("FlateDecode") ? inflateSync(Buffer.from(packed!, "latin1")).toString("latin1") : packed!,
  }));
}

it("a paper says its language and its name", async () => {
  const text = (await paper(1)).toString("latin1");
  expect(text).toMatch(/\/Lang \(de\)/);
  expect(text).toMatch(/\/DisplayDocTitle true/);
  expect(text).toMatch(/\/Title \d+ 0 R/);
  expect(text).toContain("(Blatt)");
});

describe("a drawing of a paper", () => {
  it("is drawn once and placed as often as it is named", async () => {
    const all = streams(await paper(7));
    const forms = all.filter(({ said }) => said.includes("/Form"));
    expect(forms).toHaveLength(1);
    expect(all.filter(({ content }) => content.includes(RED))).toEqual(forms);
    expect(all.flatMap(({ content }) => content.match(/\/Figure1 Do/g) ?? [])).toHaveLength(7);
  });
  it("fills its place upright: form space is turned into the unit square of an image", async () => {
    const [form] = streams(await paper(1)).filter(({ said }) => said.includes("/Form"));
    expect(form!.said).toContain("/BBox [0 0 40 20]");
    expect(form!.said).toMatch(/\/Matrix \[0\.025 0 0 -0\.05 0 1\]/);
  });
  it("costs next to nothing the second time", async () => {
    const [one, many] = await Promise.all([paper(1), paper(30)]);
    expect(many.length - one.length).toBeLessThan(30 * 60 + 1500);
  });
  it("without a size is refused", () => {
    expect(svgSize(svg)).toEqual([40, 20]);
    expect(() => svgSize("<svg></svg>")).toThrow("viewBox");
  });
});

describe("a drawing that is kept", () => {
  const clipped = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 20"><clipPath id="c"><rect x="0" y="0" width="20" height="20"/></clipPath>
    <g clip-path="url(#c)"><path d="M2 2 L38 2 L20 18 Z" fill="#ff0000" fill-opacity="0.5"/></g><circle cx="30" cy="10" r="5" fill="#00ff00"/></svg>`;
  const kept = keptForm(clipped);
  const paperOf = (drawing: string) =>
    pdfOf({ language: "de", info: { title: "Blatt" }, images: { drawing }, content: [{ image: "drawing", width: 80 }] });
  const contents = async (drawing: string) => streams(await paperOf(drawing)).map(({ content }) => content);

  it("is on paper what it is as SVG, with all that it names", async () => {
    const [asSvg, asKept] = await Promise.all([contents(clipped), contents(kept)]);
    expect(asKept).toEqual(asSvg);
    expect(asKept.some((content) => content.includes(RED))).toBe(true);
    expect((await paperOf(kept)).toString("latin1")).toMatch(/\/ca 0\.5/);
  });
  it("is the same in the next paper, and after it was text", async () => {
    const again = JSON.stringify(JSON.parse(kept));
    expect(again).toBe(kept);
    expect(await contents(kept)).toEqual(await contents(again));
  });
  it("has no object twice and names none that is not there", () => {
    const { objects } = JSON.parse(kept) as { objects: { said: object }[] };
    const named = [...JSON.stringify(objects.map(({ said }) => said)).matchAll(/\{"object":(\d+)\}/g)].map(([, place]) => Number(place));
    // The form itself is named by nothing, everything else by something.
    expect([...new Set(named)].sort((a, b) => a - b)).toEqual(objects.map((_, place) => place).slice(1));
    expect(objects.length).toBeGreaterThan(1);
  });
  it("is blank in the same size where paper is only measured", async () => {
    expect(JSON.parse(blankForm(kept))).toMatchObject({ width: 40, height: 20 });
    expect((await contents(blankForm(kept))).join("")).not.toContain(RED);
  });
});

describe("a font that earlier papers had", () => {
  const lettersOf = (text: string) => pdfOf({ language: "en", info: { title: "Sheet" }, content: [text] });
  /** The largest there is on so short a paper. */
  const fontOf = async (text: string) => streams(await lettersOf(text)).sort((a, b) => b.content.length - a.content.length)[0]!.content;
  it("has only the letters of this one in its file", async () => {
    const few = await fontOf("abc");
    expect(few.length * 3).toBeLessThan((await fontOf("The quick brown fox jumps over the lazy dog, 0123456789")).length);
    expect(await fontOf("abc")).toBe(few);
  });
  it("sets a word as it did", async () => {
    const drawn = async (text: string) => streams(await lettersOf(text)).flatMap(({ content }) => content.match(/^\[.*\] TJ$/gm) ?? []);
    const first = await drawn("Wrists, gently");
    await lettersOf("gently does it, Wrists");
    expect(await drawn("Wrists, gently")).toEqual(first);
    expect(first.length).toBeGreaterThan(0);
  });
});

describe("an unpacked font", () => {
  const require = createRequire(import.meta.url);
  const packed = readFileSync(
    require.resolve("@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff"),
  );
  const font = unpackWoff(packed);
  const count = font.readUInt16BE(4);
  const tables = Array.from({ length: count }, (_, i) => {
    const at = 12 + i * 16;
    return {
      tag: font.toString("latin1", at, at + 4),
      sum: font.readUInt32BE(at + 4),
      offset: font.readUInt32BE(at + 8),
      length: font.readUInt32BE(at + 12),
    };
  });
  it("is as long as it says it was, and has the tables it had", () => {
    expect(font.length).toBe(packed.readUInt32BE(16));
    expect(count).toBe(packed.readUInt16BE(12));
    expect(tables.map(({ tag }) => tag)).toEqual(expect.arrayContaining(["cmap", "head", "hmtx", "name"]));
  });
  it("has tables at whole words that add up to their sums", () => {
    for (const { tag, sum, offset, length } of tables) {
      expect(offset % 4).toBe(0);
      if (tag === "head") continue; // its sum leaves out the sum of the whole font
      const padded = Buffer.concat([font.subarray(offset, offset + length), Buffer.alloc((4 - (length % 4)) % 4)]);
      let total = 0;
      for (let i = 0; i < padded.length; i += 4) total = (total + padded.readUInt32BE(i)) >>> 0;
      expect([tag, total]).toEqual([tag, sum]);
    }
  });
  it("that is no such font is refused", () => {
    expect(() => unpackWoff(Buffer.from("not a font at all, whatever its name says"))).toThrow("WOFF");
  });
});
