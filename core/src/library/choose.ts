/** Choosing from the library: the dose a style asks for, the item a movement starts as, what fits a crew. */
import type { Dose, Item } from "../session";
import { rungOf } from "./library";
import type { Movement } from "./movement";
import type { LoadSchool, StretchSchool, Style } from "./style";
import type { KitKind, Phase, Region, Setting, WorkPosture } from "./words";

/** The school that decides a phase: loading for strengthening, stretching for everything else. */
export function doseFor(movement: Movement, style: Style): Dose {
  const school = movement.phase === "strengthen" ? style.load : style.stretch;
  return movement.doses[school] ?? movement.doses.usual;
}

/** A new item for a movement: its start form, the style's dose, its usual sides. */
export function newItem(movement: Movement, style: Style, id: string): Item {
  return {
    id,
    movementId: movement.id,
    formId: movement.startForm,
    dose: doseFor(movement, style),
    sides: movement.sideModes[0]!,
    firstSide: "left",
    loadKg: null,
    pairedWithNext: false,
    personal: {},
  };
}

export interface Surroundings {
  settings: readonly Setting[];
  kit: readonly KitKind[];
}

export type Misfit = { kind: "setting"; needs: readonly Setting[] } | { kind: "kit"; needs: readonly KitKind[] };

/** Why a form cannot be done in a crew's place with its kit; empty when it can. `any` is everywhere. */
export function misfitsOf(movement: Movement, formId: string, place: Surroundings): Misfit[] {
  const form = movement.forms[rungOf(movement, formId)];
  const settings = form?.settings ?? movement.settings;
  const found: Misfit[] = [];
  if (!settings.some((setting) => setting === "any" || place.settings.includes(setting))) found.push({ kind: "setting", needs: settings });
  for (const needs of [movement.kit, form?.kit ?? []]) {
    if (needs.length > 0 && !needs.some((kind) => place.kit.includes(kind))) found.push({ kind: "kit", needs });
  }
  return found;
}

export interface LibraryFilter {
  text?: string;
  phases?: readonly Phase[];
  regions?: readonly Region[];
  reverses?: readonly WorkPosture[];
  /** Only what has a dose of its own for this school. */
  school?: StretchSchool | LoadSchool;
  /** Only what can be done here, in at least one form. */
  place?: Surroundings;
}

/** Movements that pass every filter given. `textOf` supplies what the text filter searches. */
export function filterMovements(movements: readonly Movement[], filter: LibraryFilter, textOf: (movement: Movement) => string): Movement[] {
  const wanted = filter.text?.trim().toLowerCase() ?? "";
  const some = <T>(list: readonly T[] | undefined, has: readonly T[]) =>
    !list || list.length === 0 || list.some((each) => has.includes(each));
  return movements.filter(
    (movement) =>
      some(filter.phases, [movement.phase]) &&
      some(filter.regions, [...movement.regions.worked, ...movement.regions.stretched, ...movement.regions.released]) &&
      some(filter.reverses, movement.reverses) &&
      (!filter.school || movement.doses[filter.school] !== undefined) &&
      (!filter.place || movement.forms.some((form) => misfitsOf(movement, form.id, filter.place!).length === 0)) &&
      (wanted === "" || textOf(movement).toLowerCase().includes(wanted)),
  );
}
