import fc from "fast-check";
import { addDays, shiftsFrom } from "../calendar";
import { sampleId } from "../session/sample";
import { layPlan, type LaidPlacement } from "./lay";
import {
  copiedWeek,
  dayInstead,
  goingOnWith,
  groupNamed,
  inGroup,
  lasting,
  likeTheOthers,
  movedEvery,
  movedOnce,
  onlyOn,
  patternFrom,
  placedEvery,
  placedOnce,
  takenOutEvery,
  takenOutOnce,
  withGroup,
  withoutGroup,
  type WeekPlanned,
} from "./plan-edit";
import { ROTATION, sampleGroup, sampleSeries, told } from "./plan.sample";
import type { Placement } from "./placement";
import type { SeriesPlace } from "./standing";

const lay = ({ standing, placements }: WeekPlanned, from = "2026-03-02", days = 28) =>
  layPlan({ standing, placements, kept: [] }, ROTATION, from, days);
const times = (plan: WeekPlanned) => told(lay(plan));
const once = (startsAt: string, more: Partial<Placement> = {}): Placement => {
  const { programId, sessionId } = sampleSeries();
  return { id: sampleId(), programId, sessionId, startsAt, people: null, groupName: null, ...more };
};
const series = sampleSeries();
const plan: WeekPlanned = { standing: { groups: [], series: [series] }, placements: [once("2026-03-03T09:00:00.000Z")] };
const on = (date: string, of = plan) => lay(of).find((each) => each.date === date && each.seriesId !== null)!;
const atNine: SeriesPlace = { from: "start", min: 180 };
const without = (list: string[], ...gone: string[]) => list.filter((each) => !gone.includes(each));

describe("one day of a series", () => {
  it("moves, and only that one", () => {
    const moved = movedOnce(plan, on("2026-03-04"), "2026-03-04T07:00:00.000Z");
    expect(times(moved)).toEqual(times(plan).map((each) => each.replace("03-04T06:00", "03-04T07:00")));
  });
  it("is taken out, and comes back as it was", () => {
    const out = takenOutOnce(plan, on("2026-03-04"));
    expect(times(out)).toEqual(without(times(plan), "03-04 03-04T06:00"));
    expect(times(likeTheOthers(out, on("2026-03-04")))).toEqual(times(plan));
  });
  it("moved twice differs once", () => {
    const moved = movedOnce(movedOnce(plan, on("2026-03-04"), "2026-03-04T07:00:00.000Z"), on("2026-03-04"), "2026-03-04T08:00:00.000Z");
    expect(moved.standing.series[0]!.otherDays).toEqual([{ date: "2026-03-04", startsAt: "2026-03-04T08:00:00.000Z" }]);
  });
  it("that is kept cannot be moved or taken out", () => {
    const kept: LaidPlacement = { ...on("2026-03-04"), kept: true };
    expect(movedOnce(plan, kept, "2026-03-04T07:00:00.000Z")).toBe(plan);
    expect(times(takenOutOnce(plan, kept))).toEqual(times(plan));
  });
});

describe("what was placed once", () => {
  it("moves and goes by itself", () => {
    const [single] = lay(plan).filter(({ seriesId }) => seriesId === null);
    expect(times(movedOnce(plan, single!, "2026-03-03T10:00:00.000Z"))).toContain("03-03 03-03T10:00");
    expect(takenOutOnce(plan, single!).placements).toEqual([]);
  });
  it("becomes the series' where that is at the same moment for the same people", () => {
    const both = placedOnce(
      plan,
      once("2026-03-23T06:00:00.000Z"),
      once("2026-03-24T06:00:00.000Z", { people: ["p"] }),
      once("2026-03-25T06:05:00.000Z"),
    );
    const made = placedEvery({ ...both, standing: { groups: [], series: [] } }, series, ROTATION);
    expect(made.placements.map(({ startsAt }) => startsAt.slice(5, 16))).toEqual(["03-03T09:00", "03-24T06:00", "03-25T06:05"]);
  });
});

