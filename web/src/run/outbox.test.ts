import type { RunRecord } from "@kind-grip/core/run";
import type { SymptomReport } from "@kind-grip/core/safety";
import { drop, everythingWaiting, holdBack, isOf, onOutboxChange, putReport, putRun, refuse, whoStopped, without } from "./outbox";

const kept = new Map<string, string>();
const listeners = new Map<string, Set<() => void>>();
beforeAll(() => {
  Object.assign(globalThis, {
    localStorage: {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
      removeItem: (key: string) => kept.delete(key),
    },
    addEventListener: (type: string, listener: () => void) => listeners.set(type, (listeners.get(type) ?? new Set()).add(listener)),
    removeEventListener: (type: string, listener: () => void) => listeners.get(type)?.delete(listener),
    dispatchEvent: ({ type }: Event) => listeners.get(type)?.forEach((listener) => listener()),
  });
});
beforeEach(() => kept.clear());

const ME = "me@test.example";
const run = (id: string, plannedSec = 1) => ({ id, plannedSec }) as RunRecord;
const report = (id: string) => ({ crewId: "c", personId: "p", report: { id } as SymptomReport });
const ids = () => everythingWaiting().map(({ id }) => id);

it("keeps what was made in order until each is confirmed, one entry each", () => {
  putRun(run("a"), ME);
  putReport(report("r"), ME);
  putRun(run("a", 2), ME);
  expect(everythingWaiting()).toMatchObject([
    { kind: "report", id: "r", owner: ME, personId: "p" },
    { kind: "run", id: "a", owner: ME, run: { plannedSec: 2 } },
  ]);
  drop("r");
  expect(ids()).toEqual(["a"]);
});

it("what is refused or held back stays, with what was said of it; storing it anew takes that away", () => {
  putRun(run("a"), ME);
  putRun(run("b"), ME);
  refuse("a", "there is no such crew");
  holdBack("b", { withoutPeople: ["out"], withoutItems: {} });
  expect(everythingWaiting()).toMatchObject([{ refused: "there is no such crew" }, { heldOut: { withoutPeople: ["out"] } }]);
  putRun(run("b"), ME);
  expect(everythingWaiting().find(({ id }) => id === "b")).toEqual({ kind: "run", run: run("b"), id: "b", owner: ME });
});

it("belongs to whoever made it", () => {
  putRun(run("a"), ME);
  putRun(run("b"), "other@test.example");
  expect(everythingWaiting().map((each) => isOf(each, ME))).toEqual([true, false]);
});

it("what an earlier version kept is whoever's is signed in, and goes over whole", () => {
  kept.set("kind-grip.run-outbox", JSON.stringify([run("a"), run("b")]));
  kept.set("kind-grip.run-refused", JSON.stringify({ b: { withoutPeople: ["out"], withoutItems: {} } }));
  kept.set("kind-grip.report-outbox", JSON.stringify([report("r")]));
  expect(everythingWaiting().map((each) => [each.kind, each.id, isOf(each, ME)])).toEqual([
    ["report", "r", true],
    ["run", "a", true],
    ["run", "b", true],
  ]);
  expect(everythingWaiting().at(-1)).toMatchObject({ heldOut: { withoutPeople: ["out"] } });
  drop("a");
  expect([ids(), [...kept.keys()]]).toEqual([["r", "b"], ["kind-grip.outbox"]]);
});

it("survives a store somebody else has spoiled", () => {
  kept.set("kind-grip.outbox", "{not json");
  expect(everythingWaiting()).toEqual([]);
  putRun(run("a"), ME);
  expect(ids()).toEqual(["a"]);
});

it("tells who follows it, until they stop", () => {
  let told = 0;
  const stop = onOutboxChange(() => told++);
  putRun(run("a"), ME);
  drop("a");
  stop();
  putRun(run("b"), ME);
  expect(told).toBe(2);
});

it("without whoever was held out: not there, or without the items", () => {
  const person = (personId: string) => ({
    personId,
    present: true,
    effort: 3,
    marks: [{ kind: "tooMuch" as const, itemId: "i1" }],
    forms: { i1: "easy", i2: "easy" },
    leftOut: [],
    quick: { test: "twistLid" as const, before: 4, after: 3 },
    counted: ["i1", "i2"].map((itemId) => ({ itemId, side: "left", of: "holds", set: 1, due: 1, dueSec: 5, repetitions: [] })),
  });
  const named = { ...run("a"), people: [person("out"), person("partly"), person("fine")] } as RunRecord;
  const [out, partly, fine] = without(named, { withoutPeople: ["out"], withoutItems: { partly: ["i2"] } }).people;
  expect(out).toEqual({ personId: "out", present: false, effort: null, marks: [], forms: {}, leftOut: [], quick: null, counted: null });
  expect([partly!.present, partly!.effort, partly!.forms, partly!.leftOut]).toEqual([true, 3, { i1: "easy" }, ["i2"]]);
  expect(partly!.counted!.map(({ itemId }) => itemId)).toEqual(["i1"]);
  expect(fine).toEqual(person("fine"));
});

it("whoever stopped by what waits here is known: told or marked, in this crew, and only what pauses", () => {
  const told = (personId: string, more: object, crewId = "c") =>
    putReport({ crewId, personId, report: { id: personId + crewId, ...more } as SymptomReport }, ME);
  told("pain", { kind: "sharpPain", stillThere: null });
  told("other", { kind: "other", stillThere: null });
  told("gone", { kind: "tingling", stillThere: false });
  told("elsewhere", { kind: "sharpPain", stillThere: null }, "d");
  refuse("painc", "there is no such person");
  const marked = (personId: string, ...marks: string[]) => ({ personId, marks: marks.map((kind) => ({ kind, itemId: "i" })) });
  putRun(
    {
      id: "a",
      crewId: "c",
      people: [marked("sharp", "sharpPain"), marked("much", "tooMuch"), marked("twice", "tingling", "tingling")],
    } as never,
    ME,
  );
  putRun({ id: "b", crewId: "d", people: [marked("there", "sharpPain")] } as never, ME);
  expect(whoStopped(everythingWaiting(), "c")).toEqual(["pain", "sharp", "twice"]);
});
