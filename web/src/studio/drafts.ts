/** What is being made in the studio is kept in the browser until it is stored, so that a lost page loses nothing. */
import { OwnMovement } from "@kind-grip/core/library";
import * as v from "valibot";

const Draft = v.object({
  version: v.number(),
  own: v.custom<OwnMovement>((own) => typeof own === "object" && own !== null && "figure" in own && "words" in own),
});
const nameOf = (key: string) => `kind-grip:studio:${key}`;

/** The draft begun on this version; one begun on an older version is out of date. */
export function keptDraft(key: string, version: number): OwnMovement | undefined {
  const text = localStorage.getItem(nameOf(key));
  if (!text) return undefined;
  try {
    const draft = v.parse(Draft, JSON.parse(text));
    return draft.version === version ? draft.own : undefined;
  } catch {
    return undefined;
  }
}

export function keepDraft(key: string, version: number, own: OwnMovement): void {
  localStorage.setItem(nameOf(key), JSON.stringify({ version, own }));
}

export function dropDraft(key: string): void {
  localStorage.removeItem(nameOf(key));
}
