import fc from "fast-check";
import { regionNeeds } from "../need";
import { averageDay, minutesByTask, TASK_STARTERS, type Work, type WorkDay } from ".";

const [nailing, cutting] = TASK_STARTERS.slice(0, 2).map((task, i) => ({
  ...task,
  id: `task-${i}`,
  efforts: task.efforts.map((effort, j) => ({ ...effort, id: `${i}-${j}` })),
}));
const way = (id: string, parts: [string | null, number][], personIds: string[] = []): WorkDay => ({
  id,
  name: id,
  parts: parts.map(([taskId, minutes]) => ({ taskId, minutes })),
  personIds,
});
const usual = way("usual", [
  ["task-0", 300],
  [null, 60],
  ["task-0", 60],
]);
const other = way("other", [["task-1", 240]], ["bo"]);
const work = { tasks: [nailing, cutting], days: [usual, other] } as unknown as Work;

it("is the way itself where everybody works the same, and none where no shift is described", () => {
  expect(averageDay(work, ["ann", "cy"])).toBe(usual);
  expect(averageDay(work, ["bo"])).toBe(other);
  expect(averageDay({ tasks: [], days: [] }, ["ann"])).toBeUndefined();
});

it("has of each task the minutes it comes to a person: three nail 360 minutes, one cuts 240", () => {
  expect(minutesByTask(averageDay(work, ["ann", "bo", "cy", "di"])!)).toEqual(
    new Map([
      ["task-0", 270],
      ["task-1", 60],
    ]),
  );
});

it("of nobody each way counts alike", () => {
  expect(minutesByTask(averageDay(work, [])!)).toEqual(
    new Map([
      ["task-0", 180],
      ["task-1", 120],
    ]),
  );
});

it("the load of every region on it is the mean of the loads of the people", () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom("ann", "bo"), { minLength: 1, maxLength: 12 }), (people) => {
      const loads = (day: WorkDay) => regionNeeds(work, day).map(({ loadMin }) => loadMin);
      const each = people.map((id) => loads(id === "bo" ? other : usual));
      const mean = each[0]!.map((_, region) => each.reduce((sum, list) => sum + list[region]!, 0) / people.length);
      loads(averageDay(work, people)!).forEach((load, region) => expect(load).toBeCloseTo(mean[region]!, 9));
    }),
  );
});
