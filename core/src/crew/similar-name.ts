/** Whether two names may be one person's: written with or without accents, in another order, with a slip of the pen or a middle name. */
import { distance } from "fastest-levenshtein";

/** Slips that are looked past, by the length of the shorter name. Practice rule: rather asked once too often. */
const SLIPS = [
  { from: 12, most: 2 },
  { from: 8, most: 1 },
];

export function areSimilarNames(a: string, b: string): boolean {
  const [mine, theirs] = [wordsOf(a), wordsOf(b)];
  if (mine.length === 0 || theirs.length === 0) return false;
  const [fewer, more] = mine.length <= theirs.length ? [mine, theirs] : [theirs, mine];
  // First and last name are there, and something between; an initial stands for its name.
  if (fewer.length >= 2 && fewer.every((word) => more.some((other) => isSameWord(word, other)))) return true;
  const [one, other] = [[...mine].sort().join(" "), [...theirs].sort().join(" ")];
  const allowed = SLIPS.find(({ from }) => Math.min(one.length, other.length) >= from)?.most ?? 0;
  return distance(one, other) <= allowed && sameNumbers(one, other);
}

/** The same words, whatever their order, case and accents. */
export function isSameName(a: string, b: string): boolean {
  const [mine, theirs] = [wordsOf(a), wordsOf(b)];
  return mine.length > 0 && [...mine].sort().join(" ") === [...theirs].sort().join(" ");
}

function wordsOf(name: string): string[] {
  return (
    name
      .normalize("NFD")
      .replace(/\p{M}/gu, "")
      .toLowerCase()
      .match(/[\p{L}\p{N}]+/gu) ?? []
  );
}

function isSameWord(a: string, b: string): boolean {
  return a === b || (a.length === 1 && b.startsWith(a)) || (b.length === 1 && a.startsWith(b));
}

/** "Worker 12" and "Worker 13" are two. */
function sameNumbers(a: string, b: string): boolean {
  return (a.match(/\d+/g) ?? []).join() === (b.match(/\d+/g) ?? []).join();
}
