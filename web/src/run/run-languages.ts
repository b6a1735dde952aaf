/** In which language a run is read and heard, and beside it a second one for a mixed crew; remembered for each crew in this browser. */
import { useState } from "react";
import { isLanguage, type Language } from "@kind-grip/core/language";

export interface RunLanguages {
  first: Language;
  /** Read beside the first, not said. */
  second: Language | null;
}

/** @param usual what the crew reads */
export function useRunLanguages(crewId: string, usual: Language): [RunLanguages, (languages: RunLanguages) => void] {
  const key = `kind-grip.run-languages.${crewId}`;
  const [chosen, setChosen] = useState<RunLanguages | null>(() => kept(key));
  return [
    chosen ?? { first: usual, second: null },
    (languages) => {
      setChosen(languages);
      localStorage.setItem(key, JSON.stringify(languages));
    },
  ];
}

function kept(key: string): RunLanguages | null {
  try {
    const { first, second } = JSON.parse(localStorage.getItem(key) ?? "{}") as Partial<RunLanguages>;
    return isLanguage(first) ? { first, second: isLanguage(second) ? second : null } : null;
  } catch {
    return null;
  }
}
