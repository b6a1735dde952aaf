/** Whether runs sound and speak: remembered in this browser. */
import { useState } from "react";
import type { SoundChoice } from "./sound";

const KEY = "kind-grip.sound";

export function useSoundChoice(): [SoundChoice, (choice: SoundChoice) => void] {
  const [choice, setChoice] = useState<SoundChoice>(() => {
    try {
      return { sounds: true, voice: true, ...(JSON.parse(localStorage.getItem(KEY) ?? "{}") as Partial<SoundChoice>) };
    } catch {
      return { sounds: true, voice: true };
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
