import { reduceKept } from "./kept-document";

type State = Parameters<typeof reduceKept<string>>[0];
type Step = Parameters<typeof reduceKept<string>>[1];

const opened: State = {
  value: "a",
  saved: "a",
  version: 1,
  past: [],
  future: [],
  gesture: null,
  saving: false,
  failed: false,
  refused: null,
  theirs: null,
};
const after = (...steps: Step[]) => steps.reduce<State>(reduceKept, opened);
const change = (value: string, gesture?: string): Step => ({ kind: "change", value, gesture });

it("undoes and redoes step by step; a change after undo forgets what was undone", () => {
  const two = after(change("b"), change("c"));
  expect(reduceKept(two, { kind: "undo" }).value).toBe("b");
  expect(after(change("b"), change("c"), { kind: "undo" }, { kind: "undo" }, { kind: "redo" }).value).toBe("b");
  expect(after(change("b"), { kind: "undo" }, change("d")).future).toEqual([]);
  expect(after({ kind: "undo" }, { kind: "redo" })).toEqual(opened);
});
it("a slider pulled along is one step of undo", () => {
  const pulled = after(change("b", "pull"), change("c", "pull"), change("d", "pull"));
  expect(reduceKept(pulled, { kind: "undo" }).value).toBe("a");
  expect(after(change("b", "pull"), change("c", "another"), { kind: "undo" }).value).toBe("b");
});
it("what is typed while a save is under way stays unsaved", () => {
  const state = after(change("b"), { kind: "saving" }, change("c"), { kind: "saved", version: 2, value: "b" });
  expect([state.value, state.saved, state.version]).toEqual(["c", "b", 2]);
});
it("a refusal keeps what was typed, and is over when it is saved", () => {
  const refused = after(change("b"), { kind: "refused", value: "b", problems: [{ path: "x", message: "is bad" }] });
  expect([refused.value, refused.refused?.problems]).toEqual(["b", [{ path: "x", message: "is bad" }]]);
  expect(reduceKept(refused, { kind: "saved", version: 2, value: "c" }).refused).toBeNull();
});
describe("somebody else saved first", () => {
  const conflict = after(change("mine"), { kind: "stale", theirs: { version: 5, value: "theirs" } });
  it("mine goes over theirs, which stays one undo away", () => {
    const kept = reduceKept(conflict, { kind: "mine" });
    expect([kept.value, kept.version, kept.theirs]).toEqual(["mine", 5, null]);
    expect(reduceKept(kept, { kind: "undo" }).value).toBe("theirs");
  });
  it("theirs is taken, and mine stays one undo away", () => {
    const taken = reduceKept(conflict, { kind: "theirs" });
    expect([taken.value, taken.saved, taken.version]).toEqual(["theirs", "theirs", 5]);
    expect(reduceKept(taken, { kind: "undo" }).value).toBe("mine");
  });
  it("without a conflict there is nothing to choose", () => {
    expect([reduceKept(opened, { kind: "mine" }), reduceKept(opened, { kind: "theirs" })]).toEqual([opened, opened]);
  });
});
it("keeps a long history, not an endless one", () => {
  const many = after(...Array.from({ length: 150 }, (_, i) => change(String(i))));
  expect(many.past).toHaveLength(100);
  expect(many.past[0]).toBe("49");
});
