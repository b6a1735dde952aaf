/**
 * What the weeks would look like if all goes well: a settling-in week, then the item as written, then one thing raised at a time, and
 * where it will stop. A plan to look at: whether somebody goes on is decided week by week from what they report.
 */
import type { KitEntry } from "../crew";
import { findMovement, FORM_TIMINGS, misfitsOf, type KitKind, type Movement, type Setting } from "../library";
import { firstLoadKg, SMALL_STEP } from "../load";
import { boutsOf, doseInForm, type Dose, type Item } from "../session";
import { doseLadder } from "../slot";
import { settlingDose } from "./settling";

/** One raise of repetitions or hold is at most this much. Practice rule. */
const MOST_RAISE = 1.34;

export interface Week {
  /** From 1. */
  week: number;
  formId: string;
  dose: Dose;
  loadKg: number | null;
  /** What is different from the week before; one thing at most. */
  change: "settling" | "asWritten" | "dose" | "form" | "load" | "none";
  /** A load step over 10 %: the kit has none smaller. */
  large?: boolean;
  /** Why nothing more is raised. */
  stop?:
    | { kind: "top" }
    | { kind: "kit"; needs: readonly KitKind[] }
    | { kind: "place"; needs: readonly Setting[] }
    | { kind: "noHeavier"; loadKg: number };
}

/** What somebody does of an item now. */
export interface Present {
  formId: string;
  dose: Dose;
  loadKg: number | null;
}

export interface Surroundings {
  settings: readonly Setting[];
  kit: readonly KitEntry[];
}

/** @param weeks 1 or more @returns one entry a week; empty for a movement the library does not know */
export function weeksAhead(item: Item, weeks: number, place: Surroundings): Week[] {
  const movement = findMovement(item.movementId);
  if (!movement) return [];
  const list: Week[] = [
    { week: 1, formId: item.formId, dose: settlingDose(item.dose), loadKg: item.loadKg, change: "settling" },
    { week: 2, formId: item.formId, dose: item.dose, loadKg: item.loadKg, change: "asWritten" },
  ];
  while (list.length < weeks) list.push(next(list.at(-1)!, item, movement, place));
  return list.slice(0, weeks);
}

function next(before: Week, item: Item, movement: Movement, place: Surroundings): Week {
  const { next: present, change, stop, large } = nextRaise(item, before, place, movement);
  return { week: before.week + 1, ...present, change, large: change === "load" ? large : undefined, stop };
}

/**
 * The next step up from what is done now: repetitions first, then the form, then the load; never two at once, and after a harder form
 * or load the dose is the written one again. A dose that was lowered comes back to the written one first.
 * @param item as written in the program @param present what is done now
 */
export function nextRaise(
  item: Item,
  present: Present,
  { settings, kit }: Surroundings,
  movement: Movement | undefined = findMovement(item.movementId),
): { next: Present; change: "dose" | "form" | "load" | "none"; stop?: Week["stop"]; large: boolean } {
  const now: Present = { formId: present.formId, dose: present.dose, loadKg: present.loadKg };
  const stopped = (stop: Week["stop"]) => ({ next: now, change: "none" as const, stop, large: false });
  // Getting ready gets ready; it is not what is raised.
  if (!movement || movement.phase === "getReady") return stopped({ kind: "top" });
  const doseIn = (formId: string, dose: Dose) => doseInForm(dose, FORM_TIMINGS.get(movement.id)?.get(formId));
  const written = doseIn(now.formId, item.dose);
  if (shareOf(now.dose, written) < 1 - 1e-9) return { next: { ...now, dose: written }, change: "dose", large: false };
  const raised = doseLadder(item.dose, true).filter(({ share }) => share > 1 && share <= MOST_RAISE)[0];
  if (raised && sameDose(now.dose, written))
    return { next: { ...now, dose: doseIn(now.formId, raised.dose) }, change: "dose", large: false };
  const rung = movement.forms.findIndex(({ id }) => id === now.formId);
  const above = movement.forms
    .slice(rung + 1)
    .map((form) => ({ form, misfits: misfitsOf(movement, form.id, { settings, kit: kit.map(({ kind }) => kind) }) }));
  // The next rung that can be done here; one that needs a load only when there is a first load light enough.
  const harder = above.find(
    ({ form, misfits }) => misfits.length === 0 && !(massesOf(form.kit, kit).length > 0 && firstOf(form.kit, kit) === 0),
  )?.form;
  if (harder) {
    const loadKg = harder.kit.length > 0 && now.loadKg === null ? firstOf(harder.kit, kit) || null : now.loadKg;
    return { next: { formId: harder.id, dose: doseIn(harder.id, item.dose), loadKg }, change: "form", large: false };
  }
  if (now.loadKg !== null) {
    const masses = massesOf([...movement.kit, ...movement.forms.flatMap((form) => form.kit)], kit);
    const heavier = Math.min(...masses.filter((kg) => kg > now.loadKg! + 1e-9));
    if (!Number.isFinite(heavier)) return stopped({ kind: "noHeavier", loadKg: now.loadKg });
    return { next: { ...now, loadKg: heavier, dose: written }, change: "load", large: heavier / now.loadKg - 1 > SMALL_STEP + 1e-9 };
  }
  const misfit = above.flatMap(({ misfits }) => misfits)[0];
  return stopped(
    misfit?.kind === "kit" ? { kind: "kit", needs: misfit.needs } : misfit ? { kind: "place", needs: misfit.needs } : { kind: "top" },
  );
}

function sameDose(a: Dose, b: Dose): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}

/** Seconds under tension as a share of another dose's. */
function shareOf(dose: Dose, of: Dose): number {
  const tension = (each: Dose) => boutsOf(each).count * boutsOf(each).tensionSec;
  return tension(of) === 0 ? 1 : tension(dose) / tension(of);
}

function massesOf(kinds: readonly KitKind[], kit: readonly KitEntry[]): number[] {
  return kit.filter(({ kind, massKg }) => massKg !== null && kinds.includes(kind)).map(({ massKg }) => massKg!);
}

function firstOf(kinds: readonly KitKind[], kit: readonly KitEntry[]): number {
  return firstLoadKg(massesOf(kinds, kit), null);
}
