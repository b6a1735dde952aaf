/** What the first change to a task comes to in its own terms: by its grip, its tool and the hands it takes. */
import type { Change } from "./what-if";
import type { Effort, Grip, Task } from "./task";

/** Less force, by what the hand does with and without a tool. */
const LESS_FORCE: Readonly<Record<Grip, { tool: string; bare: string }>> = {
  power: {
    tool: "a sharper or lighter tool, a bigger or softer handle",
    bare: "less at a time, a softer and wider hold, something that holds or grips for you",
  },
  pinch: { tool: "a wider, softer grip on the tool", bare: "a tool instead of fingertips, a wider hold" },
  thumbPress: {
    tool: "a tool with a handle presses, not the thumb",
    bare: "the thumb slightly bent and backed by the hand, or an elbow or fist instead",
  },
  palmPush: { tool: "a longer handle, body weight behind it", bare: "body weight through a straight arm, forearm behind the hand" },
  hook: { tool: "a strap or trolley", bare: "lighter lots, a better handle, a trolley" },
};
const SHORTER: Readonly<Record<Grip, string>> = {
  power: "a clamp or stand that holds, let go between",
  pinch: "a clamp that holds, let go between",
  thumbPress: "shorter presses, move on between",
  palmPush: "shorter pushes, let go between",
  hook: "put it down between, shorter ways",
};

/** What only holds the piece while the other hand works on it. */
const HOLDING = "a clamp, rest or stand that holds it";

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

/** In a few words, to stand after "helps most". The effort is the one the change is about; of a change of hours there is none. */
export function adviceFor(task: Task, { factor, effortId }: Pick<Change, "factor" | "effortId">): string {
  const effort = task.efforts.find(({ id }) => id === effortId) ?? task.efforts[0];
  if (!effort || factor === "hours") return "fewer hours of it: swap tasks through the shift";
  switch (factor) {
    case "effort": {
      if (isHolding(task, effort)) return `less force: ${HOLDING}`;
      const way = LESS_FORCE[effort.grip][task.tool === null ? "bare" : "tool"];
      // Two hands are no advice for what two hands do already, nor where the other has its own to do.
      const otherIsFree = effort.hands !== "both" && task.efforts.every(({ hands }) => hands === effort.hands);
      return `less force: ${way}${otherIsFree && effort.grip !== "thumbPress" ? ", the other hand helping" : ""}`;
    }
    case "rate":
      return "fewer efforts a minute: batch, alternate with another task, pause";
    case "duration":
      return `shorter efforts: ${isHolding(task, effort) ? HOLDING : SHORTER[effort.grip]}`;
    case "posture":
      return `a straighter wrist: ${straighter(effort)}`;
  }
}

function straighter({ flexionDeg }: Effort): string {
  return flexionDeg > 0 ? "raise the work or turn it to you" : "lower the work, or stand higher";
}
