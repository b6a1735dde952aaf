import { LAY_COST, layDay, type BookedDay, type LayRules } from ".";
import { at, bookedDay, rules, SHAPES, spans, timeOf } from "./booking.sample";

const laid = (day: BookedDay, change: Partial<LayRules> = {}) => {
  const { sessions, missed } = layDay(day, rules(change));
  return {
    sessions: sessions.map(({ kind, startMs }) => `${kind} ${timeOf(startMs)}`),
    missed: missed.map(({ what, afterId, roomMin }) => `${what} ${afterId} ${roomMin}`),
  };
};
const shortDay = (...texts: string[]) => bookedDay(spans(...texts));

it("a day without bookings has nothing", () => {
  expect(laid(bookedDay([]))).toEqual({ sessions: [], missed: [] });
});

it("warms up before the first, so that the room's time is left", () => {
  expect(laid(shortDay("09:00-10:00")).sessions).toEqual(["warmUp 08:51"]);
});
it.each([
  ["08:51", ["warmUp 08:51"], []],
  ["08:52", [], ["warmUp null 0"]],
])("at %s a warm-up before nine is laid: %j", (now, sessions, missed) => {
  expect(laid(shortDay("09:00-10:00"), { nowMs: at(now) })).toEqual({ sessions, missed });
});

describe("after deep work", () => {
  it.each([
    ["10:05", ["reset 10:00"], []],
    ["10:04", [], ["afterDeep 1 1"]],
    ["10:00", [], ["afterDeep 1 0"]],
  ])("a gap until %s: %j", (next, sessions, missed) => {
    const day = shortDay("09:00-10:00d", `${next}-11:00`);
    expect(laid(day)).toEqual({ sessions: ["warmUp 08:51", ...sessions], missed });
  });
  it("after the last one too", () => {
    expect(laid(shortDay("09:00-10:00d")).sessions).toEqual(["warmUp 08:51", "reset 10:00"]);
  });
  it("one that overlaps the next has no gap, and the gap after both begins with the later end", () => {
    expect(laid(shortDay("09:00-10:30d", "10:00-10:20", "10:40-11:00"))).toEqual({
      sessions: ["warmUp 08:51"],
      missed: ["afterDeep 1 0"],
    });
    expect(laid(shortDay("09:00-10:30", "10:00-10:20d", "10:40-11:00")).sessions).toEqual(["warmUp 08:51", "reset 10:30"]);
  });
});

describe("at least every third treatment", () => {
  it("three in a row need nothing, a fourth does", () => {
    expect(laid(shortDay("09:00-09:50", "10:00-10:50", "11:00-11:50")).sessions).toEqual(["warmUp 08:51"]);
    expect(laid(shortDay("09:00-09:50", "10:00-10:50", "11:00-11:50", "12:00-12:50")).sessions).toEqual(["warmUp 08:51", "reset 11:50"]);
  });
  it("goes into an earlier gap where the third has none", () => {
    const day = shortDay("09:00-09:50", "10:00-10:50", "11:00-12:00", "12:00-12:50");
    expect(laid(day)).toEqual({ sessions: ["warmUp 08:51", "reset 09:50"], missed: [] });
  });
  it("says so where there is no gap at all", () => {
    const day = shortDay("09:00-10:00", "10:00-11:00", "11:00-12:00", "12:00-13:00");
    expect(laid(day)).toEqual({ sessions: ["warmUp 08:51"], missed: ["inRow 3 0"] });
  });
  it("one in a row is one after each", () => {
    const day = shortDay("09:00-09:50", "10:00-10:50", "11:00-11:50");
    expect(laid(day, { mostInRow: 1 }).sessions).toEqual(["warmUp 08:51", "reset 09:50", "reset 10:50"]);
  });
});

