/**
 * How long a voice takes for a text. A model, for no browser says it beforehand: syllables at the pace of a calm voice, and a breath for
 * every sentence. Rather too long than too short: what is said must never run into a count.
 *
 * How fast syllables come differs by language; for English, German and Spanish in the proportion of Pellegrino, Coupé and Marsico
 * (Language 87, 2011: 6.19, 5.97 and 7.82 a second). Polish and Arabic were not among theirs and are given the pace of English. How
 * syllables are counted is ours: groups of vowels; Arabic does not write its short vowels, so there it is letters.
 */
import type { Language } from "../language";

const ENGLISH_SYLLABLES_PER_SEC = 4;
const SENTENCE_SEC = 0.25;

interface Speech {
  /** Against English. */
  pace: number;
  /** Finds the groups of letters that make a syllable. */
  syllable: RegExp;
  /** Syllables of one such group. */
  each: number;
  /** Syllables of a figure. */
  ofFigure: number;
}

const SPEECH: Readonly<Record<Language, Speech>> = {
  en: { pace: 1, syllable: /[aeiouy]+/gi, each: 1, ofFigure: 2 },
  es: { pace: 7.82 / 6.19, syllable: /[aeiouáéíóúü]+/gi, each: 1, ofFigure: 2 },
  de: { pace: 5.97 / 6.19, syllable: /[aeiouyäöü]+/gi, each: 1, ofFigure: 3 },
  pl: { pace: 1, syllable: /[aeouyąęó]+|i(?![aeouyąęó])/gi, each: 1, ofFigure: 3 },
  ar: { pace: 1, syllable: /\p{Script=Arabic}/gu, each: 0.5, ofFigure: 3 },
};

/** @returns seconds, 0 for an empty text */
export function speechSec(text: string, language: Language = "en"): number {
  const { pace, syllable, each, ofFigure } = SPEECH[language];
  const written = text.replace(/\p{Nd}+/gu, "");
  const figures = text.match(/\p{Nd}+/gu)?.length ?? 0;
  const syllables = each * (written.match(syllable)?.length ?? 0) + ofFigure * figures;
  const sentences = text.match(/[.!?,:;،؛؟](\s|$)/g)?.length ?? 0;
  return syllables === 0 ? 0 : syllables / (ENGLISH_SYLLABLES_PER_SEC * pace) + SENTENCE_SEC * sentences;
}
