import { TASK_STARTERS, type Work } from "@kind-grip/core/strain";
import { taskFrom } from "./new-task";
import { problemPlace } from "./problem-place";

const task = { ...taskFrom(TASK_STARTERS[0]), name: "Nailing" };
const work: Work = { tasks: [task], days: [{ id: "d", name: "All day", parts: [], personIds: [] }] };

it.each([
  ["tasks.0.efforts.0.secEach", { view: "tasks", taskId: task.id, name: `Nailing, ${task.efforts[0]!.name}, seconds each` }],
  ["tasks.0.efforts", { view: "tasks", taskId: task.id, name: "Nailing" }],
  ["tasks.0.name", { view: "tasks", taskId: task.id, name: "Nailing, name" }],
  ["days.0.parts", { view: "shift", taskId: null, name: "All day, parts" }],
  ["days.0.parts.1.minutes", { view: "shift", taskId: null, name: "All day, parts" }],
  ["tasks.9.name", { view: "tasks", taskId: null, name: "The work" }],
  ["somewhere", { view: "tasks", taskId: null, name: "The work" }],
])("%s is found", (path, place) => expect(problemPlace(work, path)).toEqual(place));
