/** The settling-in week: the first seven days of a block, lighter and without load, so that people learn the shapes. */
import { isEqual } from "es-toolkit";
import type { Library } from "../library";
import { doseInForm, heldIn, type Dose, type Item, type Session } from "../session";
import { doseLadder } from "../slot";
import type { Program } from "./program";

/** The first week is done at about this share. Practice rule. */
const SETTLING_SHARE = 0.6;
const SETTLING_DAYS = 7;

export function isSettling({ settlingFrom }: Pick<Program, "settlingFrom">, day: string): boolean {
  if (!settlingFrom) return false;
  const days = Math.round((Date.parse(`${day}T00:00:00Z`) - Date.parse(`${settlingFrom}T00:00:00Z`)) / 86_400_000);
  return days >= 0 && days < SETTLING_DAYS;
}

/** A session as it is done on a day: as written, or in the settling-in week lighter. Own forms too. */
export function sessionOn(library: Library, program: Pick<Program, "settlingFrom">, session: Session, day: string): Session {
  return isSettling(program, day) ? { ...session, items: session.items.map((item) => settled(library, item)) } : session;
}

/** A dose as it is done in the settling-in week. */
export function settlingDose(dose: Dose): Dose {
  return doseLadder(dose).reduce((best, step) =>
    Math.abs(step.share - SETTLING_SHARE) < Math.abs(best.share - SETTLING_SHARE) ? step : best,
  ).dose;
}

function settled(library: Library, item: Item): Item {
  const movement = library.find(item.movementId);
  // What is loaded begins with the form before the load, where there is one.
  const unloaded = item.loadKg === null ? undefined : movement?.forms.find((form) => form.kit.length === 0 && movement.kit.length === 0);
  const formId = unloaded?.id ?? item.formId;
  const inForm = (dose: Dose, form: string) => doseInForm(settlingDose(dose), library.timings.get(item.movementId)?.get(form));
  return {
    ...item,
    formId,
    dose: inForm(item.dose, formId),
    ...(unloaded ? { loadKg: null, tool: null, gripM: null } : heldIn(item)),
    personal: Object.fromEntries(
      Object.entries(item.personal).map(([personId, own]) => {
        // Who starts at the settling dose anyway is not made to do less still.
        const isLight = isEqual(own.dose, inForm(item.dose, own.formId));
        return [personId, own.dose && !isLight ? { ...own, dose: inForm(own.dose, own.formId) } : own];
      }),
    ),
  };
}
