/** The hand-out: one page a session, large enough to read at arm's length. */
import { wordsOf, type Words } from "@kind-grip/core/language";
import { stage, type Library } from "@kind-grip/core/library";
import type { Program } from "@kind-grip/core/program";
import { personalSession, type Participation } from "@kind-grip/core/safety";
import { compileGroup, type Item, type Session } from "@kind-grip/core/session";
import { durationText, grouped } from "@kind-grip/core/units";
import { mapValues } from "es-toolkit";
import type { Content } from "pdfmake/interfaces";
import { LINE, pdfOf, QUIET, SPRUCE, WARM, type Paper } from "../http/pdf";
import { textWidth, type Piece } from "../http/pdf-text";
import { ownLine, PAGE, sharedFrom, underlayName } from "../http/pdf-underlays";
import { inkOf } from "./ink";

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

/** Of a page and what stands on it, points. */
const MARGIN = 42;
const WIDTH = 511;
const CLOCK_POINTS = 110;
const GAP = 8;
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
  /** The figures its pages name, each once. */
  figures: Record<string, string>;
}

/** One session on one page. */
interface Leaf {
  session: Session;
  /** Of whoever reads it. */
  words: Words;
  /** Under the session's name. */
  whose: string;
  /** Person id → name, for the easier forms. */
  names: ReadonlyMap<string, string>;
}

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
  if (leaves.length === 0) return (await render([{ text: nothing }], [], title, sheet)).pdf;
  // Most people's sheets differ in the name only: how far their type shrinks is found once.
  const alike = (leaf: Leaf) => JSON.stringify([leaf.words.language, { ...leaf.session, id: "" }, leaf.names.size > 1 && [...leaf.names]]);
  const fits = await fittingScales(sheet, new Map(leaves.map((leaf) => [alike(leaf), leaf])));
  // What several people's pages have in common is laid out and drawn once, and placed under each.
  const canShare = (leaf: Leaf) => fits.get(alike(leaf))!.pages === 1 && isOneLine(leaf);
  const sharing = [...grouped(leaves.filter(canShare), alike)].filter(([, group]) => group.length > 1);
  const underlays = new Map(sharing.map(([key], i) => [key, i]));
  const below = sharing.flatMap(([key, [first]], i) => page(sheet, first!, fits.get(key)!.scale, { isFirst: i === 0, id: sharedFrom(i) }));
  const content = leaves.flatMap((leaf, i) => {
    progress(PROGRESS.fitted + (PROGRESS.written - PROGRESS.fitted) * (i / leaves.length));
    const underlay = canShare(leaf) ? underlays.get(alike(leaf)) : undefined;
    const isFirst = i === 0 && underlays.size === 0;
    if (underlay === undefined) return page(sheet, leaf, fits.get(alike(leaf))!.scale, { isFirst });
    return [heading(sheet, leaf, isFirst), { image: underlayName(underlay), ...PAGE, absolutePosition: { x: 0, y: 0 } }];
  });
  progress(PROGRESS.written);
  const onPages = [
    ...sharing.map(([, [first]]) => first!.words),
    ...leaves.flatMap((leaf) => Array.from({ length: fits.get(alike(leaf))!.pages }, () => leaf.words)),
  ];
  return (await render(content.length > 0 ? [...below, ...content] : content, onPages, title, sheet, "print", progress, underlays.size))
    .pdf;
}

/** Whether whose sheet it is fits on a line: where it does, what stands below begins at the same height for everybody. */
function isOneLine({ session, whose, words }: Leaf): boolean {
  return textWidth(underName(session, whose, words), HEADING_POINTS.whose) < WIDTH - CLOCK_POINTS - GAP;
}

/** How a leaf stands on paper: the scale of its type, and how many pages it takes. */
interface Fit {
  scale: number;
  pages: number;
}

/** For each leaf the largest of the scales tried at which its session stays on one page; the smallest where none does. */
async function fittingScales(sheet: Sheet, leaves: ReadonlyMap<string, Leaf>): Promise<Map<string, Fit>> {
  const fits = new Map<string, Fit>();
  let open = [...leaves];
  for (const shrink of SHRINKS) {
    const scaleOf = ({ session }: Leaf) => usualScale(session) * shrink;
    const content = open.flatMap(([, leaf], i) => page(sheet, leaf, scaleOf(leaf), { isFirst: i === 0, id: String(i) }));
    const { pagesOf } = await render(content, [], "", sheet, "layout");
    open.forEach(([key, leaf], i) => fits.set(key, { scale: scaleOf(leaf), pages: pagesOf[i]! }));
    open = open.filter((_, i) => pagesOf[i]! > 1);
    if (open.length === 0) break;
  }
  return fits;
}

