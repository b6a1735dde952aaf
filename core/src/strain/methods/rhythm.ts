/** What a hand does in a second, all its efforts taken together. */
import type { HandSide } from "../../units";
import { effortsOf, type Task } from "../task";

export interface TaskRhythm {
  /** Share of the time the hand works, 0 to 1. */
  duty: number;
  effortsPerSec: number;
  /** The hardest effort, over 0 to 10. */
  peakForce: number;
}

/** @returns null for a hand that does nothing in the task */
export function taskRhythm(task: Task, side: HandSide): TaskRhythm | null {
  const efforts = effortsOf(task, side);
  if (efforts.length === 0) return null;
  return {
    duty: Math.min(1, efforts.reduce((sum, { perMin, secEach }) => sum + perMin * secEach, 0) / 60),
    effortsPerSec: efforts.reduce((sum, { perMin }) => sum + perMin, 0) / 60,
    peakForce: Math.max(...efforts.map(({ effort }) => effort)),
  };
}
