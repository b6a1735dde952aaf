import { useEffect, useState } from "react";

interface Filling<T> {
  /** Whether the fields say what this entry says. */
  isAsIn(entry: T): boolean;
  fill(entry: T): void;
}

/**
 * The entry a form is filled from, whose version what is typed is sent with. It follows the newest one as long as nothing was typed;
 * from then on it stays the one the typing began with, so that a change of somebody else's meanwhile is answered as stale and not
 * written over unseen.
 */
export function useFilledFrom<T>(newest: T, { isAsIn, fill }: Filling<T>): T {
  const [filledFrom, setFilledFrom] = useState(newest);
  useEffect(() => {
    if (newest === filledFrom || !(isAsIn(filledFrom) || isAsIn(newest))) return;
    setFilledFrom(newest);
    fill(newest);
    // oxlint-disable-next-line react/exhaustive-deps -- asked when a newer one comes, not at every key
  }, [newest]);
  return filledFrom;
}
