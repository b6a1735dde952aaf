/** Saves the edited program shortly after each change; keeps trying while the server is away; stops at a conflict. */
import { useEffect } from "react";
import { problemOf, serverApi, type ProgramEntry } from "../app/api";
import { useAppDispatch, useAppSelector } from "../app/store";
import { dropDraft, keepDraft } from "./drafts";
import { conflictFound, saveDone, saveFailed, saveStarted } from "./editor-state";

const AFTER_MS = 600;
const AGAIN_MS = 3000;

export function useAutosave(): void {
  const { programId, program, saved, saving, version, conflict, failed } = useAppSelector((state) => state.editor);
  const [save] = serverApi.useSaveProgramMutation();
  const dispatch = useAppDispatch();
  const unsaved = programId !== null && program !== null && program !== saved;

  useEffect(() => {
    if (unsaved) keepDraft(programId, { version, program });
  }, [unsaved, programId, program, version]);

  useEffect(() => {
    if (!unsaved || saving || conflict) return;
    const timer = setTimeout(
      async () => {
        dispatch(saveStarted());
        const answer = await save({ id: programId, version, program });
        if (answer.data) {
          dispatch(saveDone({ version: answer.data.version, program }));
          return;
        }
        const problem = problemOf(answer.error);
        if (problem.code === "stale") dispatch(conflictFound(problem.detail as ProgramEntry));
        else dispatch(saveFailed(problem.fields.length > 0 ? problem.fields.map((field) => field.message).join("; ") : problem.message));
      },
      failed ? AGAIN_MS : AFTER_MS,
    );
    return () => clearTimeout(timer);
  }, [unsaved, saving, conflict, failed, programId, program, version, save, dispatch]);

  // What the server has confirmed needs no draft.
  useEffect(() => {
    if (programId && program && program === saved) dropDraft(programId);
  }, [programId, program, saved]);

  useEffect(() => {
    if (!unsaved) return;
    const warn = (event: BeforeUnloadEvent) => event.preventDefault();
    addEventListener("beforeunload", warn);
    return () => removeEventListener("beforeunload", warn);
  }, [unsaved]);
}
