/** What the hands do in a shift: tasks in the words of the trade, each with its efforts; and who does which, for how long. */
import * as v from "valibot";
import { documentFormat } from "../document";
import { Id, IsoDate, NonEmptyText, type HandSide } from "../units";

export const GRIPS = ["power", "pinch", "thumbPress", "palmPush", "hook"] as const;
export const Grip = v.picklist(GRIPS, "must be one of the grips");
export type Grip = v.InferOutput<typeof Grip>;

export const TURNS = ["palmDown", "neutral", "palmUp"] as const;
export const Turn = v.picklist(TURNS, "must be palm down, neutral or palm up");
export type Turn = v.InferOutput<typeof Turn>;

export const VIBRATIONS = ["none", "some", "strong"] as const;

const figure = (min: number, max: number, unit: string) => {
  const message = `must be ${min} to ${max}${unit}`;
  return v.pipe(v.number("must be a number"), v.minValue(min, message), v.maxValue(max, message));
};

/** How rate, seconds and wrist of an effort were seen, when they were watched at the line and not said. */
export const Observed = v.strictObject({
  /** Date of the last observation. */
  on: IsoDate,
  observations: v.pipe(v.number(), v.integer(), v.minValue(1)),
  efforts: v.pipe(v.number(), v.integer(), v.minValue(1)),
  /** 95 % error either way, as a share of the figure. */
  perMinError: v.pipe(v.number(), v.minValue(0)),
  secEachError: v.pipe(v.number(), v.minValue(0)),
  /** What was said before anybody watched. */
  said: v.strictObject({ perMin: v.number(), secEach: v.number(), flexionDeg: v.number() }),
});
export type Observed = v.InferOutput<typeof Observed>;

export const Effort = v.strictObject({
  id: Id,
  name: NonEmptyText,
  hands: v.picklist(["left", "right", "both"], "must be left, right or both"),
  /** 0.5 to 10: what a person who does it feels. */
  effort: v.pipe(figure(0.5, 10, ""), v.multipleOf(0.5, "must be in half steps")),
  perMin: figure(0.1, 200, " a minute"),
  secEach: figure(0.1, 600, " seconds"),
  /** Wrist bent to the palm (+) or back (−). */
  flexionDeg: figure(-70, 80, "°"),
  /** Wrist tilted to the little-finger side (+) or the thumb side (−). */
  tiltDeg: figure(-20, 30, "°"),
  turn: Turn,
  grip: Grip,
  /** Left out where the figures were said by somebody. */
  observed: v.optional(Observed),
});
export type Effort = v.InferOutput<typeof Effort>;

export const MAX_EFFORTS = 8;
export const MAX_TASKS = 20;

export const Task = v.strictObject({
  id: Id,
  name: NonEmptyText,
  tool: v.nullable(NonEmptyText),
  vibration: v.picklist(VIBRATIONS),
  /** From the papers of the tool; left out where they are not known. */
  vibrationMs2: v.optional(figure(0, 60, " m/s²")),
  /** Minutes of an hour of the task in which it runs; a whole hour when left out. */
  runsMinPerHour: v.optional(figure(1, 60, " minutes")),
  cold: v.boolean(),
  /** Elbows away from the ribs or hands above the shoulder. */
  reach: v.boolean(),
  efforts: v.pipe(
    v.array(Effort),
    v.minLength(1, "needs at least one effort"),
    v.maxLength(MAX_EFFORTS, `at most ${MAX_EFFORTS} efforts in a task`),
  ),
});
export type Task = v.InferOutput<typeof Task>;

/** One way a shift is filled: parts in order. Somebody named in no round works the first one. */
export const WorkDay = v.strictObject({
  id: Id,
  name: NonEmptyText,
  parts: v.pipe(
    v.array(
      v.strictObject({
        /** Null is a rest, or anything that strains the hands by nothing. */
        taskId: v.nullable(Id),
        minutes: v.pipe(figure(1, 960, " minutes"), v.integer("must be whole minutes")),
      }),
    ),
    v.maxLength(24, "at most 24 parts"),
  ),
  personIds: v.pipe(v.array(Id), v.maxLength(500)),
});
export type WorkDay = v.InferOutput<typeof WorkDay>;

/** As many as there are people: on a rotation each may have a way of their own. */
export const MAX_DAYS = 60;

const people = (most: number) => v.pipe(v.number("must be a number"), v.integer("must be whole"), v.minValue(0), v.maxValue(most));

