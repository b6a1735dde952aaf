import type { RunRecord } from "@kind-grip/core/run";
import { newClock } from "@kind-grip/core/run";
import { dropFromOutbox, dropUnderWay, keepUnderWay, outbox, putInOutbox, underWay } from "./run-store";

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

const run = (id: string, plannedSec = 1) => ({ id, plannedSec }) as RunRecord;
const started = (keptAtMs: number) => ({
  runId: "r",
  session: { id: "s", name: "S", slot: "break" as const, items: [] },
  clock: newClock(60),
  startedAt: null,
  marks: [],
  keptAtMs,
});

describe("the outbox", () => {
  it("keeps runs in order until each is confirmed, one entry a run", () => {
    putInOutbox(run("a"));
    putInOutbox(run("b"));
    putInOutbox(run("a", 2));
    expect(outbox()).toEqual([run("b"), run("a", 2)]);
    dropFromOutbox("b");
    expect(outbox()).toEqual([run("a", 2)]);
  });
  it("survives a store somebody else has spoiled", () => {
    kept.set("kind-grip.run-outbox", "{not json");
    expect(outbox()).toEqual([]);
  });
});

describe("a run under way", () => {
  const hour = 3600_000;
  it.each([
    [11.99, true],
    [12.01, false],
  ])("%d hours old is offered: %s", (hours, offered) => {
    keepUnderWay("p", "s", started(Date.now() - hours * hour));
    expect(underWay("p", "s") !== undefined).toBe(offered);
  });
  it("belongs to its program and session, and can be dropped", () => {
    keepUnderWay("p", "s", started(Date.now()));
    expect(underWay("p", "other")).toBeUndefined();
    dropUnderWay("p", "s");
    expect(underWay("p", "s")).toBeUndefined();
  });
});
