/** Vibration of a tool on the hand, as a day of eight hours. Limits: Directive 2002/44/EC; several tools: ISO 5349-1:2001. */
import { effortsOf, minutesByTask, type Task } from "../task";
import { reading, type Method } from "./method";

const ACTION_MS2 = 2.5;
const LIMIT_MS2 = 5;

/** A(8) = a · √(T/8). Example: 5 m/s² for 2 h → 2.5. @param ms2 m/s², 0 or more @param hours the tool runs in a shift */
export function eightHourVibration(ms2: number, hours: number): number {
  return ms2 * Math.sqrt(hours / 8);
}

const runs = (task: Task, hours: number) => (hours * (task.runsMinPerHour ?? 60)) / 60;

export const vibration: Method = {
  id: "vibration",
  source: "Directive 2002/44/EC; ISO 5349-1:2001",
  twoLimits: true,
  sees: ["vibration", "hours"],
  ofTask(task, side, hours) {
    if (effortsOf(task, side).length === 0) return { silent: "noEfforts" };
    if (task.vibrationMs2 === undefined) return { silent: task.vibration === "none" ? "noVibration" : "notKnown" };
    const working = [
      { name: "vibrationMs2", value: task.vibrationMs2 },
      { name: "runsHours", value: runs(task, hours) },
    ] as const;
    return reading(eightHourVibration(task.vibrationMs2, runs(task, hours)), working, LIMIT_MS2, ACTION_MS2);
  },
  /** The energy of all tools together. */
  ofShift(work, day, side) {
    const minutes = minutesByTask(day);
    const done = work.tasks.filter((task) => minutes.has(task.id) && effortsOf(task, side).length > 0);
    if (done.length === 0) return { silent: "noEfforts" };
    // A tool nobody knows the figure of is no tool that stands still.
    if (done.some(({ vibration: felt, vibrationMs2 }) => felt !== "none" && vibrationMs2 === undefined)) return { silent: "notKnown" };
    const known = done.flatMap((task) =>
      task.vibrationMs2 === undefined ? [] : [{ ms2: task.vibrationMs2, hours: runs(task, minutes.get(task.id)! / 60) }],
    );
    if (known.length === 0) return { silent: "noVibration" };
    const day8 = Math.hypot(...known.map(({ ms2, hours }) => eightHourVibration(ms2, hours)));
    return {
      ...reading(day8, [{ name: "runsHours", value: known.reduce((sum, { hours }) => sum + hours, 0) }], LIMIT_MS2, ACTION_MS2),
      taskId: null,
    };
  },
};
