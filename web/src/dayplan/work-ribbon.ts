/** The tasks of a crew's shift as parts of the ribbon, each with the strain of its harder hand. */
import type { RibbonPart } from "@kind-grip/core/dayplan";
import { dayOf, minutesByTask, taskStrain, type Work, type WorkDay } from "@kind-grip/core/strain";
import { HAND_SIDES } from "@kind-grip/core/units";
import { t } from "../base/words";

/** One way a shift is filled; a rest is a part without strain. */
export function ribbonOfDay(work: Work, day: WorkDay): RibbonPart[] {
  const total = minutesByTask(day);
  return day.parts.flatMap(({ taskId, minutes }) => {
    if (taskId === null) return [{ name: t("rest"), minutes, strain: 0 }];
    const task = work.tasks.find(({ id }) => id === taskId);
    const hours = (total.get(taskId) ?? 0) / 60;
    return task
      ? [{ name: task.name, minutes, strain: Math.max(...HAND_SIDES.map((side) => taskStrain(task, side, hours).composite.decisive)) }]
      : [];
  });
}

/**
 * What some people's hands do along a shift. Where they work it in different ways, the hardest of what is done at each time, by which a plan
 * keeps clear of it. Nothing while the work is not described.
 * @param personIds those it is about; nobody for the first way
 */
export function ribbonParts(work: Work | undefined, personIds: readonly string[] = []): RibbonPart[] {
  if (!work) return [];
  const days = new Set(personIds.length === 0 ? [dayOf(work)] : personIds.map((personId) => dayOf(work, personId)));
  return together([...days].flatMap((day) => (day ? [ribbonOfDay(work, day)] : [])));
}

/** The hardest part at each time, and how many others are done beside it. */
function together(ways: readonly (readonly RibbonPart[])[]): RibbonPart[] {
  if (ways.length <= 1) return [...(ways[0] ?? [])];
  const ends = [...new Set(ways.flatMap(endsOf))].sort((a, b) => a - b);
  return ends.map((end, i): RibbonPart => {
    const from = ends[i - 1] ?? 0;
    const at = ways.flatMap((way) => way[endsOf(way).findIndex((each) => each > from)] ?? []);
    const hardest = at.reduce((most, part) => (part.strain > most.strain ? part : most));
    const others = new Set(at.filter(({ strain }) => strain > 0).map(({ name }) => name)).size - 1;
    const name =
      others <= 0
        ? hardest.name
        : t("{{task}} and {{count}} others", { task: hardest.name, count: others, defaultValue_one: "{{task}} and {{count}} other" });
    return { name, minutes: end - from, strain: hardest.strain };
  });
}

/** Minutes from the start of the work at which each part ends. */
function endsOf(parts: readonly RibbonPart[]): number[] {
  let sum = 0;
  return parts.map(({ minutes }) => (sum += minutes));
}
