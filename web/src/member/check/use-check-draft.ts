/** The self-check of a round as it is kept on this phone, so that a call in between loses nothing. */
import { liveQuery } from "dexie";
import { useEffect, useState } from "react";
import { v7 as uuid } from "uuid";
import { keep, kept } from "../phone-store";
import type { CheckDraft } from "./check-draft";

const fresh = (roundId: string): CheckDraft => ({ id: uuid(), roundId, safety: {}, symptoms: [], step: 0 });

/** Undefined while the store is read; a change is kept before it is shown. */
export function useCheckDraft(roundId: string): [CheckDraft | undefined, (change: Partial<CheckDraft>) => void] {
  const [draft, setDraft] = useState<CheckDraft>();
  useEffect(() => {
    const subscription = liveQuery(() => kept("selfCheck")).subscribe({
      next: (found) => setDraft((now) => (found?.roundId === roundId ? found : (now ?? fresh(roundId)))),
    });
    return () => subscription.unsubscribe();
  }, [roundId]);
  return [draft, (change) => draft && void keep("selfCheck", { ...draft, ...change })];
}
