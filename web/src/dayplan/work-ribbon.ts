/** The tasks of a crew's shift as parts of the ribbon, each with the strain of its harder hand. */
import type { RibbonPart } from "@kind-grip/core/dayplan";
import { dayOf, minutesByTask, taskStrain, type Work } from "@kind-grip/core/strain";
import { HAND_SIDES } from "@kind-grip/core/units";

/** Nothing while the work is not described. */
export function ribbonParts(work: Work | undefined): RibbonPart[] {
  const day = work && dayOf(work);
  if (!work || !day) return [];
  const total = minutesByTask(day);
  return day.parts.flatMap(({ taskId, minutes }) => {
    const task = work.tasks.find(({ id }) => id === taskId);
    const hours = (total.get(taskId) ?? 0) / 60;
    return task
      ? [{ name: task.name, minutes, strain: Math.max(...HAND_SIDES.map((side) => taskStrain(task, side, hours).composite.decisive)) }]
      : [];
  });
}
