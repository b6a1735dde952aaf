/** Whether a morning counts as raised, for shares over people and weeks: by rule 4, as decisions see it. */
import { daysBetween } from "../calendar";
import { USUAL_THRESHOLDS, type ResponseThresholds } from "./thresholds";

/**
 * @param usualLevel what was usual for the person on that day, 0–10
 * @param startedOn first day the person took part in a run; null when there was none
 */
export function isRaisedMorning(
  { day, level }: { day: string; level: number },
  usualLevel: number,
  startedOn: string | null,
  { settlingDays, settlingRise }: Pick<ResponseThresholds, "settlingDays" | "settlingRise"> = USUAL_THRESHOLDS,
): boolean {
  const rise = level - usualLevel;
  // Before anything was done it is not the program that raised it.
  if (startedOn === null || day <= startedOn) return false;
  return daysBetween(startedOn, day) <= settlingDays ? rise > settlingRise : rise > 0;
}
