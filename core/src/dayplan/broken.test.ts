import { addDays, shiftsFrom } from "../calendar";
import { DEFAULT_STYLE, newItem, SHIPPED_LIBRARY } from "../library";
import { sampleId, sampleSession } from "../session/sample";
import { brokenDays, brokenSeries, withoutAGroup } from "./broken";
import { clashesOf, type Placed } from "./clashes";
import { ROTATION, sampleGroup, sampleSeries } from "./plan.sample";
import type { SlotKind } from "../session";

const minute = 60_000;
const shifts = shiftsFrom(ROTATION.shiftPattern, ROTATION.timeZone, "2026-03-02", 21);
const session = (slot: SlotKind, ...movements: string[]) =>
  sampleSession(
    movements.map((id) => newItem(SHIPPED_LIBRARY.get(id), DEFAULT_STYLE, sampleId())),
    { slot },
  );
const stretch = session("break", "shake-out");
const placed = (startMs: number, what = stretch, lengthMin = 4): Placed => ({
  id: sampleId(),
  session: what,
  startMs,
  endMs: startMs + lengthMin * minute,
});
const broken = (list: Placed[], mayMove: (id: string) => boolean = () => true, from = "2026-03-02") =>
  brokenDays(SHIPPED_LIBRARY, list, shifts, ROTATION.timeZone, from, mayMove);
const [first] = shifts;

describe("a day on which sessions do not go together", () => {
  it("is mended by the later one on the nearest moment that is free, and then clashes no more", () => {
    const [one, two] = [placed(first!.startMs + 120 * minute), placed(first!.startMs + 200 * minute)];
    const [found] = broken([one, two]);
    expect([found!.placementId, (found!.startMs! - first!.startMs) / minute]).toEqual([two.id, 245]);
    const mended = { ...two, startMs: found!.startMs!, endMs: found!.startMs! + 4 * minute };
    expect(clashesOf(SHIPPED_LIBRARY, [one, mended], shifts, ROTATION.timeZone).filter(({ weight }) => weight === "stop")).toEqual([]);
  });

  it("moves the one that may be moved: what was led stays", () => {
    const [one, two] = [placed(first!.startMs + 180 * minute), placed(first!.startMs + 250 * minute)];
    const [found] = broken([one, two], (id) => id !== two.id);
    expect([found!.placementId, found!.startMs! < one.startMs]).toEqual([one.id, true]);
    expect(broken([one, two], () => false)).toEqual([]);
  });

  it("has the session taken out where no moment of its shift is free, or where there is one too many", () => {
    const many = [0, 125, 250, 375, 480].map((min) => placed(first!.startMs + min * minute));
    const crowded = [...many, placed(first!.startMs + 60 * minute)];
    expect(broken(crowded).some(({ startMs }) => startMs === null)).toBe(true);
    const glides = [60, 200, 340].map((min) => placed(first!.startMs + min * minute, session("break", "median-glide")));
    expect(broken(glides).filter(({ clash }) => clash.kind === "tooManyGlides")).toMatchObject([
      { placementId: glides[2]!.id, startMs: null },
    ]);
  });

  it("before the day that is looked from is over", () => {
    const list = [placed(first!.startMs + 120 * minute), placed(first!.startMs + 200 * minute)];
    expect(broken(list, undefined, addDays(first!.date, 1))).toEqual([]);
  });

  it("is not there where nothing clashes", () => {
    expect(broken([placed(first!.startMs + 120 * minute), placed(first!.startMs + 300 * minute)])).toEqual([]);
  });
});

describe("a series that stands on nothing any more", () => {
  const [member, gone] = [sampleId(), sampleId()];
  const there = { sessionIds: new Set([sampleSeries().sessionId]), memberIds: new Set([member]) };
  const group = { ...sampleGroup([]), id: sampleId() };
  const leavers = { ...sampleGroup([gone]), id: sampleId() };
  it.each([
    ["its kind of shift is gone", { shift: "late" }, "noSuchShift"],
    ["its break is gone", { at: { from: "break", nr: 3, min: 0 } }, "noSuchBreak"],
    ["its session is gone", { sessionId: sampleId() }, "noSuchSession"],
    ["nobody is in its group", { groupId: group.id }, "emptyGroup"],
    ["everybody of its group has left", { groupId: leavers.id }, "emptyGroup"],
  ] as const)("because %s", (_, more, why) => {
    const series = sampleSeries(more);
    const others = { ...sampleGroup([gone, member]), id: sampleId() };
    const standing = { groups: [group, leavers, others], series: [series, sampleSeries(), sampleSeries({ groupId: others.id })] };
    expect(brokenSeries(standing, ROTATION.shiftPattern, there, "2026-03-20")).toEqual([{ series, why }]);
    const ended = { groups: [group, leavers], series: [{ ...series, untilDate: "2026-03-19" }] };
    expect(brokenSeries(ended, ROTATION.shiftPattern, there, "2026-03-20")).toEqual([]);
  });
});

it("people are without a group while something that goes on is for groups", () => {
  const [a, b] = [sampleId(), sampleId()];
  const group = sampleGroup([a]);
  const of = (untilDate: string | null, groupId: string | null) => ({ groups: [group], series: [sampleSeries({ groupId, untilDate })] });
  expect(withoutAGroup(of(null, group.id), [a, b], "2026-03-20")).toEqual([b]);
  expect(withoutAGroup(of("2026-03-19", group.id), [a, b], "2026-03-20")).toEqual([]);
  expect(withoutAGroup(of(null, null), [a, b], "2026-03-20")).toEqual([]);
});
