/** The program that is open: the document with its history, and which session and item of it are looked at. */
import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from "react";
import { PROGRAM_DOCUMENT, type Program } from "@kind-grip/core/program";
import { changeItem, compileGroup, compilePerson, type Item, type Session } from "@kind-grip/core/session";
import type { ProgramEntry } from "@kind-grip/core/api";
import { programApi } from "./api";
import { useOwner } from "../base/api";
import { useLibrary } from "../base/library";
import { useDocument, type EditedDocument } from "../document/use-document";

interface ProgramEditor {
  programId: string;
  crewId: string;
  edited: EditedDocument<Program>;
  sessionId: string | null;
  itemId: string | null;
  /** The item that was chosen is let go of. */
  chooseSession(sessionId: string | null): void;
  chooseItem(itemId: string | null): void;
}

const EditorContext = createContext<ProgramEditor | null>(null);

/** @param entry as the server has it when the page opens; later answers are behind the editor */
export function OpenProgram({ entry, children }: { entry: ProgramEntry; children: ReactNode }) {
  const [save] = programApi.useSaveProgramMutation();
  const owner = useOwner();
  const { id: programId, crewId } = entry;
  const edited = useDocument<Program>({
    draft: {
      storage: localStorage,
      owner,
      id: programId,
      of: PROGRAM_DOCUMENT,
      former: { key: `kind-grip.draft.${programId}`, valueAs: "program" },
    },
    start: { version: entry.version, value: entry.program },
    save: (version, program) => save({ id: programId, version, program }),
    theirsFrom: (detail) => {
      const newer = detail as ProgramEntry | undefined;
      return newer?.program ? { version: newer.version, value: newer.program } : null;
    },
  });
  const [chosen, setChosen] = useState<{ sessionId: string | null; itemId: string | null }>({ sessionId: null, itemId: null });
  const chooseSession = useCallback((sessionId: string | null) => setChosen({ sessionId, itemId: null }), []);
  const chooseItem = useCallback((itemId: string | null) => setChosen(({ sessionId }) => ({ sessionId, itemId })), []);
  const editor = { programId, crewId, edited, ...chosen, chooseSession, chooseItem };
  return <EditorContext.Provider value={editor}>{children}</EditorContext.Provider>;
}

export function useProgramEditor(): ProgramEditor {
  const editor = useContext(EditorContext);
  if (!editor) throw new Error("no program is open");
  return editor;
}

/** The session in view; undefined while the program has none. */
export function useEditedSession(): Session | undefined {
  const { edited, sessionId } = useProgramEditor();
  const { sessions } = edited.value;
  return sessions.find((session) => session.id === sessionId) ?? sessions[0];
}

/** Ways to change the program. */
export function useEdit() {
  const { edited, chooseSession, chooseItem } = useProgramEditor();
  const { value: program, change, undo, endGesture } = edited;
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
  return { program, change, changeSession, changeItem: changeItemIn, undo, endGesture, chooseSession, chooseItem };
}

/** The timeline of the whole group, or of one person. */
export function useTimeline(session: Session, personIds: readonly string[], personId: string | null) {
  const library = useLibrary();
  return useMemo(
    () => (personId ? compilePerson(session, library.timings, personId) : compileGroup(session, library.timings, personIds)),
    [personId, session, library, personIds],
  );
}
