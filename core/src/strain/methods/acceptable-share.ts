/**
 * The largest acceptable share of one's strength at a duty cycle. Source: Potvin JR. Predicting maximum acceptable efforts for repetitive
 * tasks: an equation based on duty cycle. Human Factors 2012; 54(2): 175–188.
 */
import { effortsOf } from "../task";
import { hardestTask } from "./hardest-task";
import { reading, type Method } from "./method";

/** One effort of a second in an eight-hour day: at it the whole strength is acceptable. */
const LEAST_DUTY = 1 / 28_800;

/** 1 − (DC − 1/28800)^0.24. Example: 0.10 → 0.425. @param duty share of the time the hand works, 0 to 1; at least one second in eight hours is taken */
export function acceptableShare(duty: number): number {
  return 1 - (Math.min(1, Math.max(LEAST_DUTY, duty)) - LEAST_DUTY) ** 0.24;
}

/**
 * Efforts of several strengths: each is held against the time that is spent at it or harder, so that light work beside hard work neither
 * hides it nor is counted as hard. The worst of them decides. This combination is of this practice, not of the source.
 */
const ofTask: Method["ofTask"] = (task, side) => {
  const efforts = [...effortsOf(task, side)].sort((a, b) => b.effort - a.effort);
  if (efforts.length === 0) return { silent: "noEfforts" };
  const each = efforts.map(({ effort }) => {
    const duty = efforts.filter((other) => other.effort >= effort).reduce((sum, { perMin, secEach }) => sum + perMin * secEach, 0) / 60;
    const acceptable = acceptableShare(duty);
    return { duty: Math.min(1, duty), acceptable, share: effort / 10, over: effort / 10 / Math.max(1e-6, acceptable) };
  });
  const worst = each.reduce((most, one) => (one.over > most.over ? one : most));
  return reading(
    worst.share,
    [
      { name: "dutyPercent", value: worst.duty * 100 },
      { name: "share", value: worst.share * 100 },
      { name: "acceptable", value: worst.acceptable * 100 },
    ],
    Math.max(1e-6, worst.acceptable),
  );
};

export const acceptableShareMethod: Method = {
  id: "acceptableShare",
  source: "Potvin. Human Factors 2012; 54(2): 175–188",
  twoLimits: false,
  sees: ["everyForce", "dutyCycle"],
  ofTask,
  ofShift: hardestTask(ofTask),
};
