/** What all methods say of a task or a shift, and why they do not say the same. */
import type { HandSide } from "../units";
import { METHODS } from "./methods";
import {
  ASPECTS,
  isReading,
  placeOnScale,
  type Aspect,
  type Method,
  type MethodId,
  type Reading,
  type ShiftReading,
  type Silence,
} from "./methods/method";
import type { Task, Work, WorkDay } from "./task";

export interface Opinion<R extends Reading = Reading> {
  method: Method;
  of: R | Silence;
}

/** @param hours of it in a shift */
export function opinionsOfTask(task: Task, side: HandSide, hours: number): Opinion[] {
  return METHODS.map((method) => ({ method, of: method.ofTask(task, side, hours) }));
}

export function opinionsOfShift(work: Work, day: WorkDay, side: HandSide): Opinion<ShiftReading>[] {
  return METHODS.map((method) => ({ method, of: method.ofShift(work, day, side) }));
}

/** What none of them sees. */
export const UNSEEN: readonly Aspect[] = ASPECTS.filter((aspect) => METHODS.every(({ sees }) => !sees.includes(aspect)));

/** Why two methods differ, each tried: with it taken out of the answers they would say the same, or be half as far apart. */
export type ApartReason = "wristBend" | "hours" | "peakForce" | "rhythm" | "rest" | "vibration" | "weights";

export interface Apart {
  calmer: MethodId;
  stricter: MethodId;
  because: ApartReason;
}

const FULL_HOURS = 8;
/** Seconds that efforts are cut into to see whether their length is what parts two methods. */
const SHORT_SEC = 1;

/** The task without one of the things methods see differently. */
const WITHOUT: readonly { reason: ApartReason; change(task: Task, hours: number): { task: Task; hours: number } }[] = [
  {
    reason: "wristBend",
    change: (task, hours) => ({ task: { ...task, efforts: task.efforts.map((effort) => ({ ...effort, flexionDeg: 0 })) }, hours }),
  },
  { reason: "hours", change: (task) => ({ task, hours: FULL_HOURS }) },
  {
    reason: "peakForce",
    change: (task, hours) => {
      const busy = task.efforts.reduce((sum, { perMin, secEach }) => sum + perMin * secEach, 0);
      const mean = task.efforts.reduce((sum, { effort, perMin, secEach }) => sum + effort * perMin * secEach, 0) / busy;
      return { task: { ...task, efforts: task.efforts.map((effort) => ({ ...effort, effort: mean })) }, hours };
    },
  },
  {
    reason: "rhythm",
    change: (task, hours) => ({
      task: {
        ...task,
        efforts: task.efforts.map((effort) => ({ ...effort, perMin: (effort.perMin * effort.secEach) / SHORT_SEC, secEach: SHORT_SEC })),
      },
      hours,
    }),
  },
];

/**
 * The strictest opinion against each whose verdict is calmer, with what parts them: found by taking one thing at a time out of the answers
 * and asking both again.
 */
export function whyApart(task: Task, side: HandSide, hours: number): Apart[] {
  const found = opinionsOfTask(task, side, hours).flatMap(({ method, of }) => (isReading(of) ? [{ method, of }] : []));
  const [strictest, ...others] = [...found].sort((a, b) => placeOnScale(b.of) - placeOnScale(a.of));
  if (!strictest) return [];
  return others
    .filter(({ of }) => of.verdict !== strictest.of.verdict)
    .map(({ method, of }) => ({
      calmer: method.id,
      stricter: strictest.method.id,
      because: reasonBetween(task, side, hours, strictest.method, method, placeOnScale(strictest.of) - placeOnScale(of)),
    }));
}

function reasonBetween(task: Task, side: HandSide, hours: number, stricter: Method, calmer: Method, gap: number): ApartReason {
  if (stricter.id === "vibration" || calmer.id === "vibration") return "vibration";
  const tried = WITHOUT.flatMap(({ reason, change }) => {
    const other = change(task, hours);
    const [high, low] = [stricter, calmer].map((method) => method.ofTask(other.task, side, other.hours));
    if (!isReading(high!) || !isReading(low!)) return [];
    const left = Math.abs(placeOnScale(high) - placeOnScale(low));
    return high.verdict === low.verdict || left <= gap / 2 ? [{ reason, left }] : [];
  }).sort((a, b) => a.left - b.left);
  if (tried[0]) return tried[0].reason;
  return stricter.id === "heldEffort" || calmer.id === "heldEffort" ? "rest" : "weights";
}
