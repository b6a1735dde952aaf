/**
 * What the weeks would look like if all goes well: a settling-in week, then the item as written, then one thing raised at a time, and
 * where it will stop. A plan to look at: whether somebody goes on is decided week by week from what they report.
 */
import { isEqual } from "es-toolkit";
import * as v from "valibot";
import type { KitEntry } from "../crew";
import { misfitsOf, type KitKind, type Library, type Movement, type Setting } from "../library";
import { Dose, doseInForm, FormId, heldIn, tensionOf, writtenHeld, type Held, type Item } from "../session";
import { doseLadder } from "../slot";
import { firstHeld, heldTorqueNm, ladderFor, nextHeld, type HeldForm } from "./held-load";
import { settlingDose } from "./settling";

/** One raise of repetitions or hold is at most this much. Practice rule. */
const MOST_RAISE = 1.34;

export interface Week {
  /** From 1. */
  week: number;
  formId: string;
  dose: Dose;
  loadKg: number | null;
  tool?: string | null;
  gripM?: number | null;
  /** What is different from the week before; one thing at most. */
  change: "settling" | "asWritten" | "lighter" | "dose" | "form" | "load" | "none";
  /** A load step over 10 %: the kit has none smaller. */
  large?: boolean;
  /** Why nothing more is raised. */
  stop?:
    | { kind: "top" }
    | { kind: "kit"; needs: readonly KitKind[] }
    | { kind: "tooHeavy"; needs: readonly KitKind[] }
    | { kind: "place"; needs: readonly Setting[] }
    | { kind: "noHeavier"; loadKg: number };
}

/** What somebody does of an item now. */
export const Present = v.strictObject({
  formId: FormId,
  dose: Dose,
  loadKg: v.nullable(v.number()),
  /** Kind of kit in the hand and where it is held, m from the near end; null or left out: as usual for the form. */
  tool: v.optional(v.nullable(v.string())),
  gripM: v.optional(v.nullable(v.number())),
});
export type Present = v.InferOutput<typeof Present>;

export interface Surroundings {
  settings: readonly Setting[];
  kit: readonly KitEntry[];
  /** Mass of the person, where they gave it; sets the first load. */
  bodyKg?: number | null;
}

/**
 * @param weeks 1 or more @param lighter weeks from 2 that are done lighter: nothing is raised in one, and the next goes on from before it
 * @returns one entry a week; empty for a movement the library does not know
 */
export function weeksAhead(library: Library, item: Item, weeks: number, place: Surroundings, lighter: readonly number[] = []): Week[] {
  const movement = library.find(item.movementId);
  if (!movement) return [];
  const held = heldFrom(library, item, movement, place);
  const list: Week[] = [{ week: 1, formId: item.formId, dose: settlingDose(item.dose), ...held, change: "settling" }];
  /** The last week that was none of the light ones. */
  let full: Week | undefined;
  for (let week = 2; week <= weeks; week++) {
    const written: Week = { week, formId: item.formId, dose: item.dose, ...held, change: "asWritten" };
    if (lighter.includes(week)) {
      const { stop: _, large: __, ...as } = full ?? written;
      list.push({ ...as, week, dose: settlingDose(as.dose), change: "lighter" });
    } else list.push((full = full ? { ...next(library, full, item, place), week } : written));
  }
  return list;
}

/** An item of a movement that is loaded from the start, with the first load of the kit where it has none; any other as it is. */
export function withFirstLoad(library: Library, item: Item, kit: readonly KitEntry[], bodyKg: number | null = null): Item {
  const movement = library.find(item.movementId);
  if (!movement?.load || movement.load.rungs === "kit" || item.loadKg !== null) return item;
  const first = firstHeld(movement, kit, bodyKg);
  return first ? { ...item, formId: first.formId, ...first.held } : item;
}

