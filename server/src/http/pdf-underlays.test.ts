/** What pages share is laid out and drawn once; what each has for itself stands on it alone. */
import type { Content } from "pdfmake/interfaces";
import { pagesOf } from "../test/paper-pages";
import { pdfOf } from "./pdf";
import { ownLine, PAGE, underlayName } from "./pdf-underlays";

const shared = (place: number, text: string): Content[] => [
  { text, fontSize: 20, pageBreak: place > 0 ? "before" : undefined },
  { text: "Somebody", id: ownLine("whose", `underlay${place}`) },
  { text: `${text}, more` },
];
let lines = 0;
const sheet = (name: string, place: number): Content[] => [
  { image: underlayName(place), ...PAGE, absolutePosition: { x: 0, y: 0 }, pageBreak: "before" },
  { text: name, id: ownLine("whose", ++lines) },
];
const paper = (content: Content[], places: readonly number[] = [0, 1]) =>
  pdfOf({
    language: "en",
    info: { title: "Sheets" },
    pageMargins: [40, 40, 40, 80],
    images: Object.fromEntries(places.map((place) => [underlayName(place), underlayName(place)])),
    content: [...places.flatMap((place) => shared(place, `What ${place === 0 ? "all" : "some"} do`)), ...content],
    footer: (page) => ({ stack: [{ text: "Stop when it hurts" }, { text: `page ${page - places.length}`, id: ownLine("page", page) }] }),
  });

it("pages have their own lines and what they share, and the underlays are no pages", async () => {
  const pages = pagesOf(await paper([...sheet("Ann", 0), ...sheet("Ben", 1), ...sheet("Cem", 0), { text: "Alone", pageBreak: "before" }]));
  expect(pages).toEqual([
    ["What all do", "Ann", "What all do, more", "Stop when it hurts", "page 1"],
    ["What some do", "Ben", "What some do, more", "Stop when it hurts", "page 2"],
    ["What all do", "Cem", "What all do, more", "Stop when it hurts", "page 3"],
    ["Alone", "Stop when it hurts", "page 4"],
  ]);
});

it("what is shared is in the file once, however many share it", async () => {
  const many = (count: number) => paper(Array.from({ length: count }, (_, i) => sheet(`Person ${i}`, 0)).flat(), [0]);
  const [few, lots] = await Promise.all([many(2), many(40)]);
  expect(pagesOf(lots)).toHaveLength(40);
  expect(lots.toString("latin1").match(/\/Subtype \/Form/g)).toHaveLength(1);
  // A page of its own: a line, a number and what is said of every page.
  expect((lots.length - few.length) / 38).toBeLessThan(700);
});

it("a paper without underlays is as it was", async () => {
  expect(pagesOf(await paper([{ text: "Only this" }], []))).toEqual([["Only this", "Stop when it hurts", "page 1"]]);
});
