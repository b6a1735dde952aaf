/** Which single change to a task lowers its strain most. */
import type { HandSide } from "../units";
import { FACTORS, type Factor } from "./strain-index";
import { effortsOf, type Effort, type Task } from "./task";
import { taskStrain } from "./work-strain";

export interface Change {
  factor: Factor;
  /** The effort changed; null for a change of hours, which is the task's. */
  effortId: string | null;
  from: number;
  to: number;
  before: number;
  after: number;
}

/**
 * One workable step of each factor, so that the factors can be compared: effort a point lower, a quarter fewer or shorter
 * efforts, the wrist straight, a quarter fewer hours. What takes next to no force already has no force to take away. Steps of this practice, not of the source.
 */
export const STEP = { effortPoints: 1, share: 0.25, leastEffort: 1 } as const;

/** A task as it would be after one change. */
export interface Changed {
  factor: Factor;
  effortId: string | null;
  from: number;
  to: number;
  task: Task;
  hours: number;
}

/** Every workable single change of what one hand does, in the order of the efforts and factors. */
export function workableChanges(task: Task, side: HandSide, hours: number): Changed[] {
  const fewer = hours * (1 - STEP.share);
  return [
    ...effortsOf(task, side).flatMap((effort) =>
      FACTORS.filter((factor) => factor !== "hours").flatMap((factor): Changed[] => {
        const { from, to, changed } = eased(effort, factor);
        const efforts = task.efforts.map((each) => (each.id === effort.id ? changed : each));
        return from === to ? [] : [{ factor, effortId: effort.id, from, to, task: { ...task, efforts }, hours }];
      }),
    ),
    { factor: "hours", effortId: null, from: hours, to: fewer, task, hours: fewer },
  ];
}

/** Every single change, the one that helps most first; changes that change nothing are left out. */
export function singleChanges(task: Task, side: HandSide, hours: number): Change[] {
  const before = taskStrain(task, side, hours).index;
  return workableChanges(task, side, hours)
    .map(({ factor, effortId, from, to, ...after }) => {
      return { factor, effortId, from, to, before, after: taskStrain(after.task, side, after.hours).index };
    })
    .filter(({ after }) => after < before - 1e-9)
    .sort((a, b) => a.after - b.after);
}

function eased(effort: Effort, factor: Exclude<Factor, "hours">): { from: number; to: number; changed: Effort } {
  switch (factor) {
    case "effort": {
      const to = Math.min(effort.effort, Math.max(STEP.leastEffort, effort.effort - STEP.effortPoints));
      return { from: effort.effort, to, changed: { ...effort, effort: to } };
    }
    case "rate": {
      const to = effort.perMin * (1 - STEP.share);
      return { from: effort.perMin, to, changed: { ...effort, perMin: to } };
    }
    case "duration": {
      const to = effort.secEach * (1 - STEP.share);
      return { from: effort.secEach, to, changed: { ...effort, secEach: to } };
    }
    case "posture":
      return { from: effort.flexionDeg, to: 0, changed: { ...effort, flexionDeg: 0 } };
  }
}
