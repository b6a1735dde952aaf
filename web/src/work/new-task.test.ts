import { TASK_STARTERS, workProblems, type Work } from "@kind-grip/core/strain";
import { newEffort, taskFrom, withoutTask, withTask } from "./new-task";

const EMPTY: Work = { tasks: [], days: [] };
const SHIFT_MIN = 465;
const minutesOf = (work: Work) => work.days.map(({ parts }) => parts.reduce((sum, { minutes }) => sum + minutes, 0));

it("the first task makes a usual shift with two hours of it", () => {
  const work = withTask(EMPTY, taskFrom(undefined), SHIFT_MIN);
  expect(work.days).toMatchObject([{ name: "Usual shift", parts: [{ taskId: work.tasks[0]!.id, minutes: 120 }] }]);
});
it("further tasks get what is left of the shift, and nothing when it is full", () => {
  let work = EMPTY;
  for (let i = 0; i < 6; i++) work = withTask(work, taskFrom(TASK_STARTERS[i]), SHIFT_MIN);
  expect(work.tasks).toHaveLength(6);
  expect(minutesOf(work)).toEqual([SHIFT_MIN]);
  expect(workProblems(work, SHIFT_MIN)).toEqual([]);
});
it("the same starter twice is two tasks", () => {
  const [a, b] = [taskFrom(TASK_STARTERS[0]), taskFrom(TASK_STARTERS[0])];
  expect(a.id).not.toBe(b.id);
  expect(new Set([...a.efforts, ...b.efforts].map(({ id }) => id)).size).toBe(a.efforts.length + b.efforts.length);
  expect(newEffort().id).not.toBe(newEffort().id);
});
it("a task that is taken out leaves no part of it behind", () => {
  const first = withTask(EMPTY, taskFrom(TASK_STARTERS[0]), SHIFT_MIN);
  const both = withTask(first, taskFrom(TASK_STARTERS[1]), SHIFT_MIN);
  const without = withoutTask(both, both.tasks[0]!.id);
  expect(without.tasks).toEqual([both.tasks[1]]);
  expect(workProblems(without, SHIFT_MIN)).toEqual([]);
});
