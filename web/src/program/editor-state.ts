/** The program being edited: the document, its undo history, what is selected, and where saving stands. */
import { createSlice, type PayloadAction } from "@reduxjs/toolkit";
import type { Program } from "@kind-grip/core/program";
import type { ProgramEntry } from "../app/api";

const MOST_STEPS = 200;

export interface EditorState {
  programId: string | null;
  /** Version on the server that the document grew from. */
  version: number;
  program: Program | null;
  past: Program[];
  future: Program[];
  /** Changes that carry the same gesture are one step of undo: a pulled edge, a held stepper. */
  gesture: string | null;
  /** The document as the server last confirmed it. */
  saved: Program | null;
  saving: boolean;
  /** The last save failed; it is tried again. */
  failed: string | null;
  /** Somebody else's newer version, until the trainer chooses. */
  conflict: ProgramEntry | null;
  sessionId: string | null;
  itemId: string | null;
}

const closed: EditorState = {
  programId: null,
  version: 0,
  program: null,
  past: [],
  future: [],
  gesture: null,
  saved: null,
  saving: false,
  failed: null,
  conflict: null,
  sessionId: null,
  itemId: null,
};

const editor = createSlice({
  name: "editor",
  initialState: closed,
  reducers: {
    /** @param draft unsaved work of an earlier visit, grown from the same version */
    opened: (_, { payload: { entry, draft } }: PayloadAction<{ entry: ProgramEntry; draft?: Program }>): EditorState => ({
      ...closed,
      programId: entry.id,
      version: entry.version,
      program: draft ?? entry.program,
      past: draft ? [entry.program] : [],
      saved: entry.program,
      sessionId: entry.program.sessions[0]?.id ?? null,
    }),
    closedEditor: () => closed,
    edited: (state, { payload: { program, gesture } }: PayloadAction<{ program: Program; gesture?: string }>): EditorState => {
      const sameGesture = gesture !== undefined && gesture === state.gesture;
      const past = sameGesture || !state.program ? state.past : [...state.past, state.program as Program].slice(-MOST_STEPS);
      return { ...state, program, past, future: [], gesture: gesture ?? null } as EditorState;
    },
    /** The next change is a step of its own. */
    gestureEnded: (state) => {
      state.gesture = null;
    },
    undone: (state): EditorState => {
      const previous = state.past.at(-1);
      if (!previous || !state.program) return state as EditorState;
      return {
        ...state,
        program: previous,
        past: state.past.slice(0, -1),
        future: [state.program, ...state.future],
        gesture: null,
      } as EditorState;
    },
    redone: (state): EditorState => {
      const [next, ...future] = state.future;
      if (!next || !state.program) return state as EditorState;
      return { ...state, program: next, past: [...state.past, state.program], future, gesture: null } as EditorState;
    },
    sessionChosen: (state, { payload }: PayloadAction<string | null>) => {
      state.sessionId = payload;
      state.itemId = null;
    },
    itemChosen: (state, { payload }: PayloadAction<string | null>) => {
      state.itemId = payload;
    },
    saveStarted: (state) => {
      state.saving = true;
    },
    saveDone: (state, { payload: { version, program } }: PayloadAction<{ version: number; program: Program }>): EditorState =>
      ({ ...state, saving: false, failed: null, version, saved: program }) as EditorState,
    saveFailed: (state, { payload }: PayloadAction<string>) => {
      state.saving = false;
      state.failed = payload;
    },
    conflictFound: (state, { payload }: PayloadAction<ProgramEntry>): EditorState =>
      ({ ...state, saving: false, conflict: payload }) as EditorState,
    /** Mine goes over theirs, knowingly. Theirs stays one step of undo away. */
    mineKept: (state): EditorState =>
      state.conflict
        ? ({
            ...state,
            version: state.conflict.version,
            saved: state.conflict.program,
            past: [...state.past, state.conflict.program],
            conflict: null,
            failed: null,
          } as EditorState)
        : (state as EditorState),
    /** Theirs is taken; mine stays one step of undo away. */
    theirsTaken: (state): EditorState =>
      state.conflict && state.program
        ? ({
            ...state,
            version: state.conflict.version,
            saved: state.conflict.program,
            program: state.conflict.program,
            past: [...state.past, state.program],
            future: [],
            conflict: null,
            failed: null,
          } as EditorState)
        : (state as EditorState),
  },
});

export const {
  opened,
  closedEditor,
  edited,
  gestureEnded,
  undone,
  redone,
  sessionChosen,
  itemChosen,
  saveStarted,
  saveDone,
  saveFailed,
  conflictFound,
  mineKept,
  theirsTaken,
} = editor.actions;
export const editorReducer = editor.reducer;
