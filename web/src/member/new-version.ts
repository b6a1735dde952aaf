/**
 * New versions come calmly. The phone's worker fetches one beside what is there and waits with it; it is taken when somebody comes to their day, where
 * nothing is under way: never during a session, a check-in or while something is told.
 */
import { useEffect } from "react";

/** Whoever comes back after that long comes to the page anew. */
export const AWAY_MS = 10 * 60_000;

/** @param reload for tests @returns ends it */
export function takeNewVersions(container: ServiceWorkerContainer, reload: () => void): () => void {
  let ended = false;
  let awaySinceMs: number | null = null;
  const take = async (looksForOne: boolean): Promise<void> => {
    const registration = await container.getRegistration("/me");
    if (looksForOne) await registration?.update();
    // Without one in charge there is nothing old to be replaced.
    if (ended || !registration?.waiting || !container.controller) return;
    container.addEventListener("controllerchange", reload, { once: true });
    registration.waiting.postMessage({ type: "SKIP_WAITING" });
  };
  const quietly = (looksForOne: boolean) => void take(looksForOne).catch(() => undefined);
  const lookedAt = () => {
    if (document.visibilityState === "hidden") awaySinceMs = Date.now();
    else if (awaySinceMs !== null && Date.now() - awaySinceMs >= AWAY_MS) quietly(true);
  };
  document.addEventListener("visibilitychange", lookedAt);
  quietly(false);
  return () => {
    ended = true;
    document.removeEventListener("visibilitychange", lookedAt);
  };
}

/** For the page where nothing is under way. */
export function useNewVersions(): void {
  useEffect(() => {
    if (!("serviceWorker" in navigator)) return;
    return takeNewVersions(navigator.serviceWorker, () => location.reload());
  }, []);
}
