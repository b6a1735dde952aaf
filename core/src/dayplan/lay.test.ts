import fc from "fast-check";
import moment from "moment-timezone";
import * as v from "valibot";
import { addDays, shiftsFrom, type ShiftPattern } from "../calendar";
import { sampleId } from "../session/sample";
import { laidById, laidId, layPlan, momentIn, placeIn, type PlanParts } from "./lay";
import { ROTATION, sampleGroup, sampleSeries, told } from "./plan.sample";
import { StandingPlan, type Series } from "./standing";

const minute = 60_000;
const parts = (series: Series[], more: Partial<PlanParts> = {}): PlanParts => ({
  standing: { groups: [], series },
  placements: [],
  kept: [],
  ...more,
});
const lay = (series: Series[], from = "2026-03-02", days = 21) => told(layPlan(parts(series), ROTATION, from, days));
const withOtherDays = (...otherDays: { date: string; shift: string | null }[]) => ({
  ...ROTATION,
  shiftPattern: { ...ROTATION.shiftPattern, otherDays },
});

describe("a series", () => {
  it("is on its kind of shift and on no other, round after round", () => {
    expect(lay([sampleSeries()], "2026-03-02", 28)).toEqual(
      ["02", "03", "04", "05", "06", "23", "24", "25", "26", "27"].map((day) => `03-${day} 03-${day}T06:00`),
    );
  });

  it.each([
    ["the start", { from: "start", min: -10 }, "night", "03-16 03-16T21:50"],
    ["the end", { from: "end", min: 15 }, "night", "03-16 03-17T05:45"],
    ["a break", { from: "break", nr: 0, min: 5 }, "night", "03-16 03-17T02:05"],
    ["the second short break of a split", { from: "break", nr: 2, min: 0 }, "split", "03-09 03-09T17:00"],
  ] as const)("is found from %s of a shift, nights by the day they begin on", (_, at, shift, first) => {
    expect(lay([sampleSeries({ at, shift })])[0]).toBe(first);
  });

  it("keeps its wall time over the change of the clocks, and its real distance from the end", () => {
    const nights = { ...ROTATION, shiftPattern: { ...ROTATION.shiftPattern, cycle: ["night"] } };
    const at = (place: Series["at"]) => told(layPlan(parts([sampleSeries({ shift: "night", at: place })]), nights, "2026-03-27", 3));
    expect(at({ from: "start", min: 300 })).toEqual(["03-27 03-28T03:00", "03-28 03-29T02:00", "03-29 03-30T02:00"]);
    expect(at({ from: "end", min: 30 })).toEqual(["03-27 03-28T05:30", "03-28 03-29T04:30", "03-29 03-30T04:30"]);
  });

  it("is nowhere on a holiday and goes where its shift was swapped to", () => {
    const changed = withOtherDays(
      { date: "2026-03-03", shift: null },
      { date: "2026-03-07", shift: "early" },
      { date: "2026-03-04", shift: "night" },
    );
    expect(told(layPlan(parts([sampleSeries()]), changed, "2026-03-02", 7))).toEqual(
      ["02", "05", "06", "07"].map((day) => `03-${day} 03-${day}T06:00`),
    );
  });

  it("begins and ends with the days it has, and is only on those of the week or of the cycle it names", () => {
    expect(lay([sampleSeries({ fromDate: "2026-03-04", untilDate: "2026-03-05" })])).toHaveLength(2);
    const dates = (only: Series["only"]) =>
      layPlan(parts([sampleSeries({ only })]), ROTATION, "2026-03-02", 28).map(({ date }) => date.slice(8));
    expect(dates({ by: "weekday", days: [1, 5] })).toEqual(["02", "06", "23", "27"]);
    expect(dates({ by: "cycleDay", days: [0, 7] })).toEqual(["02", "23"]);
  });

  it("differs on a day without leaving the others, and is out of one", () => {
    const series = sampleSeries({
      untilDate: "2026-03-05",
      otherDays: [
        { date: "2026-03-03", startsAt: "2026-03-03T08:00:00.000Z" },
        { date: "2026-03-04", startsAt: null },
      ],
    });
    expect(lay([series])).toEqual(["03-02 03-02T06:00", "03-03 03-03T08:00", "03-05 03-05T06:00"]);
  });

  it("is for its group as that is now, and for nobody while nobody is in it", () => {
    const group = sampleGroup(["p1", "p2"]);
    const laid = (people: string[]) =>
      layPlan(
        {
          ...parts([sampleSeries({ groupId: group.id })]),
          standing: { groups: [{ ...group, people }], series: [sampleSeries({ groupId: group.id })] },
        },
        ROTATION,
        "2026-03-02",
        1,
      );
    expect(laid(["p1", "p2"])[0]).toMatchObject({ people: ["p1", "p2"], groupName: "Group 1" });
    expect(laid([])).toEqual([]);
  });

  it("on a break the shift no longer has is on no day", () => {
    expect(lay([sampleSeries({ at: { from: "break", nr: 4, min: 0 } })])).toEqual([]);
  });
});

