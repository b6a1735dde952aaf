/** What the first change to a task comes to in its own terms: by its grip, its tool and the hands it takes. */
import type { Change } from "./what-if";
import type { Effort, Grip, Task } from "./task";

/** Less force, by what the hand does with and without a tool. */
const LESS_FORCE: Readonly<Record<Grip, { tool: string; bare: string }>> = {
  power: { tool: "a sharper or lighter tool, a bigger or softer handle", bare: "lighter lots, a lifting aid" },
  pinch: { tool: "a wider, softer grip on the tool", bare: "a tool instead of fingertips, a wider hold" },
  thumbPress: {
    tool: "the tool presses, not the thumb",
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

/** In a few words, to stand after "helps most". The effort is the one the change is about; of a change of hours there is none. */
export function adviceFor(task: Task, { factor, effortId }: Pick<Change, "factor" | "effortId">): string {
  const effort = task.efforts.find(({ id }) => id === effortId) ?? task.efforts[0];
  if (!effort || factor === "hours") return "fewer hours of it: swap tasks through the shift";
  switch (factor) {
    case "effort": {
      const way = LESS_FORCE[effort.grip][task.tool === null ? "bare" : "tool"];
      // Two hands are no advice for what two hands do already.
      return `less force: ${way}${effort.hands === "both" || effort.grip === "thumbPress" ? "" : ", the other hand helping"}`;
    }
    case "rate":
      return "fewer efforts a minute: batch, alternate with another task, pause";
    case "duration":
      return `shorter efforts: ${SHORTER[effort.grip]}`;
    case "posture":
      return `a straighter wrist: ${straighter(effort)}`;
  }
}

function straighter({ flexionDeg }: Effort): string {
  return flexionDeg > 0 ? "raise the work or turn it to you" : "lower the work, or stand higher";
}
