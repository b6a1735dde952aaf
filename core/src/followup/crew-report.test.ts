import fc from "fast-check";
import { roundingStep } from "./small-groups";
import {
  adherenceOf,
  blockFigures,
  blockStartOf,
  FEWEST_PEOPLE,
  measuredChanges,
  readableBlocks,
  readableOn,
  readableSet,
  roundedMean,
  type PersonDay,
} from ".";

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

const day = (personId: string, date: string, change: Partial<PersonDay> = {}): PersonDay => ({
  personId,
  day: date,
  itemsDue: 4,
  itemsDone: 3,
  doneSec: 200,
  runs: 1,
  effortSum: 2,
  efforts: 1,
  marks: 0,
  ...change,
});

describe("blocks of four weeks", () => {
  it("do not overlap, begin on Mondays, and can be read a week after their end", () => {
    const start = blockStartOf("2026-03-26");
    expect([start, new Date(`${start}T00:00:00Z`).getUTCDay()]).toEqual(["2026-03-16", 1]);
    expect([blockStartOf(start), blockStartOf("2026-03-15"), blockStartOf("2023-12-31")]).toEqual([start, "2026-02-16", "2023-12-25"]);
    expect(readableOn("2026-02-16")).toBe("2026-03-23");
    expect(readableBlocks("2026-01-29", "2026-03-22")).toEqual(["2026-01-19"]);
    expect(readableBlocks("2026-01-29", "2026-03-23")).toEqual(["2026-01-19", "2026-02-16"]);
  });
  it("add up their days and leave out what lies outside them", () => {
    const days = [...people(6).flatMap((id) => [day(id, "2026-02-16"), day(id, "2026-03-15")]), day("p0", "2026-03-16", { doneSec: 9999 })];
    const { figures, behind } = blockFigures("2026-02-16", days, [], []);
    expect(figures).toEqual({ people: 6, adherence: 0.75, secPerPersonDay: 198, meanEffort: 2, morningsRaised: null });
    expect(behind.adherence).toHaveLength(6);
  });
  it("withhold each figure by who stands behind that figure", () => {
    const days = people(6).map((id, i) => day(id, "2026-02-17", i < 2 ? { efforts: 0, effortSum: 0 } : {}));
    const { figures } = blockFigures("2026-02-16", days, [], []);
    expect([figures.people, figures.meanEffort]).toEqual([6, null]);
  });
  it("count mornings as a share of answers, and changes from five people on", () => {
    const mornings = people(5).map((personId, i) => ({ personId, day: "2026-02-18", raised: i === 0 }));
    expect(blockFigures("2026-02-16", [], mornings, []).figures.morningsRaised).toBe(0.2);
    const change = (count: number) => people(count).map((personId) => ({ personId, measure: "grip" as const, change: 2 }));
    expect(measuredChanges(change(5), []).changes).toEqual([{ measure: "grip", people: 5, mean: 2 }]);
    expect(measuredChanges(change(4), []).changes).toEqual([]);
    // Six minus five would be the sixth.
    expect(measuredChanges(change(6), [{ grip: people(5) }]).changes).toMatchObject([{ people: 5 }]);
  });
});

it("adherence: done of due, more than asked counts as all, nothing due is no figure", () => {
  expect(adherenceOf([])).toBeNull();
  expect(adherenceOf([day("a", "2026-03-03", { itemsDue: 0, itemsDone: 2 })])).toBeNull();
  expect(adherenceOf([day("a", "2026-03-03", { itemsDue: 4, itemsDone: 6 }), day("a", "2026-03-04", { itemsDue: 4, itemsDone: 2 })])).toBe(
    0.75,
  );
});
