/** What is to be drawn: a movement in one of its forms, from one side. */
import type { Figure, PictureOptions, Pose, SideName, ViewName } from "@kind-grip/core/figure";
import type { Words } from "@kind-grip/core/language";
import { lookOf, SMALL, smallStillFile, type Library } from "@kind-grip/core/library";
import type { Side } from "@kind-grip/core/units";

export interface FigureRequest {
  key: string;
  figure: Figure;
  options: PictureOptions;
  /** The figure in words, in the language of the words; worked out only when somebody needs it. */
  title(words: Words): string;
  /** The file of this still among those that were drawn when the application was built. */
  still?: string;
}

interface Asked {
  formId?: string;
  side?: Side;
  view?: ViewName;
  width?: number;
  alsoShown?: readonly Pose[];
  /** Height over width. */
  ratio?: number;
  /** Leaves the mark of where it is felt out. */
  bare?: boolean;
}

/** `both` and no side at all are drawn as they were written: for the right hand. */
const sideName = (side: Side | undefined): SideName => (side === "left" ? "left" : "right");

/** Undefined where the movement has no figure. */
export function figureRequest(
  library: Library,
  movementId: string,
  { formId, side, view, width = 600, alsoShown, ratio = 0.75, bare = false }: Asked = {},
): FigureRequest | undefined {
  const figure = library.figure(movementId, formId);
  if (!figure) return undefined;
  const small = width < 400;
  return {
    key: JSON.stringify([
      movementId,
      library.revisionOf(movementId),
      formId,
      sideName(side),
      view,
      width,
      ratio,
      bare,
      alsoShown?.length ?? 0,
    ]),
    figure,
    title: (words) => words.figure(figure, sideName(side), words.movementName(movementId)),
    options: {
      side: sideName(side),
      ...(view && { view }),
      look: lookOf(movementId),
      regions: bare ? [] : library.feltRegions(movementId),
      width,
      height: width * ratio,
      ...(small && { cell: SMALL.cell, bold: SMALL.bold }),
      ...(alsoShown && { alsoShown }),
    },
  };
}

/** A movement in a form as a small still. What ships is drawn already. */
export function thumbRequest(library: Library, movementId: string, formId?: string): FigureRequest | undefined {
  const request = figureRequest(library, movementId, { formId, width: SMALL.width });
  return request && { ...request, still: smallStillFile(library, movementId, formId) };
}
