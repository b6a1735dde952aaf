import type { RunRecord } from "@kind-grip/core/run";
import { newClock } from "@kind-grip/core/run";
import { dropFromOutbox, dropUnderWay, keepUnderWay, noteRefusal, outbox, putInOutbox, refusals, underWay, without } from "./run-store";

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

describe("a run that names somebody who was held out", () => {
  const person = (personId: string) => ({
    personId,
    present: true,
    effort: 3,
    marks: [{ kind: "tooMuch" as const, itemId: "i1" }],
    forms: { i1: "easy", i2: "easy" },
    leftOut: [],
  });
  const named = { ...run("a"), people: [person("out"), person("partly"), person("fine")] } as RunRecord;
  it("waits with what was said of it until the trainer has answered", () => {
    noteRefusal("a", { withoutPeople: ["out"], withoutItems: {} });
    expect(refusals()).toEqual({ a: { withoutPeople: ["out"], withoutItems: {} } });
    noteRefusal("a", undefined);
    expect(refusals()).toEqual({});
  });
  it("is stored without them: not there, or without the items", () => {
    const [out, partly, fine] = without(named, { withoutPeople: ["out"], withoutItems: { partly: ["i2"] } }).people;
    expect(out).toEqual({ personId: "out", present: false, effort: null, marks: [], forms: {}, leftOut: [] });
    expect([partly!.present, partly!.effort, partly!.forms, partly!.leftOut]).toEqual([true, 3, { i1: "easy" }, ["i2"]]);
    expect(fine).toEqual(person("fine"));
  });
});
