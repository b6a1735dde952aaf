import { documentReducer, openedDocument, type DocumentState, type DocumentStep } from "./document-state";

const opened = openedDocument({ version: 1, value: "a" });
const after = (...steps: DocumentStep<string>[]) => steps.reduce<DocumentState<string>>(documentReducer, opened);
const change = (value: string, gesture?: string): DocumentStep<string> => ({ kind: "change", value, gesture });

describe("undo", () => {
  it("goes back a step at a time and forward again; a change after it forgets what was undone", () => {
    expect(after(change("b"), change("c"), { kind: "undo" }).value).toBe("b");
    expect(after(change("b"), change("c"), { kind: "undo" }, { kind: "undo" }, { kind: "redo" }).value).toBe("b");
    expect(after(change("b"), { kind: "undo" }, change("d"), { kind: "redo" }).value).toBe("d");
    expect(after({ kind: "undo" }, { kind: "redo" })).toEqual(opened);
  });
  it("takes a pulled edge as one step, the next pull as another", () => {
    expect(after(change("b", "pull"), change("c", "pull"), change("d", "pull"), { kind: "undo" }).value).toBe("a");
    expect(after(change("b", "pull"), change("c", "other"), { kind: "undo" }).value).toBe("b");
    expect(after(change("b", "pull"), { kind: "gestureEnd" }, change("c", "pull"), { kind: "undo" }).value).toBe("b");
  });
  it("keeps a long history, not an endless one", () => {
    const many = after(...Array.from({ length: 250 }, (_, i) => change(String(i))));
    expect([many.past.length, many.past[0]]).toEqual([200, "49"]);
  });
});

it("what is typed while a save is under way stays unsaved", () => {
  const state = after(change("b"), { kind: "saving" }, change("c"), { kind: "saved", version: 2, value: "b" });
  expect([state.value, state.saved, state.version, state.saving]).toEqual(["c", "b", 2, false]);
});

it("counts the tries that did not reach the server, until one does", () => {
  const away = after(change("b"), { kind: "saving" }, { kind: "failed" }, { kind: "saving" }, { kind: "failed" });
  expect([away.value, away.failedTries, away.saving]).toEqual(["b", 2, false]);
  expect(documentReducer(away, { kind: "saved", version: 2, value: "b" }).failedTries).toBe(0);
});

it("a refusal keeps what was typed, and is over when it is saved", () => {
  const refused = after(change("b"), { kind: "refused", value: "b", problems: [{ path: "x", message: "is bad" }] });
  expect([refused.value, refused.refused?.problems]).toEqual(["b", [{ path: "x", message: "is bad" }]]);
  expect(documentReducer(refused, { kind: "saved", version: 2, value: "c" }).refused).toBeNull();
});

describe("somebody else saved first", () => {
  const conflict = after(change("mine"), { kind: "saving" }, { kind: "stale", theirs: { version: 5, value: "theirs" } });
  it("nothing changes until a choice is made", () =>
    expect([conflict.value, conflict.version, conflict.saving]).toEqual(["mine", 1, false]));
  it("mine goes over theirs, which stays one undo away", () => {
    const kept = documentReducer(conflict, { kind: "keepMine" });
    expect([kept.value, kept.version, kept.saved, kept.theirs]).toEqual(["mine", 5, "theirs", null]);
    expect(documentReducer(kept, { kind: "undo" }).value).toBe("theirs");
  });
  it("theirs is taken, and mine stays one undo away", () => {
    const taken = documentReducer(conflict, { kind: "takeTheirs" });
    expect([taken.value, taken.saved, taken.version]).toEqual(["theirs", "theirs", 5]);
    expect(documentReducer(taken, { kind: "undo" }).value).toBe("mine");
  });
  it("without a conflict there is nothing to choose", () => {
    expect([documentReducer(opened, { kind: "keepMine" }), documentReducer(opened, { kind: "takeTheirs" })]).toEqual([opened, opened]);
  });
});

describe("a draft of an earlier visit", () => {
  it("is open, unsaved, and can be undone to what the server has", () => {
    const state = openedDocument({ version: 3, value: "server" }, { version: 3, value: "draft" });
    expect([state.value, state.saved, state.theirs]).toEqual(["draft", "server", null]);
    expect(documentReducer(state, { kind: "undo" }).value).toBe("server");
  });
  it("that grew from an older version asks for a choice", () => {
    const state = openedDocument({ version: 4, value: "server" }, { version: 3, value: "draft" });
    expect(state.theirs).toEqual({ version: 4, value: "server" });
    expect(documentReducer(state, { kind: "takeTheirs" }).value).toBe("server");
  });
});

describe("somebody else stored something newer", () => {
  const newer: DocumentStep<string> = { kind: "newer", newer: { version: 2, value: "theirs" } };
  it("is taken over while nothing is unsaved here; what was undone before is gone", () => {
    const saved = after(change("b"), { kind: "saving" }, { kind: "saved", version: 1, value: "b" });
    expect(documentReducer(saved, newer)).toMatchObject({ value: "theirs", saved: "theirs", version: 2, past: [], future: [] });
  });
  it("waits for the choice where something is", () => {
    expect(after(change("b"), newer)).toMatchObject({ value: "b", version: 1 });
    expect(after({ kind: "saving" }, newer).version).toBe(1);
  });
  it("is nothing new a second time", () => {
    expect(after(newer, newer)).toEqual(after(newer));
  });
});
