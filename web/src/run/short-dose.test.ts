import { wordsIn } from "@kind-grip/core/language";
import type { Dose } from "@kind-grip/core/session";
import { shortDose } from "./short-dose";

const tempo = { outSec: 2, endPauseSec: 2, backSec: 2, startPauseSec: 0 };
it.each<[string, Dose]>([
  ["3 × 20 s", { kind: "holds", reps: 3, holdSec: 20, restSec: 5 }],
  ["2 × 30 s", { kind: "timed", sets: 2, workSec: 30, restSec: 10 }],
  ["10 times", { kind: "reps", sets: 1, reps: 10, tempo, restSec: 0 }],
  ["once", { kind: "reps", sets: 1, reps: 1, tempo, restSec: 0 }],
  ["2 × 12 times", { kind: "reps", sets: 2, reps: 12, tempo, restSec: 30 }],
])("%s", (text, dose) => expect(shortDose(wordsIn("en"), dose)).toBe(text));
