/** Pictures of the library's movements: the right figure for a form, the same person each time, marked where it is felt. */
import { HAIR_STYLES, SKINS, StagedFigure, type Look, type PictureOptions } from "../figure";
import type { Library } from "./library";

/** The same person for the same movement, different ones across the library. */
export function lookOf(movementId: string): Look {
  let sum = 0;
  for (const sign of movementId) sum = (sum * 31 + sign.charCodeAt(0)) % 9973;
  return { skin: SKINS[sum % SKINS.length]!, hair: HAIR_STYLES[(sum >> 3) % HAIR_STYLES.length]! };
}

/** How a movement is drawn where it is small: in a list, on paper. Shown at a third to all of its pixels; its strokes are bolder for it. */
export const SMALL = { width: 300, height: 225, cell: 1.9, bold: 1.5 } as const satisfies Partial<PictureOptions>;

/**
 * The file of the small still among those that are drawn when the application is built (draw-stills.ts); forms that look like their
 * movement share it. None of a movement without figure, and none of a practice's own.
 */
export function smallStillFile(library: Library, movementId: string, formId?: string): string | undefined {
  const figure = library.figure(movementId, formId);
  if (!figure || library.custom(movementId)) return undefined;
  return `${figure === library.figure(movementId) ? movementId : `${movementId}.${formId}`}.svg`;
}

/** A figure ready to be drawn at any moment. @throws RangeError when the movement has no figure */
export function stage(library: Library, movementId: string, formId?: string, options: Partial<PictureOptions> = {}): StagedFigure {
  const figure = library.figure(movementId, formId);
  if (!figure) throw new RangeError(`no figure of "${movementId}"`);
  return new StagedFigure(figure, { look: lookOf(movementId), regions: library.feltRegions(movementId), ...options });
}
