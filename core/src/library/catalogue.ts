/** All movements, in phase order, and how to find one: those that ship with the product, and those a practice made itself. */
import * as v from "valibot";
import type { FormTiming, FormTimings } from "../session";
import { Movement, type Form } from "./movement";
import { getReady } from "./movements/get-ready";
import { glide } from "./movements/glide";
import { mobility } from "./movements/mobility";
import { release } from "./movements/release";
import { strengthen } from "./movements/strengthen";
import { stretch } from "./movements/stretch";
import type { OwnMovement } from "./own";

export const MOVEMENTS: readonly Movement[] = v.parse(v.array(Movement), [
  ...getReady,
  ...mobility,
  ...stretch,
  ...glide,
  ...strengthen,
  ...release,
]);

const byId = new Map(MOVEMENTS.map((movement) => [movement.id, movement]));
const own = new Map<string, OwnMovement>();

/**
 * Makes a practice's own movements known, so that they can be found, timed, named and drawn like any other; a newer one takes the place
 * of an older with its id. Ids hold a UUID, so two practices on one server never meet. Whoever reads them from storage calls this first.
 */
export function knowOwnMovements(list: readonly OwnMovement[]): void {
  for (const each of list) {
    own.set(each.movement.id, each);
    timings.set(each.movement.id, timingsOf(each.movement));
  }
}

export function findOwn(id: string): OwnMovement | undefined {
  return own.get(id);
}

export function findMovement(id: string): Movement | undefined {
  return byId.get(id) ?? own.get(id)?.movement;
}

/** @throws RangeError when the library has no such movement */
export function movementOf(id: string): Movement {
  const movement = findMovement(id);
  if (!movement) throw new RangeError(`no movement "${id}" in the library`);
  return movement;
}

/** Position of a form on its movement's ladder, 0 the easiest; −1 when the movement has no such form. */
export function rungOf(movement: Movement, formId: string): number {
  return movement.forms.findIndex((form) => form.id === formId);
}

/** The next easier form, or undefined at the foot of the ladder. */
export function easierForm(movement: Movement, formId: string): Form | undefined {
  return movement.forms[rungOf(movement, formId) - 1];
}

/** Regions under tension: worked or stretched. */
export function tensionRegions(movementId: string): readonly string[] {
  const movement = findMovement(movementId);
  return movement ? [...new Set([...movement.regions.worked, ...movement.regions.stretched])] : [];
}

function timingsOf(movement: Movement): Map<string, FormTiming> {
  return new Map(
    movement.forms.map((form) => [
      form.id,
      {
        readySec: movement.readySec + form.extraReadySec,
        switchSec: movement.switchSec + form.extraSwitchSec,
        stepsUsed: form.stepsUsed,
      },
    ]),
  );
}

const timings = new Map(MOVEMENTS.map((movement) => [movement.id, timingsOf(movement)]));
/** Seconds to get ready and to change sides, for every movement and form that is known. */
export const FORM_TIMINGS: FormTimings = timings;
