import { shiftsFrom } from "../calendar";
import { ROTATION } from "./plan.sample";
import { AWAKE_BEFORE_MIN, quietUntil } from "./quiet";

const minute = 60_000;
const shifts = shiftsFrom(ROTATION.shiftPattern, ROTATION.timeZone, "2026-03-02", 21);
const [first, second] = shifts;
const opens = first!.startMs - AWAKE_BEFORE_MIN * minute;
const session = first!.startMs;

describe("quiet hours", () => {
  it.each([
    ["two hours before a shift", opens, opens],
    ["a minute earlier: until then", opens - minute, opens],
    ["in the shift", first!.startMs + 60 * minute, first!.startMs + 60 * minute],
    ["a minute before its end", first!.endMs - minute, first!.endMs - minute],
  ])("%s", (_, at, until) => {
    expect(quietUntil(shifts, first!.endMs, at)).toBe(until);
  });
  it("after a shift last until two hours before the next", () => {
    expect(quietUntil(shifts, second!.startMs, first!.endMs)).toBe(second!.startMs - AWAKE_BEFORE_MIN * minute);
  });
  it("never hold a reminder over the beginning of its session, and none that is late already", () => {
    expect(quietUntil(shifts, opens - 30 * minute, opens - 60 * minute)).toBe(opens - 60 * minute);
    expect(quietUntil(shifts, opens - 90 * minute, opens - 60 * minute)).toBe(opens - 60 * minute);
  });
  it.each([
    ["a minute too early", AWAKE_BEFORE_MIN + 1, AWAKE_BEFORE_MIN],
    ["days before", 3 * 24 * 60, AWAKE_BEFORE_MIN],
    ["two hours before", AWAKE_BEFORE_MIN, AWAKE_BEFORE_MIN],
    ["an hour before", 60, 60],
  ])("without a shift near it a session has its own two hours: %s", (_, askedMin, toldMin) => {
    expect(quietUntil([], session, session - askedMin * minute)).toBe(session - toldMin * minute);
  });
  it("hold a reminder for after the days off until two hours before it, not until it has begun", () => {
    const at = shifts.findIndex(({ endMs }, i) => (shifts[i + 1]?.startMs ?? 0) - endMs > 48 * 60 * minute);
    const [friday, monday] = [shifts[at]!, shifts[at + 1]!];
    const near = shifts.filter(({ startMs }) => Math.abs(startMs - friday.startMs) < 30 * 60 * minute);
    expect(quietUntil(near, monday.startMs, friday.endMs + minute)).toBe(monday.startMs - AWAKE_BEFORE_MIN * minute);
  });
  it("of a night are the day after it", () => {
    const night = shifts.find(({ kind }) => kind.id === "night")!;
    const noon = night.endMs + 6 * 60 * minute;
    expect(quietUntil(shifts, night.endMs + 24 * 60 * minute, noon)).toBeGreaterThan(noon + 6 * 60 * minute);
  });
});
