/**
 * The words of the screens. The English text stands where it is used, and is the key under which another language gives its own
 * (docs/architecture.md, "Languages"). The language is known before the first screen is drawn, so tables of words may be built when
 * their module is read; whoever chooses another one gets the page anew.
 */
import { mapValues } from "es-toolkit";
import i18next from "i18next";
import { numberText } from "./measures";

export type WordValues = Readonly<Record<string, string | number>>;
/**
 * A text of the screen.
 * @param text in English, for more than one where it is counted; `{{name}}` stands for a value
 * @param values with `count`, the form for that many is taken; `defaultValue_one` is the English one for a single thing
 */
export type Say = (text: string, values?: WordValues) => string;

/** Numbers with the mark that whoever looks is used to; a count stays a number, and is whole. */
function marked(values: WordValues): WordValues {
  const isBroken = (value: string | number) => typeof value === "number" && !Number.isInteger(value);
  if (!Object.values(values).some(isBroken)) return values;
  return mapValues(values, (value) => (isBroken(value) ? numberText(value as number, 10) : value));
}

/**
 * @param language BCP 47: decides which forms count tells apart
 * @param texts English text → text of the language, with the endings of its plural forms (`_one`, `_few`, …); what is missing stays English
 */
export function sayIn(language: string, texts: Readonly<Record<string, string>> = {}): Say {
  const words = i18next.createInstance();
  void words.init({
    lng: language,
    fallbackLng: false,
    resources: { [language]: { translation: texts } },
    initAsync: false,
    keySeparator: false,
    nsSeparator: false,
    interpolation: { escapeValue: false },
  });
  // What has no values is the same each time, and said many times a second.
  const plain = new Map<string, string>();
  return (text, values) => {
    if (values) return words.t(text, marked(values));
    const known = plain.get(text) ?? words.t(text);
    plain.set(text, known);
    return known;
  };
}

export const t: Say = sayIn("en");

const SIDE_WORDS: Readonly<Record<"left" | "right" | "both", string>> = { left: t("left"), right: t("right"), both: t("both") };

/** A side within a sentence. */
export function sideWord(side: keyof typeof SIDE_WORDS): string {
  return SIDE_WORDS[side];
}
