/** The largest type with which a session stays on its page is found without laying out every size. */
import fc from "fast-check";
import { DEFAULT_STYLE, newItem, SHIPPED_LIBRARY } from "@kind-grip/core/library";
import { wordsOf } from "@kind-grip/core/language";
import { fittingScales, nextStep } from "./fitting";
import type { Leaf } from "./leaf";

const SIZES = [1, 0.93, 0.86, 0.78, 0.69, 0.6, 0.5];

/** Measures what is asked for until nothing is. @returns the steps that were measured, in order, and how full each was */
function searched(fullnessAt: (size: number) => number): Map<number, number> {
  const measured = new Map<number, number>();
  for (let step = nextStep(SIZES, measured); step !== undefined; step = nextStep(SIZES, measured)) {
    expect(measured.has(step)).toBe(false);
    measured.set(step, fullnessAt(SIZES[step]!));
  }
  return measured;
}
const chosen = (measured: Map<number, number>) => Math.min(...[...measured].flatMap(([step, full]) => (full <= 1 ? [step] : [])));

it("what fits at full size is measured once; what fits at none, down to the smallest", () => {
  expect([...searched(() => 0.8).keys()]).toEqual([0]);
  expect(searched(() => 1.2).has(SIZES.length - 1)).toBe(true);
  expect(chosen(searched(() => 1.2))).toBe(Infinity);
  // Exactly full is not too full.
  expect([...searched(() => 1).keys()]).toEqual([0]);
});

it("finds the largest that fits wherever heights go with a power of the size, and seldom measures all", () => {
  const power = fc.double({ min: 1, max: 3, noNaN: true });
  const atFullSize = fc.double({ min: 0.5, max: 3, noNaN: true });
  let measurements = 0;
  let searches = 0;
  fc.assert(
    fc.property(atFullSize, power, (full, exponent) => {
      const fullness = (size: number) => full * size ** exponent;
      const measured = searched(fullness);
      const largest = SIZES.findIndex((size) => fullness(size) <= 1);
      expect(chosen(measured)).toBe(largest < 0 ? Infinity : largest);
      measurements += measured.size;
      searches++;
    }),
    { numRuns: 500 },
  );
  expect(measurements / searches).toBeLessThan(3);
});

it("with steps that are not smooth it still ends with one that fits", () => {
  const jumps = fc.array(fc.double({ min: 0, max: 0.3, noNaN: true }), { minLength: SIZES.length, maxLength: SIZES.length });
  fc.assert(
    fc.property(jumps, (drops) => {
      const fullness = new Map<number, number>();
      let full = 1.6;
      SIZES.forEach((size, i) => fullness.set(size, (full -= drops[i]!)));
      const found = chosen(searched((size) => fullness.get(size)!));
      if ([...fullness.values()].some((each) => each <= 1)) expect(fullness.get(SIZES[found]!)).toBeLessThanOrEqual(1);
    }),
  );
});

/** A few again and again: each picture that is new is drawn, which is not what is looked at here. */
const FEW = SHIPPED_LIBRARY.movements.slice(0, 5);
const leafOf = (items: number): Leaf => ({
  session: {
    id: "session",
    name: "Yard warm-up",
    slot: "preShift",
    items: Array.from({ length: items }, (_, i) => newItem(FEW[i % FEW.length]!, DEFAULT_STYLE, `item ${i}`)),
  },
  words: wordsOf(SHIPPED_LIBRARY),
  whose: "Slate crew",
  names: new Map(),
});

it("three items stand at full size, nine smaller on one page, thirty on several", async () => {
  const fits = await fittingScales(
    { library: SHIPPED_LIBRARY, figures: {} },
    new Map([3, 9, 30].map((items) => [String(items), leafOf(items)])),
  );
  expect(fits.get("3")).toEqual({ scale: 1, pages: 1 });
  expect(fits.get("9")!.pages).toBe(1);
  expect(fits.get("9")!.scale).toBeLessThan(0.9);
  // Read standing, at arm's length: type does not shrink for ever.
  expect(fits.get("30")).toEqual({ scale: 0.75, pages: expect.any(Number) as number });
  expect(fits.get("30")!.pages).toBeGreaterThan(2);
});
