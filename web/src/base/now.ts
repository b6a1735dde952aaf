/** The practice's time in the browser: the server says it once, the browser's clock carries it on. */
import { useEffect, useState } from "react";
import { serverApi } from "./api";

/** Of each answer of the server. */
const offsets = new WeakMap<{ now: string }, number>();

/** Milliseconds now, at the practice; re-renders every `everyMs`. */
export function useNow(everyMs = 30_000): number {
  const { data } = serverApi.useMeQuery();
  const [, tick] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => tick((count) => count + 1), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return practiceNow(data?.account ?? undefined);
}

/** The same outside of rendering. @param account as the server answered it */
export function practiceNow(account: { now: string } | undefined): number {
  if (!account) return Date.now();
  if (!offsets.has(account)) offsets.set(account, Date.parse(account.now) - Date.now());
  return Date.now() + offsets.get(account)!;
}
