import type { Placement } from "@kind-grip/core/dayplan";
import { reducePlan, type PlanState } from "./plan-state";

const placed = (id: string): Placement => ({
  id,
  programId: "p",
  sessionId: "s",
  startsAt: "2026-03-24T07:00:00.000Z",
  people: null,
  groupName: null,
});
const [a, b, c] = [placed("a"), placed("b"), placed("c")];
const start: PlanState = { version: 3, placements: [a], saved: [a], past: [], future: [], conflict: null, failed: null, saving: false };
const entry = (placements: Placement[], version = 7) => ({ crewId: "c", weekStart: "2026-03-23", version, placements, neighbours: [] });
const after = (...actions: Parameters<typeof reducePlan>[1][]) => actions.reduce(reducePlan, start);
const ids = ({ placements }: PlanState) => placements.map(({ id }) => id).join("");

it("changes are undone and redone in order; a new one ends what could be redone", () => {
  const two = after({ type: "changed", placements: [a, b] }, { type: "changed", placements: [a, b, c] });
  expect(ids(two)).toBe("abc");
  const back = reducePlan(two, { type: "undone" });
  expect([ids(back), ids(reducePlan(back, { type: "undone" })), ids(reducePlan(back, { type: "redone" }))]).toEqual(["ab", "a", "abc"]);
  const other = reducePlan(back, { type: "changed", placements: [b] });
  expect(ids(reducePlan(other, { type: "redone" }))).toBe("b");
  expect(ids(reducePlan(other, { type: "undone" }))).toBe("ab");
});

it("with nothing to undo or redo nothing happens", () => {
  expect(after({ type: "undone" })).toBe(start);
  expect(after({ type: "redone" })).toBe(start);
});

it("what was sent counts as saved, not what was changed meanwhile", () => {
  const sent = [a, b];
  const saved = after(
    { type: "changed", placements: sent },
    { type: "saveStarted" },
    { type: "changed", placements: [a, b, c] },
    { type: "saveDone", version: 4, placements: sent },
  );
  expect(saved).toMatchObject({ version: 4, saving: false, failed: null });
  expect([ids(saved), saved.saved === sent, saved.placements === saved.saved]).toEqual(["abc", true, false]);
});

it("a failed save keeps everything and says why, until one goes through", () => {
  const failed = after({ type: "changed", placements: [b] }, { type: "saveStarted" }, { type: "saveFailed", message: "no connection" });
  expect([ids(failed), failed.saving, failed.failed]).toEqual(["b", false, "no connection"]);
  expect(reducePlan(failed, { type: "saveDone", version: 4, placements: failed.placements }).failed).toBeNull();
});

describe("when somebody else saved first", () => {
  const clash = after({ type: "changed", placements: [a, b] }, { type: "conflict", entry: entry([c]) });
  it("nothing changes until the trainer chooses", () => expect([ids(clash), clash.version]).toEqual(["ab", 3]));
  it("mine is kept and saved over theirs", () => {
    const mine = reducePlan(clash, { type: "mineKept" });
    expect([ids(mine), mine.version, mine.conflict, mine.saved]).toEqual(["ab", 7, null, [c]]);
  });
  it("theirs is taken, and mine is one undo away", () => {
    const theirs = reducePlan(clash, { type: "theirsTaken" });
    expect([ids(theirs), theirs.version, theirs.conflict, theirs.placements === theirs.saved]).toEqual(["c", 7, null, true]);
    expect(ids(reducePlan(theirs, { type: "undone" }))).toBe("ab");
  });
  it("there is nothing to choose without a conflict", () => {
    expect(after({ type: "mineKept" })).toBe(start);
    expect(after({ type: "theirsTaken" })).toBe(start);
  });
});

it("a hundred changes back are kept, no more", () => {
  const many = Array.from({ length: 130 }, (_, i) => ({ type: "changed" as const, placements: [placed(String(i))] }));
  expect(after(...many).past).toHaveLength(100);
});
