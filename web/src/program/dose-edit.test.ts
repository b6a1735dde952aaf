import fc from "fast-check";
import * as v from "valibot";
import { Dose } from "@kind-grip/core/session";
import { countOf, lengthOf, nudged, numbersOf } from "./dose-edit";

const DOSES: Dose[] = [
  { kind: "holds", reps: 3, holdSec: 20, restSec: 5 },
  { kind: "reps", sets: 2, reps: 12, tempo: { outSec: 3, endPauseSec: 0, backSec: 3, startPauseSec: 1 }, restSec: 30 },
  { kind: "timed", sets: 1, workSec: 60, restSec: 0 },
  { kind: "steps", rounds: 1, stepsUsed: 4, stepSec: 2, slides: 2, slideReps: 5, slideSec: 2, restSec: 10 },
];

describe.each(DOSES.map((dose) => [dose.kind, dose] as const))("the numbers of %s", (_, dose) => {
  it("show what the dose says, inside their ranges", () => {
    for (const number of numbersOf(dose)) {
      expect(number.set(number.value)).toEqual(dose);
      expect(number.value).toBeGreaterThanOrEqual(number.min);
      expect(number.value).toBeLessThanOrEqual(number.max);
    }
  });

  it.each(numbersOf(dose).map((number) => [number.key, number] as const))("%s can be anything from least to most", (_key, number) => {
    for (const value of [number.min, number.max]) expect(v.safeParse(Dose, number.set(value)).issues).toBeUndefined();
  });

  it("have a key each, so that a burst of changes is one step to undo", () => {
    const keys = numbersOf(dose).map(({ key }) => key);
    expect(new Set(keys).size).toBe(keys.length);
    expect(keys).toEqual(expect.arrayContaining([countOf(dose).key, lengthOf(dose).key]));
  });

  it("moved by any steps stay a dose, on the grid of their step, and come back", () => {
    fc.assert(
      fc.property(fc.integer({ min: -400, max: 400 }), fc.nat(numbersOf(dose).length - 1), (steps, which) => {
        const number = numbersOf(dose)[which]!;
        const after = nudged(number, steps);
        expect(v.safeParse(Dose, after).issues).toBeUndefined();
        const value = numbersOf(after)[which]!.value;
        expect([number.min, number.max].includes(value) || Math.abs(value / number.step - Math.round(value / number.step)) < 1e-9).toBe(
          true,
        );
        if (value !== number.min && value !== number.max) expect(nudged(numbersOf(after)[which]!, -steps)).toEqual(dose);
      }),
    );
  });
});
