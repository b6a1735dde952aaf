import { newClock } from "@kind-grip/core/run";
import { dropUnderWay, keepUnderWay, underWay } from "./run-store";

const kept = new Map<string, string>();
beforeAll(() => {
  Object.assign(globalThis, {
    localStorage: {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
      removeItem: (key: string) => kept.delete(key),
    },
  });
});
beforeEach(() => kept.clear());

const started = (keptAtMs: number) => ({
  runId: "r",
  owner: "me@test.example",
  session: { id: "s", name: "S", slot: "break" as const, items: [] },
  clock: newClock(60),
  startedAt: null,
  marks: [],
  keptAtMs,
});

describe("a run under way", () => {
  const hour = 3600_000;
  it.each([
    [11.99, true],
    [12.01, false],
  ])("%d hours old is offered: %s", (hours, offered) => {
    keepUnderWay("p", "s", started(Date.now() - hours * hour));
    expect(underWay("p", "s", "me@test.example") !== undefined).toBe(offered);
  });
  it("belongs to its program and session, and can be dropped", () => {
    keepUnderWay("p", "s", started(Date.now()));
    expect(underWay("p", "other", "me@test.example")).toBeUndefined();
    dropUnderWay("p", "s");
    expect(underWay("p", "s", "me@test.example")).toBeUndefined();
  });
  it("is offered to whoever began it, and to nobody else", () => {
    keepUnderWay("p", "s", started(Date.now()));
    expect(underWay("p", "s", "other@test.example")).toBeUndefined();
    expect(underWay("p", "s", "me@test.example")).toMatchObject({ runId: "r" });
  });
  it("of a store somebody else has spoiled is none", () => {
    kept.set("kind-grip.run.p.s", "{not json");
    expect(underWay("p", "s", "me@test.example")).toBeUndefined();
  });
});