function usualScale({ items }: Session): number {
  return Math.min(1, (FULL_SIZE_ITEMS / items.length) ** 0.7);
}

/**
 * @param onPages in whose words each page tells what stands at its foot
 * @param purpose for the layout alone nothing is drawn in the figures' places
 * @returns the paper, and how many pages each leaf takes
 */
async function render(
  content: Content[],
  onPages: readonly Words[],
  title: string,
  { library, figures }: Sheet,
  purpose: "print" | "layout" = "print",
  progress?: Progress,
  underlays = 0,
): Promise<{ pdf: Buffer; pagesOf: number[] }> {
  let count = 0;
  const starts: number[] = [];
  const definition: Paper = {
    // Sheets of several people may be in several: the first is the paper's.
    language: onPages[0]?.language ?? "en",
    pageMargins: [MARGIN, 40, MARGIN, 74],
    info: { title },
    compress: purpose === "print",
    images: {
      ...(purpose === "print" ? figures : mapValues(figures, blankFigure)),
      ...Object.fromEntries(Array.from({ length: underlays }, (_, i) => [underlayName(i), underlayName(i)])),
    },
    content,
    // Asked of everything but what begins a page by itself.
    pageBreakBefore({ id, startPosition }) {
      if (id) starts[Number(id)] = startPosition.pageNumber;
      return false;
    },
    footer: (current, pages) => {
      count = pages;
      const words = onPages[current - 1] ?? wordsOf(library);
      const ink = inkOf(words);
      return {
        margin: [MARGIN, 8, MARGIN, 0],
        stack: [
          { canvas: [{ type: "line", x1: 0, y1: 0, x2: WIDTH, y2: 0, lineWidth: 0.7, lineColor: LINE }] },
          ink.text([{ text: words.paper("stop"), bold: true, color: WARM }], { fontSize: 10, width: WIDTH, margin: [0, 6, 0, 2] }),
          {
            columns: ink.inOrder([
              {
                width: WIDTH - 90,
                stack: [ink.text([{ text: words.paper("prevention"), color: QUIET }], { fontSize: 8.5, width: WIDTH - 90 })],
              },
              {
                width: 90,
                stack: [
                  ink.text([{ text: words.paper("page", { page: current - underlays, pages: pages - underlays }), color: QUIET }], {
                    fontSize: 8.5,
                    width: 90,
                    end: true,
                    ...(underlays > 0 && { id: ownLine(current) }),
                  }),
                ],
              },
            ]),
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

/** @param id of the line below the heading */
function page(sheet: Sheet, leaf: Leaf, scale: number, { isFirst, id }: { isFirst: boolean; id?: string }): Content[] {
  const { session, words } = leaf;
  return [
    heading(sheet, leaf, isFirst),
    inkOf(words).text([{ text: words.paper("mildPull") }], { fontSize: 13, width: WIDTH, margin: [0, 6, 0, 8 * scale], ...(id && { id }) }),
    ...session.items.map((item, i) => entry(sheet, leaf, item, i, scale)),
  ];
}

const HEADING_POINTS = { name: 27, whose: 12, unit: 10 };
const underName = (session: Session, whose: string, words: Words) => `${words.label("slot", session.slot)} · ${whose}`;

/** What the session is, how long it takes and whose sheet it is; the first thing on its page. */
function heading({ library }: Sheet, { session, words, whose, names }: Leaf, isFirst: boolean): Content {
  const timeline = compileGroup(session, library.timings, [...names.keys()]);
  const ink = inkOf(words);
  const [wide, narrow] = [WIDTH - CLOCK_POINTS, CLOCK_POINTS];
  const at = { wide: { width: wide }, narrow: { width: narrow, end: true } };
  return {
    columns: ink.inOrder([
      {
        width: wide,
        stack: [
          ink.text([{ text: words.sessionName(session), bold: true, color: SPRUCE }], { fontSize: HEADING_POINTS.name, ...at.wide }),
          ink.text([{ text: underName(session, whose, words), color: QUIET }], { fontSize: HEADING_POINTS.whose, ...at.wide }),
        ],
      },
      {
        width: narrow,
        stack: [
          ink.text([{ text: words.digits(durationText(timeline.totalSec)), bold: true }], { fontSize: HEADING_POINTS.name, ...at.narrow }),
          ink.text([{ text: words.paper("minutesSeconds"), color: QUIET }], { fontSize: HEADING_POINTS.unit, ...at.narrow }),
        ],
      },
    ]),
    pageBreak: isFirst ? undefined : "before",
  };
}

function entry(sheet: Sheet, { words, names }: Leaf, item: Item, index: number, scale: number): Content {
  const { library } = sheet;
  const ink = inkOf(words);
  const text = words.movement(item.movementId);
  const movement = library.find(item.movementId);
  const size = (points: number) => Math.round(points * scale * 10) / 10;
  const easier = Object.entries(item.personal).flatMap(([personId, own]) => {
    const name = names.get(personId);
    return name ? [`${name}: ${words.within(words.formName(item.movementId, own.formId))}`] : [];
  });
  const drawn = library.figure(item.movementId) !== undefined;
  const width = { number: size(26), figure: drawn ? size(FIGURE_POINTS) : 0, dose: size(124) };
  const middle = WIDTH - width.number - width.figure - width.dose - GAP * (drawn ? 3 : 2);
  const small = (label: string, lines: readonly string[]): Content[] =>
    lines.length === 0
      ? []
      : [
          ink.text(
            [
              { text: `${label}: `, bold: true, color: QUIET },
              { text: lines.join(" "), color: QUIET },
            ],
            { fontSize: size(11), width: middle },
          ),
        ];
  const atEnd = (line: string, fontSize: number, look: Pick<Piece, "bold" | "color"> = {}) =>
    ink.text([{ text: line, ...look }], { fontSize, width: width.dose, end: true });
  return {
    unbreakable: true,
    margin: [0, 0, 0, size(7)],
    stack: [
      { canvas: [{ type: "line", x1: 0, y1: 0, x2: WIDTH, y2: 0, lineWidth: 0.7, lineColor: LINE }], margin: [0, 0, 0, size(5)] },
      {
        columns: ink.inOrder([
          {
            width: width.number,
            stack: [ink.text([{ text: words.digits(index + 1), bold: true, color: SPRUCE }], { fontSize: size(24), width: width.number })],
          },
          ...(drawn ? [{ image: figureOn(sheet, item), width: width.figure }] : []),
          {
            width: middle,
            stack: [
              ink.text(
                [
                  { text: text.name, bold: true, fontSize: size(16.5) },
                  ...(movement && movement.forms.length > 1
                    ? [{ text: `   ${words.formName(item.movementId, item.formId)}`, fontSize: size(12), color: QUIET }]
                    : []),
                ],
                { fontSize: size(16.5), width: middle },
              ),
              ink.text([{ text: text.steps.join(" ") }], { fontSize: size(13), width: middle, margin: [0, size(2), 0, size(2)] }),
              ...small(words.paper("watch"), [...text.watch, ...text.care]),
              ...small(words.paper("easier"), easier.length > 0 ? [`${easier.join("; ")}.`] : []),
            ],
          },
          {
            width: width.dose,
            stack: [
              atEnd(unitsKept(words.dose(item.dose)), size(15), { bold: true }),
              atEnd(words.label("sides", item.sides), size(11)),
              ...(item.loadKg === null ? [] : [atEnd(words.load(item), size(11))]),
              atEnd(words.paper("effort", { cap: movement?.effortCap ?? 2 }), size(11), { color: WARM }),
            ],
          },
        ]),
        columnGap: GAP,
      },
    ],
  };
}

/** No line ends between a number and its unit. */
function unitsKept(text: string): string {
  return text.replace(/(\p{Nd}) (s|ث)(?!\p{L})/gu, "$1\u00a0$2");
}

/** The name of an item's figure on this paper. */
function figureOn({ library, figures }: Sheet, { movementId, formId }: Item): string {
  const name = `${movementId}/${formId}`;
  figures[name] ??= drawn(library, { movementId, formId });
  return name;
}
