/** Seconds as people read them. */
import { numberText, type Measures } from "./measures";

/**
 * `8'16"`: minutes and seconds, rounded up to the next whole second so that a session never looks shorter than it is.
 * Not with a colon: what has one is a time of day.
 */
export function durationText(sec: number): string {
  const { minutes, seconds } = minutesAndSeconds(sec);
  return `${minutes}'${String(seconds).padStart(2, "0")}"`;
}

/** The same as numbers, to be put into words. */
export function minutesAndSeconds(sec: number): { minutes: number; seconds: number } {
  const whole = Math.max(0, Math.ceil(sec - 1e-9));
  return { minutes: Math.floor(whole / 60), seconds: whole % 60 };
}

/** `45 s`, `2 min`, `2 min 30 s`; half seconds stay visible below a minute. */
export function spanText(sec: number, measures?: Measures): string {
  if (sec < 60) return `${numberText(sec, 1, measures)} s`;
  const whole = Math.round(sec);
  const rest = whole % 60;
  return rest === 0 ? `${whole / 60} min` : `${Math.floor(whole / 60)} min ${rest} s`;
}
