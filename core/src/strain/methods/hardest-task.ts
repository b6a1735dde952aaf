/** A shift by a method that judges tasks and makes no figure of several: the task it finds hardest speaks. */
import type { HandSide } from "../../units";
import { minutesByTask, type Task, type Work, type WorkDay } from "../task";
import { isReading, placeOnScale, type Reading, type ShiftReading, type Silence } from "./method";

export function hardestTask(
  ofTask: (task: Task, side: HandSide, hours: number) => Reading | Silence,
): (work: Work, day: WorkDay, side: HandSide) => ShiftReading | Silence {
  return (work, day, side) => {
    const all = [...minutesByTask(day)].flatMap(([taskId, minutes]) => {
      const task = work.tasks.find(({ id }) => id === taskId);
      return task ? [{ taskId, of: ofTask(task, side, minutes / 60) }] : [];
    });
    const found = all.flatMap(({ taskId, of }) => (isReading(of) ? [{ ...of, taskId }] : []));
    const [hardest] = found.sort((a, b) => placeOnScale(b) - placeOnScale(a));
    return hardest ?? all.map(({ of }) => of as Silence).find(({ silent }) => silent !== "noEfforts") ?? { silent: "noEfforts" };
  };
}
