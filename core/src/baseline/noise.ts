/** From when on a difference counts: the usual rules, or what a practice found by measuring people twice. */
import * as v from "valibot";
import { documentFormat } from "../document";
import { IsoDate } from "../units";
import { MOTIONS } from "./motions";
import { ANGLE_NOISE_DEG, FUNCTION_CHANGE, GRIP_CHANGE, ROUND_CHANGE_DEG, SIDES_DIFFER_DEG, WITHOUT_STRENGTH_DEG } from "./thresholds";

export const MEASURES = [...MOTIONS, "grip", "function"] as const;
export type Measure = (typeof MEASURES)[number];

const notNegative = v.pipe(v.number(), v.finite(), v.minValue(0));

/** Fewer people measured twice say too little. Practice rule. */
export const LEAST_PEOPLE = 10;
/** On the same day it is the noise of one sitting; after four weeks hands may have changed. Practice rule. */
export const DAYS_BETWEEN = { least: 1, most: 28 } as const;

/** Whether two sittings say something of the noise between rounds. @param firstOn @param secondOn ISO dates */
export function isApart(firstOn: string, secondOn: string): boolean {
  const days = (Date.parse(secondOn) - Date.parse(firstOn)) / 86_400_000;
  return days >= DAYS_BETWEEN.least && days <= DAYS_BETWEEN.most;
}

/** What a repeat study found for one measure, in its unit: degrees, kg, points of 0–10. */
export const OwnNoise = v.strictObject({
  /** Measured twice. */
  people: v.pipe(v.number(), v.integer(), v.minValue(1)),
  /** Of one reading. */
  standardError: notNegative,
  /** Where the standard error lies with 95 % confidence. */
  low: notNegative,
  high: notNegative,
  /** The smallest change that counts. */
  countsFrom: notNegative,
  /** The same as a share of the value, 0–1: the larger of the two counts. 0 where noise does not grow with the value. */
  countsFromShare: notNegative,
  firstOn: IsoDate,
  lastOn: IsoDate,
});
export type OwnNoise = v.InferOutput<typeof OwnNoise>;

/** What a practice found of its own measuring; a measure that is not in it follows the usual rule. */
export const MeasuringNoise = v.strictObject(
  Object.fromEntries(MEASURES.map((measure) => [measure, v.optional(OwnNoise)])) as Record<
    Measure,
    v.OptionalSchema<typeof OwnNoise, undefined>
  >,
);
export type MeasuringNoise = v.InferOutput<typeof MeasuringNoise>;

/** As it is stored. */
export const NOISE_DOCUMENT = documentFormat<MeasuringNoise>({ name: "measuring noise", format: 1, steps: [], schema: MeasuringNoise });

export const USUAL_NOISE: MeasuringNoise = {};

/**
 * The smallest change between two rounds that counts.
 * @param from the value compared with, in the unit of the measure
 * @returns in the unit of the measure
 */
export function countsFrom(noise: MeasuringNoise, measure: Measure, from: number): number {
  const own = noise[measure];
  return own ? Math.max(own.countsFrom, own.countsFromShare * from) : usualCountsFrom(measure, from);
}

function usualCountsFrom(measure: Measure, from: number): number {
  if (measure === "grip") return Math.max(GRIP_CHANGE.kg, GRIP_CHANGE.share * from);
  return measure === "function" ? FUNCTION_CHANGE : ROUND_CHANGE_DEG;
}

/** Whether two values of a measure differ beyond noise. @param from the one compared with */
export function differs(noise: MeasuringNoise, measure: Measure, from: number, to: number): boolean {
  return Math.abs(to - from) >= countsFrom(noise, measure, from) - 1e-9;
}

/** How far one reading is from the truth with 95 % confidence. */
const OF_ONE_READING = 1.96;

/**
 * What stands out within one sitting. These rules are not of noise alone: hands differ by nature, and a joint may be a little short. So
 * the noise of a practice can only raise them; an exact practice does not call more people short.
 */
export function sittingRules(noise: MeasuringNoise, motion: (typeof MOTIONS)[number]) {
  const own = noise[motion];
  const atLeast = (usual: number, ownDeg = 0) => Math.max(usual, ownDeg);
  return {
    /** A range misses more than this of the reference to be short, degrees. */
    readingDeg: atLeast(ANGLE_NOISE_DEG, own && OF_ONE_READING * own.standardError),
    sidesDifferDeg: atLeast(SIDES_DIFFER_DEG, own?.countsFrom),
    withoutStrengthDeg: atLeast(WITHOUT_STRENGTH_DEG, own?.countsFrom),
  };
}

/** From when on a hand is weaker than the other lets expect, kg: like the rules of one sitting, only raised by the practice's own noise. */
export function weakGripFrom(noise: MeasuringNoise, expectedKg: number): number {
  return Math.max(usualCountsFrom("grip", expectedKg), countsFrom(noise, "grip", expectedKg));
}
