/** New tasks, efforts and days. */
import type { Effort, RotationAsked, Task, TaskStarter, Work, WorkDay } from "@kind-grip/core/strain";
import { v7 as uuid } from "uuid";
import { t } from "../base/words";

const EFFORT: Omit<Effort, "id"> = {
  name: t("the effort"),
  hands: "right",
  effort: 3,
  perMin: 8,
  secEach: 2,
  flexionDeg: 0,
  tiltDeg: 0,
  turn: "neutral",
  grip: "power",
};

export function newEffort(name = t("another effort")): Effort {
  return { id: uuid(), ...EFFORT, name };
}

export function taskFrom(starter: TaskStarter | undefined): Task {
  const task = starter ?? { name: t("New task"), tool: null, vibration: "none", cold: false, reach: false, efforts: [EFFORT] };
  return { ...task, id: uuid(), efforts: task.efforts.map((effort) => ({ ...effort, id: uuid() })) };
}

const FIRST_MIN = 120;

/** The work with a new task in it, and so many minutes of it (two hours when left out) in every day that has room. */
export function withTask(work: Work, task: Task, shiftMin: number, wantedMin = FIRST_MIN): Work {
  const days: WorkDay[] = work.days.length > 0 ? work.days : [{ id: uuid(), name: t("Usual shift"), parts: [], personIds: [] }];
  return {
    ...work,
    tasks: [...work.tasks, task],
    days: days.map((day) => {
      const left = shiftMin - day.parts.reduce((sum, { minutes }) => sum + minutes, 0);
      const minutes = Math.min(wantedMin, left);
      return minutes >= 5 ? { ...day, parts: [...day.parts, { taskId: task.id, minutes }] } : day;
    }),
  };
}

export function withoutTask(work: Work, taskId: string): Work {
  const without = <D extends Pick<WorkDay, "parts">>(day: D): D => ({ ...day, parts: day.parts.filter((part) => part.taskId !== taskId) });
  return {
    tasks: work.tasks.filter(({ id }) => id !== taskId),
    days: work.days.map(without),
    ...(work.rotation ? { rotation: withoutIn(work.rotation, taskId) } : {}),
    ...(work.treatments ? { treatments: work.treatments.map(without) } : {}),
  };
}

const withoutIn = (rotation: RotationAsked, gone: string): RotationAsked => ({
  ...rotation,
  needed: rotation.needed.filter(({ taskId }) => taskId !== gone),
  not: rotation.not
    .map(({ personId, taskIds }) => ({ personId, taskIds: taskIds.filter((id) => id !== gone) }))
    .filter(({ taskIds }) => taskIds.length > 0),
});
