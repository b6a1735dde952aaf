/** A shift pattern: a few kinds of shift and the cycle of days they repeat in. */
import * as v from "valibot";
import { IsoDate, LocalTime, NonEmptyText, wholeMinutes } from "../units";

/** Whoever is free for longer than this has gone home: a split shift. */
export const LONGEST_BREAK_MIN = 120;

export const ShiftKind = v.pipe(
  v.strictObject({
    id: v.pipe(v.string(), v.minLength(1), v.maxLength(40)),
    name: NonEmptyText,
    /** Wall clock time at the crew's place. A shift that runs past midnight belongs to the day it starts on. */
    start: LocalTime,
    /** By the wall clock: on a night the clocks change the shift really is an hour longer or shorter. */
    lengthMin: wholeMinutes(60, 960),
    /** Longer than LONGEST_BREAK_MIN: the shift is split, and people are away in between. */
    breaks: v.pipe(
      v.array(v.strictObject({ afterMin: wholeMinutes(0, 960), lengthMin: wholeMinutes(5, 600) })),
      v.maxLength(6, "at most 6 breaks"),
    ),
  }),
  v.check((shift) => shift.breaks.every((pause) => pause.afterMin + pause.lengthMin <= shift.lengthMin), "a break lies outside the shift"),
  v.check(
    (shift) =>
      shift.breaks.every((pause, i) => i === 0 || shift.breaks[i - 1]!.afterMin + shift.breaks[i - 1]!.lengthMin <= pause.afterMin),
    "breaks overlap or are out of order",
  ),
);
export type ShiftKind = v.InferOutput<typeof ShiftKind>;

export const ShiftPattern = v.pipe(
  v.strictObject({
    /** Day the cycle starts on. */
    anchorDate: IsoDate,
    shifts: v.pipe(v.array(ShiftKind), v.minLength(1, "needs at least one kind of shift"), v.maxLength(6, "at most 6 kinds of shift")),
    /** One entry a day: a shift's id, or null for a day off. */
    cycle: v.pipe(v.array(v.nullable(v.string())), v.minLength(1, "needs at least one day"), v.maxLength(56, "at most 56 days")),
    /** Days that go another way than the cycle: public holidays, swapped shifts. A shift's id, or null for a day off. */
    otherDays: v.optional(
      v.pipe(v.array(v.strictObject({ date: IsoDate, shift: v.nullable(v.string()) })), v.maxLength(120, "at most 120 days that differ")),
    ),
  }),
  v.check(
    (pattern) => pattern.cycle.every((id) => id === null || pattern.shifts.some((shift) => shift.id === id)),
    "the cycle names a shift that is not there",
  ),
  v.check(
    ({ otherDays = [], shifts }) => otherDays.every(({ shift }) => shift === null || shifts.some(({ id }) => id === shift)),
    "a day that differs names a shift that is not there",
  ),
  v.check(
    ({ otherDays = [] }) => new Set(otherDays.map(({ date }) => date)).size === otherDays.length,
    "a day that differs is named twice",
  ),
  v.check((pattern) => new Set(pattern.shifts.map((shift) => shift.id)).size === pattern.shifts.length, "two kinds of shift share an id"),
);
export type ShiftPattern = v.InferOutput<typeof ShiftPattern>;

/** Patterns a new crew can start from. */
export type PatternPreset = "weekdays" | "fourOnFourOff" | "daysThenNights" | "splitShift";

export function patternPreset(preset: PatternPreset, anchorDate: string): ShiftPattern {
  const day: ShiftKind = {
    id: "day",
    name: "Day",
    start: "07:00",
    lengthMin: 510,
    breaks: [
      { afterMin: 150, lengthMin: 15 },
      { afterMin: 300, lengthMin: 30 },
    ],
  };
  const night: ShiftKind = {
    id: "night",
    name: "Night",
    start: "22:00",
    lengthMin: 480,
    breaks: [
      { afterMin: 120, lengthMin: 15 },
      { afterMin: 270, lengthMin: 30 },
    ],
  };
  const days = (id: string | null, count: number) => Array.from({ length: count }, () => id);
  switch (preset) {
    case "weekdays":
      return { anchorDate, shifts: [day], cycle: [...days("day", 5), null, null] };
    case "fourOnFourOff":
      return {
        anchorDate,
        shifts: [{ ...day, lengthMin: 720, breaks: [...day.breaks, { afterMin: 510, lengthMin: 15 }] }],
        cycle: [...days("day", 4), ...days(null, 4)],
      };
    case "splitShift":
      return {
        anchorDate,
        shifts: [
          {
            id: "split",
            name: "Split",
            start: "06:00",
            lengthMin: 720,
            breaks: [
              { afterMin: 120, lengthMin: 15 },
              { afterMin: 240, lengthMin: 240 },
              { afterMin: 600, lengthMin: 15 },
            ],
          },
        ],
        cycle: [...days("split", 5), null, null],
      };
    case "daysThenNights":
      return {
        anchorDate,
        shifts: [day, night],
        cycle: [...days("day", 5), null, null, ...days("day", 5), null, null, ...days("night", 5), null, null],
      };
  }
}

/** Working minutes of the longest kind of shift, its breaks left out. */
export function longestWorkMin({ shifts }: ShiftPattern): number {
  return Math.max(...shifts.map(({ lengthMin, breaks }) => lengthMin - breaks.reduce((sum, pause) => sum + pause.lengthMin, 0)));
}
