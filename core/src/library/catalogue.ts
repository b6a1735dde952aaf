/** All movements that ship with the product, in phase order, and how to find one. */
import * as v from "valibot";
import type { FormTiming, FormTimings } from "../session";
import { Movement, type Form } from "./movement";
import { getReady } from "./movements/get-ready";
import { glide } from "./movements/glide";
import { mobility } from "./movements/mobility";
import { release } from "./movements/release";
import { strengthen } from "./movements/strengthen";
import { stretch } from "./movements/stretch";

export const MOVEMENTS: readonly Movement[] = v.parse(v.array(Movement), [
  ...getReady,
  ...mobility,
  ...stretch,
  ...glide,
  ...strengthen,
  ...release,
]);

const byId = new Map(MOVEMENTS.map((movement) => [movement.id, movement]));

export function findMovement(id: string): Movement | undefined {
  return byId.get(id);
}

/** @throws RangeError when the library has no such movement */
export function movementOf(id: string): Movement {
  const movement = byId.get(id);
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
  const movement = byId.get(movementId);
  return movement ? [...new Set([...movement.regions.worked, ...movement.regions.stretched])] : [];
}

/** Seconds to get ready and to change sides, for every movement and form of the library. */
export const FORM_TIMINGS: FormTimings = new Map(
  MOVEMENTS.map((movement) => [
    movement.id,
    new Map<string, FormTiming>(
      movement.forms.map((form) => [
        form.id,
        {
          readySec: movement.readySec + form.extraReadySec,
          switchSec: movement.switchSec + form.extraSwitchSec,
          stepsUsed: form.stepsUsed,
        },
      ]),
    ),
  ]),
);
