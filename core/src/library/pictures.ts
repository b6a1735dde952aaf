/** Pictures of the library's movements: the right figure for a form, the same person each time, marked where it is felt. */
import { HAIR_STYLES, SKINS, StagedFigure, type Look, type PictureOptions } from "../figure";
import type { Library } from "./library";

/** The same person for the same movement, different ones across the library. */
export function lookOf(movementId: string): Look {
  let sum = 0;
  for (const sign of movementId) sum = (sum * 31 + sign.charCodeAt(0)) % 9973;
  return { skin: SKINS[sum % SKINS.length]!, hair: HAIR_STYLES[(sum >> 3) % HAIR_STYLES.length]! };
}

/** A figure ready to be drawn at any moment. @throws RangeError when the movement has no figure */
export function stage(library: Library, movementId: string, formId?: string, options: Partial<PictureOptions> = {}): StagedFigure {
  const figure = library.figure(movementId, formId);
  if (!figure) throw new RangeError(`no figure of "${movementId}"`);
  return new StagedFigure(figure, { look: lookOf(movementId), regions: library.feltRegions(movementId), ...options });
}