describe("from a day on", () => {
  it("a series moves; before that day it stays, and no day has it twice", () => {
    const moved = movedEvery(plan, on("2026-03-04"), atNine, sampleSeries().id);
    expect(times(moved)).toEqual(
      times(plan).map((each) => (each < "03-04" || each.includes("T09") ? each : each.replace("T06:00", "T09:00"))),
    );
    expect(moved.standing.series).toHaveLength(2);
  });
  it("from its first day it stays one, with its id", () => {
    const moved = movedEvery(plan, on("2026-03-02"), atNine, sampleSeries().id);
    expect(moved.standing.series.map(({ id }) => id)).toEqual([series.id]);
  });
  it("days that differ later go on differing; the day itself goes by the series", () => {
    const differing = movedOnce(
      movedOnce(plan, on("2026-03-05"), "2026-03-05T11:00:00.000Z"),
      on("2026-03-04"),
      "2026-03-04T12:00:00.000Z",
    );
    const moved = movedEvery(differing, on("2026-03-04", differing), atNine, sampleSeries().id);
    expect(times(moved).filter((each) => each.startsWith("03-04") || each.startsWith("03-05"))).toEqual([
      "03-04 03-04T09:00",
      "03-05 03-05T11:00",
    ]);
  });
  it("it is taken out, or only on some days", () => {
    expect(times(takenOutEvery(plan, on("2026-03-04")))).toEqual(times(plan).filter((each) => each < "03-04"));
    expect(times(takenOutEvery(plan, on("2026-03-02"))).filter((each) => each.endsWith("T06:00"))).toEqual([]);
    expect(times(onlyOn(plan, on("2026-03-04"), { by: "weekday", days: [5] }, sampleId()))).toEqual(
      without(times(plan), ...["04", "05", "23", "24", "25", "26"].map((day) => `03-${day} 03-${day}T06:00`)),
    );
  });
  it("it lasts until its last day, and on again", () => {
    const ended = lasting(plan, series.id, "2026-03-05");
    expect(times(ended)).toEqual(times(plan).filter((each) => each < "03-06"));
    expect(times(lasting(ended, series.id, null))).toEqual(times(plan));
    expect(lasting(plan, series.id, "2026-03-01").standing.series).toEqual([]);
  });
});

it("by chance: whatever is changed from a day on, no day before it changes, and undoing the day gives the day back", () => {
  const dates = lay(plan, "2026-03-02", 60).filter(({ seriesId }) => seriesId !== null);
  fc.assert(
    fc.property(fc.constantFrom(...dates), fc.integer({ min: -24, max: 100 }), (laid, step) => {
      const at: SeriesPlace = { from: "start", min: step * 5 };
      for (const after of [
        movedEvery(plan, laid, at, sampleId()),
        takenOutEvery(plan, laid),
        onlyOn(plan, laid, { by: "weekday", days: [3] }, sampleId()),
      ])
        expect(told(lay(after, "2026-03-02", 60).filter(({ date }) => date < laid.date))).toEqual(
          told(lay(plan, "2026-03-02", 60).filter(({ date }) => date < laid.date)),
        );
      const moved = movedOnce(plan, laid, addDays(laid.date, 0) + "T12:00:00.000Z");
      expect(times(likeTheOthers(moved, laid))).toEqual(times(plan));
    }),
    { numRuns: 30 },
  );
});

describe("a new block", () => {
  const next = { programId: sampleId(), sessionId: sampleId() };
  const other = sampleSeries({ sessionId: sampleId(), at: atNine });
  const start = { ...plan, standing: { groups: [], series: [series, other, sampleSeries({ untilDate: "2026-03-03" })] } };
  const after = goingOnWith(
    start,
    "2026-03-23",
    ({ sessionId }) => (sessionId === series.sessionId ? next : null),
    () => sampleSeries().id,
  );
  it("takes the place of the one before from a day on, at the same times; what has no counterpart stays", () => {
    expect(times(after)).toEqual(times(start));
    const of = (date: string) =>
      lay(after)
        .filter((each) => each.date === date)
        .map(({ sessionId }) => sessionId);
    expect(of("2026-03-06")).toEqual([series.sessionId, other.sessionId]);
    expect(of("2026-03-23")).toEqual([next.sessionId, other.sessionId]);
  });
  it("does not begin a series again that is over by then, and is led by the trainer until it is handed over", () => {
    expect(after.standing.series.filter(({ sessionId }) => sessionId === next.sessionId)).toHaveLength(1);
    const led = { ...plan, standing: { groups: [], series: [{ ...series, leaderId: sampleId() }] } };
    expect(
      goingOnWith(
        led,
        "2026-03-23",
        () => next,
        () => sampleSeries().id,
      ).standing.series.at(-1)!.leaderId,
    ).toBeNull();
  });
});

