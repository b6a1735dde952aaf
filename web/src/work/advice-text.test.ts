import { adviceFor, GRIPS, TASK_STARTERS, type Effort } from "@kind-grip/core/strain";
import { sampleEffort, sampleTask } from "../../../core/src/strain/sample";
import { adviceText } from "./advice-text";

const taskOf = (effort: Partial<Effort>, tool: string | null = null) => sampleTask("t", [sampleEffort("a", effort)], { tool });
const advice = (factor: Parameters<typeof adviceFor>[1]["factor"], effort: Partial<Effort>, tool: string | null = null) => {
  const task = taskOf(effort, tool);
  return adviceText(adviceFor(task, { factor, effortId: task.efforts[0]!.id }));
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
it("the hand that holds the piece is not told of the tool in the other, nor the other to get its help", () => {
  const held = sampleEffort("held", { hands: "left", grip: "pinch", perMin: 4 });
  const struck = sampleEffort("struck", { hands: "right", grip: "power", perMin: 20 });
  const task = sampleTask("t", [struck, held], { tool: "Hammer" });
  const of = ({ id }: Effort, factor: "effort" | "duration" = "effort") => adviceText(adviceFor(task, { factor, effortId: id }));
  expect(of(held)).toBe("less force: a clamp, rest or stand that holds it");
  expect(of(held, "duration")).toMatch(/clamp/);
  expect(of(struck)).toMatch(/tool/);
  expect(of(struck)).not.toMatch(/other hand|clamp/);
});
it("of two hands that grip alike the one that does more efforts a minute has the tool", () => {
  const hand = (name: string, hands: "left" | "right", perMin: number) => sampleEffort(name, { hands, grip: "power", perMin });
  const [held, cut] = [hand("held", "left", 5), hand("cut", "right", 25)];
  const task = sampleTask("t", [held, cut], { tool: "Knife" });
  expect(adviceText(adviceFor(task, { factor: "effort", effortId: held.id }))).toMatch(/clamp/);
  expect(adviceText(adviceFor(task, { factor: "effort", effortId: cut.id }))).toMatch(/sharper/);
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
it("the same work done otherwise has its words too", () => {
  expect(advice("lighterMoreOften", {})).toMatch(/lighter lots/);
  expect(advice("fewerLonger", {})).toMatch(/fewer efforts/);
});
