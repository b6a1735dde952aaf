import { useEffect } from "react";

/** Keeps the screen from going dark while leading, where the browser can. */
export function useAwakeScreen(awake: boolean): void {
  useEffect(() => {
    if (!awake || !("wakeLock" in navigator)) return;
    let lock: WakeLockSentinel | undefined;
    void navigator.wakeLock.request("screen").then(
      (got) => {
        lock = got;
      },
      () => undefined,
    );
    return () => void lock?.release();
  }, [awake]);
}