/** What the crew's rotation was last levelled by. */
export const RotationAsked = v.strictObject({
  turns: v.pipe(v.number("must be a number"), v.integer("must be whole"), v.minValue(1), v.maxValue(12)),
  needed: v.pipe(v.array(v.strictObject({ taskId: Id, people: people(500) })), v.maxLength(MAX_TASKS)),
  /** Whoever may not do every task. */
  not: v.pipe(
    v.array(v.strictObject({ personId: Id, taskIds: v.pipe(v.array(Id), v.minLength(1), v.maxLength(MAX_TASKS)) })),
    v.maxLength(500),
  ),
});
export type RotationAsked = v.InferOutput<typeof RotationAsked>;

export const MAX_TREATMENTS = 30;

/** A kind of treatment of those who work by bookings: what the hands do in it. */
export const Treatment = v.strictObject({
  id: Id,
  name: NonEmptyText,
  /** From its start to its end, as it is booked. */
  lengthMin: v.pipe(figure(5, 480, " minutes"), v.integer("must be whole minutes")),
  /** Hard pressing work: a reset follows it. */
  deep: v.boolean(),
  parts: v.pipe(
    v.array(v.strictObject({ taskId: Id, minutes: v.pipe(figure(1, 480, " minutes"), v.integer("must be whole minutes")) })),
    v.maxLength(12, "at most 12 parts"),
  ),
  /** What else it is called in bookings. */
  words: v.pipe(v.array(NonEmptyText), v.maxLength(12, "at most 12 other words")),
});
export type Treatment = v.InferOutput<typeof Treatment>;

export const Work = v.strictObject({
  tasks: v.pipe(v.array(Task), v.maxLength(MAX_TASKS, `at most ${MAX_TASKS} tasks`)),
  days: v.pipe(v.array(WorkDay), v.maxLength(MAX_DAYS, `at most ${MAX_DAYS} ways a shift is filled`)),
  rotation: v.optional(RotationAsked),
  /** Of those who work by bookings; their days follow from what is booked. */
  treatments: v.optional(v.pipe(v.array(Treatment), v.maxLength(MAX_TREATMENTS, `at most ${MAX_TREATMENTS} kinds of treatment`))),
});
export type Work = v.InferOutput<typeof Work>;

/** As it is stored, and as a draft. */
export const WORK_DOCUMENT = documentFormat<Work>({
  name: "work",
  format: 4,
  // Nothing older has kinds of treatment, observed figures, a tool's vibration in m/s², rests among its parts, or a rotation.
  steps: [(work) => work, (work) => work, (work) => work],
  schema: Work,
});

export const EMPTY_WORK: Work = { tasks: [], days: [] };

/** The efforts of a task that one hand makes. */
export function effortsOf(task: Task, side: HandSide): Effort[] {
  return task.efforts.filter(({ hands }) => hands === "both" || hands === side);
}

/** The way a person's shift is filled: theirs, or else the first. */
export function dayOf(work: Work, personId?: string): WorkDay | undefined {
  return work.days.find(({ personIds }) => personId !== undefined && personIds.includes(personId)) ?? work.days[0];
}

/** Minutes of each task in a day, tasks in the order they come first. */
export function minutesByTask(day: WorkDay): Map<string, number> {
  const minutes = new Map<string, number>();
  for (const { taskId, minutes: min } of day.parts) if (taskId !== null) minutes.set(taskId, (minutes.get(taskId) ?? 0) + min);
  return minutes;
}

/** The most and the least minutes of each task in one shift, over the ways that have it; tasks in no way are left out. */
export function minutesOverWays(work: Pick<Work, "days">): Map<string, { least: number; most: number }> {
  const range = new Map<string, { least: number; most: number }>();
  for (const day of work.days)
    for (const [taskId, minutes] of minutesByTask(day)) {
      const { least, most } = range.get(taskId) ?? { least: minutes, most: minutes };
      range.set(taskId, { least: Math.min(least, minutes), most: Math.max(most, minutes) });
    }
  return range;
}

/**
 * Hours of a task in one way of the shift, or in the one that has the most of it where this one has none; one hour where it is in no way
 * yet, so that it can be judged at all.
 */
export function hoursOfTask(work: Pick<Work, "days">, taskId: string, way?: WorkDay): number {
  const here = way ? minutesByTask(way).get(taskId) : undefined;
  return (here ?? minutesOverWays(work).get(taskId)?.most ?? 60) / 60;
}
