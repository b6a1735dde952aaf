import fc from "fast-check";
import moment from "moment-timezone";
import * as v from "valibot";
import {
  addDays,
  dateAt,
  daysBetween,
  momentAt,
  mondayOf,
  patternPreset,
  SHIFT_REACH_MIN,
  ShiftPattern,
  shiftOf,
  shiftsFrom,
  wallTime,
  workingDay,
  workingDayAt,
  type Shift,
} from ".";

const minute = 60_000;
const night: ShiftPattern = {
  anchorDate: "2026-03-23",
  shifts: [{ id: "night", name: "Night", start: "22:00", lengthMin: 480, breaks: [{ afterMin: 240, lengthMin: 30 }] }],
  cycle: ["night"],
};
const hoursOf = (shift: Shift) => (shift.endMs - shift.startMs) / 3600_000;

describe("shifts", () => {
  it("across midnight belong to the day they start on", () => {
    const [shift] = shiftsFrom(night, "Europe/Dublin", "2026-03-24", 1);
    expect([shift!.date, new Date(shift!.startMs).toISOString(), new Date(shift!.endMs).toISOString()]).toEqual([
      "2026-03-24",
      "2026-03-24T22:00:00.000Z",
      "2026-03-25T06:00:00.000Z",
    ]);
  });

  it.each([
    ["the night the clocks go forward", "2026-03-28", 7, -60],
    ["an ordinary night", "2026-03-27", 8, 0],
    ["the night they go back", "2026-10-24", 9, 60],
  ])("%s end at six by the wall clock", (_, date, hours, change) => {
    const [shift] = shiftsFrom(night, "Europe/Dublin", date, 1);
    expect([hoursOf(shift!), shift!.clockChangeMin, wallTime(shift!.endMs, "Europe/Dublin")]).toEqual([hours, change, "06:00"]);
  });

  it("repeat their cycle in both directions from the anchor", () => {
    const pattern = patternPreset("fourOnFourOff", "2026-03-02");
    const days = (from: string, count: number) => shiftsFrom(pattern, "UTC", from, count).map((shift) => shift.date.slice(8));
    expect(days("2026-03-02", 9)).toEqual(["02", "03", "04", "05", "10"]);
    expect(days("2026-02-22", 8)).toEqual(["22", "23", "24", "25"]);
  });

  it("of two weeks days and one week nights come round after three weeks", () => {
    const names = shiftsFrom(patternPreset("daysThenNights", "2026-03-02"), "UTC", "2026-03-02", 28).map((shift) => shift.kind.id);
    expect(names).toEqual([...Array(10).fill("day"), ...Array(5).fill("night"), ...Array(5).fill("day")]);
  });

  it("go another way on days that differ, and by the cycle again after them", () => {
    const pattern: ShiftPattern = {
      ...patternPreset("daysThenNights", "2026-03-02"),
      otherDays: [
        { date: "2026-03-04", shift: null },
        { date: "2026-03-07", shift: "night" },
      ],
    };
    expect(v.parse(ShiftPattern, pattern)).toEqual(pattern);
    expect(shiftsFrom(pattern, "UTC", "2026-03-02", 8).map(({ date, kind }) => `${date.slice(8)} ${kind.id}`)).toEqual([
      "02 day",
      "03 day",
      "05 day",
      "06 day",
      "07 night",
      "09 day",
    ]);
  });

  it.each([
    ["an unknown shift", [{ date: "2026-03-04", shift: "late" }]],
    [
      "the same day twice",
      [
        { date: "2026-03-04", shift: null },
        { date: "2026-03-04", shift: "day" },
      ],
    ],
    ["no real day", [{ date: "2026-02-30", shift: null }]],
  ])("refuse days that differ with %s", (_, otherDays) => {
    expect(v.is(ShiftPattern, { ...patternPreset("weekdays", "2026-03-02"), otherDays })).toBe(false);
  });

  it("refuse a break outside, overlapping breaks, and a cycle that names no shift", () => {
    const ok = (change: (pattern: typeof night) => void) => {
      const pattern = structuredClone(night);
      change(pattern);
      return v.safeParse(ShiftPattern, pattern).success;
    };
    expect(ok((p) => (p.shifts[0]!.breaks = [{ afterMin: 450, lengthMin: 30 }]))).toBe(true);
    expect(ok((p) => (p.shifts[0]!.breaks = [{ afterMin: 451, lengthMin: 30 }]))).toBe(false);
    expect(
      ok(
        (p) =>
          (p.shifts[0]!.breaks = [
            { afterMin: 60, lengthMin: 30 },
            { afterMin: 90, lengthMin: 30 },
          ]),
      ),
    ).toBe(true);
    expect(
      ok(
        (p) =>
          (p.shifts[0]!.breaks = [
            { afterMin: 60, lengthMin: 30 },
            { afterMin: 89, lengthMin: 30 },
          ]),
      ),
    ).toBe(false);
    expect(ok((p) => (p.cycle = ["dawn"]))).toBe(false);
  });

  it("weeks begin on Monday", () => expect([mondayOf("2026-03-29"), mondayOf("2026-03-30")]).toEqual(["2026-03-23", "2026-03-30"]));

  it.each([
    ["comes twice east of Greenwich", "Europe/Berlin", "2026-10-25", "02:30", "2026-10-25T00:30:00.000Z"],
    ["comes twice west of Greenwich", "America/Chicago", "2026-11-01", "01:30", "2026-11-01T06:30:00.000Z"],
    ["comes twice half an hour apart", "Australia/Lord_Howe", "2026-04-05", "01:45", "2026-04-04T14:45:00.000Z"],
    ["is skipped east of Greenwich", "Europe/Berlin", "2026-03-29", "02:15", "2026-03-29T01:00:00.000Z"],
    ["is skipped west of Greenwich", "America/Chicago", "2026-03-08", "02:59", "2026-03-08T08:00:00.000Z"],
    ["is skipped by half an hour", "Australia/Lord_Howe", "2026-10-04", "02:10", "2026-10-03T15:30:00.000Z"],
    ["is skipped by two hours", "Antarctica/Troll", "2026-03-29", "02:30", "2026-03-29T01:00:00.000Z"],
  ])("a wall time that %s is one moment: the first, or the one after the gap", (_, zone, date, time, moment) => {
    expect(new Date(momentAt(date, time, 0, zone)).toISOString()).toBe(moment);
  });

  it.each([
    ["Berlin, a break in the skipped hour", "Europe/Berlin", "2026-03-28", 7, ["00:00 15", "03:00 30"]],
    ["Berlin, a break in the hour that comes twice", "Europe/Berlin", "2026-10-24", 9, ["00:00 15", "02:30 30"]],
    ["Chicago", "America/Chicago", "2026-03-07", 7, ["00:00 15", "03:00 30"]],
    ["Lord Howe", "Australia/Lord_Howe", "2026-10-03", 7.5, ["00:00 15", "02:30 30"]],
  ])("breaks keep their real length when the clocks change: %s", (_, zone, date, hours, breaks) => {
    const [, stock] = patternPreset("daysThenNights", date).shifts;
    const [shift] = shiftsFrom({ anchorDate: date, shifts: [stock!], cycle: ["night"] }, zone, date, 1);
    expect([
      hoursOf(shift!),
      shift!.breaks.map(({ startMs, endMs }) => `${wallTime(startMs, zone)} ${(endMs - startMs) / minute}`),
    ]).toEqual([hours, breaks]);
  });

  it.each([
    ["02:00", 60, 60],
    ["02:15", 60, 60],
    ["02:15", 120, 75],
    ["01:30", 120, 120],
    ["01:30", 121, 61],
  ])("that begin at %s for %i min on the night of the gap last %i: a shift is never swallowed", (start, lengthMin, lasts) => {
    const kind = { id: "a", name: "A", start, lengthMin, breaks: [] };
    const [shift] = shiftsFrom({ anchorDate: "2026-03-29", shifts: [kind], cycle: ["a"] }, "Europe/Berlin", "2026-03-29", 1);
    expect(hoursOf(shift!) * 60).toBe(lasts);
  });

  it("lie where an independent zone library with data of its own puts them: ten years, nine zones", () => {
    const zones = [
      "America/Chicago",
      "Europe/Dublin",
      "Australia/Lord_Howe",
      "Antarctica/Troll",
      "Africa/Casablanca",
      "Asia/Kathmandu",
      "America/St_Johns",
      "Pacific/Apia",
      "Europe/Berlin",
    ];
    // Years gone by: of years to come the two libraries may have data of different age.
    const from = Date.UTC(2016, 0, 1);
    const changesOf = (zone: string) =>
      moment.tz.zone(zone)!.untils.flatMap((until) => (until !== null && until > from && until < Date.UTC(2026, 0, 1) ? [until] : []));
    const changes = new Map(zones.map((zone) => [zone, changesOf(zone)]));
    let skipped = 0;
    let twice = 0;
    fc.assert(
      fc.property(
        fc.constantFrom(...zones),
        // Half of the cases within three hours of a change, the others anywhere.
        fc.option(fc.record({ change: fc.nat(), offMin: fc.integer({ min: -180, max: 180 }) })),
        fc.integer({ min: 0, max: 3652 }),
        fc.integer({ min: 0, max: 1439 }),
        (zone, near, day, startMin) => {
          const [atChange] = changes.get(zone)!.slice((near?.change ?? 0) % Math.max(1, changes.get(zone)!.length));
          const wall =
            near && atChange !== undefined
              ? moment
                  .utc(atChange - moment.tz.zone(zone)!.utcOffset(atChange - 1) * minute)
                  .add(near.offMin, "minutes")
                  .format("YYYY-MM-DDTHH:mm")
              : moment.utc(from).add(day, "days").add(startMin, "minutes").format("YYYY-MM-DDTHH:mm");
          const found = momentAt(wall.slice(0, 10), wall.slice(11), 0, zone);
          const theirs = moment.tz(wall, zone);
          const isThere = theirs.format("YYYY-MM-DDTHH:mm") === wall;
          const expected = isThere
            ? theirs.valueOf()
            : changes.get(zone)!.find((change) => Math.abs(change - theirs.valueOf()) <= 2 * 3600_000);
          if (!isThere) skipped += 1;
          if (isThere && moment.tz(found + 3600_000, zone).format("YYYY-MM-DDTHH:mm") === wall) twice += 1;
          expect([zone, wall, new Date(found).toISOString()]).toEqual([zone, wall, new Date(expected!).toISOString()]);
          expect(dateAt(found, zone)).toBe(moment.tz(found, zone).format("YYYY-MM-DD"));
          expect(wallTime(found, zone)).toBe(moment.tz(found, zone).format("HH:mm"));
        },
      ),
      { numRuns: 6000 },
    );
    expect([skipped > 50, twice > 50]).toEqual([true, true]);
  });

  it("never have a break that is empty, overlaps another or lies outside, whatever the clocks do", () => {
    const breaks = fc.array(fc.record({ gap: fc.integer({ min: 0, max: 150 }), lengthMin: fc.integer({ min: 5, max: 300 }) }), {
      maxLength: 6,
    });
    fc.assert(
      fc.property(
        fc.constantFrom("Europe/Berlin", "America/Chicago", "Australia/Lord_Howe", "Antarctica/Troll"),
        fc.constantFrom("2026-03-07", "2026-03-08", "2026-03-28", "2026-03-29", "2026-04-04", "2026-10-03", "2026-10-24", "2026-10-25"),
        fc.integer({ min: 0, max: 1439 }),
        fc.integer({ min: 60, max: 960 }),
        breaks,
        (zone, date, startMin, lengthMin, pauses) => {
          let after = 0;
          const placed = pauses.flatMap(({ gap, lengthMin: pauseMin }) => {
            const afterMin = after + gap;
            if (afterMin + pauseMin > lengthMin) return [];
            after = afterMin + pauseMin;
            return [{ afterMin, lengthMin: pauseMin }];
          });
          const start = `${String(Math.floor(startMin / 60)).padStart(2, "0")}:${String(startMin % 60).padStart(2, "0")}`;
          const kind = { id: "a", name: "A", start, lengthMin, breaks: placed };
          const [shift] = shiftsFrom({ anchorDate: date, shifts: [kind], cycle: ["a"] }, zone, date, 1);
          expect(shift!.endMs - shift!.startMs).toBeGreaterThanOrEqual((lengthMin * minute) / 2);
          const spans = [...shift!.breaks, ...shift!.away].sort((a, b) => a.startMs - b.startMs);
          spans.forEach(({ startMs, endMs }, i) => {
            expect(endMs).toBeGreaterThan(startMs);
            expect(startMs).toBeGreaterThanOrEqual(i === 0 ? shift!.startMs : spans[i - 1]!.endMs);
            expect(endMs).toBeLessThanOrEqual(shift!.endMs);
          });
        },
      ),
      { numRuns: 1500 },
    );
  });
});

