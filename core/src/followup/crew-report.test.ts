import fc from "fast-check";
import { adherenceOf, crewReport, FEWEST_PEOPLE, publishable, type PersonDay } from ".";

const people = (count: number, from = 0) => Array.from({ length: count }, (_, i) => `p${from + i}`);
const set = (count: number, from = 0) => new Set(people(count, from));

describe("small groups", () => {
  it.each([
    ["5 in each week", [set(5), set(5)], 2, true],
    ["4 in each, 4 in all", [set(4), set(4)], 0, false],
    ["4 in each, 8 in all", [set(4), set(4, 4)], 0, true],
    ["12 in one week, 4 others in the next: the rest would show the 4", [set(12), set(4, 20)], 0, true],
    ["12 in one week, 5 others in the next", [set(12), set(5, 20)], 2, true],
    ["12, 9 and 3: the 9 is withheld with the 3", [set(12), set(9), set(3)], 1, true],
    ["nobody in the second week", [set(6), new Set<string>()], 1, true],
  ] as const)("%s", (_, weeks, parts, whole) => {
    const found = publishable(new Map(weeks.map((who, i) => [i, who])));
    expect([found.parts.size, found.whole]).toEqual([parts, whole]);
  });

  it("whatever is subtracted from whatever, five people stand behind it or nobody", () => {
    const week = fc.uniqueArray(fc.integer({ min: 0, max: 14 }), { maxLength: 15 });
    fc.assert(
      fc.property(fc.array(week, { minLength: 1, maxLength: 6 }), (weeks) => {
        const who = new Map(weeks.map((list, i) => [i, new Set(list.map(String))]));
        const { parts, whole } = publishable(who);
        for (const part of parts) expect(who.get(part)!.size).toBeGreaterThanOrEqual(FEWEST_PEOPLE);
        if (!whole) return expect(parts.size).toBe(0);
        // Every choice of shown weeks taken away from the whole.
        for (let mask = 0; mask < 1 << weeks.length; mask++) {
          const away = [...parts].filter((part) => mask & (1 << part));
          const rest = new Set([...who].filter(([part]) => !away.includes(part)).flatMap(([, list]) => [...list]));
          expect(rest.size === 0 || rest.size >= FEWEST_PEOPLE).toBe(true);
        }
        return undefined;
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

describe("the crew report", () => {
  const weeks = ["2026-03-02", "2026-03-09"];
  it("adds up whole weeks and leaves out what lies outside them", () => {
    const days = [...people(6).flatMap((id) => [day(id, "2026-03-03"), day(id, "2026-03-15")]), day("p0", "2026-03-16", { doneSec: 9999 })];
    const report = crewReport(weeks, days, [], []);
    expect(report.whole).toEqual({ people: 6, adherence: 0.75, secPerPersonDay: 200, meanEffort: 2, morningsRaised: null });
    expect(report.weeks.map(({ figures }) => figures.people)).toEqual([6, 6]);
  });
  it("withholds each figure by who stands behind that figure", () => {
    const days = people(6).map((id, i) => day(id, "2026-03-03", i < 2 ? { efforts: 0, effortSum: 0 } : {}));
    const { whole } = crewReport(weeks, days, [], []);
    expect([whole.people, whole.meanEffort]).toEqual([6, null]);
  });
  it("counts mornings as a share of answers, and changes from five people on", () => {
    const mornings = people(5).map((personId, i) => ({ personId, day: "2026-03-04", raised: i === 0 }));
    const change = (count: number) => people(count).map((personId) => ({ personId, measure: "grip" as const, change: 2, counts: false }));
    expect(crewReport(weeks, [], mornings, change(5))).toMatchObject({
      whole: { morningsRaised: 0.2 },
      changes: [{ measure: "grip", people: 5, mean: 2 }],
    });
    expect(crewReport(weeks, [], mornings, change(4)).changes).toEqual([]);
  });
});

it("adherence: done of due, more than asked counts as all, nothing due is no figure", () => {
  expect(adherenceOf([])).toBeNull();
  expect(adherenceOf([day("a", "2026-03-03", { itemsDue: 0, itemsDone: 2 })])).toBeNull();
  expect(adherenceOf([day("a", "2026-03-03", { itemsDue: 4, itemsDone: 6 }), day("a", "2026-03-04", { itemsDue: 4, itemsDone: 2 })])).toBe(
    0.75,
  );
});
