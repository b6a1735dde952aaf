/** Whether this device can speak: browsers make their list of voices only once it is asked for. */
import { useEffect, useState } from "react";
import { hasVoice } from "./sound";

/** Until then the list may still be on its way. */
const LISTED_AFTER_MS = 1500;

export function useVoice(): "asking" | "there" | "none" {
  const [voice, setVoice] = useState<"asking" | "there" | "none">("asking");
  useEffect(() => {
    const look = () => {
      if (hasVoice()) setVoice("there");
    };
    look();
    const speech = typeof speechSynthesis === "undefined" ? undefined : speechSynthesis;
    speech?.addEventListener?.("voiceschanged", look);
    const timer = setTimeout(() => setVoice((before) => (before === "asking" ? "none" : before)), LISTED_AFTER_MS);
    return () => {
      clearTimeout(timer);
      speech?.removeEventListener?.("voiceschanged", look);
    };
  }, []);
  return voice;
}
