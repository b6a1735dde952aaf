import { adherenceOf, blockStartOf, readableBlocks, readableOn, type PersonDay } from ".";

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
});

it("adherence: done of due, more than asked counts as all, nothing due is no figure", () => {
  expect(adherenceOf([])).toBeNull();
  expect(adherenceOf([day("a", "2026-03-03", { itemsDue: 0, itemsDone: 2 })])).toBeNull();
  expect(adherenceOf([day("a", "2026-03-03", { itemsDue: 4, itemsDone: 6 }), day("a", "2026-03-04", { itemsDue: 4, itemsDone: 2 })])).toBe(
    0.75,
  );
});
