/** The figures of a task, from everything that was seen of it. */
import type { Effort, Observed, Task, Work } from "../strain";
import { HAND_SIDES, type HandSide } from "../units";
import { t95, type Measured } from "./error";
import { seenBy, type Observation, type SeenHand } from "./observation";
import { equalPosture } from "./posture";

export interface Pooled {
  side: HandSide;
  observations: number;
  efforts: number;
  seconds: number;
  perMin: Measured;
  secEach: Measured;
  duty: Measured;
}

type Weighed = Measured & { weight: number };

/**
 * Several observations of one hand at one effort, as one: longer ones weigh more. Where people differ more from each other than each
 * observation errs, the error is that of the people.
 * @returns null where none of them has enough to say an error of
 */
export function pooled(side: HandSide, seen: readonly SeenHand[]): Pooled | null {
  const rhythms = seen.flatMap(({ rhythm }) => (rhythm ? [rhythm] : []));
  if (rhythms.length === 0) return null;
  const by = (weight: (at: (typeof rhythms)[number]) => number, pick: "perMin" | "secEach" | "duty") =>
    mean(rhythms.map((rhythm) => ({ ...rhythm[pick], weight: weight(rhythm) })));
  return {
    side,
    observations: rhythms.length,
    efforts: rhythms.reduce((sum, { efforts }) => sum + efforts, 0),
    seconds: rhythms.reduce((sum, { seconds }) => sum + seconds, 0),
    perMin: by(({ seconds }) => seconds, "perMin"),
    secEach: by(({ efforts }) => efforts, "secEach"),
    duty: by(({ seconds }) => seconds, "duty"),
  };
}

function mean(list: readonly Weighed[]): Measured {
  const total = list.reduce((sum, { weight }) => sum + weight, 0);
  const value = list.reduce((sum, each) => sum + each.value * each.weight, 0) / total;
  const within = Math.sqrt(list.reduce((sum, each) => sum + (each.error * each.weight) ** 2, 0)) / total;
  if (list.length < 2) return { value, error: within };
  const variance =
    list.reduce((sum, each) => sum + (each.weight / total) * (each.value - value) ** 2, 0) * (list.length / (list.length - 1));
  return { value, error: Math.max(within, t95(list.length - 1) * Math.sqrt(variance / list.length)) };
}

/** What is kept of an effort: the hand that works more of the time speaks for both. */
function seenOfEffort(observations: readonly Observation[], effort: Effort): { pooled: Pooled; postures: number[] } | null {
  const seen = observations.flatMap(seenBy).filter(({ effortId }) => effortId === effort.id);
  const hands = HAND_SIDES.flatMap(
    (side) =>
      pooled(
        side,
        seen.filter((each) => each.side === side),
      ) ?? [],
  );
  const [harder] = hands.sort((a, b) => b.duty.value - a.duty.value);
  return harder ? { pooled: harder, postures: seen.filter(({ side }) => side === harder.side).flatMap(({ postures }) => postures) } : null;
}

const rounded = (value: number, least: number, most: number) => Math.min(most, Math.max(least, Math.round(value * 100) / 100));

/**
 * The task with the figures of what was observed of it; what was not observed, or no longer, has the figures that were said.
 * @param dateOf the calendar date of a moment where the crew works
 */
export function observedTask(task: Task, observations: readonly Observation[], dateOf: (instant: string) => string): Task {
  const ofTask = observations.filter(({ taskId }) => taskId === task.id);
  return {
    ...task,
    efforts: task.efforts.map((effort) => {
      const { observed, ...rest } = effort;
      const plain = observed ? { ...rest, ...observed.said } : rest;
      const seen = seenOfEffort(ofTask, effort);
      if (!seen) return plain;
      const { perMin, secEach, efforts } = seen.pooled;
      const rate = rounded(perMin.value, 0.1, 200);
      const origin: Observed = {
        on: dateOf(
          ofTask
            .filter(({ hands }) => hands.some(({ effortId }) => effortId === effort.id))
            .map(({ startedAt }) => startedAt)
            .sort()
            .at(-1)!,
        ),
        observations: seen.pooled.observations,
        efforts,
        perMinError: perMin.error / perMin.value,
        secEachError: secEach.error / secEach.value,
        said: { perMin: plain.perMin, secEach: plain.secEach, flexionDeg: plain.flexionDeg },
      };
      return {
        ...plain,
        perMin: rate,
        // Rounding makes no minute longer.
        secEach: rounded(Math.min(secEach.value, Math.floor(6000 / rate) / 100), 0.1, 600),
        flexionDeg: equalPosture(seen.postures) ?? plain.flexionDeg,
        observed: origin,
      };
    }),
  };
}

export function withObserved(work: Work, taskId: string, observations: readonly Observation[], dateOf: (instant: string) => string): Work {
  return { ...work, tasks: work.tasks.map((task) => (task.id === taskId ? observedTask(task, observations, dateOf) : task)) };
}
