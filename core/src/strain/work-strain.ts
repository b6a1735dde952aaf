/** The strain of a task and of a whole shift, per hand, with what made it up. */
import { HAND_SIDES, type HandSide } from "../units";
import { compositeStrain, cumulativeStrain, MOST_HOURS, type Combined } from "./combined";
import { strainIndex, type StrainIndex } from "./strain-index";
import { effortsOf, minutesByTask, type Effort, type Task, type Work, type WorkDay } from "./task";

export interface EffortStrain {
  effort: Effort;
  index: number;
  perMin: number;
  strain: StrainIndex;
}

export interface TaskStrain {
  task: Task;
  hours: number;
  /** Composite over the efforts of this hand; with one effort, its own index. */
  index: number;
  composite: Combined<EffortStrain>;
}

/** @param hours hours of the task in a shift; more than a day has count as a day. Efforts that would overlap give a figure all the same: `workProblems` names them. */
export function taskStrain(task: Task, side: HandSide, asked: number): TaskStrain {
  const hours = Math.min(MOST_HOURS, asked);
  const efforts = effortsOf(task, side).map((effort): EffortStrain => {
    const strain = strainIndex({ ...effort, hours });
    return { effort, index: strain.value, perMin: effort.perMin, strain };
  });
  const composite = compositeStrain(efforts);
  return { task, hours, index: composite.value, composite };
}

/** The cumulative index of one hand over a day's parts. A task done twice counts its hours together. */
export function shiftStrain(work: Work, day: WorkDay, side: HandSide): Combined<TaskStrain> {
  const tasks = [...minutesByTask(day)].flatMap(([taskId, minutes]) => {
    const task = work.tasks.find((each) => each.id === taskId);
    return task && effortsOf(task, side).length > 0 ? [taskStrain(task, side, minutes / 60)] : [];
  });
  return cumulativeStrain(tasks);
}

/** The harder hand's cumulative index, as a verdict is taken by it. */
export function harderHand(work: Work, day: WorkDay): { side: HandSide; value: number } {
  const [left, right] = HAND_SIDES.map((side) => ({ side, value: shiftStrain(work, day, side).decisive }));
  return left!.value > right!.value ? left! : right!;
}

/** The way of a shift that is hardest on a hand: whoever is looked at first. */
export function hardestWay(work: Work): WorkDay | undefined {
  const strain = new Map(work.days.map((day) => [day.id, harderHand(work, day).value]));
  return [...work.days].sort((a, b) => strain.get(b.id)! - strain.get(a.id)!)[0];
}
