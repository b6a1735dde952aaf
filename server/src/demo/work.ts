/** What the demo's crews do in a shift: typical tasks of the trade and how the shift is filled. The upholstery crew's is still to be described. */
import { TASK_STARTERS, type Treatment, type Work } from "@kind-grip/core/strain";
import type { DemoCrew } from "./crews";
import { seededRandom, type SeededRandom } from "./seeded-random";

type Parts = readonly (readonly [task: string, minutes: number])[];
interface DemoDays {
  usual: Parts;
  rotation?: { name: string; parts: Parts; people: number };
  treatments?: (Omit<Treatment, "id" | "parts"> & { parts: Parts })[];
}

const DAYS: Readonly<Partial<Record<DemoCrew["key"], DemoDays>>> = {
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
    treatments: [
      {
        name: "Deep tissue",
        lengthMin: 60,
        deep: true,
        words: ["deep"],
        parts: [
          ["Deep strokes with the thumbs", 30],
          ["Kneading", 15],
        ],
      },
      {
        name: "Classic massage",
        lengthMin: 50,
        deep: false,
        words: ["classic"],
        parts: [
          ["Kneading", 30],
          ["Leaning in with the palm", 10],
        ],
      },
      {
        name: "Hot stones",
        lengthMin: 80,
        deep: false,
        words: ["stone", "stones"],
        parts: [
          ["Leaning in with the palm", 30],
          ["Kneading", 15],
        ],
      },
      {
        name: "Neck and shoulders",
        lengthMin: 30,
        deep: true,
        words: ["neck"],
        parts: [
          ["Deep strokes with the thumbs", 15],
          ["Kneading", 8],
        ],
      },
      { name: "Foot care", lengthMin: 40, deep: false, words: ["foot", "feet"], parts: [["Kneading", 15]] },
    ],
    usual: [
      ["Kneading", 180],
      ["Deep strokes with the thumbs", 150],
      ["Leaning in with the palm", 90],
    ],
  },
};

/** Numbers of their own, so that what comes after them stays as it was. */
const TREATMENT_SEED = 20_260_328;

export function demoWork(random: SeededRandom, key: DemoCrew["key"], personIds: readonly string[]): Work | undefined {
  const days = DAYS[key];
  if (!days) return undefined;
  const names = [...new Set([...days.usual, ...(days.rotation?.parts ?? [])].map(([name]) => name))];
  const tasks = names.map((name) => {
    const starter = TASK_STARTERS.find((each) => each.name === name)!;
    return { ...starter, id: random.id(), efforts: starter.efforts.map((effort) => ({ ...effort, id: random.id() })) };
  });
  const filled = (parts: Parts) => parts.map(([name, minutes]) => ({ taskId: tasks.find((task) => task.name === name)!.id, minutes }));
  const naming = seededRandom(TREATMENT_SEED);
  return {
    tasks,
    ...(days.treatments
      ? {
          treatments: days.treatments.map(({ parts, ...each }) => ({ id: naming.id(), ...each, parts: filled(parts) })),
        }
      : {}),
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