/** What is loaded from the start has its first load, also where none is written. */
function heldFrom({ timings }: Library, item: Item, movement: Movement, { kit, bodyKg = null }: Surroundings): Held {
  if (item.loadKg !== null || movement.load?.rungs === undefined || movement.load.rungs === "kit") return heldIn(item, timings);
  return firstHeld(movement, kit, bodyKg)?.held ?? heldIn(item, timings);
}

function next(library: Library, before: Week, item: Item, place: Surroundings): Week {
  const { next: present, change, stop, large } = nextRaise(library, item, before, place);
  return { week: before.week + 1, ...present, change, large: change === "load" || change === "form" ? large : undefined, stop };
}

/**
 * The next step up from what is done now: repetitions first, then the form, then the load; never two at once, and after a harder form
 * or load the dose is the written one again. A dose that was lowered comes back to the written one first. A change of piece, tool or grip
 * is a step of load like any other.
 * @param item as written in the program @param present what is done now
 * @param putDown what was in the hand last, of whoever holds nothing now
 */
export function nextRaise(
  library: Library,
  item: Item,
  present: Present,
  { settings, kit, bodyKg = null }: Surroundings,
  putDown: HeldForm | null = null,
): { next: Present; change: "dose" | "form" | "load" | "none"; stop?: Week["stop"]; large: boolean } {
  const movement = library.find(item.movementId);
  const { formId, dose, loadKg, tool = null, gripM = null } = present;
  const now: Present = { formId, dose, loadKg, tool, gripM };
  const stopped = (stop: Week["stop"]) => ({ next: now, change: "none" as const, stop, large: false });
  // Getting ready gets ready; it is not what is raised.
  if (!movement || movement.phase === "getReady") return stopped({ kind: "top" });
  const doseIn = (form: string, of: Dose) => doseInForm(of, library.timings.get(movement.id)?.get(form));
  const loadedFromStart = movement.load !== undefined && movement.load.rungs !== "kit";
  if (loadedFromStart && loadKg === null) {
    const first = firstOf(movement, item, { kit, bodyKg, putDown });
    if (first) return { next: { formId: first.formId, dose, ...first.held }, change: "load", large: false };
  }
  const written = doseIn(formId, item.dose);
  if (shareOf(dose, written) < 1 - 1e-9) return { next: { ...now, dose: written }, change: "dose", large: false };
  const raised = doseLadder(item.dose, true).filter(({ share }) => share > 1 && share <= MOST_RAISE)[0];
  if (raised && sameDose(dose, written)) return { next: { ...now, dose: doseIn(formId, raised.dose) }, change: "dose", large: false };
  if (loadedFromStart || loadKg !== null) {
    // Nothing light enough to begin with: nobody is given more than a first load may be.
    if (loadKg === null) return stopped(noFirst(movement, kit) ?? { kind: "kit", needs: movement.kit });
    const above = harderWithoutLoad(movement, formId, { settings, kit });
    if (!loadedFromStart && above) return { next: { ...now, formId: above, dose: doseIn(above, item.dose) }, change: "form", large: false };
    const step = nextHeld(movement, { formId, held: { loadKg, tool, gripM } }, kit);
    if (!step) return stopped({ kind: "noHeavier", loadKg });
    return { next: { formId: step.formId, dose: doseIn(step.formId, item.dose), ...step.held }, change: "load", large: step.large };
  }
  return harderForm(library, item, now, movement, { settings, kit, bodyKg, putDown }, doseIn, stopped);
}

/**
 * What somebody who holds nothing begins a load with: the first load the kit has for them, or what the item is written with where that
 * is lighter. Whoever was eased out of a load comes back to no more than the crew does, and to no more than they held themselves.
 * @returns undefined when the kit has nothing light enough
 */
