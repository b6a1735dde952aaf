/**
 * The movement library as a value: what ships with the product and what one practice made itself, in one. Whoever names, times, draws or
 * judges a movement is handed the library it belongs to, so that two practices on one server, a phone and a cold process each have theirs.
 */
import * as v from "valibot";
import type { Figure } from "../figure";
import type { FormTiming, FormTimings } from "../session";
import type { CustomMovement } from "./custom";
import { figuresOf } from "./figures";
import { Movement, type Form } from "./movement";
import { getReady } from "./movements/get-ready";
import { glide } from "./movements/glide";
import { mobility } from "./movements/mobility";
import { release } from "./movements/release";
import { strengthen } from "./movements/strengthen";
import { stretch } from "./movements/stretch";
import { upperBody } from "./movements/upper-body";
import { HELD_KINDS } from "./words";

/** The movements that ship with the product, in phase order. */
export const SHIPPED_MOVEMENTS: readonly Movement[] = v.parse(v.array(Movement), [
  ...getReady,
  ...mobility,
  ...stretch,
  ...upperBody,
  ...glide,
  ...strengthen,
  ...release,
]);

export interface Library {
  /** Differs between two libraries whose answers differ: part of the key of everything that is kept of a library's answers. */
  readonly revision: string;
  /** All movements, the shipped ones first. */
  readonly movements: readonly Movement[];
  /** Seconds to get ready and to change sides, for every movement and form. */
  readonly timings: FormTimings;
  find(movementId: string): Movement | undefined;
  /** @throws RangeError when the library has no such movement */
  get(movementId: string): Movement;
  /** A movement the practice made itself, whole; undefined for the shipped ones. */
  custom(movementId: string): CustomMovement | undefined;
  /** As `revision`, of one movement: the same for ever for a shipped one, another after every edit of a custom one. */
  revisionOf(movementId: string): string;
  /** The figure of a form; that of the movement where the form has none of its own. Undefined for a movement without figures. */
  figure(movementId: string, formId?: string): Figure | undefined;
  /** Regions under tension: worked or stretched. None for a movement the library does not know. */
  tensionRegions(movementId: string): readonly string[];
  /** What the practice says otherwise than ships: language → key of a text → text. */
  readonly corrections: Corrections;
  /** Where a movement should be felt most: two regions at most, or the skin is all marks. */
  feltRegions(movementId: string): string[];
}

/** Language → dotted key of a text in its catalogue → the practice's own text. */
export type Corrections = Readonly<Record<string, Readonly<Record<string, string>>>>;

/** @param customMovements of one practice; of two with the same id the later one counts */
export function libraryOf(customMovements: readonly CustomMovement[], corrections: Corrections = {}): Library {
  const custom = new Map(customMovements.map((each) => [each.movement.id, { each, revision: revisionOfText(JSON.stringify(each)) }]));
  const movements = [...SHIPPED_MOVEMENTS, ...[...custom.values()].map(({ each }) => each.movement)];
  const byId = new Map(movements.map((movement) => [movement.id, movement]));
  const timings = custom.size === 0 ? shippedTimings : new Map([...byId].map(([id, movement]) => [id, timingsOf(movement)]));
  const regionsOf = (movementId: string) => byId.get(movementId)?.regions;
  return {
    revision:
      [
        ...[...custom].map(([id, { revision }]) => `${id}:${revision}`),
        ...(Object.keys(corrections).length > 0 ? [`texts:${revisionOfText(JSON.stringify(corrections))}`] : []),
      ].join(" ") || "shipped",
    corrections,
    movements,
    timings,
    find: (movementId) => byId.get(movementId),
    get: (movementId) => {
      const movement = byId.get(movementId);
      if (!movement) throw new RangeError(`no movement "${movementId}" in the library`);
      return movement;
    },
    custom: (movementId) => custom.get(movementId)?.each,
    revisionOf: (movementId) => custom.get(movementId)?.revision ?? "shipped",
    figure: (movementId, formId) => {
      const figures = figuresOf(movementId);
      if (!figures) return custom.get(movementId)?.each.figure;
      return (formId !== undefined && figures.forms[formId]) || figures.figure;
    },
    tensionRegions: (movementId) => {
      const regions = regionsOf(movementId);
      return regions ? [...new Set([...regions.worked, ...regions.stretched])] : [];
    },
    feltRegions: (movementId) => {
      const regions = regionsOf(movementId);
      return regions ? [...new Set([...regions.stretched, ...regions.released, ...regions.worked])].slice(0, 2) : [];
    },
  };
}

/** Position of a form on its movement's ladder, 0 the easiest; −1 when the movement has no such form. */
export function rungOf(movement: Movement, formId: string): number {
  return movement.forms.findIndex((form) => form.id === formId);
}

/** The next easier form, or undefined at the foot of the ladder. */
export function easierForm(movement: Movement, formId: string): Form | undefined {
  return movement.forms[rungOf(movement, formId) - 1];
}

/** The form itself where something with a mass can be held in it, else the next one up in which it can; undefined where there is none. */
export function holdingForm(movement: Movement, formId: string): Form | undefined {
  return movement.forms.slice(rungOf(movement, formId)).find((form) => !isEmptyHanded(movement, form));
}

const isEmptyHanded = (movement: Movement, form: Form): boolean => ![...form.kit, ...movement.kit].some((kind) => HELD_KINDS.has(kind));

function timingsOf(movement: Movement): Map<string, FormTiming> {
  return new Map(
    movement.forms.map((form) => [
      form.id,
      {
        readySec: movement.readySec + form.extraReadySec,
        switchSec: movement.switchSec + form.extraSwitchSec,
        stepsUsed: form.stepsUsed,
        emptyHanded: isEmptyHanded(movement, form),
      },
    ]),
  );
}

const shippedTimings: FormTimings = new Map(SHIPPED_MOVEMENTS.map((movement) => [movement.id, timingsOf(movement)]));

/** Two 32-bit sums of a text (the FNV-1a step, once from each of two starts): equal for equal texts, and in practice only for those. */
function revisionOfText(text: string): string {
  let [a, b] = [0x811c9dc5, 0x1b873593];
  for (let i = 0; i < text.length; i++) {
    const sign = text.charCodeAt(i);
    a = Math.imul(a ^ sign, 0x01000193);
    b = Math.imul(b ^ ((sign << 8) | (i & 255)), 0x01000193);
  }
  return (a >>> 0).toString(36) + (b >>> 0).toString(36);
}

/** What ships with the product and nothing else. */
export const SHIPPED_LIBRARY: Library = libraryOf([]);
