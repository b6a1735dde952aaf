/**
 * The units and the marks in numbers of whoever looks at the screen. Like the language, they are known before the first screen is
 * drawn; what is stored stays in kilograms and metres.
 */
import {
  lengthIn,
  lengthOf,
  lengthText as lengthOn,
  massIn,
  massOf,
  massText as massOn,
  METRIC,
  numberText as numberOn,
  type Measures,
} from "@kind-grip/core/units";

const chosen: Measures = METRIC;

/** How a field shows and takes a quantity: its unit, and the way from what is stored to what is shown and back. */
export interface FieldUnit {
  unit: string;
  shown(stored: number): number;
  stored(shown: number): number;
}

/** Stored in kilograms or metres. */
export const FIELD_UNITS: Readonly<Record<"mass" | "length", FieldUnit>> = {
  mass: { unit: chosen.mass, shown: (kg) => massIn(kg, chosen), stored: (value) => massOf(value, chosen) },
  length: { unit: chosen.length, shown: (metres) => lengthIn(metres, chosen), stored: (value) => lengthOf(value, chosen) },
};

/** @param kg kilograms @param digits most digits after the mark */
export function massText(kg: number, digits?: number): string {
  return massOn(kg, chosen, digits);
}

/** @param digits most digits after the mark */
export function lengthText(metres: number, digits?: number): string {
  return lengthOn(metres, chosen, digits);
}

/** @param digits most digits after the mark */
export function numberText(value: number, digits: number): string {
  return numberOn(value, digits, chosen);
}

/** Things one after the other, in words: `a, b and c`; with `or`, `a, b or c`. */
export function listText(parts: readonly string[], type: "and" | "or" = "and"): string {
  return new Intl.ListFormat(chosen.locale, { type: type === "or" ? "disjunction" : "conjunction" }).format(parts);
}
