/**
 * What was counted, with its error. Efforts come in bursts, and a Poisson error would be too small: the time is cut into equal stretches, and
 * the spread from stretch to stretch says how far the mean may be off (batch means: Law, Kelton. Operations Research 1984; 32(1): 169–184).
 * Stretches that are too short hide that neighbours are alike, those that are too long are too few; several lengths are tried and the
 * largest error is taken.
 */
import type { Press } from "./efforts";

/** A figure and how far the true one may be from it, either way, in 19 of 20 observations. */
export interface Measured {
  value: number;
  error: number;
}

export interface Rhythm {
  efforts: number;
  seconds: number;
  perMin: Measured;
  secEach: Measured;
  /** Standard deviation of the seconds of an effort. */
  secSpread: number;
  /** Share of the time the hand works, 0 to 1. */
  duty: Measured;
}

/** Lengths of stretch that are tried, seconds. */
const STRETCHES_SEC = [4, 8, 15, 30, 60, 120] as const;
/** Fewer stretches say too little about their spread. */
const LEAST_STRETCHES = 6;
/** In stretches with fewer efforts, one that falls on either side of a cut looks like a change of rhythm. */
const LEAST_IN_STRETCH = 4;

/**
 * Two-sided 95 % of Student's t by degrees of freedom; between them, and beyond 120, the one before, which is larger.
 * Standard table.
 */
const T95: readonly (readonly [number, number])[] = [
  [1, 12.706],
  [2, 4.303],
  [3, 3.182],
  [4, 2.776],
  [5, 2.571],
  [6, 2.447],
  [7, 2.365],
  [8, 2.306],
  [9, 2.262],
  [10, 2.228],
  [12, 2.179],
  [15, 2.131],
  [20, 2.086],
  [30, 2.042],
  [60, 2.0],
  [120, 1.98],
];

/** @param freedom degrees of freedom, 1 or more */
export function t95(freedom: number): number {
  let at: number = T95[0]![1];
  for (const [from, value] of T95) if (freedom >= from) at = value;
  return at;
}

/**
 * @param efforts of one hand, in the order of their start, ms
 * @param lengthMs how long was observed
 * @returns null while there is too little to say an error of: fewer than two efforts, or less than six of the shortest stretches
 */
export function rhythmOf(efforts: readonly Press[], lengthMs: number): Rhythm | null {
  const count = efforts.length;
  if (count < 2 || lengthMs < LEAST_STRETCHES * STRETCHES_SEC[0] * 1000) return null;
  const lengths = efforts.map(({ startMs, endMs }) => (endMs - startMs) / 1000);
  const busySec = lengths.reduce((sum, sec) => sum + sec, 0);
  const seconds = lengthMs / 1000;
  const secEach = busySec / count;
  const errors = { perMin: [] as number[], secEach: [] as number[], duty: [] as number[] };
  const tried = STRETCHES_SEC.map((sec) => Math.floor(seconds / sec)).filter((stretches) => stretches >= LEAST_STRETCHES);
  const full = tried.filter((stretches) => count / stretches >= LEAST_IN_STRETCH);
  for (const stretches of full.length > 0 ? full : tried.slice(-1)) {
    const each = perStretch(efforts, lengthMs / stretches, stretches);
    const factor = t95(stretches - 1);
    const wide = lengthMs / stretches / 1000;
    errors.perMin.push(factor * standardError(each.counts) * (60 / wide));
    errors.duty.push((factor * standardError(each.busySec)) / wide);
    // A ratio of two sums: how far each stretch is from it, against the mean count.
    const off = each.ofStarted.map((sec, i) => sec - secEach * each.counts[i]!);
    errors.secEach.push((factor * standardError(off)) / (count / stretches));
  }
  const spread = Math.sqrt(lengths.reduce((sum, sec) => sum + (sec - secEach) ** 2, 0) / (count - 1));
  // The rate is known to one effort more or less at either end, and no mean better than by as many independent efforts.
  return {
    efforts: count,
    seconds,
    perMin: {
      value: (count / seconds) * 60,
      error: Math.max(largest(errors.perMin), 60 / seconds, byPauses(efforts, lengthMs, () => 1) * 60),
    },
    secEach: { value: secEach, error: Math.max(largest(errors.secEach), (t95(count - 1) * spread) / Math.sqrt(count)) },
    secSpread: spread,
    duty: {
      value: Math.min(1, busySec / seconds),
      error: Math.max(
        largest(errors.duty),
        byPauses(efforts, lengthMs, ({ startMs, endMs }) => (endMs - startMs) / 1000),
      ),
    },
  };
}

