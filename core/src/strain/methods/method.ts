/** What every method of judging a task has in common, so that a further one is one file. */
import type { HandSide } from "../../units";
import type { Task, Work, WorkDay } from "../task";

/** From calm to not. */
export const VERDICTS = ["fine", "look", "change"] as const;
export type Verdict = (typeof VERDICTS)[number];

/** What a method can see of a piece of work, or not. */
export const ASPECTS = [
  "peakForce",
  "everyForce",
  "rate",
  "duration",
  "dutyCycle",
  "rest",
  "wristBend",
  "hours",
  "vibration",
  "sideTilt",
  "gripKind",
  "cold",
] as const;
export type Aspect = (typeof ASPECTS)[number];

export const METHOD_IDS = ["strainIndex", "handActivity", "acceptableShare", "heldEffort", "vibration"] as const;
export type MethodId = (typeof METHOD_IDS)[number];

/** One figure on the way to the result, by a name the interface has words for. */
export interface Step {
  name:
    | "index"
    | "dutyPercent"
    | "effortsPerSec"
    | "activityLevel"
    | "peakForce"
    | "acceptable"
    | "share"
    | "enduranceMin"
    | "heldSec"
    | "restWantedSec"
    | "restThereSec"
    | "vibrationMs2"
    | "runsHours";
  value: number;
}

export interface Reading {
  figure: number;
  /** From here on it is looked at, and changed. */
  limits: { look: number; change: number };
  verdict: Verdict;
  working: readonly Step[];
}

/** Why a method has nothing to say. */
export type Silence = { silent: "noEfforts" | "notKnown" | "noVibration" | "lightEfforts" };

export interface ShiftReading extends Reading {
  /** The task it is taken from, where the method makes no figure for a whole shift; null for a figure of the shift. */
  taskId: string | null;
}

export interface Method {
  id: MethodId;
  source: string;
  /** Whether the source has two limits; otherwise the first is this practice's margin. */
  twoLimits: boolean;
  sees: readonly Aspect[];
  /** @param hours of the task in a shift */
  ofTask(task: Task, side: HandSide, hours: number): Reading | Silence;
  ofShift(work: Work, day: WorkDay, side: HandSide): ShiftReading | Silence;
}

/** A method with one limit is looked at from this share of it on. A margin of this practice, not of any source. */
const MARGIN = 0.75;

/** @param change above it is change @param look above it is look; three quarters of the other when left out */
export function reading(figure: number, working: readonly Step[], change: number, look = change * MARGIN): Reading {
  return { figure, limits: { look, change }, verdict: figure > change ? "change" : figure > look ? "look" : "fine", working };
}

export function isReading<R extends Reading>(from: R | Silence): from is R {
  return !("silent" in from);
}

/** The verdict at a place on the shared scale. */
export function verdictAt(place: number): Verdict {
  return place > 2 ? "change" : place > 1 ? "look" : "fine";
}

/** Where a reading lies on a scale all methods share: 0 to 1 is fine, to 2 look, to 3 change; however high a figure, it stays below 3. */
export function placeOnScale({ figure, limits: { look, change } }: Reading): number {
  if (figure <= look) return figure / look;
  if (figure <= change) return 1 + (figure - look) / (change - look);
  return 3 - change / figure;
}
