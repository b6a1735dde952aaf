/**
 * How long a voice takes for a text. A model, for no browser says it beforehand: syllables at the pace of a calm voice, and a breath for
 * every sentence. Rather too long than too short: what is said must never run into a count.
 */
const SYLLABLES_PER_SEC = 4;
const SENTENCE_SEC = 0.25;

/** @returns seconds, 0 for an empty text. English: groups of vowels are syllables, a figure is two */
export function speechSec(text: string): number {
  const syllables = (text.match(/[aeiouy]+/gi)?.length ?? 0) + 2 * (text.match(/\d+/g)?.length ?? 0);
  const sentences = text.match(/[.!?,:;](\s|$)/g)?.length ?? 0;
  return syllables === 0 ? 0 : syllables / SYLLABLES_PER_SEC + SENTENCE_SEC * sentences;
}
