import type { MemberDay } from "@kind-grip/core/api";
import { emptyMemberDay } from "../testing/member-day";
import { sampleSession } from "../testing/sample";
import { askedCheck, askedEffort, isCounted } from "./asked";

const session = sampleSession(["palm-away"], { name: "Warm-up", slot: "preShift" });
const entry = (change: object = {}) => ({
  placementId: "p1",
  programId: "x",
  startsAt: "2026-03-26T07:00:00.000Z",
  totalSec: 300,
  session,
  done: false,
  ended: false,
  ...change,
});
const run = (change: object = {}) => ({
  runId: "r1",
  placementId: "p1",
  name: "Warm-up",
  slot: "preShift" as const,
  endedAt: "2026-03-26T07:05:00.000Z",
  ...change,
});
const at = (time: string) => Date.parse(`2026-03-26T${time}:00Z`);
const day = (change: Partial<MemberDay> = {}) => emptyMemberDay(change);

describe("how hard a session was", () => {
  const here = day({ sessions: [entry()], here: ["p1"] });
  it.each([
    ["07:24", null],
    ["07:25", "p1"],
    ["19:04", "p1"],
    ["19:05", null],
  ])("of one that somebody is here for and that should last until 07:05, asked at %s: %p", (time, placementId) => {
    expect(askedEffort(here, [], at(time))?.placementId ?? null).toBe(placementId);
  });
  it("at once when whoever leads it has come to its end", () => {
    const led = day({ sessions: [entry({ ended: true })], here: ["p1"] });
    expect(askedEffort(led, [], at("07:01"))?.placementId).toBe("p1");
    expect(askedEffort(day({ sessions: [entry({ ended: true })] }), [], at("07:01"))).toBeNull();
  });
  it("is not asked of whoever did not say that they are here, or has said it", () => {
    expect(askedEffort(day({ sessions: [entry()] }), [], at("08:00"))).toBeNull();
    expect(askedEffort(here, ["effort p1"], at("08:00"))).toBeNull();
    expect(askedEffort({ ...here, said: ["p1"] }, [], at("08:00"))).toBeNull();
  });
  it("of a run on record is asked by the run, and once for both", () => {
    const both = day({ sessions: [entry({ done: true })], here: ["p1"], efforts: [run()] });
    expect(askedEffort(both, [], at("08:00"))).toMatchObject({ runId: "r1", placementId: "p1" });
    expect(askedEffort(both, ["effort r1"], at("08:00"))).toBeNull();
    expect(askedEffort({ ...both, said: ["p1"] }, [], at("08:00"))).toBeNull();
  });
  it("the newest first", () => {
    const two = day({ efforts: [run(), run({ runId: "r2", placementId: null, name: "Break", endedAt: "2026-03-26T10:00:00.000Z" })] });
    expect(askedEffort(two, [], at("11:00"))?.runId).toBe("r2");
    expect(askedEffort(two, ["effort r2"], at("11:00"))?.runId).toBe("r1");
  });
});

it("said here counts before the day knows it", () => {
  expect(isCounted(day(), [], entry())).toBe(false);
  expect(isCounted(day(), ["here p1"], entry())).toBe(true);
  expect(isCounted(day({ here: ["p1"] }), [], entry())).toBe(true);
  expect(isCounted(day({ here: ["p1"] }), [], entry({ placementId: null }))).toBe(false);
});

it("a check that was answered here is no longer asked", () => {
  const round = { id: "r", name: "Spring" };
  expect(askedCheck(day({ selfCheck: round }), [])).toEqual(round);
  expect(askedCheck(day({ selfCheck: round }), ["check r"])).toBeNull();
  expect(askedCheck(day(), [])).toBeNull();
});
