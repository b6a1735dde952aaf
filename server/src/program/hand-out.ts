/** The hand-out: one page a session, large enough to read at arm's length. */
import { wordsOf, type Words } from "@kind-grip/core/language";
import { stage, type Library } from "@kind-grip/core/library";
import type { Program } from "@kind-grip/core/program";
import { personalSession, type Participation } from "@kind-grip/core/safety";
import { compileGroup, type Item, type Session } from "@kind-grip/core/session";
import { clockText } from "@kind-grip/core/units";
import type { Content, TDocumentDefinitions } from "pdfmake/interfaces";
import { LINE, pdfOf, QUIET, SPRUCE, WARM } from "../http/pdf";

/** A page holds about this many items at full size; with more, type shrinks so that a session stays one page. */
const FULL_SIZE_ITEMS = 6.4;
/** Pictures already drawn for paper, the oldest forgotten first: every attempt at a page and every print asks for the same ones. */
const KEPT = 200;
const pictures = new Map<string, string>();

function drawn(library: Library, { movementId, formId }: Item): string {
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

/** @param names person id → name, for the easier forms */
export async function handOut(library: Library, program: Program, crewName: string, names: ReadonlyMap<string, string>): Promise<Buffer> {
  const words = wordsOf(library);
  const sessions = program.sessions.filter((session) => session.items.length > 0);
  if (sessions.length === 0) return (await render([{ text: "This program has no session with items yet." }], program.name, words)).pdf;
  let last: Buffer | undefined;
  for (const shrink of SHRINKS) {
    const content = sessions.flatMap((session, i) => page(library, session, crewName, names, words, usualScale(session) * shrink, i > 0));
    const { pdf, pages } = await render(content, `${program.name} – ${crewName}`, words);
    if (pages === sessions.length) return pdf;
    last = pdf;
  }
  return last!;
}

/** Personal sheets: a page for each person and session, in their own forms, without what they leave out. One program, many sheets. */
export async function personalSheets(
  library: Library,
  program: Program,
  crewName: string,
  people: readonly { id: string; name: string; participation: Participation | undefined }[],
): Promise<Buffer> {
  const words = wordsOf(library);
  const pages = people.flatMap(({ id, name, participation }) =>
    program.sessions.flatMap((session) => {
      const own = personalSession(library, session, id, participation);
      return own.items.length === 0 ? [] : [{ name, own }];
    }),
  );
  if (pages.length === 0) return (await render([{ text: "There is nothing to put on a sheet." }], program.name, words)).pdf;
  let last: Buffer | undefined;
  for (const shrink of SHRINKS) {
    const content = pages.flatMap(({ name, own }, i) =>
      page(library, own, `${name} · ${crewName}`, new Map([[name, name]]), words, usualScale(own) * shrink, i > 0),
    );
    const made = await render(content, `${program.name} – ${crewName}`, words);
    if (made.pages === pages.length) return made.pdf;
    last = made.pdf;
  }
  return last!;
}

function usualScale(session: Session): number {
  return Math.min(1, (FULL_SIZE_ITEMS / session.items.length) ** 0.7);
}

async function render(content: Content[], title: string, words: Words): Promise<{ pdf: Buffer; pages: number }> {
  let count = 0;
  const definition: TDocumentDefinitions = {
    pageMargins: [42, 40, 42, 74],
    info: { title },
    content,
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
  return { pdf: await pdfOf(definition), pages: count };
}

function page(
  library: Library,
  session: Session,
  crewName: string,
  names: ReadonlyMap<string, string>,
  words: Words,
  scale: number,
  breakBefore: boolean,
): Content[] {
  const timeline = compileGroup(session, library.timings, [...names.keys()]);
  return [
    {
      columns: [
        {
          stack: [
            { text: session.name, fontSize: 27, bold: true, color: SPRUCE },
            { text: `${words.label("slot", session.slot)} · ${crewName}`, fontSize: 12, color: QUIET },
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
      pageBreak: breakBefore ? "before" : undefined,
    },
    { text: words.paper("mildPull"), fontSize: 13, margin: [0, 6, 0, 8 * scale] },
    ...session.items.map((item, i) => entry(library, item, i, names, words, scale)),
  ];
}

function entry(library: Library, item: Item, index: number, names: ReadonlyMap<string, string>, words: Words, scale: number): Content {
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
          ...(library.figure(item.movementId) ? [{ svg: drawn(library, item), width: size(FIGURE_POINTS) }] : []),
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
