/**
 * The units and the marks in numbers of whoever looks at the screen. Like the language, they are known before the first screen is
 * drawn; what is stored stays in kilograms and metres.
 */
import {
  fixedText as fixedOn,
  lengthIn,
  lengthOf,
  lengthText as lengthOn,
  massIn,
  massOf,
  massText as massOn,
  METRIC,
  numberText as numberOn,
  spanText as spanOn,
  torqueText as torqueOn,
  type Measures,
} from "@kind-grip/core/units";
import { isEqual } from "es-toolkit";

const KEPT = "kind-grip-measures";

/** Of whoever signed in here last; metric until somebody did. */
export const MEASURES: Measures = keptMeasures();

function keptMeasures(): Measures {
  try {
    return { ...METRIC, ...(JSON.parse(localStorage.getItem(KEPT) ?? "{}") as Partial<Measures>) };
  } catch {
    return METRIC;
  }
}

/**
 * Tables of words and fields were made in what was known when the page was read: whoever is used to something else gets the page anew.
 * @returns whether the page goes
 */
export function takeMeasures(measures: Measures, reload: () => void = () => location.reload()): boolean {
  if (isEqual(measures, MEASURES)) return false;
  localStorage.setItem(KEPT, JSON.stringify(measures));
  // A browser that keeps nothing would be sent round for ever.
  if (!isEqual(keptMeasures(), measures)) return false;
  reload();
  return true;
}

/** How a field shows and takes a quantity: its unit, and the way from what is stored to what is shown and back. */
export interface FieldUnit {
  unit: string;
  shown(stored: number): number;
  stored(shown: number): number;
}

/** Stored in kilograms or metres. */
export const FIELD_UNITS: Readonly<Record<"mass" | "length", FieldUnit>> = {
  mass: { unit: MEASURES.mass, shown: (kg) => massIn(kg, MEASURES), stored: (value) => massOf(value, MEASURES) },
  length: { unit: MEASURES.length, shown: (metres) => lengthIn(metres, MEASURES), stored: (value) => lengthOf(value, MEASURES) },
};

/** @param kg kilograms @param digits most digits after the mark */
export function massText(kg: number, digits?: number): string {
  return massOn(kg, MEASURES, digits);
}

/** @param digits most digits after the mark */
export function lengthText(metres: number, digits?: number): string {
  return lengthOn(metres, MEASURES, digits);
}

/** @param digits most digits after the mark */
export function numberText(value: number, digits: number): string {
  return numberOn(value, digits, MEASURES);
}

/** @param digits digits after the mark, filled up with noughts: figures of a column, or one that changes in its place */
export function fixedText(value: number, digits: number): string {
  return fixedOn(value, digits, MEASURES);
}

export function torqueText(torqueNm: number): string {
  return torqueOn(torqueNm, MEASURES);
}

/** `45 s`, `2 min 30 s` */
export function spanText(sec: number): string {
  return spanOn(sec, MEASURES);
}

/** The screens are in English. */
const SCREEN_LOCALE = "en-GB";

/** Things one after the other, in words: `a, b and c`; with `or`, `a, b or c`. */
export function listText(parts: readonly string[], type: "and" | "or" = "and"): string {
  return new Intl.ListFormat(SCREEN_LOCALE, { type: type === "or" ? "disjunction" : "conjunction" }).format(parts);
}
