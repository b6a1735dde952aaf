import { wordsIn } from "@kind-grip/core/language";
import type { Week } from "@kind-grip/core/program";
import { weekText } from "./week-text";

const week = (stop: Week["stop"]): Week => ({
  week: 9,
  formId: "band",
  dose: { kind: "holds", reps: 3, holdSec: 20, restSec: 10 },
  loadKg: null,
  change: "none",
  stop,
});

it.each<[Week["stop"], string]>([
  [{ kind: "top" }, "top of its ladder"],
  [{ kind: "kit", needs: ["band", "dumbbell"] }, "stops: needs bands or dumbbells"],
  [{ kind: "tooHeavy", needs: ["dumbbell", "hammer"] }, "stops: needs lighter dumbbells or hammers"],
  [{ kind: "noHeavier", loadKg: 1.5 }, "stops: nothing heavier than 1.5 kg"],
  [undefined, "the same"],
])("why a week raises nothing is said: %j", (stop, told) => expect(weekText(wordsIn(), week(stop), "lift-palm-down")).toBe(told));
