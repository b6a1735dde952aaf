/** The voices this device has for a language: browsers make their list only once it is asked for. */
import { useEffect, useState } from "react";
import type { Language } from "@kind-grip/core/language";
import { voicesOf } from "./sound";

/** Until then the list may still be on its way. */
const LISTED_AFTER_MS = 1500;

/** @returns undefined while the list may still be on its way */
export function useVoices(language: Language): SpeechSynthesisVoice[] | undefined {
  const [heard, setHeard] = useState<{ language: Language; voices: SpeechSynthesisVoice[] }>();
  useEffect(() => {
    const look = () => {
      const there = voicesOf(language);
      if (there.length > 0) setHeard({ language, voices: there });
    };
    look();
    const speech = typeof speechSynthesis === "undefined" ? undefined : speechSynthesis;
    speech?.addEventListener?.("voiceschanged", look);
    const timer = setTimeout(
      () => setHeard((before) => (before?.language === language ? before : { language, voices: [] })),
      LISTED_AFTER_MS,
    );
    return () => {
      clearTimeout(timer);
      speech?.removeEventListener?.("voiceschanged", look);
    };
  }, [language]);
  return heard?.language === language ? heard.voices : undefined;
}