describe("what was kept", () => {
  it("stands instead of what would be laid on its day; the others follow the series", () => {
    const series = sampleSeries({ untilDate: "2026-03-03" });
    const [first] = layPlan(parts([series]), ROTATION, "2026-03-02", 1);
    const { programId, sessionId, people, groupName, id } = first!;
    const kept = { id, programId, sessionId, people, groupName, startsAt: "2026-03-02T06:05:00.000Z" };
    const moved = { ...series, at: { from: "start" as const, min: 60 } };
    const laid = layPlan(parts([moved], { kept: [kept] }), ROTATION, "2026-03-02", 2);
    expect(told(laid)).toEqual(["03-02 03-02T06:05", "03-03 03-03T07:00"]);
    expect(laid.map((each) => [each.kept, each.seriesId])).toEqual([
      [true, series.id],
      [false, series.id],
    ]);
  });
});

describe("ids of laid placements", () => {
  it("are UUIDs, differ from day to day, and lead back to their series and day", () => {
    const series = [sampleSeries(), sampleSeries({ shift: "night" })];
    const laid = layPlan(parts(series), ROTATION, "2026-03-02", 60);
    expect(new Set(laid.map(({ id }) => id)).size).toBe(laid.length);
    for (const each of laid) {
      expect(v.is(v.pipe(v.string(), v.uuid()), each.id)).toBe(true);
      expect(laidById({ groups: [], series }, ROTATION, each.id)).toEqual(each);
    }
  });

  it("of a day it is not on, of another series and of anything else lead nowhere", () => {
    const series = sampleSeries();
    const standing = { groups: [], series: [series] };
    for (const id of [
      laidId(series.id, "2026-03-07"),
      laidId(sampleSeries().id, "2026-03-02"),
      series.id,
      `${series.id.slice(0, -8)}ffffffff`,
    ])
      expect(laidById(standing, ROTATION, id)).toBeUndefined();
  });

  it("by chance: no two days and no two series share one", () => {
    const day = fc.integer({ min: 0, max: 36_000 }).map((days) => addDays("2000-01-01", days));
    fc.assert(
      fc.property(fc.uuid({ version: 7 }), fc.uuid({ version: 7 }), day, day, (a, b, one, two) => {
        fc.pre(a !== b);
        expect(laidId(a, one) === laidId(a, two)).toBe(one === two);
        expect(a.slice(0, -8) !== b.slice(0, -8) && laidId(a, one) === laidId(b, two)).toBe(false);
      }),
    );
  });
});

const ZONES = [
  "Europe/Dublin",
  "America/New_York",
  "Australia/Lord_Howe",
  "Asia/Kathmandu",
  "Pacific/Auckland",
  "America/Santiago",
  "Atlantic/Azores",
  "Asia/Tokyo",
  "UTC",
];

