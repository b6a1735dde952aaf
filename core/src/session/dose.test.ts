import * as v from "valibot";
import { Dose, doseText, tempoSec } from ".";

const ok = (dose: unknown) => v.safeParse(Dose, dose).success;
const holds = { kind: "holds", reps: 3, holdSec: 20, restSec: 10 };
const reps = { kind: "reps", sets: 2, reps: 12, tempo: { outSec: 3, endPauseSec: 0, backSec: 3, startPauseSec: 1 }, restSec: 45 };
const timed = { kind: "timed", sets: 1, workSec: 60, restSec: 0 };
const steps = { kind: "steps", rounds: 1, stepsUsed: 3, stepSec: 4, slides: 1, slideReps: 3, slideSec: 3, restSec: 0 };

describe("ranges, on both sides of each edge", () => {
  it.each([
    [holds, "reps", 1, 30],
    [holds, "holdSec", 1, 180],
    [holds, "restSec", 0, 300],
    [reps, "sets", 1, 10],
    [reps, "reps", 1, 60],
    [timed, "workSec", 5, 600],
    [steps, "rounds", 1, 10],
    [steps, "stepsUsed", 1, 6],
    [steps, "slides", 0, 4],
    [steps, "slideReps", 1, 10],
  ])("%# %s %s", (dose, key, min, max) => {
    expect([min, max].map((value) => ok({ ...dose, [key]: value }))).toEqual([true, true]);
    expect([min - 1, max + 1].map((value) => ok({ ...dose, [key]: value }))).toEqual([false, false]);
  });

  it("seconds come in halves, counts whole, and nothing unknown gets in", () => {
    expect([20.5, 20.25].map((holdSec) => ok({ ...holds, holdSec }))).toEqual([true, false]);
    expect(ok({ ...holds, reps: 2.5 })).toBe(false);
    expect(ok({ ...holds, extra: 1 })).toBe(false);
    expect(ok({ ...holds, kind: "other" })).toBe(false);
  });

  it("a repetition takes at least a second", () => {
    const tempo = (outSec: number) => ({ ...reps, tempo: { outSec, endPauseSec: 0, backSec: 0, startPauseSec: 0 } });
    expect([1, 0.5].map((outSec) => ok(tempo(outSec)))).toEqual([true, false]);
  });
});

it("writes itself short", () => {
  const shapes = { ...steps, slides: 0, stepsUsed: 5, rounds: 1 };
  const one = { ...steps, stepsUsed: 1, slides: 1, slideReps: 1, rounds: 2 };
  const doses = [holds, reps, { ...reps, sets: 1 }, timed, { ...timed, sets: 2 }, steps, shapes, { ...shapes, rounds: 3 }, one];
  expect(doses.map((dose) => doseText(v.parse(Dose, dose)))).toEqual([
    "3 × 20 s",
    "2 × 12 at 3-0-3-1",
    "12 at 3-0-3-1",
    "60 s",
    "2 × 60 s",
    "3 steps, 3 slides",
    "5 steps",
    "3 × 5 steps",
    "2 × (1 step, 1 slide)",
  ]);
  expect(tempoSec(reps.tempo)).toBe(7);
});
