/** Means of changes and ratios of rates with the interval each is known by. */
import jstat from "jstat";
import type { Estimate } from "../followup";
import { CONFIDENCE, meanInterval } from "../statistics";

/**
 * The mean of one value a person and its 95 % interval by Student's t: Student. The probable error of a mean. Biometrika 1908; 6(1):
 * 1–25. All three are rounded by one step, chosen so that no one person moves the mean or an end by more than it.
 * @param values one a person, in the unit of the measure @param steps what may be rounded to, finest first
 * @throws RangeError for fewer than three values: with one person less there would be no interval
 */
export function meanEstimate(values: readonly number[], steps: readonly number[]): Estimate {
  if (values.length < 3) throw new RangeError(`an interval needs three values, not ${values.length}`);
  const whole = ends(values);
  const moves = values.map((_, i) => {
    const without = ends(values.filter((__, at) => at !== i));
    return Math.max(...whole.map((end, at) => Math.abs(end - without[at]!)));
  });
  const step = steps.find((each) => each >= Math.max(...moves)) ?? steps.at(-1)!;
  const [low, mean, high] = whole.map((end) => Number((Math.round(end / step) * step).toPrecision(12)) + 0);
  return { people: values.length, mean: mean!, low: low!, high: high! };
}

function ends(values: readonly number[]): [low: number, mean: number, high: number] {
  const { low, mean, high } = meanInterval(values);
  return [low, mean, high];
}

/** Cases in so many days at work, of all people together. */
export interface Rate {
  cases: number;
  personDays: number;
}

export interface RateChange {
  /** Rate after ÷ rate before; null where there was no case before. */
  ratio: number | null;
  low: number;
  /** Null where it has no end: no case before. */
  high: number | null;
}

/**
 * How a rate of cases changed, with its exact 95 % interval: given how many there were in all, those after are a binomial share.
 * Przyborowski J, Wilenski H. Homogeneity of results in testing samples from Poisson series. Biometrika 1940; 31(3/4): 313–323; ends by
 * Clopper CJ, Pearson ES. Biometrika 1934; 26(4): 404–413.
 * @returns null where nothing can be said: no case at all, or nobody at work before or after
 */
export function rateChange(before: Rate, after: Rate): RateChange | null {
  const cases = before.cases + after.cases;
  if (cases === 0 || before.personDays <= 0 || after.personDays <= 0) return null;
  const tail = (1 - CONFIDENCE) / 2;
  const lowShare = after.cases === 0 ? 0 : jstat.beta.inv(tail, after.cases, before.cases + 1);
  const highShare = before.cases === 0 ? 1 : jstat.beta.inv(1 - tail, after.cases + 1, before.cases);
  const ratioOf = (share: number) => (share / (1 - share)) * (before.personDays / after.personDays);
  return {
    ratio: before.cases === 0 ? null : ratioOf(after.cases / cases),
    low: ratioOf(lowShare),
    high: highShare === 1 ? null : ratioOf(highShare),
  };
}