/** An error that still grows from one length of stretch to the next would grow on: it is carried on by as much again. */
function largest(errors: readonly number[]): number {
  const [before, last] = [errors.at(-2), errors.at(-1)!];
  const grows = before === undefined || before === 0 ? 1 : Math.max(1, last / before);
  return Math.max(...errors, last * grows);
}

/** A gap is a pause from so long on, and from so many of the usual gaps. */
const PAUSE = { sec: 2, usual: 3 } as const;
/** Pauses that take less than this share of the time are part of the rhythm. */
const PAUSES_MATTER = 0.02;
const LEAST_PAUSES = 5;

/**
 * The same by work and pauses instead of stretches of time: from the end of one pause to the end of the next is one round, and the rounds
 * say how alike they are. Whoever saw few pauses cannot know how often they come.
 * @param amount what of each effort is counted
 * @returns its error a second; 0 without pauses, all of it while there were too few
 */
function byPauses(efforts: readonly Press[], lengthMs: number, amount: (effort: Press) => number): number {
  const gaps = efforts.slice(1).map(({ startMs }, i) => startMs - efforts[i]!.endMs);
  const usual = [...gaps].sort((a, b) => a - b)[Math.floor(gaps.length / 2)] ?? 0;
  const least = Math.max(PAUSE.sec * 1000, PAUSE.usual * usual);
  const after = gaps.flatMap((gap, i) => (gap >= least ? [i + 1] : []));
  const paused = after.reduce((sum, i) => sum + gaps[i - 1]!, 0);
  if (paused < PAUSES_MATTER * lengthMs) return 0;
  const total = efforts.reduce((sum, effort) => sum + amount(effort), 0);
  const rounds = after.slice(1).map((end, i) => ({
    sum: efforts.slice(after[i], end).reduce((sum, effort) => sum + amount(effort), 0),
    sec: (efforts[end]!.startMs - efforts[after[i]!]!.startMs) / 1000,
  }));
  const mean = total / (lengthMs / 1000);
  if (rounds.length < LEAST_PAUSES) return mean;
  const off = rounds.map(({ sum, sec }) => sum - mean * sec);
  const sec = rounds.reduce((all, round) => all + round.sec, 0);
  return (t95(rounds.length - 1) * Math.sqrt((off.reduce((all, each) => all + each ** 2, 0) * rounds.length) / (rounds.length - 1))) / sec;
}

function perStretch(efforts: readonly Press[], wideMs: number, stretches: number) {
  const counts = Array.from({ length: stretches }, () => 0);
  const ofStarted = [...counts];
  const busySec = [...counts];
  for (const { startMs, endMs } of efforts) {
    const first = Math.min(stretches - 1, Math.floor(startMs / wideMs));
    counts[first]! += 1;
    ofStarted[first]! += (endMs - startMs) / 1000;
    for (let i = first; i < stretches && i * wideMs < endMs; i++)
      busySec[i]! += Math.max(0, Math.min(endMs, (i + 1) * wideMs) - Math.max(startMs, i * wideMs)) / 1000;
  }
  return { counts, ofStarted, busySec };
}

function standardError(values: readonly number[]): number {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  return Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (values.length - 1) / values.length);
}
