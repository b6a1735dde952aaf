/** What is written on paper: each letter in a face that has it, and what runs from right to left in the order it is seen in. */
import { inFaces, rightToLeft, withFaces, type Piece } from "./pdf-text";

const seen = (text: string, width = 400) =>
  rightToLeft([{ text }], width, 12).map((line) => (line as { text: Piece[] }).text.map((piece) => piece.text).join(""));
const faces = (text: string) => inFaces([{ text }]).map(({ font, text: part }) => [font, part]);

it("cuts a text by the faces that have its letters; spaces stay with what is before them", () => {
  expect(faces("Fist and star")).toEqual([["Legible", "Fist and star"]]);
  expect(faces("Łucja Żuk")).toEqual([
    ["LegibleExtended", "Ł"],
    ["Legible", "ucja "],
    ["LegibleExtended", "Ż"],
    ["Legible", "uk"],
  ]);
  expect(faces("يد 3")).toEqual([
    ["Arabic", "يد "],
    ["Legible", "3"],
  ]);
});

it("keeps the look of a piece that is cut, wherever it stands", () => {
  expect(withFaces({ stack: [{ text: [{ text: "dłoń", bold: true }, " ok"] }] })).toEqual({
    stack: [
      {
        text: [
          { text: "d", bold: true, font: "Legible" },
          { text: "ł", bold: true, font: "LegibleExtended" },
          { text: "o", bold: true, font: "Legible" },
          { text: "ń", bold: true, font: "LegibleExtended" },
          " ok",
        ],
      },
    ],
  });
});

it("sets Arabic words from right to left, its figures and Latin names the way they are read", () => {
  // Figures are handed over turned round: the face sets them, like its letters, from the right.
  expect(seen("الوقت ١٣:١٥ الآن")).toEqual(["الآن ٣١:٥١ الوقت"]);
  expect(seen("فريق Ridgeline crew هنا")).toEqual(["هنا Ridgeline crew فريق"]);
});

it("turns brackets and full stops to the side they belong on", () => {
  expect(seen("قف (الآن).")).toEqual([".(الآن) قف"]);
});

it("breaks into lines that fit, none empty, nothing lost", () => {
  const text = "قف منتصبًا، الذراع متدلية، والأصابع متباعدة. خذ المعصم والأصابع إلى الخلف.";
  const lines = seen(text, 120);
  expect(lines.length).toBeGreaterThan(2);
  const words = (of: string) =>
    of
      .split(/[\s،.]+/)
      .filter(Boolean)
      .sort();
  expect(words(lines.join(" "))).toEqual(words(text));
  expect(seen(text, 10_000)).toHaveLength(1);
});

it("keeps the look of each part of a line", () => {
  const [line] = rightToLeft(
    [
      { text: "انتبه: ", bold: true },
      { text: "ببطء", color: "#123456" },
    ],
    400,
    12,
  ) as [{ text: Piece[] }];
  expect(line.text.map(({ text, bold, color }) => [text, bold, color])).toEqual([
    ["ببطء", undefined, "#123456"],
    [" ", true, undefined],
    [":", true, undefined],
    ["انتبه", true, undefined],
  ]);
});

it("lines without Arabic stand as far apart as everywhere, those with it as the Arabic face asks", () => {
  const heights = (text: string) => rightToLeft([{ text }], 10_000, 12).map((line) => (line as { lineHeight: number }).lineHeight);
  expect(heights("Yard warm-up")).toEqual([1.15]);
  expect(heights("قف منتصبًا")).toEqual([0.7]);
  expect(heights("Yard قف")).toEqual([0.7]);
});
