/** Pictures of the library's movements: the right figure for a form, the same person each time, marked where it is felt. */
import { HAIR_STYLES, SKINS, StagedFigure, type Figure, type Look, type PictureOptions } from "../figure";
import { findMovement, findOwn } from "./catalogue";
import { figuresOf } from "./figures";

/** The same person for the same movement, different ones across the library. */
export function lookOf(movementId: string): Look {
  let sum = 0;
  for (const sign of movementId) sum = (sum * 31 + sign.charCodeAt(0)) % 9973;
  return { skin: SKINS[sum % SKINS.length]!, hair: HAIR_STYLES[(sum >> 3) % HAIR_STYLES.length]! };
}

/** The figure of a form; that of the start form where the form has none of its own. Undefined for a movement without figures. */
export function figureOf(movementId: string, formId?: string): Figure | undefined {
  const figures = figuresOf(movementId);
  if (!figures) return findOwn(movementId)?.figure;
  return (formId !== undefined && figures.forms[formId]) || figures.figure;
}

/** Where a movement should be felt most: two regions at most, or the skin is all marks. */
export function regionsOf(movementId: string): string[] {
  const regions = findMovement(movementId)?.regions;
  return regions ? [...new Set([...regions.stretched, ...regions.released, ...regions.worked])].slice(0, 2) : [];
}

/** A figure ready to be drawn at any moment. @throws RangeError when the movement has no figure */
export function stage(movementId: string, formId?: string, options: Partial<PictureOptions> = {}): StagedFigure {
  const figure = figureOf(movementId, formId);
  if (!figure) throw new RangeError(`no figure of "${movementId}"`);
  return new StagedFigure(figure, { look: lookOf(movementId), regions: regionsOf(movementId), ...options });
}
