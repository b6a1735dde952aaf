/** Two rounds of a crew compared, person by person and measure by measure: the spread before and after, not only the middle. */
import { median } from "es-toolkit";
import { HAND_SIDES, type HandSide } from "../units";
import { changesBetween, type Change } from "./changes";
import { MEASURES, type MeasuringNoise } from "./noise";
import type { BaselineRecord } from "./record";

/** Somebody with a record in both rounds. */
export interface Pair {
  personId: string;
  before: BaselineRecord;
  after: BaselineRecord;
}

export interface CrewChange {
  measure: Change["measure"];
  side: HandSide;
  /** Each person measured both times, by the value before, lowest first. */
  people: { personId: string; before: number; after: number; verdict: Change["verdict"] }[];
  /** What counts for whoever it takes most, in the unit of the measure. */
  countsFrom: number;
  medianBefore: number;
  medianAfter: number;
  better: number;
  worse: number;
  /** Changed less than counts. */
  noise: number;
}

/** Measures somebody has in both records, in the order of a round; who has one in only one of them is not in it. */
export function crewChanges(pairs: readonly Pair[], noise: MeasuringNoise): CrewChange[] {
  const byMeasure = new Map<string, Omit<CrewChange, "medianBefore" | "medianAfter">>();
  for (const { personId, before, after } of pairs)
    for (const { measure, side, verdict, countsFrom, ...values } of changesBetween(before, after, noise)) {
      const key = `${measure} ${side}`;
      const one = byMeasure.get(key) ?? { measure, side, people: [], countsFrom, better: 0, worse: 0, noise: 0 };
      one.people.push({ personId, before: values.before, after: values.after, verdict });
      one.countsFrom = Math.max(one.countsFrom, countsFrom);
      one[verdict] += 1;
      byMeasure.set(key, one);
    }
  return MEASURES.flatMap((measure) => HAND_SIDES.flatMap((side) => byMeasure.get(`${measure} ${side}`) ?? [])).map((one) => {
    const people = [...one.people].sort((a, b) => a.before - b.before);
    return {
      ...one,
      people,
      medianBefore: median(people.map(({ before }) => before)),
      medianAfter: median(people.map(({ after }) => after)),
    };
  });
}
