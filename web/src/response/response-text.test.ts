import { wordsIn } from "@kind-grip/core/language";
import { changeText, firedText } from "./response-text";

it.each([
  [
    firedText({ rule: "readyForMore", runs: 3, highestEffort: 2, cap: 3, margin: 1 }),
    "Top of the dose in 3 runs in a row, effort at most 2 (cap 3, 1 below it wanted), mornings not raised.",
  ],
  [
    firedText({ rule: "noGain", days: 8, before: 4, now: 3.67, donePercent: 81.2 }),
    "No better after 8 days with 81 % of the sessions done: 4 at the start, 3.7 now.",
  ],
  [firedText({ rule: "atTheTop", stop: "tooHeavy" }), "The lightest the kit has is too heavy to begin with."],
  [firedText({ rule: "atTheTop", stop: "kit" }), "The next step needs kit the crew does not have."],
])("a rule is told with its figures: %s", (told, expected) => expect(told).toBe(expected));

it("what changes is told in the words of the movement", () => {
  const next = {
    formId: "table",
    dose: { kind: "holds", reps: 3, holdSec: 20, restSec: 10 },
    loadKg: null,
    tool: null,
    gripM: null,
  } as const;
  const told = (change: object) =>
    changeText({ kind: "progress", fired: [], next, raised: "dose", largeStep: false, ...change }, "palm-away", wordsIn());
  expect(told({})).toMatch(/^Next dose: 3 holds of 20 s/);
  expect(told({ raised: "load", next: { ...next, loadKg: 1.5 }, largeStep: true })).toBe(
    "Next load: 1.5 kg, a step over 10 %: the kit has none smaller.",
  );
  expect(told({ kind: "pauseAndRefer", next: null })).toMatch(/clinician/);
});
