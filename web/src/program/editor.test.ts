import { DEFAULT_STYLE } from "@kind-grip/core/library";
import type { Program } from "@kind-grip/core/program";
import type { Dose } from "@kind-grip/core/session";
import {
  conflictFound,
  edited,
  editorReducer,
  gestureEnded,
  mineKept,
  opened,
  redone,
  saveDone,
  theirsTaken,
  undone,
  type EditorState,
} from "./editor-state";
import { countOf, lengthOf, nudged, numbersOf } from "./dose-edit";

const named = (name: string): Program => ({ name, style: DEFAULT_STYLE, weeks: 4, sessions: [] });
const entry = (name: string, version = 1) => ({ id: "p", crewId: "c", version, changedAt: "", program: named(name) });
const play = (...actions: Parameters<typeof editorReducer>[1][]) =>
  actions.reduce<EditorState | undefined>((state, action) => editorReducer(state, action), undefined)!;
const open = opened({ entry: entry("A") });
const edit = (name: string, gesture?: string) => edited({ program: named(name), gesture });

describe("undo", () => {
  it("goes back a step at a time and forward again, until a new change", () => {
    expect(play(open, edit("B"), edit("C"), undone()).program?.name).toBe("B");
    expect(play(open, edit("B"), edit("C"), undone(), undone(), redone()).program?.name).toBe("B");
    expect(play(open, edit("B"), undone(), edit("C"), redone()).program?.name).toBe("C");
    expect(play(open, undone()).program?.name).toBe("A");
  });
  it("takes a pulled edge as one step, the next pull as another", () => {
    expect(play(open, edit("B", "pull"), edit("C", "pull"), edit("D", "pull"), undone()).program?.name).toBe("A");
    expect(play(open, edit("B", "pull"), gestureEnded(), edit("C", "pull"), undone()).program?.name).toBe("B");
  });
});

describe("a second editor", () => {
  const clash = [open, edit("Mine"), conflictFound(entry("Theirs", 2))] as const;
  it("theirs is taken, mine one undo away", () => {
    const state = play(...clash, theirsTaken());
    expect([state.program?.name, state.version, state.program === state.saved]).toEqual(["Theirs", 2, true]);
    expect(play(...clash, theirsTaken(), undone()).program?.name).toBe("Mine");
  });
  it("mine is kept and saved over their version", () => {
    const state = play(...clash, mineKept());
    expect([state.program?.name, state.version, state.program === state.saved, state.conflict]).toEqual(["Mine", 2, false, null]);
  });
});

it("a draft of an earlier visit is open, unsaved, and can be undone to what the server has", () => {
  const state = play(opened({ entry: entry("A"), draft: named("Draft") }));
  expect([state.program?.name, state.saved?.name]).toEqual(["Draft", "A"]);
  expect(play(opened({ entry: entry("A"), draft: named("Draft") }), undone()).program?.name).toBe("A");
});

it("what was edited while a save was under way is still unsaved after it", () => {
  const first = named("B");
  const state = play(open, edited({ program: first }), edit("C"), saveDone({ version: 2, program: first }));
  expect([state.version, state.program === state.saved]).toEqual([2, false]);
});

describe("numbers of a dose", () => {
  const holds: Dose = { kind: "holds", reps: 3, holdSec: 20, restSec: 10 };
  const reps: Dose = { kind: "reps", sets: 2, reps: 12, tempo: { outSec: 3, endPauseSec: 0, backSec: 3, startPauseSec: 1 }, restSec: 45 };
  it("move by steps and stop at their range", () => {
    expect(nudged(lengthOf(holds), 5)).toMatchObject({ holdSec: 25 });
    expect(nudged(lengthOf(holds), -99)).toMatchObject({ holdSec: 1 });
    expect(nudged(countOf(reps), 99)).toMatchObject({ sets: 10 });
  });
  it("cover every part of a dose, each setting its own", () => {
    for (const dose of [
      holds,
      reps,
      { kind: "timed", sets: 1, workSec: 60, restSec: 0 },
      { kind: "steps", rounds: 1, stepsUsed: 2, stepSec: 4, slides: 1, slideReps: 3, slideSec: 3, restSec: 0 },
    ] as Dose[]) {
      for (const number of numbersOf(dose)) {
        expect(number.value).toBeGreaterThanOrEqual(number.min);
        const changed = numbersOf(number.set(number.max)).find((each) => each.key === number.key)!;
        expect(changed.value).toBe(number.max);
      }
    }
  });
});
