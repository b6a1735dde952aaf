/** The hand-out: one page a session, large enough to read at arm's length. */
import { wordsOf, type Words } from "@kind-grip/core/language";
import { stage, type Library } from "@kind-grip/core/library";
import type { Program } from "@kind-grip/core/program";
import { personalSession, type Participation } from "@kind-grip/core/safety";
import { compileGroup, type Item, type Session } from "@kind-grip/core/session";
import { clockText } from "@kind-grip/core/units";
import { mapValues } from "es-toolkit";
import type { Content, TDocumentDefinitions } from "pdfmake/interfaces";
import { LINE, pdfOf, QUIET, SPRUCE, WARM } from "../http/pdf";

/** A page holds about this many items at full size; with more, type shrinks so that a session stays one page. */
const FULL_SIZE_ITEMS = 6.4;
/** Pictures already drawn for paper, the oldest forgotten first: prints of the same day ask for the same ones. */
const KEPT = 200;
const pictures = new Map<string, string>();

function drawn(library: Library, { movementId, formId }: Pick<Item, "movementId" | "formId">): string {
  const key = `${movementId}/${formId} ${library.revisionOf(movementId)}`;
  const known = pictures.get(key);
  if (known !== undefined) return known;
  const svg = stage(library, movementId, formId).still();
  pictures.set(key, svg);
  if (pictures.size > KEPT) pictures.delete(pictures.keys().next().value!);
  return svg;
}

/** Width of a figure at full size. */
const FIGURE_POINTS = 112;
/** Tried in turn, should the texts be longer than usual. */
const SHRINKS = [1, 0.93, 0.86, 0.78, 0.69, 0.6, 0.5];

/** Hears how far it is, 0 to 1. */
type Progress = (share: number) => void;
/** Shares of the work at which the scales are found, the pages written, the pages laid out; measured with sixty people. */
const PROGRESS = { fitted: 0.15, written: 0.25, laidOut: 0.6 };

/** What the pages of one paper have in common. */
interface Sheet {
  library: Library;
  words: Words;
  /** The figures its pages name, each once. */
  figures: Record<string, string>;
}

/** One session on one page. */
interface Leaf {
  session: Session;
  /** Under the session's name. */
  whose: string;
  /** Person id → name, for the easier forms. */
  names: ReadonlyMap<string, string>;
}

/** @param names person id → name, for the easier forms */
export function handOut(
  library: Library,
  program: Program,
  crewName: string,
  names: ReadonlyMap<string, string>,
  progress?: Progress,
): Promise<Buffer> {
  const leaves = program.sessions.filter(({ items }) => items.length > 0).map((session) => ({ session, whose: crewName, names }));
  return leavesOnPaper(library, leaves, `${program.name} – ${crewName}`, "This program has no session with items yet.", progress);
}

/** Personal sheets: a page for each person and session, in their own forms, without what they leave out. One program, many sheets. */
export function personalSheets(
  library: Library,
  program: Program,
  crewName: string,
  people: readonly { id: string; name: string; participation?: Participation }[],
  progress?: Progress,
): Promise<Buffer> {
  const leaves = people.flatMap(({ id, name, participation }) =>
    program.sessions.flatMap((session) => {
      const own = personalSession(library, session, id, participation);
      return own.items.length === 0 ? [] : [{ session: own, whose: `${name} · ${crewName}`, names: new Map([[name, name]]) }];
    }),
  );
  return leavesOnPaper(library, leaves, `${program.name} – ${crewName}`, "There is nothing to put on a sheet.", progress);
}

async function leavesOnPaper(
  library: Library,
  leaves: readonly Leaf[],
  title: string,
  nothing: string,
  progress: Progress = () => undefined,
): Promise<Buffer> {
  const sheet: Sheet = { library, words: wordsOf(library), figures: {} };
  if (leaves.length === 0) return (await render([{ text: nothing }], title, sheet)).pdf;
  // Most people's sheets differ in the name only: how far their type shrinks is found once.
  const alike = (leaf: Leaf) => JSON.stringify([{ ...leaf.session, id: "" }, leaf.names.size > 1 && [...leaf.names]]);
  const scales = await fittingScales(sheet, new Map(leaves.map((leaf) => [alike(leaf), leaf])));
  const content = leaves.flatMap((leaf, i) => {
    progress(PROGRESS.fitted + (PROGRESS.written - PROGRESS.fitted) * (i / leaves.length));
    return page(sheet, leaf, scales.get(alike(leaf))!, i);
  });
  progress(PROGRESS.written);
  return (await render(content, title, sheet, "print", progress)).pdf;
}

/** For each leaf the largest of the scales tried at which its session stays on one page; the smallest where none does. */
async function fittingScales(sheet: Sheet, leaves: ReadonlyMap<string, Leaf>): Promise<Map<string, number>> {
  const scales = new Map<string, number>();
  let open = [...leaves];
  for (const shrink of SHRINKS) {
    const scale = ({ session }: Leaf) => usualScale(session) * shrink;
    const content = open.flatMap(([, leaf], i) => page(sheet, leaf, scale(leaf), i));
    const { pagesOf } = await render(content, "", sheet, "layout");
    for (const [key, leaf] of open) scales.set(key, scale(leaf));
    open = open.filter((_, i) => pagesOf[i]! > 1);
    if (open.length === 0) break;
  }
  return scales;
}

function usualScale({ items }: Session): number {
  return Math.min(1, (FULL_SIZE_ITEMS / items.length) ** 0.7);
}

/**
 * @param purpose for the layout alone nothing is drawn in the figures' places
 * @returns the paper, and how many pages each leaf takes
 */
