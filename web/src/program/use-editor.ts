/** The edited program for its screens: the session in view, its timeline, and the ways to change it. */
import { useCallback, useMemo } from "react";
import type { Program } from "@kind-grip/core/program";
import { changeItem, compileGroup, compilePerson, type Item, type Session } from "@kind-grip/core/session";
import { useLibrary } from "../base/library";
import { useAppDispatch, useAppSelector } from "../app/store";
import { edited } from "./editor-state";

export function useEditedProgram(): Program {
  const program = useAppSelector((state) => state.editor.program);
  if (!program) throw new Error("no program is open");
  return program;
}

/** The session in view; undefined while the program has none. */
export function useEditedSession(): Session | undefined {
  const program = useEditedProgram();
  const sessionId = useAppSelector((state) => state.editor.sessionId);
  return program.sessions.find((session) => session.id === sessionId) ?? program.sessions[0];
}

export function useEdit() {
  const program = useEditedProgram();
  const dispatch = useAppDispatch();
  const change = useCallback((next: Program, gesture?: string) => dispatch(edited({ program: next, gesture })), [dispatch]);
  const changeSession = useCallback(
    (session: Session, gesture?: string) =>
      change({ ...program, sessions: program.sessions.map((each) => (each.id === session.id ? session : each)) }, gesture),
    [change, program],
  );
  const changeItemIn = useCallback(
    (session: Session, itemId: string, part: Partial<Omit<Item, "id">>, gesture?: string) =>
      changeSession(changeItem(session, itemId, part), gesture),
    [changeSession],
  );
  return { program, change, changeSession, changeItem: changeItemIn };
}

/** The timeline of the whole group, or of one person. */
export function useTimeline(session: Session, personIds: readonly string[], personId: string | null) {
  const library = useLibrary();
  return useMemo(
    () => (personId ? compilePerson(session, library.timings, personId) : compileGroup(session, library.timings, personIds)),
    [personId, session, library, personIds],
  );
}
