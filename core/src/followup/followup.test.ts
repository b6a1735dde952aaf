import fc from "fast-check";
import { durationText, minutesAndSeconds, IsoDate, LocalTime, spanText, torqueText } from "../units";
import * as v from "valibot";
import { followUpByPerson, followUpByRun, MIN_ANSWERS, trendOf } from ".";

const row = (personId: string, runId: string, present: boolean, effort: number | null, marks = 0) => ({
  personId,
  runId,
  startedAtMs: Number(runId) * 1000,
  present,
  effort,
  marks,
});
const rows = [row("a", "2", true, 4), row("b", "2", false, null), row("a", "1", true, 2, 1), row("b", "1", true, null)];

it("counts a person's presence and effort, unanswered left out of the mean", () => {
  expect(followUpByPerson(rows)).toEqual([
    { personId: "a", runs: 2, present: 2, presentShare: 1, meanEffort: 3, answers: 2, marks: 1 },
    { personId: "b", runs: 2, present: 1, presentShare: 0.5, meanEffort: null, answers: 0, marks: 0 },
  ]);
});

it("counts a run's, oldest first", () => {
  expect(followUpByRun(rows).map((run) => [run.runId, run.present, run.expected, run.meanEffort])).toEqual([
    ["1", 2, 2, 2],
    ["2", 1, 2, 4],
  ]);
});

describe("a trend", () => {
  const line = (count: number) => Array.from({ length: count }, (_, x) => ({ x, y: 3 - 0.5 * x }));
  it(`needs ${MIN_ANSWERS} answers`, () => {
    expect(trendOf(line(4))).toBeUndefined();
    expect(trendOf(line(5))).toEqual({ slope: -0.5, intercept: 3, answers: 5 });
  });
  it("needs time to pass", () => expect(trendOf(line(6).map(({ y }) => ({ x: 1, y })))).toBeUndefined());
  it("finds any line", () => {
    fc.assert(
      fc.property(fc.integer({ min: -50, max: 50 }), fc.integer({ min: -50, max: 50 }), (slope, intercept) => {
        const found = trendOf(Array.from({ length: 7 }, (_, x) => ({ x, y: slope * x + intercept })))!;
        expect(found.slope).toBeCloseTo(slope, 6);
        expect(found.intercept).toBeCloseTo(intercept, 6);
      }),
    );
  });
});

describe("units", () => {
  it("read as people read them", () => {
    expect([0, 59, 60, 171, 61.2].map(durationText)).toEqual([`0'00"`, `0'59"`, `1'00"`, `2'51"`, `1'02"`]);
    expect([0, 60, 495.2].map(minutesAndSeconds)).toEqual([
      { minutes: 0, seconds: 0 },
      { minutes: 1, seconds: 0 },
      { minutes: 8, seconds: 16 },
    ]);
    expect([45, 2.5, 120, 150].map((sec) => spanText(sec))).toEqual(["45 s", "2.5 s", "2 min", "2 min 30 s"]);
    expect(torqueText(1.1772)).toBe("1.18 N·m");
  });
  it("know days and times that are none", () => {
    expect(["2024-02-29", "2023-02-29", "2024-13-01", "x"].map((day) => v.safeParse(IsoDate, day).success)).toEqual([
      true,
      false,
      false,
      false,
    ]);
    expect(["00:00", "23:59", "24:00", "7:30"].map((time) => v.safeParse(LocalTime, time).success)).toEqual([true, true, false, false]);
  });
});
