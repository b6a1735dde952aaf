/**
 * What the weeks would look like if all goes well: a settling-in week, then the item as written, then one thing raised at a time, and
 * where it will stop. A plan to look at: whether somebody goes on is decided week by week from what they report.
 */
import type { KitEntry } from "../crew";
import { findMovement, misfitsOf, type KitKind, type Movement, type Setting } from "../library";
import { firstLoadKg, SMALL_STEP } from "../load";
import type { Dose, Item } from "../session";
import { doseLadder } from "../slot";

/** The first week is done at about this share: people learn the shapes. Practice rule. */
const SETTLING_SHARE = 0.6;
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

export interface Surroundings {
  settings: readonly Setting[];
  kit: readonly KitEntry[];
}

/** @param weeks 1 or more @returns one entry a week; empty for a movement the library does not know */
export function weeksAhead(item: Item, weeks: number, place: Surroundings): Week[] {
  const movement = findMovement(item.movementId);
  if (!movement) return [];
  const settling = doseLadder(item.dose).reduce((best, step) =>
    Math.abs(step.share - SETTLING_SHARE) < Math.abs(best.share - SETTLING_SHARE) ? step : best,
  ).dose;
  const list: Week[] = [
    { week: 1, formId: item.formId, dose: settling, loadKg: item.loadKg, change: "settling" },
    { week: 2, formId: item.formId, dose: item.dose, loadKg: item.loadKg, change: "asWritten" },
  ];
  while (list.length < weeks) list.push(next(list.at(-1)!, item, movement, place));
  return list.slice(0, weeks);
}

/** Repetitions first, then the form, then the load; never two at once, and after a harder form or load the dose is the written one again. */
function next(before: Week, item: Item, movement: Movement, { settings, kit }: Surroundings): Week {
  const now: Week = { ...before, week: before.week + 1, change: "none", large: undefined, stop: undefined };
  // Getting ready gets ready; it is not what is raised.
  if (movement.phase === "getReady") return { ...now, stop: { kind: "top" } };
  const raised = doseLadder(item.dose, true).filter(({ share }) => share > 1 && share <= MOST_RAISE)[0];
  if (raised && JSON.stringify(before.dose) === JSON.stringify(item.dose)) return { ...now, dose: raised.dose, change: "dose" };
  const rung = movement.forms.findIndex(({ id }) => id === before.formId);
  const above = movement.forms
    .slice(rung + 1)
    .map((form) => ({ form, misfits: misfitsOf(movement, form.id, { settings, kit: kit.map(({ kind }) => kind) }) }));
  // The next rung that can be done here; one that needs a load only when there is a first load light enough.
  const harder = above.find(
    ({ form, misfits }) => misfits.length === 0 && !(massesOf(form.kit, kit).length > 0 && firstOf(form.kit, kit) === 0),
  )?.form;
  if (harder) {
    const loadKg = harder.kit.length > 0 && before.loadKg === null ? firstOf(harder.kit, kit) || null : before.loadKg;
    return { ...now, formId: harder.id, dose: item.dose, loadKg, change: "form" };
  }
  if (before.loadKg !== null) {
    const masses = massesOf([...movement.kit, ...movement.forms.flatMap((form) => form.kit)], kit);
    const heavier = Math.min(...masses.filter((kg) => kg > before.loadKg! + 1e-9));
    if (Number.isFinite(heavier))
      return { ...now, loadKg: heavier, dose: item.dose, change: "load", large: heavier / before.loadKg - 1 > SMALL_STEP + 1e-9 };
    return { ...now, stop: { kind: "noHeavier", loadKg: before.loadKg } };
  }
  const misfit = above.flatMap(({ misfits }) => misfits)[0];
  return {
    ...now,
    stop: misfit?.kind === "kit" ? { kind: "kit", needs: misfit.needs } : misfit ? { kind: "place", needs: misfit.needs } : { kind: "top" },
  };
}

function massesOf(kinds: readonly KitKind[], kit: readonly KitEntry[]): number[] {
  return kit.filter(({ kind, massKg }) => massKg !== null && kinds.includes(kind)).map(({ massKg }) => massKg!);
}

function firstOf(kinds: readonly KitKind[], kit: readonly KitEntry[]): number {
  return firstLoadKg(massesOf(kinds, kit), null);
}
