/** What a booking of somebody else's calendar is: whose, and which kind of treatment. Only its words are looked at; none is kept. */
import type { Treatment } from "../strain";

/** Without case, accents and signs, words apart. */
function plain(text: string): string {
  return ` ${text
    .normalize("NFD")
    .replace(/\p{M}/gu, "")
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, " ")
    .trim()} `;
}

/** Of those whose name or other word is among the texts the one with the longest; undefined where none or two equally long are. */
function named<T>(texts: readonly string[], list: readonly T[], namesOf: (each: T) => readonly string[]): T | undefined {
  const within = texts.map(plain);
  const found = list
    .map((each) => ({
      each,
      length: Math.max(
        0,
        ...namesOf(each)
          .map(plain)
          .filter((name) => name.trim() !== "" && within.some((text) => text.includes(name)))
          .map((name) => name.length),
      ),
    }))
    .filter(({ length }) => length > 0)
    .sort((a, b) => b.length - a.length);
  return found.length === 1 || found[0]?.length !== found[1]?.length ? found[0]?.each : undefined;
}

export function treatmentNamed(texts: readonly string[], treatments: readonly Treatment[]): Treatment | undefined {
  return named(texts, treatments, ({ name, words }) => [name, ...words]);
}

export function personNamed<P extends { name: string }>(texts: readonly string[], people: readonly P[]): P | undefined {
  return named(texts, people, ({ name }) => [name]);
}
