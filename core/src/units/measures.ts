/**
 * How quantities, times and dates are written and typed: units, the mark in numbers, the clock, the order of a date, the first day of a
 * week. Kept and computed in SI units (kilograms, metres) and ISO dates throughout; only what is read and typed is turned.
 */
import * as v from "valibot";

/** One of each in SI: kilograms and metres, exact by definition (international yard and pound agreement, 1959). */
const IN_SI = {
  mass: { kg: 1, g: 0.001, lb: 0.45359237, oz: 0.028349523125 },
  length: { m: 1, cm: 0.01, mm: 0.001, in: 0.0254, ft: 0.3048 },
} as const;

type Kind = keyof typeof IN_SI;
export const MASS_UNITS = ["kg", "lb"] as const;
export type MassUnit = (typeof MASS_UNITS)[number];
export const LENGTH_UNITS = ["cm", "in"] as const;
export type LengthUnit = (typeof LENGTH_UNITS)[number];

/** What a practice or somebody in it is used to. */
export const Measures = v.strictObject({
  mass: v.picklist(MASS_UNITS),
  length: v.picklist(LENGTH_UNITS),
  /** The mark before the parts of a number: 1.4 or 1,4. */
  decimal: v.picklist(["point", "comma"]),
  /** Hours of a clock: 14:30 or 2:30 pm. */
  clock: v.picklist(["24h", "12h"]),
  /** 5 March, March 5; with the year: 5 March 2026, March 5 2026, 2026 March 5. */
  dateOrder: v.picklist(["dayMonth", "monthDay", "yearMonthDay"]),
  weekStart: v.picklist(["monday", "sunday", "saturday"]),
});
export type Measures = v.InferOutput<typeof Measures>;

export const METRIC: Measures = {
  mass: "kg",
  length: "cm",
  decimal: "point",
  clock: "24h",
  dateOrder: "dayMonth",
  weekStart: "monday",
};

/** Locales that write numbers with either mark and group nothing here. */
const LOCALE_OF_MARK = { point: "en-GB", comma: "de-DE" } as const;

/** Other ways to write a unit than its symbol. */
const SPELLED: Readonly<Record<string, string>> = {
  kgs: "kg",
  kilo: "kg",
  kilos: "kg",
  lbs: "lb",
  pound: "lb",
  pounds: "lb",
  "#": "lb",
  inch: "in",
  inches: "in",
  '"': "in",
  "″": "in",
  "'": "ft",
  "′": "ft",
  feet: "ft",
};

/** @param digits most digits after the mark; nothing is filled up with noughts */
export function numberText(value: number, digits: number, { decimal }: Pick<Measures, "decimal"> = METRIC): string {
  return new Intl.NumberFormat(LOCALE_OF_MARK[decimal], { maximumFractionDigits: digits, useGrouping: false }).format(value);
}

/** @param digits digits after the mark, filled up with noughts */
export function fixedText(value: number, digits: number, { decimal }: Pick<Measures, "decimal"> = METRIC): string {
  return new Intl.NumberFormat(LOCALE_OF_MARK[decimal], {
    minimumFractionDigits: digits,
    maximumFractionDigits: digits,
    useGrouping: false,
  }).format(value);
}

/** A mass as it is read: `1.5 kg`, `3.3 lb`. @param kg kilograms */
export function massText(kg: number, measures: Measures = METRIC, digits = measures.mass === "kg" ? 2 : 1): string {
  return `${numberText(massIn(kg, measures), digits, measures)} ${measures.mass}`;
}

/** A length as it is read: `12.5 cm`, `4.9 in`. @param metres */
export function lengthText(metres: number, measures: Measures = METRIC, digits = 1): string {
  return `${numberText(lengthIn(metres, measures), digits, measures)} ${measures.length}`;
}

/** Kilograms in the unit of choice. */
export function massIn(kg: number, { mass }: Pick<Measures, "mass">): number {
  return kg / IN_SI.mass[mass];
}
/** Metres in the unit of choice. */
export function lengthIn(metres: number, { length }: Pick<Measures, "length">): number {
  return metres / IN_SI.length[length];
}
/** A mass of the unit of choice in kilograms, to the gram: finer than any scale, so that an edit does not drift. */
export function massOf(value: number, { mass }: Pick<Measures, "mass">): number {
  return Math.round(value * IN_SI.mass[mass] * 1000) / 1000;
}
/** A length of the unit of choice in metres, to a tenth of a millimetre. */
export function lengthOf(value: number, { length }: Pick<Measures, "length">): number {
  return Math.round(value * IN_SI.length[length] * 10_000) / 10_000;
}

/**
 * What a person types for an amount, in the unit of the field: `3`, `1,4`, `1.4 kg`, `3 lb` in a field of kilograms.
 * @param unit of the field; an amount in another unit of the same kind is turned into it
 * @returns undefined for what is no amount, or one of another kind
 */
export function readAmount(typed: string, unit?: string): number | undefined {
  const match = /^([-+−]?)\s*(\d+(?:[.,]\d*)?|[.,]\d+)\s*(.*)$/.exec(typed.trim());
  if (!match) return undefined;
  const value = Number(`${match[1] === "−" ? "-" : match[1]}${match[2]!.replace(",", ".")}`);
  const written = match[3]!.toLowerCase().replace(/\.$/, "");
  const given = SPELLED[written] ?? written;
  if (given === "" || given === unit) return value;
  for (const kind of Object.keys(IN_SI) as Kind[]) {
    const units: Readonly<Record<string, number>> = IN_SI[kind];
    if (unit !== undefined && unit in units && given in units) return (value * units[given]!) / units[unit]!;
  }
  return undefined;
}
