/**
 * Unsaved work kept in the browser, so that a reload, a crash, a long night without connection or a new version of the product loses
 * nothing. It belongs to whoever made it, and is brought to today's shape when it was begun in an older one.
 */
import { upcast, type DocumentFormat } from "@kind-grip/core/document";
import type { Versioned } from "./document-state";

export interface DraftPlace<T> {
  /** Health answers are kept for this tab only: `sessionStorage`. */
  storage: Storage;
  /** Who is signed in. */
  owner: string;
  /** Which document, unique among its kind. */
  id: string;
  of: DocumentFormat<T>;
  /** Key it was kept under by an earlier version of the product, in format 1, with the document under one of these names. */
  former?: { key: string; valueAs: string };
}

type Found<T> = Versioned<T> | undefined;

const keyOf = ({ owner, of, id }: DraftPlace<unknown>) => `kind-grip/draft/${owner}/${of.name}/${id}`;
/** What cannot be read is kept under this, for whoever can. */
const ASIDE = "kind-grip/unreadable/";

export function keepDraft<T>(place: DraftPlace<T>, { version, value }: Versioned<T>): void {
  try {
    place.storage.setItem(keyOf(place), JSON.stringify({ format: place.of.format, version, value }));
  } catch {
    // A full or forbidden store: the server's copy is the one that counts.
  }
}

export function dropDraft(place: DraftPlace<unknown>): void {
  place.storage.removeItem(keyOf(place));
  if (place.former) place.storage.removeItem(place.former.key);
}

/** The draft that is kept, in today's shape. One that cannot be read is put aside, not thrown away. */
export function readDraft<T>(place: DraftPlace<T>): Found<T> {
  return read(place, keyOf(place), "value") ?? (place.former ? read(place, place.former.key, place.former.valueAs) : undefined);
}

function read<T>({ storage, of }: DraftPlace<T>, key: string, valueAs: string): Found<T> {
  const text = storage.getItem(key);
  if (text === null) return undefined;
  try {
    const draft = JSON.parse(text) as Record<string, unknown> | null;
    const { format = 1, version } = draft as { format?: number; version: number };
    if (typeof version !== "number" || draft![valueAs] === undefined) throw new Error("not a draft");
    return { version, value: upcast(of, draft![valueAs], format) };
  } catch {
    storage.setItem(ASIDE + key, text);
    storage.removeItem(key);
    return undefined;
  }
}
