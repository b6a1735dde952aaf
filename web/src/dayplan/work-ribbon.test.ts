import { TASK_STARTERS, taskStrain, type Work } from "@kind-grip/core/strain";
import { taskFrom, withTask } from "../work/new-task";
import { ribbonParts } from "./work-ribbon";

const [first, second] = [taskFrom(TASK_STARTERS[0]), taskFrom(TASK_STARTERS[1])];
const both: Work = withTask(withTask({ tasks: [], days: [] }, first, 480), second, 480);

it("is nothing while the work is not described", () => {
  expect(ribbonParts(undefined)).toEqual([]);
  expect(ribbonParts({ tasks: [], days: [] })).toEqual([]);
});

it("has the day's tasks in their order, as long as they take, as strained as the harder hand", () => {
  const strain = (task: typeof first) => Math.max(...(["left", "right"] as const).map((side) => taskStrain(task, side, 2).index));
  expect(ribbonParts(both)).toEqual([
    { name: first.name, minutes: 120, strain: strain(first) },
    { name: second.name, minutes: 120, strain: strain(second) },
  ]);
});

it("a task done twice is as strained as its hours together make it", () => {
  const [day] = both.days;
  const twice: Work = { ...both, days: [{ ...day!, parts: [...day!.parts, { taskId: first.id, minutes: 60 }] }] };
  const strains = ribbonParts(twice).filter(({ name }) => name === first.name);
  expect(strains.map(({ minutes }) => minutes)).toEqual([120, 60]);
  expect(new Set(strains.map(({ strain }) => strain)).size).toBe(1);
  expect(strains[0]!.strain).toBeGreaterThan(ribbonParts(both)[0]!.strain);
});

it("a part whose task is gone is left out", () => {
  expect(ribbonParts({ ...both, tasks: [second] }).map(({ name }) => name)).toEqual([second.name]);
});

describe("people who work in different ways", () => {
  const [ada, bo] = ["019d0000-0000-7000-8000-00000000000a", "019d0000-0000-7000-8000-00000000000b"];
  const way = (parts: Work["days"][number]["parts"], personIds: string[]) => ({
    ...both.days[0]!,
    id: `${parts[0]!.taskId}`,
    parts,
    personIds,
  });
  const work: Work = {
    ...both,
    days: [
      way([{ taskId: first.id, minutes: 120 }], [ada]),
      way(
        [
          { taskId: second.id, minutes: 60 },
          { taskId: null, minutes: 60 },
        ],
        [bo],
      ),
    ],
  };

  it("have their own ribbon; a rest is a part of it without strain", () => {
    expect(ribbonParts(work, [ada]).map(({ name, minutes }) => [name, minutes])).toEqual([[first.name, 120]]);
    expect(ribbonParts(work, [bo]).map(({ name, minutes, strain }) => [name, minutes, strain > 0])).toEqual([
      [second.name, 60, true],
      ["rest", 60, false],
    ]);
  });

  it("have the hardest of what they do at each time together, and who rests counts for nothing", () => {
    const strainOf = (id: string, name: string) => ribbonParts(work, [id]).find((part) => part.name === name)!.strain;
    const [one, two] = [strainOf(ada, first.name), strainOf(bo, second.name)];
    const parts = ribbonParts(work, [ada, bo]);
    expect(parts.map(({ minutes }) => minutes)).toEqual([60, 60]);
    expect(parts[0]!.strain).toBe(Math.max(one, two));
    expect(parts[0]!.name).toBe(`${one > two ? first.name : second.name} and 1 other`);
    expect(parts[1]).toEqual({ name: first.name, minutes: 60, strain: one });
  });
});
