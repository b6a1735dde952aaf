import fc from "fast-check";
import { FEWEST_PEOPLE, readableSet, roundedMean, roundingStep } from "./small-groups";

const people = (count: number, from = 0) => Array.from({ length: count }, (_, i) => `p${from + i}`);
const set = (count: number, from = 0) => new Set(people(count, from));

describe("small groups", () => {
  it.each([
    ["five, the first time", set(5), [], 5],
    ["four", set(4), [], null],
    ["the same people again", set(6), [set(6)], 6],
    ["one who came is left out", set(7), [set(6)], 6],
    ["five who came are in it", set(11), [set(6)], 11],
    ["one who left takes four with them", set(11), [set(12)], 7],
    ["one of six who left: nobody is left to tell of", set(5), [set(6)], null],
    ["others altogether", set(6, 20), [set(6)], 6],
  ] as const)("%s", (_, who, earlier, size) => {
    expect(readableSet(who, earlier)?.size ?? null).toBe(size);
  });

  /** Everybody an attacker can tell apart keeps all reports: whose sets they are is known, and every person's value is always the same. */
  it("whoever keeps every report, with people coming and going, never gets at fewer than five", () => {
    const crew = fc.uniqueArray(fc.integer({ min: 0, max: 24 }), { maxLength: 25 });
    fc.assert(
      fc.property(fc.array(crew, { minLength: 1, maxLength: 10 }), (blocks) => {
        const told: Set<string>[] = [];
        for (const who of blocks) {
          const found = readableSet(who.map(String), told);
          if (!found) continue;
          for (const id of found) expect(who.map(String)).toContain(id);
          expect(found.size).toBeGreaterThanOrEqual(FEWEST_PEOPLE);
          for (const earlier of told) {
            const apart = [...found].filter((id) => !earlier.has(id)).length + [...earlier].filter((id) => !found.has(id)).length;
            expect(apart === 0 || apart >= FEWEST_PEOPLE).toBe(true);
          }
          told.push(found);
        }
      }),
      { numRuns: 500 },
    );
  });

  it("one person moves what is read by one step at most", () => {
    const steps = [0.01, 0.02, 0.05, 0.1, 0.2, 0.25];
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 10 }), { minLength: 5, maxLength: 30 }), (done) => {
        const parts = done.map((sum) => ({ sum, weight: 10 }));
        const [read, step] = [roundedMean(parts, steps), roundingStep(parts, steps)];
        const mean = (list: typeof parts) => list.reduce((sum, each) => sum + each.sum, 0) / (10 * list.length);
        expect(Math.abs(read / step - Math.round(read / step))).toBeLessThan(1e-6);
        for (const part of parts)
          expect(Math.abs(mean(parts) - mean(parts.filter((each) => each !== part)))).toBeLessThanOrEqual(step + 1e-9);
        expect(String(read).length).toBeLessThanOrEqual(4);
      }),
    );
  });
});
