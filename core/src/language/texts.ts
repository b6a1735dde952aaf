/** A catalogue as a list of texts by their keys: for correcting one, and for holding a correction against what ships. */

type Tree = { readonly [key: string]: string | readonly string[] | Tree };

/** Every text by its dotted key (`movements.palm-away.steps.0`), in the order of the catalogue. */
export function textsOf(tree: object, at = ""): [key: string, text: string][] {
  return Object.entries(tree as Tree).flatMap(([key, value]) => {
    const here = at === "" ? key : `${at}.${key}`;
    return typeof value === "string" ? [[here, value] as [string, string]] : textsOf(value, here);
  });
}

/** Longest text that is kept. */
export const LONGEST_TEXT = 600;

/** What a text fills in: `{{count}} of {{total}}` count and total. */
export function valuesOf(text: string): string[] {
  return [...new Set([...text.matchAll(/{{(\w+)}}/g)].map(([, name]) => name!))].sort();
}

/** What is wrong with a practice's own text; null where nothing is. @param shipped what it stands for */
export function correctionProblem(shipped: string, own: string): string | null {
  if (own.trim() === "") return "is empty";
  if (own.length > LONGEST_TEXT) return `is longer than ${LONGEST_TEXT} letters`;
  const asked = valuesOf(shipped);
  const given = valuesOf(own);
  const missing = asked.filter((name) => !given.includes(name));
  const foreign = given.filter((name) => !asked.includes(name));
  if (missing.length > 0) return `leaves out ${missing.map((name) => `{{${name}}}`).join(", ")}`;
  if (foreign.length > 0) return `asks for ${foreign.map((name) => `{{${name}}}`).join(", ")}, which is not known there`;
  return /{{|}}/.test(own.replace(/{{\w+}}/g, "")) ? "has braces that do not close" : null;
}
