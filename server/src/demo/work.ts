/** What the demo's crews do in a shift: typical tasks of the trade and how the shift is filled. The upholstery crew's is still to be described. */
import { TASK_STARTERS, type Work } from "@kind-grip/core/strain";
import type { DemoCrew } from "./crews";
import type { SeededRandom } from "./seeded-random";

type Parts = readonly (readonly [task: string, minutes: number])[];
const DAYS: Readonly<Partial<Record<DemoCrew["key"], { usual: Parts; rotation?: { name: string; parts: Parts; people: number } }>>> = {
  roof: {
    usual: [
      ["Carrying slates", 60],
      ["Splitting slate", 120],
      ["Nailing slates", 240],
    ],
    rotation: {
      name: "On the ground",
      parts: [
        ["Splitting slate", 300],
        ["Carrying slates", 120],
      ],
      people: 4,
    },
  },
  oyster: {
    usual: [
      ["Shucking", 300],
      ["Sorting shells", 90],
    ],
  },
  spa: {
    usual: [
      ["Kneading", 180],
      ["Deep strokes with the thumbs", 150],
      ["Leaning in with the palm", 90],
    ],
  },
};

export function demoWork(random: SeededRandom, key: DemoCrew["key"], personIds: readonly string[]): Work | undefined {
  const days = DAYS[key];
  if (!days) return undefined;
  const names = [...new Set([...days.usual, ...(days.rotation?.parts ?? [])].map(([name]) => name))];
  const tasks = names.map((name) => {
    const starter = TASK_STARTERS.find((each) => each.name === name)!;
    return { ...starter, id: random.id(), efforts: starter.efforts.map((effort) => ({ ...effort, id: random.id() })) };
  });
  const filled = (parts: Parts) => parts.map(([name, minutes]) => ({ taskId: tasks.find((task) => task.name === name)!.id, minutes }));
  return {
    tasks,
    days: [
      { id: random.id(), name: "Usual shift", parts: filled(days.usual), personIds: [] },
      ...(days.rotation
        ? [
            {
              id: random.id(),
              name: days.rotation.name,
              parts: filled(days.rotation.parts),
              personIds: personIds.slice(-days.rotation.people),
            },
          ]
        : []),
    ],
  };
}