it.each(ZONES)("ten years in %s: every moment is its wall time by an independent library, or the clocks skip it", (timeZone) => {
  const shiftPattern: ShiftPattern = { ...ROTATION.shiftPattern, cycle: ["early", "night", null, "split"] };
  const wanted = [
    { shift: "early", time: "06:35", min: 35, next: 0 },
    { shift: "night", time: "02:30", min: 270, next: 1 },
    { shift: "split", time: "06:50", min: -10, next: 0 },
  ];
  const series = wanted.map(({ shift, min }) => sampleSeries({ shift, at: { from: "start", min }, fromDate: "2020-01-01" }));
  const laid = layPlan(parts(series), { shiftPattern, timeZone }, "2020-01-01", 3653);
  expect(laid.length).toBeGreaterThan(2700);
  const wrong = laid.filter(({ seriesId, date, startsAt }) => {
    const { time, next } = wanted[series.findIndex(({ id }) => id === seriesId)]!;
    const wall = `${addDays(date, next)} ${time}`;
    const theirs = moment.tz(wall, timeZone);
    const isSkipped = theirs.format("YYYY-MM-DD HH:mm") !== wall;
    return !isSkipped && theirs.valueOf() !== Date.parse(startsAt);
  });
  expect(wrong).toEqual([]);
});

describe("the place of a moment in a shift", () => {
  const grid = fc.integer({ min: -12, max: 140 });
  it.each(["preShift", "break", "postShift"] as const)("leads back to the moment, on every day of two years (%s)", (slot) => {
    const shifts = shiftsFrom(ROTATION.shiftPattern, ROTATION.timeZone, "2025-06-01", 730);
    fc.assert(
      fc.property(fc.constantFrom(...shifts), grid, (shift, step) => {
        const atMs = shift.startMs + step * 5 * minute;
        const back = momentIn(placeIn(shift, atMs, slot, ROTATION.timeZone), shift, ROTATION.timeZone);
        // The second of two equal wall times cannot be told from the first.
        if (shift.clockChangeMin <= 0) expect(back).toBe(atMs);
        else expect([0, 60 * minute]).toContain(atMs - back!);
      }),
    );
  });

  it("of a stretch break goes with the break it lies in, of a warm-up with the start, of a close with the end", () => {
    const [shift] = shiftsFrom(ROTATION.shiftPattern, ROTATION.timeZone, "2026-03-02", 1);
    const at = (min: number, slot: "preShift" | "break" | "postShift") =>
      placeIn(shift!, shift!.startMs + min * minute, slot, ROTATION.timeZone);
    expect(at(125, "break")).toEqual({ from: "break", nr: 0, min: 5 });
    expect(at(180, "break")).toEqual({ from: "start", min: 180 });
    expect(at(125, "preShift")).toEqual({ from: "start", min: 125 });
    expect(at(460, "postShift")).toEqual({ from: "end", min: 20 });
  });
});

describe("a standing plan is refused", () => {
  const series = sampleSeries();
  const group = sampleGroup(["0194f000-0000-7000-8000-00000000000a"]);
  it.each([
    ["when a series ends before it begins", { groups: [], series: [{ ...series, untilDate: "2026-03-01" }] }, "ends before it begins"],
    ["when a group is not there", { groups: [], series: [{ ...series, groupId: group.id }] }, "a group that is not there"],
    ["when somebody is in two groups", { groups: [group, { ...group, id: sampleId() }], series: [] }, "somebody is in two groups"],
    [
      "when a day differs twice",
      {
        groups: [],
        series: [
          {
            ...series,
            otherDays: [
              { date: "2026-03-03", startsAt: null },
              { date: "2026-03-03", startsAt: null },
            ],
          },
        ],
      },
      "named twice",
    ],
  ])("%s", (_, plan, message) => {
    expect(v.safeParse(StandingPlan, plan).issues?.[0].message).toContain(message);
  });
});
