/** The movement library the pages below are about: a practice's own movements among the shipped ones, and the words for them. */
import { createContext, useContext, useMemo, useState, type ReactNode } from "react";
import { wordsOf, type Words } from "@kind-grip/core/language";
import { libraryOf, SHIPPED_LIBRARY, type CustomMovement, type Library } from "@kind-grip/core/library";

const LibraryContext = createContext<Library>(SHIPPED_LIBRARY);

/** @param custom the custom movements known here; none while they are still asked for */
export function WithLibrary({ custom, children }: { custom: readonly CustomMovement[] | undefined; children: ReactNode }) {
  const latest = useMemo(() => (custom && custom.length > 0 ? libraryOf(custom) : SHIPPED_LIBRARY), [custom]);
  // What was fetched anew and says the same is the same library: nothing below is worked out again for it.
  const [library, setLibrary] = useState(latest);
  if (library.revision !== latest.revision) setLibrary(latest);
  return <LibraryContext.Provider value={library}>{children}</LibraryContext.Provider>;
}

/** The same value until a movement in it changes. */
export function useLibrary(): Library {
  return useContext(LibraryContext);
}

/** Everything a person reads of movements, doses and safety, in the language of this screen. */
export function useWords(): Words {
  return wordsOf(useLibrary());
}
