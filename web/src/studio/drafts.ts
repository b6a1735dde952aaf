/** What is being made in the studio is kept in the browser until it is stored, so that a lost page loses nothing. */
import { CustomMovement } from "@kind-grip/core/library";
import * as v from "valibot";

const Draft = v.object({
  version: v.number(),
  custom: v.custom<CustomMovement>((custom) => typeof custom === "object" && custom !== null && "figure" in custom && "words" in custom),
});
const nameOf = (key: string) => `kind-grip:studio:${key}`;

/** The draft begun on this version; one begun on an older version is out of date. */
export function keptDraft(key: string, version: number): CustomMovement | undefined {
  const text = localStorage.getItem(nameOf(key));
  if (!text) return undefined;
  try {
    const draft = v.parse(Draft, JSON.parse(text));
    return draft.version === version ? draft.custom : undefined;
  } catch {
    return undefined;
  }
}

export function keepDraft(key: string, version: number, custom: CustomMovement): void {
  localStorage.setItem(nameOf(key), JSON.stringify({ version, custom }));
}

export function dropDraft(key: string): void {
  localStorage.removeItem(nameOf(key));
}
