/**
 * Light weeks of a block: the first seven days settle in, lighter and without load, so that people learn the shapes; later ones are
 * lighter where the trainer wishes.
 */
import { isEqual } from "es-toolkit";
import { addDays, daysBetween } from "../calendar";
import type { Form, Library, Movement } from "../library";
import { doseInForm, heldIn, NOTHING_HELD, type Dose, type Item } from "../session";
import { doseLadder } from "../slot";
import type { Program } from "./program";

/** A light week is done at about this share. Practice rule. */
const SETTLING_SHARE = 0.6;
const WEEK_DAYS = 7;

/** What of a program says which weeks are light. */
export type BlockWeeks = Pick<Program, "settlingFrom" | "lighterWeeks">;

/** The week of the block a day is in, from 1; null before it, or where no first day is set. */
export function weekOf({ settlingFrom }: Pick<Program, "settlingFrom">, day: string): number | null {
  if (!settlingFrom) return null;
  const days = daysBetween(settlingFrom, day);
  return days < 0 ? null : Math.floor(days / WEEK_DAYS) + 1;
}

/** Whether a day is in a light week: the first, settling in without load, or one that is wished lighter. */
export function lightWeekOf(program: BlockWeeks, day: string): "settling" | "lighter" | null {
  const week = weekOf(program, day);
  if (week === 1) return "settling";
  return week !== null && program.lighterWeeks?.includes(week) ? "lighter" : null;
}

/** The day after the last one of a block: measured anew and decided; null where no first day is set. */
export function reviewDay({ settlingFrom, weeks }: Pick<Program, "settlingFrom" | "weeks">): string | null {
  return settlingFrom ? addDays(settlingFrom, weeks * WEEK_DAYS) : null;
}

/** The form before the load, where a movement has one. */
export function unloadedForm(movement: Movement): Form | undefined {
  return movement.forms.find((form) => form.kit.length === 0 && movement.kit.length === 0);
}

/** A dose as it is done in a light week. */
export function settlingDose(dose: Dose): Dose {
  return doseLadder(dose).reduce((best, step) =>
    Math.abs(step.share - SETTLING_SHARE) < Math.abs(best.share - SETTLING_SHARE) ? step : best,
  ).dose;
}

/** An item in a light week, own doses too. @param unload the load waits where there is a form for that */
export function lightened(library: Library, item: Item, unload: boolean): Item {
  const movement = library.find(item.movementId);
  // What is loaded begins with the form before the load, where there is one.
  const unloaded = item.loadKg === null || !unload || !movement ? undefined : unloadedForm(movement);
  const formId = unloaded?.id ?? item.formId;
  const inForm = (dose: Dose, form: string) => doseInForm(settlingDose(dose), library.timings.get(item.movementId)?.get(form));
  return {
    ...item,
    formId,
    dose: inForm(item.dose, formId),
    ...(unloaded ? NOTHING_HELD : heldIn(item, library.timings)),
    personal: Object.fromEntries(
      Object.entries(item.personal).map(([personId, theirs]) => {
        // The load of whoever has one of their own waits as everybody's does.
        const waits = unload && movement && heldIn(item, library.timings, theirs).loadKg !== null ? unloadedForm(movement) : undefined;
        const own = waits ? { ...theirs, formId: waits.id, ...NOTHING_HELD } : theirs;
        // Who starts at the settling dose anyway is not made to do less still.
        const isLight = isEqual(own.dose, inForm(item.dose, own.formId));
        return [personId, own.dose && !isLight ? { ...own, dose: inForm(own.dose, own.formId) } : own];
      }),
    ),
  };
}
