/** The language the pages below speak to a crew in, and the measures it is told in: their words fetched, their direction taken. */
import { createContext, lazy, Suspense, useContext, useEffect, useMemo, useState, type ComponentType, type ReactNode } from "react";
import { isLoaded, LANGUAGE_FACTS, loadLanguage, type Language } from "@kind-grip/core/language";
import type { Measures } from "@kind-grip/core/units";
import { MEASURES } from "./measures";

// Without a connection, and never fetched before: read as it stands, in a face of the device.
const RightToLeft = lazy<ComponentType<{ children?: ReactNode }>>(() => import("./RightToLeft").catch(() => ({ default: AsItIs })));
const ArabicFace = lazy<ComponentType>(() => import("./ArabicFace").catch(() => ({ default: AsItIs })));

function AsItIs({ children }: { children?: ReactNode }) {
  return children;
}

interface Spoken {
  language: Language;
  measures: Measures;
}

const LanguageContext = createContext<Spoken>({ language: "en", measures: MEASURES });

export function useSpoken(): Spoken {
  return useContext(LanguageContext);
}

/** Whether the words of a language are here; true as well when they cannot be fetched, for then English is read. */
export function useLanguage(language: Language): boolean {
  const [given, setGiven] = useState<Language | null>(null);
  useEffect(() => {
    let gone = false;
    const done = () => {
      if (!gone) setGiven(language);
    };
    loadLanguage(language).then(done, done);
    return () => {
      gone = true;
    };
  }, [language]);
  return isLoaded(language) || given === language;
}

interface WithLanguageProps extends Spoken {
  /** The page as a whole, not only what is read in a part of it. */
  whole?: boolean;
  children: ReactNode;
}

export function WithLanguage({ language, measures, whole = false, children }: WithLanguageProps) {
  const ready = useLanguage(language);
  const spoken = useMemo(() => ({ language, measures }), [language, measures]);
  const { direction } = LANGUAGE_FACTS[language];
  useEffect(() => {
    if (!whole) return;
    const root = document.documentElement;
    root.lang = language;
    root.dir = direction;
    return () => {
      root.lang = "en";
      root.dir = "ltr";
    };
  }, [whole, language, direction]);
  // A moment at most: nothing is shown that would have to be read anew.
  if (!ready) return null;
  const below = <LanguageContext.Provider value={spoken}>{children}</LanguageContext.Provider>;
  if (direction === "ltr") return below;
  return (
    <Suspense>
      <ArabicFace />
      {whole ? <RightToLeft>{below}</RightToLeft> : below}
    </Suspense>
  );
}

/** Letters for a language that stands beside another one. */
export function FaceOf({ language }: { language: Language }) {
  if (LANGUAGE_FACTS[language].direction === "ltr") return null;
  return (
    <Suspense>
      <ArabicFace />
    </Suspense>
  );
}
