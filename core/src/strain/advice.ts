/** What the first change to a task comes to in its own terms: by its grip, its tool and the hands it takes. */
import type { Trade } from "./weighed";
import type { Change } from "./what-if";
import type { Effort, Grip, Task } from "./task";

export type Advice =
  | { factor: "hours" | "rate" | Trade["factor"] }
  /** `hold`: the hand only holds the piece. */
  | { factor: "effort"; grip: Grip; with: "tool" | "bare" | "hold"; otherHandHelps: boolean }
  | { factor: "duration"; grip: Grip; holds: boolean }
  | { factor: "posture"; bent: "forward" | "back" };

/**
 * Whether an effort is that of the hand which only holds: of two hands that do different things with one tool, the one without it. The
 * tool is in the hand that grips with all of it; where both do or neither does, in the one that does more efforts a minute.
 */
function isHolding({ tool, efforts }: Task, effort: Effort): boolean {
  const others = efforts.filter(({ hands }) => hands !== effort.hands);
  if (tool === null || effort.hands === "both" || others.length === 0 || others.some(({ hands }) => hands === "both")) return false;
  const own = efforts.filter(({ hands }) => hands === effort.hands);
  const [ours, theirs] = [own, others].map((list) => list.some(({ grip }) => grip === "power"));
  if (ours !== theirs) return !ours!;
  const rate = (list: readonly Effort[]) => Math.max(...list.map(({ perMin }) => perMin));
  return rate(own) < rate(others);
}

/** The effort is the one the change is about; of a change of hours there is none. */
export function adviceFor(
  task: Task,
  { factor, effortId }: { factor: Change["factor"] | Trade["factor"]; effortId: string | null },
): Advice {
  const effort = task.efforts.find(({ id }) => id === effortId) ?? task.efforts[0];
  if (!effort || factor === "hours") return { factor: "hours" };
  const { grip } = effort;
  switch (factor) {
    case "effort": {
      if (isHolding(task, effort)) return { factor, grip, with: "hold", otherHandHelps: false };
      // Two hands are no advice for what two hands do already, nor where the other has its own to do.
      const otherIsFree = effort.hands !== "both" && task.efforts.every(({ hands }) => hands === effort.hands);
      return { factor, grip, with: task.tool === null ? "bare" : "tool", otherHandHelps: otherIsFree && grip !== "thumbPress" };
    }
    case "rate":
    case "lighterMoreOften":
    case "fewerLonger":
      return { factor };
    case "duration":
      return { factor, grip, holds: isHolding(task, effort) };
    case "posture":
      return { factor, bent: effort.flexionDeg > 0 ? "forward" : "back" };
  }
}
