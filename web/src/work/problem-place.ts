/** Where in the work a problem is: the view and the task to open, and how its place is called. */
import type { Work } from "@kind-grip/core/strain";
import { t } from "../base/words";

export interface ProblemPlace {
  view: "tasks" | "shift";
  /** To be chosen, where the problem is in a task. */
  taskId: string | null;
  /** e.g. `Nailing, hammer blows, efforts a minute`. */
  name: string;
}

const FIELDS: Readonly<Record<string, string>> = {
  name: t("name"),
  tool: t("tool"),
  effort: t("how hard"),
  perMin: t("efforts a minute"),
  secEach: t("seconds each"),
  flexionDeg: t("wrist bent"),
  tiltDeg: t("wrist tilted"),
  minutes: t("minutes"),
};

/** @param path dotted, as the core and the server name it, e.g. `tasks.0.efforts.1.secEach` */
export function problemPlace(work: Work, path: string): ProblemPlace {
  const [list, index, , part, field] = path.split(".");
  if (list === "days") {
    const day = work.days[Number(index)];
    return { view: "shift", taskId: null, name: day ? t("{{name}}, parts", { name: day.name }) : t("Who does what") };
  }
  if (list === "treatments") {
    const treatment = work.treatments?.[Number(index)];
    return { view: "shift", taskId: null, name: treatment ? t("{{name}}, parts", { name: treatment.name }) : t("Treatments") };
  }
  const task = work.tasks[Number(index)];
  if (!task) return { view: "tasks", taskId: null, name: t("The work") };
  const effort = part === undefined ? undefined : task.efforts[Number(part)];
  const last = path.split(".").at(-1)!;
  return {
    view: "tasks",
    taskId: task.id,
    name: [task.name || t("A task without a name"), effort?.name, FIELDS[field ?? last]].filter(Boolean).join(", "),
  };
}
