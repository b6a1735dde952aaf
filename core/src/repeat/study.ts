/**
 * What a practice's measuring does when nothing changes: the same people measured twice, some days apart.
 *
 * Standard error of a reading from pairs, √(Σ d² / 2n), and the smallest change that counts, 2.77 times it: Bland JM, Altman DG.
 * Statistics notes: Measurement error. BMJ 1996; 313: 744. That everybody reads higher the second time is part of it, not taken out.
 */
import { groupBy, maxBy, meanBy, minBy, uniqBy } from "es-toolkit";
import {
  gripOf,
  isApart,
  LEAST_PEOPLE,
  MEASURES,
  MOTIONS,
  type BaselineRecord,
  type Measure,
  type MeasuringNoise,
  type OwnNoise,
} from "../baseline";
import { meanInterval, spreadInterval } from "../statistics";
import { HAND_SIDES, type HandSide } from "../units";

/** Two differences of 1.96 standard errors of a reading: √2 · 1.96. */
const OF_A_DIFFERENCE = 1.96 * Math.SQRT2;

/** What a reading is written in, in the unit of its measure: no change smaller than a step counts. */
const STEP: Readonly<Record<Measure, number>> = {
  ...(Object.fromEntries(MOTIONS.map((motion) => [motion, 1])) as Record<(typeof MOTIONS)[number], number>),
  grip: 0.1,
  function: 1,
};

/** One person in both sittings. */
export interface Twice {
  personId: string;
  first: BaselineRecord;
  second: BaselineRecord;
  /** Days of the sittings, ISO. */
  firstOn: string;
  secondOn: string;
}

export interface RepeatedValue {
  personId: string;
  side: HandSide;
  first: number;
  second: number;
}

export interface StudiedMeasure {
  measure: Measure;
  people: number;
  values: RepeatedValue[];
  /** How much higher the second sitting read on average, in the unit of the measure, and whether that is more than chance (95 %). */
  shift: number;
  isShifted: boolean;
  /** Undefined while fewer than ten people are measured twice. */
  own?: OwnNoise;
}

/** Every measure somebody has in both sittings, in the order of a round. Sittings that are not apart enough, or too much, are left out. */
export function repeatStudy(pairs: readonly Twice[]): StudiedMeasure[] {
  const apart = pairs.filter(({ firstOn, secondOn }) => isApart(firstOn, secondOn));
  return MEASURES.flatMap((measure) => {
    const found = apart.flatMap((pair) => valuesOf(measure, pair).map((value) => ({ ...value, pair })));
    if (found.length === 0) return [];
    const values = found.map(({ pair: _, ...value }) => value);
    const people = uniqBy(values, ({ personId }) => personId).length;
    const { shift, isShifted } = shiftOf(values);
    const own =
      people < LEAST_PEOPLE
        ? {}
        : {
            own: {
              ...noiseOf(measure, values, people),
              firstOn: minBy(found, ({ pair }) => Date.parse(pair.firstOn))!.pair.firstOn,
              lastOn: maxBy(found, ({ pair }) => Date.parse(pair.secondOn))!.pair.secondOn,
            },
          };
    return [{ measure, people, values, shift, isShifted, ...own }];
  });
}

/** What the practice may use from now on. */
export function noiseFound(study: readonly StudiedMeasure[]): MeasuringNoise {
  return Object.fromEntries(study.flatMap(({ measure, own }) => (own ? [[measure, own]] : [])));
}

function valuesOf(measure: Measure, { personId, first, second }: Twice): RepeatedValue[] {
  if (measure === "function" && first.functionTest.test !== second.functionTest.test) return [];
  return HAND_SIDES.flatMap((side) => {
    const [a, b] = [valueOf(measure, side, first), valueOf(measure, side, second)];
    return a === null || b === null ? [] : [{ personId, side, first: a, second: b }];
  });
}

function valueOf(measure: Measure, side: HandSide, record: BaselineRecord): number | null {
  if (measure === "grip") return gripOf(record.grip[side].map(({ kg }) => kg))?.meanKg ?? null;
  return measure === "function" ? record.functionTest[side] : record.range[measure][side].active;
}

function noiseOf(measure: Measure, values: readonly RepeatedValue[], people: number): Omit<OwnNoise, "firstOn" | "lastOn"> {
  const ofPairs = (difference: (value: RepeatedValue) => number) =>
    Math.sqrt(values.reduce((sum, value) => sum + difference(value) ** 2, 0) / (2 * values.length));
  const standardError = ofPairs(({ first, second }) => second - first);
  // The two hands of a person are not two people: the error of the error goes by people.
  const { low, high } = spreadInterval(standardError, people);
  const upTo = (change: number) => Math.max(STEP[measure], Math.ceil(change / STEP[measure] - 1e-9) * STEP[measure]);
  const shareOfValue =
    measure === "grip" ? ofPairs(({ first, second }) => (first + second === 0 ? 0 : ((second - first) / (first + second)) * 2)) : 0;
  return {
    people,
    standardError,
    low,
    high,
    countsFrom: upTo(OF_A_DIFFERENCE * standardError),
    countsFromShare: OF_A_DIFFERENCE * shareOfValue,
  };
}

/** A person's hands are averaged first. */
function shiftOf(values: readonly RepeatedValue[]): { shift: number; isShifted: boolean } {
  const ofPeople = Object.values(groupBy(values, ({ personId }) => personId)).map((own) =>
    meanBy(own, ({ first, second }) => second - first),
  );
  if (ofPeople.length < 2) return { shift: ofPeople[0]!, isShifted: false };
  const { mean, low, high } = meanInterval(ofPeople);
  return { shift: mean, isShifted: low > 0 || high < 0 };
}
