/** How far the type of a page shrinks, so that a session stays on one. */
import { mapValues } from "es-toolkit";
import type { Session } from "@kind-grip/core/session";
import type { Content } from "pdfmake/interfaces";
import { pdfOf } from "../http/pdf";
import { blankForm } from "../http/pdf-figures";
import { PAGE } from "../http/pdf-underlays";
import { belowEntry, MARGINS, page, type Leaf, type Sheet } from "./leaf";

/** A page holds about this many items at full size; with more, type shrinks so that a session stays one page. */
const FULL_SIZE_ITEMS = 6.4;
/** Of the usual size: chosen from, should the texts be longer than usual. */
const SHRINKS = [1, 0.93, 0.86, 0.78, 0.69, 0.6, 0.5];
/** Steps are 13 points at full size: what is smaller than this is not read standing. Then a session takes several pages, at a good size. */
const SMALLEST = 0.5;
const ON_SEVERAL_PAGES = 0.75;
/** How a page's height goes with the size of its type, before it was measured twice: lines grow longer as letters grow smaller. */
const USUAL_POWER = 1.9;
const HEIGHT = PAGE.height - MARGINS[1] - MARGINS[3];
/** Points; higher than any session. */
const ENDLESS = 100_000;

/** How a leaf stands on paper: the scale of its type, and how many pages it takes. */
export interface Fit {
  scale: number;
  pages: number;
}

/** For each leaf the largest of the scales at which its session stays on one page; a good one for several pages where none does. */
export async function fittingScales(sheet: Sheet, leaves: ReadonlyMap<string, Leaf>): Promise<Map<string, Fit>> {
  const tried = new Map([...leaves.keys()].map((key) => [key, new Map<number, number>()]));
  const fits = new Map<string, Fit>();
  for (;;) {
    const asked = [...leaves].flatMap(([key, leaf]) => {
      const scales = scalesFor(leaf.session);
      const step = nextStep(scales, tried.get(key)!);
      return step === undefined ? [] : [{ key, leaf, step, scale: scales[step]! }];
    });
    if (asked.length === 0) break;
    const heights = await heightsOf(sheet, asked);
    asked.forEach(({ key, step, scale }, i) => {
      tried.get(key)!.set(step, heights[i]! / HEIGHT);
      if (heights[i]! <= HEIGHT && scale > (fits.get(key)?.scale ?? 0)) fits.set(key, { scale, pages: 1 });
    });
  }
  for (const [key, leaf] of leaves) if (!fits.has(key)) fits.set(key, await onSeveralPages(sheet, leaf));
  return fits;
}

/**
 * Which size is measured next in search of the largest that fits; none once it is found, or none does.
 *
 * @param sizes from large to small
 * @param fullness of those that were measured, by their place among the sizes: how much of the height was taken, over 1 is too much
 */
export function nextStep(sizes: readonly number[], fullness: ReadonlyMap<number, number>): number | undefined {
  if (fullness.size === 0) return 0;
  const steps = [...fullness.keys()];
  const over = Math.max(-1, ...steps.filter((step) => fullness.get(step)! > 1));
  const under = Math.min(sizes.length, ...steps.filter((step) => fullness.get(step)! <= 1));
  const between = sizes.flatMap((_, step) => (step > over && step < under ? [step] : []));
  if (between.length === 0 || over < 0) return undefined;
  const power =
    under < sizes.length ? Math.log(fullness.get(over)! / fullness.get(under)!) / Math.log(sizes[over]! / sizes[under]!) : USUAL_POWER;
  const promising = between.find((step) => fullness.get(over)! * (sizes[step]! / sizes[over]!) ** power <= 1);
  return promising ?? (under < sizes.length ? undefined : between.at(-1));
}

/** From large to small. */
function scalesFor({ items }: Session): number[] {
  const usual = Math.max(SMALLEST, Math.min(1, (FULL_SIZE_ITEMS / items.length) ** 0.7));
  return SHRINKS.map((shrink) => usual * shrink).filter((scale) => scale >= SMALLEST);
}

/** What a leaf takes at a scale, on paper without end. */
async function heightsOf(sheet: Sheet, leaves: readonly { leaf: Leaf; scale: number }[]): Promise<number[]> {
  const ends = new Map<string, number>();
  const content = leaves.flatMap(({ leaf, scale }, i): Content[] => [
    ...page(sheet, leaf, scale, { isFirst: i === 0 }),
    { text: ".", fontSize: 1, id: String(i) },
  ]);
  await laidOut(sheet, content, ENDLESS, ends);
  return leaves.map(({ scale }, i) => ends.get(String(i))! - MARGINS[1] - belowEntry(scale));
}

async function onSeveralPages(sheet: Sheet, leaf: Leaf): Promise<Fit> {
  const scale = ON_SEVERAL_PAGES;
  return { scale, pages: await laidOut(sheet, page(sheet, leaf, scale, { isFirst: true }), PAGE.height) };
}

/**
 * Laid out, with nothing drawn in the figures' places.
 *
 * @param ends hears of each part with an id how far down it begins
 * @returns how many pages it takes
 */
async function laidOut({ figures }: Sheet, content: Content[], height: number, ends?: Map<string, number>): Promise<number> {
  let count = 0;
  await pdfOf({
    language: "en",
    info: { title: "" },
    pageSize: { width: PAGE.width, height },
    pageMargins: [...MARGINS],
    compress: false,
    images: mapValues(figures, blankForm),
    content,
    // Asked of everything but what begins a page by itself.
    pageBreakBefore({ id, startPosition }) {
      if (id) ends?.set(id, startPosition.top);
      return false;
    },
    footer: (_, pages) => {
      count = pages;
      return "";
    },
  });
  return count;
}