function firstOf(movement: Movement, item: Item, { kit, bodyKg, putDown }: Beginning): HeldForm | undefined {
  const torque = ({ formId, held }: HeldForm) => heldTorqueNm(movement, formId, held, kit);
  const first = firstHeld(movement, kit, bodyKg);
  const asWritten = { formId: item.formId, held: writtenHeld(item) };
  const usual = first && item.loadKg !== null && torque(asWritten) < torque(first) ? asWritten : first;
  if (!usual || !putDown) return usual;
  const mostNm = torque(putDown);
  return torque(usual) <= mostNm + 1e-9 ? usual : firstHeld(movement, kit, bodyKg, mostNm);
}

/** Of a kit that has loads for the movement, and none light enough to begin with: the kinds of which a lighter one is wanted. */
function noFirst(movement: Movement, kit: readonly KitEntry[]): Week["stop"] {
  const kinds = [...new Set(ladderFor(movement, kit).map(({ kind }) => kind))];
  return kinds.length > 0 ? { kind: "tooHeavy", needs: kinds } : undefined;
}

/** What says with how much somebody begins a load. */
interface Beginning {
  kit: readonly KitEntry[];
  bodyKg: number | null;
  putDown: HeldForm | null;
}

/** The next rung that can be done here; one that needs a load only when there is a first load light enough. */
function harderForm(
  { timings }: Library,
  item: Item,
  now: Present,
  movement: Movement,
  { settings, kit, bodyKg, putDown }: Omit<Surroundings, "bodyKg"> & Beginning,
  doseIn: (formId: string, dose: Dose) => Dose,
  stopped: (stop: Week["stop"]) => ReturnType<typeof nextRaise>,
): ReturnType<typeof nextRaise> {
  const rung = movement.forms.findIndex(({ id }) => id === now.formId);
  const above = movement.forms
    .slice(rung + 1)
    .map((form) => ({ form, misfits: misfitsOf(movement, form.id, { settings, kit: kit.map(({ kind }) => kind) }) }));
  const first = firstOf(movement, item, { kit, bodyKg, putDown });
  const needsLoad = (kinds: readonly KitKind[]) => kit.some(({ kind, massKg }) => massKg !== null && kinds.includes(kind));
  const harder = above.find(({ form, misfits }) => misfits.length === 0 && (!needsLoad(form.kit) || first !== undefined))?.form;
  if (harder) {
    const kept = { ...item, formId: harder.id, loadKg: now.loadKg, tool: now.tool ?? null, gripM: now.gripM ?? null };
    const held = needsLoad(harder.kit) ? first!.held : heldIn(kept, timings);
    return { next: { formId: harder.id, dose: doseIn(harder.id, item.dose), ...held }, change: "form", large: false };
  }
  // There is kit for it, and none of it is light enough to begin with.
  const tooHeavy = above.some(({ form, misfits }) => misfits.length === 0 && needsLoad(form.kit)) ? noFirst(movement, kit) : undefined;
  if (tooHeavy) return stopped(tooHeavy);
  const misfit = above.flatMap(({ misfits }) => misfits)[0];
  return stopped(
    misfit?.kind === "kit" ? { kind: "kit", needs: misfit.needs } : misfit ? { kind: "place", needs: misfit.needs } : { kind: "top" },
  );
}

/** With a load in the hand already: a harder rung of the same kit, where the rungs are not the loads themselves. */
function harderWithoutLoad(movement: Movement, formId: string, { settings, kit }: Surroundings): string | undefined {
  const rung = movement.forms.findIndex(({ id }) => id === formId);
  return movement.forms
    .slice(rung + 1)
    .find(({ id }) => misfitsOf(movement, id, { settings, kit: kit.map(({ kind }) => kind) }).length === 0)?.id;
}

function sameDose(a: Dose, b: Dose): boolean {
  return isEqual(a, b);
}

/** Seconds under tension as a share of another dose's. */
function shareOf(dose: Dose, of: Dose): number {
  return tensionOf(of) === 0 ? 1 : tensionOf(dose) / tensionOf(of);
}
