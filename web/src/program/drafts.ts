/** Unsaved work kept in the browser, so that a reload, a crash or a long night without connection loses nothing. */
import type { Program } from "@kind-grip/core/program";

interface Draft {
  version: number;
  program: Program;
}

const key = (programId: string) => `kind-grip.draft.${programId}`;

export function keepDraft(programId: string, draft: Draft): void {
  try {
    localStorage.setItem(key(programId), JSON.stringify(draft));
  } catch {
    // A full or forbidden store: the server copy is the one that counts.
  }
}

export function dropDraft(programId: string): void {
  localStorage.removeItem(key(programId));
}

export function draftOf(programId: string): Draft | undefined {
  try {
    const text = localStorage.getItem(key(programId));
    return text ? (JSON.parse(text) as Draft) : undefined;
  } catch {
    return undefined;
  }
}
