/** What easing comes to: never more than is done now, in seconds under tension, in the length of a hold, or in load. */
import { isEqual } from "es-toolkit";
import { easierForm, type Library, type Movement } from "../library";
import type { Surroundings } from "../program";
import { boutsOf, doseInForm, heldIn, type Dose, type Item } from "../session";
import { doseLadder } from "../slot";
import type { Present } from "../program";

/** Without an easier form the dose is lowered to about this share of what is done now. Practice rule. */
export const EASED_SHARE = 0.6;
/** A smaller dose than this many seconds under tension is none: then the item is paused. Practice rule. */
const LEAST_TENSION_SEC = 5;

/** What a person does of an item now: their own form, dose and load, or the item's. */
export function presentOf(library: Library, item: Item, personId: string): Present {
  const own = item.personal[personId];
  const formId = own?.formId ?? item.formId;
  return {
    formId,
    dose: own?.dose ?? doseInForm(item.dose, library.timings.get(item.movementId)?.get(formId)),
    ...heldIn(item, library.timings, own),
  };
}

/**
 * One step easier: back to what was done before the last raise, if there was one; else the next easier form in the dose that is done
 * now; else a smaller dose in the same form.
 * @param before what was done before the last raise, when that raise is what is done now @param eased it was eased already: a dose is lowered once
 * @returns undefined when there is nothing easier
 */
export function easierThan(
  library: Library,
  { present, place, before = null, eased = false }: { present: Present; place: Surroundings; before?: Present | null; eased?: boolean },
  movement: Movement,
): Present | undefined {
  if (before && !sameDoing(before, present) && isNoMore(before, present)) return before;
  const form = easierForm(movement, present.formId);
  if (form) {
    // A band has no mass: what was in the hand before is put down.
    const kinds = [...form.kit, ...movement.kit];
    const loaded = place.kit.some(({ kind, massKg }) => massKg !== null && kinds.includes(kind));
    const dose = doseInForm(present.dose, library.timings.get(movement.id)?.get(form.id));
    const { loadKg, tool = null } = present;
    // In another rung the tool is held where that rung holds it.
    const next = { formId: form.id, dose, ...(loaded ? { loadKg, tool, gripM: null } : { loadKg: null, tool: null, gripM: null }) };
    return isNoMore(next, present) ? next : { ...next, dose: present.dose };
  }
  if (eased) return undefined;
  const smaller = doseLadder(present.dose).find(
    ({ dose, share }) => share <= EASED_SHARE + 1e-9 && tensionSec(dose) >= LEAST_TENSION_SEC && isNoMore({ ...present, dose }, present),
  );
  return smaller && { ...present, dose: smaller.dose };
}

/** Whether doing `a` asks for no more than doing `b`: seconds under tension, length of one bout, load. */
export function isNoMore(a: Present, b: Present): boolean {
  return (
    tensionSec(a.dose) <= tensionSec(b.dose) + 1e-9 &&
    (a.dose.kind !== "holds" || b.dose.kind !== "holds" || a.dose.holdSec <= b.dose.holdSec) &&
    (a.loadKg ?? 0) <= (b.loadKg ?? 0) + 1e-9
  );
}

export function sameDoing(a: Present, b: Present): boolean {
  return (
    a.formId === b.formId &&
    a.loadKg === b.loadKg &&
    (a.tool ?? null) === (b.tool ?? null) &&
    (a.gripM ?? null) === (b.gripM ?? null) &&
    isEqual(a.dose, b.dose)
  );
}

function tensionSec(dose: Dose): number {
  const { count, tensionSec: each } = boutsOf(dose);
  return count * each;
}
