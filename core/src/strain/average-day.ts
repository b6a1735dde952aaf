/** The shift of a crew as one, where not everybody works it in the same way. */
import { dayOf, minutesByTask, type Work, type WorkDay } from "./task";

/**
 * Of each task as many minutes as it comes to one person; rests are left out. Load and postures go by minutes, so what they come to on
 * this day is what they come to a person. An index of strain is none of an average: look at the hardest way for that.
 * @param personIds who works it; of nobody each way counts alike
 * @returns the way itself where all work the same; undefined where no shift is described. Minutes need not be whole.
 */
export function averageDay(work: Work, personIds: readonly string[]): WorkDay | undefined {
  const worked = personIds.length > 0 ? personIds.flatMap((id) => dayOf(work, id) ?? []) : work.days;
  const [first] = worked;
  if (!first || worked.every((day) => day === first)) return first;
  const minutes = new Map<string, number>();
  for (const day of worked)
    for (const [taskId, min] of minutesByTask(day)) minutes.set(taskId, (minutes.get(taskId) ?? 0) + min / worked.length);
  return { ...first, personIds: [...personIds], parts: [...minutes].map(([taskId, min]) => ({ taskId, minutes: min })) };
}
