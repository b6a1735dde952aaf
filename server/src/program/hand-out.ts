/** The hand-out: one page a session, large enough to read at arm's length. */
import { wordsOf, type Words } from "@kind-grip/core/language";
import type { Library } from "@kind-grip/core/library";
import type { Program } from "@kind-grip/core/program";
import { personalSession, type Participation } from "@kind-grip/core/safety";
import { grouped } from "@kind-grip/core/units";
import type { Content } from "pdfmake/interfaces";
import { LINE, pdfOf, QUIET, WARM } from "../http/pdf";
import { ownLine, PAGE, underlayName } from "../http/pdf-underlays";
import { fittingScales } from "./fitting";
import { inkOf } from "./ink";
import { isOneLine, MARGINS, page, whoseLine, WIDTH, type Leaf, type Sheet } from "./leaf";

/** Hears how far it is, 0 to 1. */
type Progress = (share: number) => void;
/** Shares of the work at which the scales are found, the pages written, the pages laid out; measured with sixty people. */
const PROGRESS = { fitted: 0.15, written: 0.25, laidOut: 0.6 };

/** @param names person id → name, for the easier forms @param words of whoever it is for */
export function handOut(
  library: Library,
  program: Program,
  crewName: string,
  names: ReadonlyMap<string, string>,
  words = wordsOf(library),
  progress?: Progress,
): Promise<Buffer> {
  const leaves = program.sessions.filter(({ items }) => items.length > 0).map((session) => ({ session, words, whose: crewName, names }));
  return leavesOnPaper(library, leaves, `${program.name} – ${crewName}`, words.paper("noSession"), progress);
}

/**
 * Personal sheets: a page for each person and session, in their own forms and language, without what they leave out. One program, many
 * sheets.
 */
export function personalSheets(
  library: Library,
  program: Program,
  crewName: string,
  people: readonly { id: string; name: string; participation?: Participation; words?: Words }[],
  progress?: Progress,
): Promise<Buffer> {
  const leaves = people.flatMap(({ id, name, participation, words = wordsOf(library) }) =>
    program.sessions.flatMap((session) => {
      const own = personalSession(library, session, id, participation);
      return own.items.length === 0 ? [] : [{ session: own, words, whose: `${name} · ${crewName}`, names: new Map([[name, name]]) }];
    }),
  );
  return leavesOnPaper(library, leaves, `${program.name} – ${crewName}`, wordsOf(library).paper("noSheet"), progress);
}

async function leavesOnPaper(
  library: Library,
  leaves: readonly Leaf[],
  title: string,
  nothing: string,
  progress: Progress = () => undefined,
): Promise<Buffer> {
  const sheet: Sheet = { library, figures: {} };
  if (leaves.length === 0) return render([{ text: nothing }], [], title, sheet);
  // Most people's sheets differ in the name only: how far their type shrinks is found once.
  const keys = leaves.map((leaf) => alike(leaf));
  const fits = await fittingScales(sheet, new Map(leaves.map((leaf, i) => [keys[i]!, leaf])));
  // What several people's pages have in common is laid out and drawn once, and placed under each.
  const canShare = leaves.map((leaf, i) => fits.get(keys[i]!)!.pages === 1 && isOneLine(leaf));
  const sharing = [
    ...grouped(
      [...leaves.keys()].filter((i) => canShare[i]),
      (i) => keys[i]!,
    ),
  ].filter(([, group]) => group.length > 1);
  const underlays = new Map(sharing.map(([key], underlay) => [key, underlay]));
  const below = sharing.flatMap(([key, [first]], underlay) =>
    page(sheet, leaves[first!]!, fits.get(key)!.scale, { isFirst: underlay === 0, underlay }),
  );
  const feet = sharing.map(([, [first]]): Foot => ({ words: leaves[first!]!.words, isPlaced: false }));
  const content = leaves.flatMap((leaf, i): Content[] => {
    progress(PROGRESS.fitted + (PROGRESS.written - PROGRESS.fitted) * (i / leaves.length));
    const { scale, pages } = fits.get(keys[i]!)!;
    const underlay = canShare[i] ? underlays.get(keys[i]!) : undefined;
    for (let each = 0; each < pages; each++) feet.push({ words: leaf.words, isPlaced: underlay !== undefined });
    if (underlay === undefined) return page(sheet, leaf, scale, { isFirst: i === 0 && underlays.size === 0 });
    return [
      { image: underlayName(underlay), ...PAGE, absolutePosition: { x: 0, y: 0 }, pageBreak: "before" },
      whoseLine(leaf, WIDTH, String(i)),
    ];
  });
  progress(PROGRESS.written);
  return render([...below, ...content], feet, title, sheet, progress, underlays.size);
}

/** What a page says, but for whose it is. */
const alike = ({ session, words, names }: Leaf): string =>
  JSON.stringify([words.language, { ...session, id: "" }, names.size > 1 && [...names]]);

/** What stands at the foot of a page. */
interface Foot {
  words: Words;
  /** Whether all but the number of the page stands on its underlay. */
  isPlaced: boolean;
}

/** @param feet of each page */
function render(
  content: Content[],
  feet: readonly Foot[],
  title: string,
  { library, figures }: Sheet,
  progress?: Progress,
  underlays = 0,
): Promise<Buffer> {
  return pdfOf(
    {
      // Sheets of several people may be in several: the first is the paper's.
      language: feet[0]?.words.language ?? "en",
      pageMargins: [...MARGINS],
      info: { title },
      images: {
        ...figures,
        ...Object.fromEntries(Array.from({ length: underlays }, (_, i) => [underlayName(i), underlayName(i)])),
      },
      content,
      footer: (current, pages) => {
        const { words, isPlaced } = feet[current - 1] ?? { words: wordsOf(library), isPlaced: false };
        const ink = inkOf(words);
        const pageNumber = (width: number) =>
          ink.text([{ text: words.paper("page", { page: current - underlays, pages: pages - underlays }), color: QUIET }], {
            fontSize: 8.5,
            width,
            end: true,
            ...(underlays > 0 && { id: ownLine("page", current) }),
          });
        if (isPlaced) return { margin: [MARGINS[0], 8, MARGINS[2], 0], stack: [pageNumber(WIDTH)] };
        return {
          margin: [MARGINS[0], 8, MARGINS[2], 0],
          stack: [
            { canvas: [{ type: "line", x1: 0, y1: 0, x2: WIDTH, y2: 0, lineWidth: 0.7, lineColor: LINE }] },
            ink.text([{ text: words.paper("stop"), bold: true, color: WARM }], { fontSize: 10, width: WIDTH, margin: [0, 6, 0, 2] }),
            {
              columns: ink.inOrder([
                {
                  width: WIDTH - 90,
                  stack: [ink.text([{ text: words.paper("prevention"), color: QUIET }], { fontSize: 8.5, width: WIDTH - 90 })],
                },
                { width: 90, stack: [pageNumber(90)] },
              ]),
            },
          ],
        };
      },
    },
    progress && ((share) => progress(PROGRESS.laidOut + (1 - PROGRESS.laidOut) * share)),
  );
}
