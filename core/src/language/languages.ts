/** The languages a crew member can read and hear everything in. */
import * as v from "valibot";

export const LANGUAGES = ["en", "es", "de", "pl", "ar"] as const;
export const Language = v.picklist(LANGUAGES);
export type Language = v.InferOutput<typeof Language>;

export interface LanguageFacts {
  /** As whoever speaks it calls it. */
  ownName: string;
  /** As the trainer's screens call it. */
  englishName: string;
  direction: "ltr" | "rtl";
  /** BCP 47, for numbers, dates and lists; its digits are named, for a locale alone leaves them to the browser. */
  locale: string;
  /** Whether a noun keeps its capital in the middle of a sentence. */
  capitalNouns: boolean;
  /** A practitioner who speaks it and read all of it; null until somebody did. */
  readBy: string | null;
}

export const LANGUAGE_FACTS: Readonly<Record<Language, LanguageFacts>> = {
  en: { ownName: "English", englishName: "English", direction: "ltr", locale: "en-GB", capitalNouns: false, readBy: null },
  es: { ownName: "Español", englishName: "Spanish", direction: "ltr", locale: "es-ES", capitalNouns: false, readBy: null },
  de: { ownName: "Deutsch", englishName: "German", direction: "ltr", locale: "de-DE", capitalNouns: true, readBy: null },
  pl: { ownName: "Polski", englishName: "Polish", direction: "ltr", locale: "pl-PL", capitalNouns: false, readBy: null },
  ar: { ownName: "العربية", englishName: "Arabic", direction: "rtl", locale: "ar-EG-u-nu-arab", capitalNouns: false, readBy: null },
};

export function isLanguage(text: unknown): text is Language {
  return v.is(Language, text);
}

/** The first of the wished languages there is, by their main part alone. @param wished BCP 47, the dearest first */
export function languageFor(wished: readonly string[]): Language {
  return wished.map((tag) => tag.toLowerCase().split("-")[0]).find(isLanguage) ?? "en";
}

/** Whoever has none of their own reads the crew's, else the practice's. */
export function languageOf(...chosen: readonly (Language | null | undefined)[]): Language {
  return chosen.find((language) => language != null) ?? "en";
}
