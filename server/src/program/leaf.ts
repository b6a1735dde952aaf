/** One session on one page, large enough to read at arm's length. */
import type { Words } from "@kind-grip/core/language";
import { SMALL, smallStillFile, stage, type Library } from "@kind-grip/core/library";
import { compileGroup, type Item, type Session } from "@kind-grip/core/session";
import { durationText, minutesAndSeconds } from "@kind-grip/core/units";
import type { Content } from "pdfmake/interfaces";
import { builtForm } from "../built";
import { LINE, QUIET, SPRUCE, WARM } from "../http/pdf";
import { keptForm } from "../http/pdf-figures";
import { textWidth, type Piece } from "../http/pdf-text";
import { ownLine } from "../http/pdf-underlays";
import { inkOf } from "./ink";

/** Of a page and what stands on it, points. */
const MARGIN = 42;
/** Left, top, right, bottom: below stands the foot. */
export const MARGINS = [MARGIN, 40, MARGIN, 74] as const;
export const WIDTH = 511;
const CLOCK_POINTS = 110;
const GAP = 8;
/** Below an entry, at a scale. */
export const belowEntry = (scale: number): number => Math.round(7 * scale * 10) / 10;
/** Width of a figure at full size. */
const FIGURE_POINTS = 112;
/** What the pages of one paper have in common. */
export interface Sheet {
  library: Library;
  /** The figures its pages name, each once, as forms that are kept. */
  figures: Record<string, string>;
}

/** One session on one page. */
export interface Leaf {
  session: Session;
  /** Of whoever reads it. */
  words: Words;
  /** Under the session's name. */
  whose: string;
  /** Person id → name, for the easier forms. */
  names: ReadonlyMap<string, string>;
}

/** Whether whose sheet it is fits on a line: where it does, what stands below begins at the same height for everybody. */
export function isOneLine({ session, whose, words }: Leaf): boolean {
  return textWidth(underName(session, whose, words), HEADING_POINTS.whose) < WIDTH - CLOCK_POINTS - GAP;
}

interface OnPage {
  isFirst: boolean;
  /** Which of the underlays it is, where it is one. */
  underlay?: number;
}

export function page(sheet: Sheet, leaf: Leaf, scale: number, { isFirst, underlay }: OnPage): Content[] {
  const { session, words } = leaf;
  return [
    heading(sheet, leaf, isFirst, underlay),
    inkOf(words).text([{ text: words.paper("mildPull") }], { fontSize: 13, width: WIDTH, margin: [0, 6, 0, 8 * scale] }),
    ...session.items.map((item, i) => entry(sheet, leaf, item, i, scale)),
  ];
}

const HEADING_POINTS = { name: 27, whose: 12, unit: 10 };
const underName = (session: Session, whose: string, words: Words) => `${words.label("slot", session.slot)} · ${whose}`;

/** @param place of one that differs from page to page */
export function whoseLine({ session, whose, words }: Leaf, width: number, place?: string): Content {
  return inkOf(words).text([{ text: underName(session, whose, words), color: QUIET }], {
    fontSize: HEADING_POINTS.whose,
    width,
    ...(place !== undefined && { id: ownLine("whose", place) }),
  });
}

/** What the session is, how long it takes and whose sheet it is; the first thing on its page. */
function heading({ library }: Sheet, leaf: Leaf, isFirst: boolean, underlay?: number): Content {
  const { session, words, names } = leaf;
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
          whoseLine(leaf, wide, underlay === undefined ? undefined : `underlay${underlay}`),
        ],
      },
      {
        width: narrow,
        stack: [
          ink.text([{ text: words.digits(durationText(timeline.totalSec)), bold: true }], { fontSize: HEADING_POINTS.name, ...at.narrow }),
          ink.text([{ text: words.paper("minutesSeconds", minutesAndSeconds(timeline.totalSec)), color: QUIET }], {
            fontSize: HEADING_POINTS.unit,
            ...at.narrow,
          }),
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
    margin: [0, 0, 0, belowEntry(scale)],
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

/** Pictures already drawn for paper, the oldest forgotten first: prints of the same day ask for the same ones. */
const KEPT = 200;
const pictures = new Map<string, string>();

function drawn(library: Library, { movementId, formId }: Pick<Item, "movementId" | "formId">): string {
  const key = `${movementId}/${formId} ${library.revisionOf(movementId)}`;
  const known = pictures.get(key);
  if (known !== undefined) return known;
  const file = smallStillFile(library, movementId, formId);
  const form = (file && builtForm(file)) ?? keptForm(stage(library, movementId, formId, SMALL).still());
  pictures.set(key, form);
  if (pictures.size > KEPT) pictures.delete(pictures.keys().next().value!);
  return form;
}
