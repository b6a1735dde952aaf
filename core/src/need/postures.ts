/** Postures of work: which an effort has, and how many minutes of a shift each hand spends in them. */
import type { WorkPosture } from "../library";
import { effortsOf, minutesByTask, type Effort, type Task, type Work, type WorkDay } from "../strain";
import type { HandSide } from "../units";
import { POSTURE_FROM_DEG } from "./shares";

export function posturesOf(task: Pick<Task, "reach">, effort: Pick<Effort, "flexionDeg" | "tiltDeg" | "turn" | "grip">): WorkPosture[] {
  const { bent, bentBack, tilted } = POSTURE_FROM_DEG;
  const found: WorkPosture[] = [];
  if (effort.flexionDeg >= bent) found.push("wristBent");
  if (effort.flexionDeg <= -bentBack) found.push("wristBentBack");
  if (Math.abs(effort.tiltDeg) >= tilted) found.push("wristTilted");
  if (effort.turn === "palmDown") found.push("palmDown");
  if (effort.grip === "power" || effort.grip === "hook") found.push("closedHand");
  if (effort.grip === "thumbPress" || effort.grip === "pinch") found.push("thumbPressed");
  if (task.reach) found.push("roundedShoulders");
  return found;
}

/** Share of the time an effort fills: efforts a minute × seconds ÷ 60, at most 1. */
export function dutyOf({ perMin, secEach }: Pick<Effort, "perMin" | "secEach">): number {
  return Math.min(1, (perMin * secEach) / 60);
}

export interface PostureTime {
  posture: WorkPosture;
  minutes: number;
  /** Task id → minutes, the most first. */
  tasks: { taskId: string; minutes: number }[];
}

/** Minutes of effort in each posture over a day, the most first; postures that do not occur are left out. */
export function postureMinutes(work: Work, day: WorkDay, side: HandSide): PostureTime[] {
  const times = new Map<WorkPosture, Map<string, number>>();
  for (const [taskId, minutes] of minutesByTask(day)) {
    const task = work.tasks.find((each) => each.id === taskId);
    if (!task) continue;
    const duty = new Map<WorkPosture, number>();
    for (const effort of effortsOf(task, side))
      for (const posture of posturesOf(task, effort)) duty.set(posture, Math.min(1, (duty.get(posture) ?? 0) + dutyOf(effort)));
    for (const [posture, share] of duty) {
      const tasks = times.get(posture) ?? new Map<string, number>();
      times.set(posture, tasks.set(taskId, (tasks.get(taskId) ?? 0) + minutes * share));
    }
  }
  return [...times]
    .map(([posture, tasks]) => ({
      posture,
      minutes: [...tasks.values()].reduce((sum, each) => sum + each, 0),
      tasks: [...tasks].map(([taskId, minutes]) => ({ taskId, minutes })).sort((a, b) => b.minutes - a.minutes),
    }))
    .sort((a, b) => b.minutes - a.minutes);
}
