import { useCallback, useEffect, useState } from "react";
import { useLibrary } from "../base/library";
import type { Counting } from "./use-counter";

/** Degrees the hand turns in a form of a movement; undefined for all until that can be worked out. */
export function useFeltTurn(): Counting["turnOf"] {
  const library = useLibrary();
  const [feltTurn, setFeltTurn] = useState<typeof import("./felt-turn").feltTurn>();
  useEffect(() => {
    let gone = false;
    // Without it nothing is counted; what is followed does not need it.
    void import("./felt-turn").then(
      (felt) => gone || setFeltTurn(() => felt.feltTurn),
      () => undefined,
    );
    return () => void (gone = true);
  }, []);
  return useCallback(
    (movementId, formId) => {
      const figure = library.figure(movementId, formId);
      return figure && feltTurn?.(figure);
    },
    [library, feltTurn],
  );
}
