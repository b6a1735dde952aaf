import { SHIPPED_LIBRARY, newItem, DEFAULT_STYLE } from "../library";
import { sampleId, sampleSession } from "../session/sample";
import type { SlotKind } from "../session";
import { patternPreset, shiftsFrom, wallTime, type ShiftPattern } from "../calendar";
import { clashesOf, dayProblem, onGrid, SPACING, suggestStart, workingSpans, type Placed } from ".";
import { isInBreak } from "./day-problem";

const minute = 60_000;

describe("shifts", () => {
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
    const outside = (time: string) =>
      clashesOf(SHIPPED_LIBRARY, [placed(time)], [split!], "UTC").some(({ kind }) => kind === "outsideShift");
    expect(["09:57", "09:58", "12:00", "13:59", "14:00"].map(outside)).toEqual([false, true, true, true, false]);
    const { requests } = dayProblem(
      SHIPPED_LIBRARY,
      split!,
      [{ name: "All", people: ["a"] }],
      [{ session, lengthMs: 3 * minute, times: 1 }],
      {
        mostOffJob: 10,
        leaders: 1,
      },
    );
    expect(requests[0]!.starts.length).toBeGreaterThan(0);
    for (const start of requests[0]!.starts) expect(start + 3 * minute <= at("10:00") || start >= at("14:00")).toBe(true);
    expect(suggestStart("break", 180, { ...split!, breaks: [] }, [])).toBe(at("08:00"));
  });
});

const session = (slot: SlotKind, ...movements: string[]) =>
  sampleSession(
    movements.map((id) => newItem(SHIPPED_LIBRARY.get(id), DEFAULT_STYLE, sampleId())),
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
  clashesOf(SHIPPED_LIBRARY, list, shifts, "UTC")
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
    expect(clashesOf(SHIPPED_LIBRARY, [], bare(120), "UTC")).toEqual([]);
    expect(clashesOf(SHIPPED_LIBRARY, [], bare(121), "UTC")).toMatchObject([{ kind: "workTooLong", found: 121, limit: 120 }]);
    expect(
      clashesOf(
        SHIPPED_LIBRARY,
        [{ ...placed(0, 3), startMs: bare(121)[0]!.startMs + 60 * minute, endMs: bare(121)[0]!.startMs + 63 * minute }],
        bare(121),
        "UTC",
      ).map((clash) => clash.kind),
    ).not.toContain("workTooLong");
  });
  it("a shift with less than eleven hours since the last one, and one that begins before it has ended", () => {
    const clash = (nextStart: string) =>
      clashesOf(
        SHIPPED_LIBRARY,
        [],
        shiftsFrom(
          {
            anchorDate: "2026-03-24",
            shifts: [
              { id: "late", name: "Late", start: "20:00", lengthMin: 120, breaks: [] },
              { id: "next", name: "Next", start: nextStart, lengthMin: 120, breaks: [] },
            ],
            cycle: ["late", "next", null],
          },
          "UTC",
          "2026-03-24",
          2,
        ),
        "UTC",
      );
    expect(clash("09:00")).toEqual([]);
    expect(clash("08:59")).toEqual([
      { kind: "restTooShort", weight: "note", placementIds: [], date: "2026-03-25", found: 659, limit: 660 },
    ]);
  });
  it("are the same whatever order the plan comes in", () => {
    const list = [placed(0, 5), placed(60, 5), placed(3, 5)];
    expect(clashesOf(SHIPPED_LIBRARY, [...list].reverse(), shifts, "UTC")).toEqual(clashesOf(SHIPPED_LIBRARY, list, shifts, "UTC"));
  });
});

describe("a stretch break", () => {
  const wishesOf = (pattern: ShiftPattern, times: number, lengthMin = 8) => {
    const [shift] = shiftsFrom(pattern, "UTC", "2026-03-02", 1);
    const { requests } = dayProblem(
      SHIPPED_LIBRARY,
      shift!,
      [{ name: "All", people: ["a"] }],
      [{ session: session("break", "shake-out"), lengthMs: lengthMin * minute, times }],
      { mostOffJob: 10, leaders: 1 },
    );
    return { shift: shift!, requests };
  };

  it.each([1, 2, 3, 4])(
    `follows ${SPACING.workBeforeBreakMin} minutes of work, since the start and since hours away: %i a shift`,
    (times) => {
      const { shift, requests } = wishesOf(patternPreset("splitShift", "2026-03-02"), times);
      const backs = [shift.startMs, ...shift.away.map(({ endMs }) => endMs)];
      for (const { starts, idealMs } of requests) {
        expect(starts.length).toBeGreaterThan(0);
        for (const at of [...starts, idealMs])
          for (const back of backs) expect(at < back || at - back >= SPACING.workBeforeBreakMin * minute).toBe(true);
      }
    },
  );

  it("is meant for where the work between is even, hours away left out", () => {
    const kind = { id: "s", name: "S", start: "06:00", lengthMin: 720, breaks: [{ afterMin: 240, lengthMin: 240 }] };
    const ideals = (times: number) =>
      wishesOf({ anchorDate: "2026-03-02", shifts: [kind], cycle: ["s"] }, times).requests.map(({ idealMs }) => wallTime(idealMs, "UTC"));
    expect([ideals(1), ideals(3)]).toEqual([["09:52"], ["08:00", "09:52", "16:00"]]);
  });

  it("stops the job in a cell in which it runs out of its fixed break, by whatever part", () => {
    const pause = { startMs: 0, endMs: 12 * minute };
    expect([10, 11, 12].map((endMin) => isInBreak(10 * minute, endMin * minute, [pause]))).toEqual([true, true, true]);
    expect([13, 15, 20].map((endMin) => isInBreak(10 * minute, endMin * minute, [pause]))).toEqual([false, false, false]);
    expect(isInBreak(5 * minute, 20 * minute, [pause])).toBe(true);
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
