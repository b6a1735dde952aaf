/** The movement library the pages below are about: a practice's own movements among the shipped ones, and the words for them. */
import { createContext, useContext, useMemo, useState, type ReactNode } from "react";
import { wordsOf, type Language, type Words } from "@kind-grip/core/language";
import { libraryOf, SHIPPED_LIBRARY, type Corrections, type CustomMovement, type Library } from "@kind-grip/core/library";
import { useLanguage, useSpoken } from "./language";
import { MEASURES } from "./measures";

const NONE: readonly CustomMovement[] = [];
const LibraryContext = createContext<Library>(SHIPPED_LIBRARY);

interface WithLibraryProps {
  /** The custom movements known here; none while they are still asked for. */
  custom: readonly CustomMovement[] | undefined;
  /** What the practice says in its own words. */
  corrections?: Corrections;
  children: ReactNode;
}

export function WithLibrary({ custom = NONE, corrections, children }: WithLibraryProps) {
  const latest = useMemo(() => {
    const plain = custom.length === 0 && Object.keys(corrections ?? {}).length === 0;
    return plain ? SHIPPED_LIBRARY : libraryOf(custom, corrections);
  }, [custom, corrections]);
  // What was fetched anew and says the same is the same library: nothing below is worked out again for it.
  const [library, setLibrary] = useState(latest);
  if (library.revision !== latest.revision) setLibrary(latest);
  return <LibraryContext.Provider value={library}>{children}</LibraryContext.Provider>;
}

/** The same value until a movement in it changes. */
export function useLibrary(): Library {
  return useContext(LibraryContext);
}

/** Everything a person reads of movements, doses and safety, in the language of this part of the screen. */
export function useWords(): Words {
  const { language, measures } = useSpoken();
  return wordsOf(useLibrary(), language, measures);
}

/** The words of a language for a part of a page; English until they are fetched. */
export function useWordsIn(language: Language): Words {
  const library = useLibrary();
  useLanguage(language);
  return wordsOf(library, language, MEASURES);
}

/** The same for whoever works with the screen, whatever its crew reads. */
export function useOwnWords(): Words {
  return wordsOf(useLibrary(), "en", MEASURES);
}
