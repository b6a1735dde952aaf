import * as v from "valibot";
import { emptyFirstAidBook, FirstAidBook, type FirstAidCase } from "../followup";
import { firstAidFigures, personDaysBetween, type Employment } from "./first-aid-figures";

const crew = (count: number, change: Partial<Employment> = {}): Employment[] =>
  Array.from({ length: count }, () => ({ startedOn: null, leftOn: null, ...change }));
let next = 0;
const at = (day: string, region: FirstAidCase["region"] = "thumbBase"): FirstAidCase => ({
  id: `019d0000-0000-7000-8000-${String(next++).padStart(12, "0")}`,
  day,
  region,
});

it.each<[Partial<Employment>, number]>([
  [{}, 10],
  [{ startedOn: "2026-03-05" }, 6],
  [{ leftOn: "2026-03-05" }, 5],
  [{ startedOn: "2026-03-11" }, 0],
  [{ leftOn: "2026-02-28" }, 0],
])("ten days with %p are %i days at work", (change, days) => {
  expect(personDaysBetween(crew(1, change), "2026-03-01", "2026-03-10")).toBe(days);
});

describe("cases over time", () => {
  const book: FirstAidBook = { since: "2025-12-22", cases: [at("2025-12-30"), at("2026-01-20"), at("2026-01-21", null), at("2026-03-20")] };
  it("by whole blocks that are over, newest first, by place", () => {
    expect(firstAidFigures(book, crew(8), null, "2026-03-26")!.blocks).toEqual([
      { from: "2026-02-16", until: "2026-03-15", cases: 0, byRegion: [] },
      {
        from: "2026-01-19",
        until: "2026-02-15",
        cases: 2,
        byRegion: [
          { region: "thumbBase", cases: 1 },
          { region: null, cases: 1 },
        ],
      },
      { from: "2025-12-22", until: "2026-01-18", cases: 1, byRegion: [{ region: "thumbBase", cases: 1 }] },
    ]);
  });
  it("not of fewer than five people at work, nor of a block the book begins in", () => {
    expect(firstAidFigures(book, crew(4), null, "2026-03-26")!.blocks).toEqual([]);
    const late = [...crew(4), ...crew(1, { startedOn: "2026-02-01" })];
    expect(firstAidFigures(book, late, null, "2026-03-26")!.blocks.map(({ from }) => from)).toEqual(["2026-02-16", "2026-01-19"]);
    expect(firstAidFigures({ ...book, since: "2025-12-23" }, crew(8), null, "2026-03-26")!.blocks.at(-1)!.from).toBe("2026-01-19");
  });
  it("before and after the program began, by days at work; the day it began is after", () => {
    const { change } = firstAidFigures(book, crew(8), "2026-01-20", "2026-03-26")!;
    expect(change).toMatchObject({ before: { cases: 1, personDays: 8 * 29 }, after: { cases: 3, personDays: 8 * 65 } });
    expect(change!.change!.ratio).toBeCloseTo((3 / 65) * 29, 6);
  });
  it("has nothing before and after without a program, without time before it, or of fewer than five", () => {
    expect(firstAidFigures(book, crew(8), null, "2026-03-26")!.change).toBeNull();
    expect(firstAidFigures(book, crew(8), "2025-12-22", "2026-03-26")!.change).toBeNull();
    expect(firstAidFigures(book, crew(8), "2026-03-26", "2026-03-26")!.change).toBeNull();
    expect(firstAidFigures(book, crew(4), "2026-01-20", "2026-03-26")!.change).toBeNull();
    expect(firstAidFigures(emptyFirstAidBook(), crew(8), "2026-01-20", "2026-03-26")).toBeNull();
  });
});

it("a book holds no case from before it begins", () => {
  expect(v.is(FirstAidBook, { since: "2026-01-01", cases: [at("2026-01-01")] })).toBe(true);
  expect(v.is(FirstAidBook, { since: "2026-01-02", cases: [at("2026-01-01")] })).toBe(false);
  expect(v.is(FirstAidBook, { since: null, cases: [at("2026-01-01")] })).toBe(false);
});
