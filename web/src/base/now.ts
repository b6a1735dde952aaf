/** The practice's time in the browser: the server says it once, the browser's clock carries it on. */
import { useEffect, useState } from "react";
import { serverApi } from "./api";

const offsets = new Map<string, number>();

/** Milliseconds now, at the practice; re-renders every `everyMs`. */
export function useNow(everyMs = 30_000): number {
  const { data } = serverApi.useMeQuery();
  const said = data?.account?.now;
  const [, tick] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => tick((count) => count + 1), everyMs);
    return () => clearInterval(timer);
  }, [everyMs]);
  return practiceNow(said);
}

/** The same outside of rendering. */
export function practiceNow(said: string | undefined): number {
  if (!said) return Date.now();
  if (!offsets.has(said)) offsets.set(said, Date.parse(said) - Date.now());
  return Date.now() + offsets.get(said)!;
}