describe("days", () => {
  it("are counted, and weeks begin on Monday, as the independent library has it", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 9000 }), fc.integer({ min: -800, max: 800 }), (from, days) => {
        const day = moment.utc(0).add(from + 10_000, "days");
        const date = day.format("YYYY-MM-DD");
        expect(addDays(date, days)).toBe(day.clone().add(days, "days").format("YYYY-MM-DD"));
        expect(daysBetween(date, addDays(date, days))).toBe(days);
        expect(mondayOf(date)).toBe(day.clone().startOf("isoWeek").format("YYYY-MM-DD"));
      }),
    );
  });
});

describe("the shift a moment belongs to", () => {
  const day = (date: string): Shift => shiftsFrom(patternPreset("weekdays", "2026-03-02"), "UTC", date, 1)[0]!;
  const early: ShiftPattern = {
    anchorDate: "2026-03-02",
    shifts: [
      { id: "late", name: "Late", start: "20:00", lengthMin: 480, breaks: [] },
      { id: "early", name: "Early", start: "06:00", lengthMin: 480, breaks: [] },
    ],
    cycle: ["late", "early"],
  };
  const at = (time: string) => Date.parse(`2026-03-03T${time}:00Z`);

  it(`is the one it lies in, or the nearest within ${SHIFT_REACH_MIN} minutes`, () => {
    const shift = day("2026-03-03");
    const belongs = (time: string) => shiftOf([shift], at(time)) === shift;
    expect(["04:59", "05:00", "07:00", "15:29", "15:30", "17:30", "17:31"].map(belongs)).toEqual([
      false,
      true,
      true,
      true,
      true,
      true,
      false,
    ]);
  });

  it("is the nearer of two, and of two equally near the one about to begin", () => {
    const shifts = shiftsFrom(early, "UTC", "2026-03-02", 2);
    const kindAt = (time: string) => shiftOf(shifts, at(time))?.kind.id;
    // Late ends at 04:00, early begins at 06:00.
    expect(["03:59", "04:00", "04:59", "05:00", "05:01", "06:00"].map(kindAt)).toEqual(["late", "late", "late", "early", "early", "early"]);
  });

  it("gives it its working day: a night's session at two belongs to the day before", () => {
    const shifts = shiftsFrom(night, "UTC", "2026-03-22", 4);
    expect(workingDay(shifts, Date.parse("2026-03-24T02:00:00Z"), "UTC")).toBe("2026-03-23");
    expect(workingDay(shifts, Date.parse("2026-03-24T12:00:00Z"), "UTC")).toBe("2026-03-24");
  });

  it("by a pattern alone: to two hours after its end the shift's day, in the night the clocks go forward too", () => {
    const day = (instant: string, zone = "UTC") => workingDayAt(night, zone, Date.parse(instant));
    expect(["03-23T21:00", "03-24T00:10", "03-24T05:59", "03-24T08:00", "03-24T08:01"].map((time) => day(`2026-${time}:00Z`))).toEqual([
      "2026-03-23",
      "2026-03-23",
      "2026-03-23",
      "2026-03-23",
      "2026-03-24",
    ]);
    // At one in the morning Dublin's clocks go to two: half past two there.
    expect(day("2026-03-29T01:30:00Z", "Europe/Dublin")).toBe("2026-03-28");
  });
});
