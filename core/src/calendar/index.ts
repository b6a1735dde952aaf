/** The calendar of work: places with their wall clocks, shift patterns, the shifts they come to, and which of them a moment belongs to. */
export { LONGEST_BREAK_MIN, longestWorkMin, ShiftKind, ShiftPattern, patternPreset, type PatternPreset } from "./shift-pattern";
export { SHIFT_REACH_MIN, shiftOf, shiftsAround, shiftsFrom, workingDay, workingDayAt, type Shift, type Span } from "./shifts";
export { LEAST_REST_MIN, shortTurnarounds, turnaroundsOf, type Turnaround } from "./turnarounds";
export { endsNextDay, minutesOfDay, minutesUntil, timeAfter } from "./time-of-day";
export { addDays, dateAt, daysBetween, firstOfWeek, isTimeZone, momentAt, mondayOf, wallTime } from "./wall-clock";
