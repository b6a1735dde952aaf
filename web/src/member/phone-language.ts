/** What a phone speaks before it knows whose it is: what was read on it last, else what its browser asks for. */
import { isLanguage, languageFor, type Language } from "@kind-grip/core/language";

const KEY = "kind-grip.language";

export function phoneLanguage(): Language {
  const kept = localStorage.getItem(KEY);
  return isLanguage(kept) ? kept : languageFor(navigator.languages);
}

export function keepLanguage(language: Language): void {
  localStorage.setItem(KEY, language);
}
