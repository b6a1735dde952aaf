import fc from "fast-check";
import { leaderClashes, minutesBetween, type LedSession, type TravelTime } from "./own-week";

const minute = 60_000;
let nr = 0;
const session = (fromMin: number, lengthMin: number, place = "Yard", leaderId = "a"): LedSession => ({
  id: `s${++nr}`,
  leaderId,
  place,
  startMs: fromMin * minute,
  endMs: (fromMin + lengthMin) * minute,
});
const way: TravelTime[] = [{ places: ["Yard", "Quay"], minutes: 20 }];
const kinds = (...list: LedSession[]) => leaderClashes(list, way).map(({ kind, found, needed }) => [kind, found, needed]);

describe("whoever leads", () => {
  it.each([
    ["begins as the other ends", 10, []],
    ["begins a minute before it ends", 9, [["twoAtOnce", 1, 0]]],
  ])("two sessions at one place of which the later %s", (_, from, clashes) => {
    expect(kinds(session(0, 10), session(from, 5))).toEqual(clashes);
  });
  it.each([
    ["exactly the way's time between", 30, []],
    ["a minute less", 29, [["tooFar", 19, 20]]],
  ])("goes to another place with %s", (_, from, clashes) => {
    expect(kinds(session(0, 10), session(from, 5, "Quay"))).toEqual(clashes);
    expect(kinds(session(0, 10, "quay "), session(from, 5, "yard"))).toEqual(clashes);
  });
  it.each([
    ["within two hours", 129, [["unknownWay", 119, 0]]],
    ["with two hours between", 130, []],
  ])("is asked for a way nobody has entered %s", (_, from, clashes) => {
    expect(kinds(session(0, 10), session(from, 5, "Hall"))).toEqual(clashes);
  });
  it("is one: what others lead at the same time is no clash", () => {
    expect(kinds(session(0, 10), session(5, 10, "Quay", "b"))).toEqual([]);
  });
  it("names each pair of three at once, and both ends of a long one", () => {
    expect(kinds(session(0, 60), session(10, 5), session(20, 5)).map(([kind]) => kind)).toEqual(["twoAtOnce", "twoAtOnce"]);
    expect(kinds(session(0, 30), session(10, 30), session(20, 30))).toHaveLength(3);
  });
});

it("a way is the same in both directions, nothing at the same place, and unknown until somebody says", () => {
  expect([minutesBetween(way, "Quay", "Yard"), minutesBetween(way, "yard", " Yard"), minutesBetween(way, "Yard", "Hall")]).toEqual([
    20,
    0,
    null,
  ]);
});

it("by chance: a leader has a clash of two at once exactly where a minute has two sessions of theirs", () => {
  const some = fc.array(fc.tuple(fc.nat(120), fc.integer({ min: 1, max: 30 }), fc.constantFrom("a", "b")), { maxLength: 8 });
  fc.assert(
    fc.property(some, (list) => {
      const sessions = list.map(([from, length, leader]) => session(from, length, "Yard", leader));
      const busy = (leader: string, min: number) =>
        sessions.filter(({ leaderId, startMs, endMs }) => leaderId === leader && startMs <= min * minute && endMs > min * minute).length;
      const isDouble = ["a", "b"].some((leader) => Array.from({ length: 160 }, (_, min) => busy(leader, min)).some((count) => count > 1));
      expect(leaderClashes(sessions, way).some(({ kind }) => kind === "twoAtOnce")).toBe(isDouble);
    }),
  );
});
