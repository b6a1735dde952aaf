import { KIT_KINDS } from "@kind-grip/core/library";
import { gripMarks, loadLadder } from "@kind-grip/core/load";
import { toolFrom, USUAL_TOOLS } from "./tools";

it("a piece of kit is a weight in the palm or a lever; what has no mass is neither", () => {
  expect(toolFrom("dumbbell", 1.5)).toMatchObject({ name: "Dumbbell 1.5 kg", kind: "weight", massKg: 1.5 });
  expect(toolFrom("dowel", 0.45)).toMatchObject({ kind: "lever", massKg: 0.45, headKg: 0 });
  expect(toolFrom("dumbbell", null)).toBeUndefined();
  expect(toolFrom("towel", 0.3)).toBeUndefined();
});
it("a hammer keeps its mass, most of it in the head", () => {
  const hammer = toolFrom("hammer", 0.7)!;
  if (hammer.kind !== "lever") throw new Error("a hammer is a lever");
  expect(hammer.massKg + hammer.headKg).toBeCloseTo(0.7, 2);
  expect(hammer.headKg).toBeGreaterThan(hammer.massKg);
});
it("every kind of kit with a mass can be put on a ladder", () => {
  const tools = [...USUAL_TOOLS, ...KIT_KINDS.flatMap((kind) => toolFrom(kind, 1) ?? [])];
  const ladder = loadLadder(tools, { axis: "tilt", handling: "along" });
  expect(ladder.length).toBeGreaterThan(tools.length);
  for (const tool of tools) if (tool.kind === "lever") expect(gripMarks(tool).length).toBeGreaterThan(2);
});
