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
