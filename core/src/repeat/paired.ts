/** Before and after a run, over weeks: the paired differences of a quick test, and whether they tell anything. */
import { groupBy, meanBy } from "es-toolkit";
import type { MeasuringNoise } from "../baseline";
import { gainOf, noiseOfTest, type QuickResult, type QuickTest } from "../quicktest";
import { meanInterval } from "../statistics";

/** Fewer pairs, or of a crew fewer people, say nothing yet. Practice rule. */
export const LEAST_PAIRS = 5;

export interface PairedAnswer {
  /** Runs with both readings; of a crew the people who have enough of them. */
  pairs: number;
  /** How much better after than before on average, in the unit of the test, with its 95 % interval; null while there are too few. */
  gain: { mean: number; low: number; high: number } | null;
  verdict: "better" | "worse" | "same" | "tooFew";
  /** A single pair tells apart no less than this. */
  noise: number;
}

/** Of one person, one test. @param results in any order */
export function pairedAnswer(test: QuickTest, results: readonly QuickResult[], noise: MeasuringNoise): PairedAnswer {
  const gains = results.flatMap((result) => gainOf(result) ?? []);
  const befores = results.flatMap(({ before }) => before ?? []);
  return answerOf(gains, noiseOfTest(noise, test, befores.length === 0 ? 0 : meanBy(befores, (each) => each)));
}

/** Of a crew: each person who has enough pairs is one value, however often they were there. */
export function crewAnswer(test: QuickTest, results: readonly (QuickResult & { personId: string })[], noise: MeasuringNoise): PairedAnswer {
  const people = Object.values(groupBy(results, ({ personId }) => personId)).flatMap((own) => {
    const { gain } = pairedAnswer(test, own, noise);
    return gain ? [gain.mean] : [];
  });
  return answerOf(people, pairedAnswer(test, results, noise).noise);
}

function answerOf(gains: readonly number[], noise: number): PairedAnswer {
  if (gains.length < LEAST_PAIRS) return { pairs: gains.length, gain: null, verdict: "tooFew", noise };
  const gain = meanInterval(gains);
  return { pairs: gains.length, gain, verdict: gain.low > 0 ? "better" : gain.high < 0 ? "worse" : "same", noise };
}
