/** Whether runs sound and speak: remembered in this browser. */
import { useState } from "react";
import type { SoundChoice } from "./sound";

const KEY = "kind-grip.sound";
const USUAL: SoundChoice = { sounds: true, voice: true, coach: "full", captions: false, rate: 1, voices: {} };

export function useSoundChoice(): [SoundChoice, (choice: SoundChoice) => void] {
  const [choice, setChoice] = useState<SoundChoice>(() => {
    try {
      return { ...USUAL, ...(JSON.parse(localStorage.getItem(KEY) ?? "{}") as Partial<SoundChoice>) };
    } catch {
      return USUAL;
    }
  });
  return [
    choice,
    (next) => {
      setChoice(next);
      localStorage.setItem(KEY, JSON.stringify(next));
    },
  ];
}
