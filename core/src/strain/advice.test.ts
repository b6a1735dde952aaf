import { adviceFor, GRIPS, TASK_STARTERS, type Effort } from ".";
import { sampleEffort, sampleTask } from "./sample";

const taskOf = (effort: Partial<Effort>, tool: string | null = null) => sampleTask("t", [sampleEffort("a", effort)], { tool });
const advice = (factor: Parameters<typeof adviceFor>[1]["factor"], effort: Partial<Effort>, tool: string | null = null) => {
  const task = taskOf(effort, tool);
  return adviceFor(task, { factor, effortId: task.efforts[0]!.id });
};

it("two hands are not told to use both hands; one hand is", () => {
  for (const grip of GRIPS) expect(advice("effort", { grip, hands: "both" })).not.toMatch(/other hand/);
  expect(advice("effort", { grip: "power", hands: "right" })).toMatch(/other hand/);
});
it("a thumb push on stone is not told to sharpen a tool", () => {
  const text = advice("effort", { grip: "thumbPress", hands: "right" });
  expect(text).toMatch(/thumb/);
  expect(text).not.toMatch(/sharp|handle/);
});
it("a bare-handed lift is not told of a handle of a tool it does not have", () => {
  expect(advice("effort", { grip: "power", hands: "both" })).not.toMatch(/tool|handle/);
  expect(advice("effort", { grip: "power", hands: "both" }, "Hammer")).toMatch(/tool/);
});
it("a straighter wrist goes the way that straightens it", () => {
  expect(advice("posture", { flexionDeg: 30 })).toMatch(/raise/);
  expect(advice("posture", { flexionDeg: -30 })).toMatch(/lower/);
});
it("every typical task and factor has its words", () => {
  for (const { efforts, tool } of TASK_STARTERS)
    for (const effort of efforts)
      for (const factor of ["effort", "rate", "duration", "posture", "hours"] as const)
        expect(advice(factor, effort, tool).length).toBeGreaterThan(12);
});