async function render(
  content: Content[],
  title: string,
  { words, figures }: Sheet,
  purpose: "print" | "layout" = "print",
  progress?: Progress,
): Promise<{ pdf: Buffer; pagesOf: number[] }> {
  let count = 0;
  const starts: number[] = [];
  const definition: TDocumentDefinitions = {
    pageMargins: [42, 40, 42, 74],
    info: { title },
    compress: purpose === "print",
    images: purpose === "print" ? { ...figures } : mapValues(figures, blankFigure),
    content,
    // Asked of everything but what begins a page by itself.
    pageBreakBefore({ id, startPosition }) {
      if (id) starts[Number(id)] = startPosition.pageNumber;
      return false;
    },
    footer: (current, pages) => {
      count = pages;
      return {
        margin: [42, 8, 42, 0],
        stack: [
          { canvas: [{ type: "line", x1: 0, y1: 0, x2: 511, y2: 0, lineWidth: 0.7, lineColor: LINE }] },
          { text: words.paper("stop"), bold: true, fontSize: 10, color: WARM, margin: [0, 6, 0, 2] },
          {
            columns: [
              { text: words.paper("prevention"), fontSize: 8.5, color: QUIET },
              { text: words.paper("page", { page: current, pages }), fontSize: 8.5, color: QUIET, alignment: "right", width: 70 },
            ],
          },
        ],
      };
    },
  };
  const pdf = await pdfOf(definition, progress && ((share) => progress(PROGRESS.laidOut + (1 - PROGRESS.laidOut) * share)));
  return { pdf, pagesOf: starts.map((start, i) => (starts[i + 1] ?? count + 1) - start) };
}

/** As large as the figure, with nothing on it. */
function blankFigure(svg: string): string {
  return `${svg.slice(0, svg.indexOf(">"))}></svg>`;
}

/** @param place of the leaf among those of its paper, from 0 */
function page(sheet: Sheet, { session, whose, names }: Leaf, scale: number, place: number): Content[] {
  const { library, words } = sheet;
  const timeline = compileGroup(session, library.timings, [...names.keys()]);
  return [
    {
      columns: [
        {
          stack: [
            { text: session.name, fontSize: 27, bold: true, color: SPRUCE },
            { text: `${words.label("slot", session.slot)} · ${whose}`, fontSize: 12, color: QUIET },
          ],
        },
        {
          stack: [
            { text: clockText(timeline.totalSec), fontSize: 27, bold: true, alignment: "right" },
            { text: "min : s in all", fontSize: 10, color: QUIET, alignment: "right" },
          ],
          width: 110,
        },
      ],
      pageBreak: place > 0 ? "before" : undefined,
    },
    { id: String(place), text: words.paper("mildPull"), fontSize: 13, margin: [0, 6, 0, 8 * scale] },
    ...session.items.map((item, i) => entry(sheet, item, i, names, scale)),
  ];
}

function entry(sheet: Sheet, item: Item, index: number, names: ReadonlyMap<string, string>, scale: number): Content {
  const { library, words } = sheet;
  const text = words.movement(item.movementId);
  const movement = library.find(item.movementId);
  const size = (points: number) => Math.round(points * scale * 10) / 10;
  const easier = Object.entries(item.personal).flatMap(([personId, own]) => {
    const name = names.get(personId);
    return name ? [`${name}: ${words.formName(item.movementId, own.formId).toLowerCase()}`] : [];
  });
  const small = (label: string, lines: readonly string[]): Content[] =>
    lines.length === 0 ? [] : [{ text: [{ text: `${label}: `, bold: true }, lines.join(" ")], fontSize: size(11), color: QUIET }];
  return {
    unbreakable: true,
    margin: [0, 0, 0, size(7)],
    stack: [
      { canvas: [{ type: "line", x1: 0, y1: 0, x2: 511, y2: 0, lineWidth: 0.7, lineColor: LINE }], margin: [0, 0, 0, size(5)] },
      {
        columns: [
          { text: String(index + 1), fontSize: size(24), bold: true, color: SPRUCE, width: size(26) },
          ...(library.figure(item.movementId) ? [{ image: figureOn(sheet, item), width: size(FIGURE_POINTS) }] : []),
          {
            stack: [
              {
                text: [
                  { text: text.name, fontSize: size(16.5), bold: true },
                  ...(movement && movement.forms.length > 1
                    ? [{ text: `   ${words.formName(item.movementId, item.formId)}`, fontSize: size(12), color: QUIET }]
                    : []),
                ],
              },
              { text: text.steps.join(" "), fontSize: size(13), margin: [0, size(2), 0, size(2)] },
              ...small(words.paper("watch"), [...text.watch, ...text.care]),
              ...small(words.paper("easier"), easier.length > 0 ? [`${easier.join("; ")}.`] : []),
            ],
          },
          {
            width: size(124),
            stack: [
              { text: words.dose(item.dose), fontSize: size(15), bold: true, alignment: "right" },
              { text: words.label("sides", item.sides), fontSize: size(11), alignment: "right" },
              ...(item.loadKg === null ? [] : [{ text: words.load(item), fontSize: size(11), alignment: "right" as const }]),
              { text: words.paper("effort", { cap: movement?.effortCap ?? 2 }), fontSize: size(11), color: WARM, alignment: "right" },
            ],
          },
        ],
        columnGap: 8,
      },
    ],
  };
}

/** The name of an item's figure on this paper. */
function figureOn({ library, figures }: Sheet, { movementId, formId }: Item): string {
  const name = `${movementId}/${formId}`;
  figures[name] ??= drawn(library, { movementId, formId });
  return name;
}
