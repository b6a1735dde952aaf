/** Sheets of several people: whose language a page's foot is in, also where a session takes several pages and where pages are shared. */
import "@kind-grip/core/language/all";
import { wordsOf, type Language } from "@kind-grip/core/language";
import { DEFAULT_STYLE, newItem, SHIPPED_LIBRARY } from "@kind-grip/core/library";
import type { Program } from "@kind-grip/core/program";
import { pagesOf } from "../test/paper-pages";
import { personalSheets } from "./hand-out";

/** A few again and again: each picture that is new is drawn, which is not what is looked at here. */
const FEW = SHIPPED_LIBRARY.movements.slice(0, 5);
const session = (name: string, items: number) => ({
  id: name,
  name,
  slot: "preShift" as const,
  items: Array.from({ length: items }, (_, i) => newItem(FEW[i % FEW.length]!, DEFAULT_STYLE, `${name} ${i}`)),
});
const program: Program = {
  name: "Long and short",
  style: DEFAULT_STYLE,
  weeks: 4,
  sessions: [session("Long one", 30), session("Short one", 4)],
};
const person = (name: string, language: Language) => ({ id: name, name, words: wordsOf(SHIPPED_LIBRARY, language) });

it("every page says in its reader's language when to stop, and is counted", async () => {
  const people = [person("Ann", "en"), person("Bea", "es"), person("Cem", "de"), person("Dan", "en")];
  const paper = await personalSheets(SHIPPED_LIBRARY, program, "Slate crew", people);
  const pages = pagesOf(paper).map((lines) => lines.join(" ").replace(/\s+/g, " "));
  let whose: (typeof people)[number] | undefined;
  const took = new Map<string, number>();
  for (const [i, page] of pages.entries()) {
    whose = people.find(({ name }) => page.includes(`${name} · Slate crew`)) ?? whose;
    const { words, name } = whose!;
    const foot = page.slice(page.indexOf(words.paper("stop").slice(0, 20)));
    expect(foot).toContain(words.paper("prevention"));
    expect(foot).toContain(words.paper("page", { page: i + 1, pages: pages.length }));
    took.set(name, (took.get(name) ?? 0) + 1);
  }
  expect([...took.keys()]).toEqual(["Ann", "Bea", "Cem", "Dan"]);
  expect(took.get("Ann")).toBe(took.get("Dan"));
  expect(took.get("Ann")).toBeGreaterThan(3);
});
