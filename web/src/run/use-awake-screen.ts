import { useEffect } from "react";

/**
 * Keeps the screen from going dark while leading, where the browser can. A browser lets go of it when the page is out of sight: it is
 * asked for again as soon as the page is looked at.
 */
export function useAwakeScreen(awake: boolean): void {
  useEffect(() => {
    if (!awake || !("wakeLock" in navigator)) return;
    let gone = false;
    let lock: WakeLockSentinel | undefined;
    const ask = () => {
      if (document.visibilityState !== "visible" || (lock && !lock.released)) return;
      void navigator.wakeLock.request("screen").then(
        (got) => {
          // Asked for before it was given up, and given after.
          if (gone) void got.release();
          else lock = got;
        },
        () => undefined,
      );
    };
    ask();
    document.addEventListener("visibilitychange", ask);
    return () => {
      gone = true;
      document.removeEventListener("visibilitychange", ask);
      void lock?.release();
    };
  }, [awake]);
}
