import fc from "fast-check";
import { DateTime } from "luxon";
import * as v from "valibot";
import { movementOf, newItem, DEFAULT_STYLE } from "../library";
import { sampleId, sampleSession } from "../session/sample";
import type { SlotKind } from "../session";
import {
  addDays,
  clashesOf,
  clashText,
  dateAt,
  dayProblem,
  mondayOf,
  onGrid,
  patternPreset,
  ShiftPattern,
  shiftsFrom,
  SPACING,
  suggestStart,
  wallTime,
  workingSpans,
  type Placed,
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

  it("that are split leave nobody there in between: no break, no work, and nothing to place", () => {
    const [split] = shiftsFrom(patternPreset("splitShift", "2026-03-02"), "UTC", "2026-03-02", 1);
    const at = (time: string) => Date.parse(`2026-03-02T${time}:00Z`);
    expect(split!.away).toEqual([{ startMs: at("10:00"), endMs: at("14:00") }]);
    expect(split!.breaks.map(({ startMs }) => startMs)).toEqual([at("08:00"), at("16:00")]);
    expect(workingSpans(split!)).toEqual([
      { startMs: at("06:00"), endMs: at("08:00") },
      { startMs: at("08:15"), endMs: at("10:00") },
      { startMs: at("14:00"), endMs: at("16:00") },
      { startMs: at("16:15"), endMs: at("18:00") },
    ]);
    const session = sampleSession([], { slot: "break" });
    const placed = (time: string): Placed => ({ id: time, session, startMs: at(time), endMs: at(time) + 3 * minute });
    const outside = (time: string) => clashesOf([placed(time)], [split!], "UTC").some(({ kind }) => kind === "outsideShift");
    expect(["09:57", "09:58", "12:00", "13:59", "14:00"].map(outside)).toEqual([false, true, true, true, false]);
    const { wishes } = dayProblem(split!, [{ name: "All", people: ["a"] }], [{ session, lengthMs: 3 * minute, times: 1 }], {
      mostOffJob: 10,
      leaders: 1,
    });
    expect(wishes[0]!.starts.length).toBeGreaterThan(0);
    for (const start of wishes[0]!.starts) expect(start + 3 * minute <= at("10:00") || start >= at("14:00")).toBe(true);
    expect(suggestStart("break", 180, { ...split!, breaks: [] }, [])).toBe(at("08:00"));
  });

  it("lie where a calendar library puts them, whatever the place, the day and the clock change", () => {
    const zones = ["America/Chicago", "Europe/Dublin", "Australia/Lord_Howe", "Asia/Kathmandu", "America/St_Johns", "UTC", "Pacific/Apia"];
    const edges = ["2026-03-08", "2026-03-29", "2026-04-05", "2026-10-04", "2026-10-25", "2026-11-01"];
    fc.assert(
      fc.property(
        fc.constantFrom(...zones),
        fc.oneof(fc.constantFrom(...edges), fc.date({ min: new Date("2019-01-01"), max: new Date("2035-01-01"), noInvalidDate: true })),
        fc.integer({ min: 0, max: 1439 }),
        fc.integer({ min: 60, max: 960 }),
        (zone, day, startMin, lengthMin) => {
          const date = typeof day === "string" ? day : day.toISOString().slice(0, 10);
          const start = DateTime.fromISO(`${date}T00:00`, { zone: "utc" }).plus({ minutes: startMin });
          const kind = { id: "a", name: "A", start: start.toFormat("HH:mm"), lengthMin, breaks: [] };
          const [shift] = shiftsFrom({ anchorDate: date, shifts: [kind], cycle: ["a"] }, zone, date, 1);
          const at = (minutes: number) => start.plus({ minutes }).setZone(zone, { keepLocalTime: true });
          expect([shift!.startMs, shift!.endMs]).toEqual([at(0).toMillis(), at(lengthMin).toMillis()]);
          expect(dateAt(shift!.endMs, zone)).toBe(DateTime.fromMillis(shift!.endMs, { zone }).toFormat("yyyy-MM-dd"));
          expect(mondayOf(date)).toBe(DateTime.fromISO(date, { zone: "utc" }).startOf("week").toFormat("yyyy-MM-dd"));
          expect(addDays(date, startMin)).toBe(DateTime.fromISO(date, { zone: "utc" }).plus({ days: startMin }).toFormat("yyyy-MM-dd"));
        },
      ),
      { numRuns: 2000 },
    );
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
});

const session = (slot: SlotKind, ...movements: string[]) =>
  sampleSession(
    movements.map((id) => newItem(movementOf(id), DEFAULT_STYLE, sampleId())),
    { slot, name: slot },
  );
const noon = Date.parse("2026-03-24T12:00:00Z");
const placed = (atMin: number, lengthMin: number, what = session("break", "shake-out")): Placed => ({
  id: sampleId(),
  session: what,
  startMs: noon + atMin * minute,
  endMs: noon + (atMin + lengthMin) * minute,
});
const day: ShiftPattern = {
  anchorDate: "2026-03-02",
  shifts: [
    {
      id: "d",
      name: "Day",
      start: "07:00",
      lengthMin: 600,
      breaks: [
        { afterMin: 120, lengthMin: 10 },
        { afterMin: 250, lengthMin: 10 },
        { afterMin: 380, lengthMin: 10 },
        { afterMin: 500, lengthMin: 10 },
      ],
    },
  ],
  cycle: ["d"],
};
const shifts = shiftsFrom(day, "UTC", "2026-03-22", 9);
const kinds = (...list: Placed[]) =>
  clashesOf(list, shifts, "UTC")
    .filter((clash) => clash.placementIds.length > 0)
    .map((clash) => clash.kind);

describe("clashes, on both sides of each threshold", () => {
  it("overlap", () => {
    expect(kinds(placed(0, 5), placed(4, 3, session("preShift")))).toContain("overlap");
    expect(kinds(placed(0, 5), placed(5, 3, session("preShift")))).not.toContain("overlap");
  });
  it(`the same kind under ${SPACING.sameKindMin} min apart`, () => {
    expect(kinds(placed(0, 5), placed(124, 5))).toContain("sameKindTooClose");
    expect(kinds(placed(0, 5), placed(125, 5))).not.toContain("sameKindTooClose");
  });
  it("glides in sessions of different kinds count as the same", () => {
    const glide = (slot: SlotKind) => session(slot, "median-glide");
    expect(kinds(placed(0, 5, glide("break")), placed(60, 5, glide("postShift")))).toContain("sameKindTooClose");
    expect(kinds(placed(0, 5, glide("break")), placed(60, 5, session("postShift", "shake-out")))).not.toContain("sameKindTooClose");
  });
  it("strengthening the same region under 20 h apart, another region not", () => {
    const lift = () => session("postShift", "lift-palm-down");
    const after = (hours: number) => placed(10 + hours * 60, 10, lift());
    expect(kinds(placed(0, 10, lift()), after(19.98))).toContain("strengthenTooClose");
    expect(kinds(placed(0, 10, lift()), after(20))).not.toContain("strengthenTooClose");
    expect(kinds(placed(0, 10, lift()), placed(19 * 60, 10, session("postShift", "lift-palm-up")))).not.toContain("strengthenTooClose");
  });
  it("a third session with glides, a fourth with mobility", () => {
    const many = (movement: string, count: number) =>
      Array.from({ length: count }, (_, i) => placed(-240 + i * 130, 3, session("break", movement)));
    expect(kinds(...many("median-glide", 2))).not.toContain("tooManyGlides");
    expect(kinds(...many("median-glide", 3))).toContain("tooManyGlides");
    expect(kinds(...many("wrist-nod", 3))).not.toContain("tooMuchMobility");
    expect(kinds(...many("wrist-nod", 4))).toContain("tooMuchMobility");
  });
  it("a fourth day of strengthening in a week, but not in the next", () => {
    const days = (...list: number[]) => list.map((offset) => placed(offset * 1440 + 290, 5, session("postShift", "squeeze")));
    expect(kinds(...days(-1, 1, 3))).not.toContain("tooManyStrengthDays");
    expect(kinds(...days(-1, 1, 3, 5))).toContain("tooManyStrengthDays");
    expect(kinds(...days(-1, 1, 3, 6))).not.toContain("tooManyStrengthDays");
  });
  it("a break session outside the shift, or longer than its break", () => {
    expect(kinds(placed(-301, 2))).toContain("outsideShift");
    expect(kinds(placed(-300, 2))).not.toContain("outsideShift");
    expect(kinds(placed(-180, 10))).not.toContain("longerThanBreak");
    expect(kinds(placed(-180, 11))).toContain("longerThanBreak");
  });
  it("a warm-up more than an hour from the start of its shift", () => {
    expect(kinds(placed(-360, 5, session("preShift")))).not.toContain("notNearShift");
    expect(kinds(placed(-361, 5, session("preShift")))).toContain("notNearShift");
  });
  it("more than two hours of hand work without relief", () => {
    const bare = (lengthMin: number) =>
      shiftsFrom({ ...day, shifts: [{ ...day.shifts[0]!, lengthMin, breaks: [] }] }, "UTC", "2026-03-24", 1);
    expect(clashesOf([], bare(120), "UTC")).toEqual([]);
    expect(clashesOf([], bare(121), "UTC")).toMatchObject([{ kind: "workTooLong", found: 121, limit: 120 }]);
    expect(
      clashesOf(
        [{ ...placed(0, 3), startMs: bare(121)[0]!.startMs + 60 * minute, endMs: bare(121)[0]!.startMs + 63 * minute }],
        bare(121),
        "UTC",
      ).map((clash) => clash.kind),
    ).not.toContain("workTooLong");
  });
  it("are the same whatever order the plan comes in", () => {
    const list = [placed(0, 5), placed(60, 5), placed(3, 5)];
    expect(clashesOf([...list].reverse(), shifts, "UTC")).toEqual(clashesOf(list, shifts, "UTC"));
  });
  it("say what is wrong in words with figures", () => {
    const [first, second] = [placed(0, 5), placed(65, 5)];
    const clash = clashesOf([first, second], shifts, "UTC").find((each) => each.kind === "sameKindTooClose")!;
    expect(
      clashText(
        clash,
        (id) => (id === first.id ? "A" : "B"),
        (region) => region,
      ),
    ).toBe("A and B are 1 h apart; the same kind needs 2 h.");
  });
});

describe("first places", () => {
  const shift = shifts.find((each) => each.date === "2026-03-24")!;
  it("warm-ups at the start, the last session so that it ends with the shift", () => {
    expect(wallTime(suggestStart("preShift", 400, shift, []), "UTC")).toBe("07:00");
    expect(wallTime(suggestStart("postShift", 601, shift, []), "UTC")).toBe("16:45");
  });
  it("breaks in the break furthest from what is there", () => {
    expect(wallTime(suggestStart("break", 180, shift, [shift.startMs]), "UTC")).toBe("15:20");
    expect(onGrid(suggestStart("break", 180, { ...shift, breaks: [] }, [])) % (5 * minute)).toBe(0);
  });
});