describe("a longer one", () => {
  it.each([
    ["10:17", ["longer 10:00"]],
    ["10:16", []],
  ])("in a gap until %s: %j", (next, sessions) => {
    expect(laid(shortDay("09:00-10:00", `${next}-11:30`)).sessions).toEqual(["warmUp 08:51", ...sessions]);
  });
  it("two a day, two hours apart", () => {
    const day = shortDay("09:00-10:00", "10:30-11:30", "12:00-13:00", "13:30-14:30");
    expect(laid(day).sessions).toEqual(["warmUp 08:51", "longer 10:00", "longer 13:00"]);
  });
  it("waits in a long gap until two hours are over", () => {
    const day = shortDay("09:00-10:00", "10:30-11:30", "13:00-14:00");
    expect(laid(day).sessions).toEqual(["warmUp 08:51", "longer 10:00", "longer 12:04"]);
  });
  it("what moves and glides keeps to its number a day", () => {
    const moved = { ...SHAPES, longer: { ...SHAPES.longer, glides: true }, warmUp: { ...SHAPES.warmUp, glides: true } };
    const day = shortDay("09:00-10:00", "11:30-12:00", "13:00-13:30", "15:00-15:30");
    expect(laid(day, { sessions: moved }).sessions).toEqual(["warmUp 08:51", "longer 12:00"]);
  });
});

describe("strengthening", () => {
  const light = (...texts: string[]) => bookedDay(spans(...texts), { mayStrengthen: true });
  it("on light days only, after the last", () => {
    expect(laid(shortDay("09:00-10:00")).sessions).not.toContain("strength 10:00");
    expect(laid(light("09:00-10:00")).sessions).toEqual(["warmUp 08:51", "strength 10:00"]);
  });
  it.each([
    ["11:10", "strength 10:00"],
    ["11:09", "strength 11:49"],
  ])("not in the hour before hard work at %s", (hard, strength) => {
    const end = "11:49";
    expect(laid(light("09:00-10:00", `${hard}-${end}h`), { sessions: { ...SHAPES, longer: undefined } }).sessions).toContain(strength);
  });
});

it.each([
  ["10:30", "strength 10:30"],
  ["11:00", "strength 11:00"],
  ["11:01", undefined],
])("strengthening from %s on, long enough after the last time: %s", (from, strength) => {
  const day = bookedDay(spans("09:00-10:00"), { mayStrengthen: true, strengthFromMs: at(from) });
  expect(laid(day).sessions[1]).toBe(strength);
});

describe("what has begun", () => {
  const day = ["09:00-10:00d", "10:10-11:00d", "11:10-12:00"];
  const begun = [{ kind: "reset" as const, startMs: at("10:00"), endMs: at("10:02"), afterId: "1" }];
  it("stays, and the rest is laid from now on", () => {
    const now = bookedDay(spans(...day), { begun });
    expect(laid(now, { nowMs: at("10:01") }).sessions).toEqual(["reset 10:00", "reset 11:00"]);
  });
  it("stays when its bookings went away", () => {
    const now = bookedDay(spans("11:10-12:00"), { begun });
    expect(laid(now, { nowMs: at("10:03") }).sessions).toEqual(["reset 10:00"]);
    expect(laid(bookedDay([], { begun })).sessions).toEqual(["reset 10:00"]);
  });
  it("what is over is not told as missed any more", () => {
    const past = shortDay("09:00-10:00d", "10:00-11:00d", "11:00-12:00");
    expect(laid(past, { nowMs: at("10:30") }).missed).toEqual(["afterDeep 2 0"]);
  });
});

it("what closes goes after the last, once", () => {
  const sessions = { ...SHAPES, closing: SHAPES.longer };
  expect(laid(shortDay("09:00-10:00", "10:10-11:00d"), { sessions }).sessions).toEqual(["warmUp 08:51", "closing 11:00"]);
});

it("costs what is given up and waited for", () => {
  const { cost } = layDay(
    bookedDay(spans("09:00-10:00d", "10:00-11:00", "11:10-12:00"), { mayStrengthen: true }),
    rules({ nowMs: at("08:00") }),
  );
  // No gap after the deep one; two longer ones without room.
  expect(cost).toBe(LAY_COST.missed + 2 * LAY_COST.longer);
});