describe("a planned day", () => {
  it("stands instead of that day only; what was led stays", () => {
    const both = placedOnce(plan, once("2026-03-04T10:00:00.000Z"));
    const onDay = lay(both).filter(({ date }) => date === "2026-03-04");
    const led = new Set([onDay.find(({ seriesId }) => seriesId === null)!.id]);
    const after = dayInstead(both, onDay, led, [once("2026-03-04T07:30:00.000Z")]);
    expect(times(after).filter((each) => each.startsWith("03-04"))).toEqual(["03-04 03-04T07:30", "03-04 03-04T10:00"]);
    expect(times(after).filter((each) => !each.startsWith("03-04"))).toEqual(times(plan).filter((each) => !each.startsWith("03-04")));
  });

  it("becomes the pattern of its kind of shift from then on; other kinds and the days before stay; a person is of one group", () => {
    const [a, b, c] = [sampleId(), sampleId(), sampleId()];
    const older = sampleGroup([a, b], "Older");
    const night = sampleSeries({ shift: "night", groupId: older.id });
    const start = { ...plan, standing: { groups: [older], series: [series, night] } };
    const fresh = sampleGroup([b, c], "Group 1");
    const after = patternFrom(
      start,
      "early",
      "2026-03-04",
      [sampleSeries({ at: atNine, groupId: fresh.id, fromDate: "2026-03-04" })],
      [fresh],
    );
    expect(times(after).filter((each) => each >= "03-04" && each < "03-07")).toEqual(
      ["04", "05", "06"].map((day) => `03-${day} 03-${day}T09:00`),
    );
    expect(times(after).filter((each) => each < "03-04")).toEqual(times(plan).filter((each) => each < "03-04"));
    expect(after.standing.groups).toEqual([{ ...older, people: [a] }, fresh]);
  });
});

describe("a copied week", () => {
  it("takes what was placed once to the same weekday as far into its shift, and names what finds no shift", () => {
    const source = lay(
      { ...plan, placements: [once("2026-03-03T09:00:00.000Z"), once("2026-03-06T05:50:00.000Z"), once("2026-03-07T09:00:00.000Z")] },
      "2026-03-02",
      7,
    );
    const shifts = (from: string) => shiftsFrom(ROTATION.shiftPattern, ROTATION.timeZone, from, 7);
    const copy = (days: number, to: WeekPlanned) =>
      copiedWeek(
        to,
        source,
        shifts("2026-03-02"),
        shifts(addDays("2026-03-02", days)),
        days,
        sampleId,
        () => "preShift",
        ROTATION.timeZone,
      );
    const { plan: after, left } = copy(7, { ...plan, placements: [] });
    expect(after.placements.map(({ startsAt }) => startsAt.slice(5, 16))).toEqual(["03-10T10:00", "03-13T06:50"]);
    expect(left.map(({ date }) => date)).toEqual(["2026-03-07"]);
    expect(copy(7, after).plan.placements).toHaveLength(2);
  });
});

describe("groups", () => {
  const [a, b, c] = [sampleId(), sampleId(), sampleId()];
  const [one, two] = [sampleGroup([a, b], "One"), sampleGroup([c], "Two")];
  const grouped = withGroup(withGroup({ ...plan, standing: { groups: [], series: [sampleSeries({ groupId: two.id })] } }, one), two);
  const names = ({ standing }: WeekPlanned) => standing.groups.map(({ name, people }) => [name, people]);
  it("take people from one another, and let them go", () => {
    expect(names(inGroup(grouped, [b], two.id))).toEqual([
      ["One", [a]],
      ["Two", [c, b]],
    ]);
    expect(names(inGroup(grouped, [a, c], null))).toEqual([
      ["One", [b]],
      ["Two", []],
    ]);
  });
  it("are renamed, and go with their series from a day on, staying for the days before", () => {
    expect(names(groupNamed(grouped, one.id, "First"))[0]![0]).toBe("First");
    expect(names(withoutGroup(grouped, one.id, "2026-03-04"))).toEqual([["Two", [c]]]);
    const gone = withoutGroup(grouped, two.id, "2026-03-04");
    expect(gone.standing.series[0]!.untilDate).toBe("2026-03-03");
    expect(withoutGroup(grouped, two.id, "2026-03-02").standing).toEqual({ groups: [one], series: [] });
  });
});
