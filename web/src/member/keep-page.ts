/** Asks the browser to keep the page itself, so that it opens without a connection. */
export function keepPage(): void {
  if (!("serviceWorker" in navigator) || import.meta.env.DEV) return;
  void navigator.serviceWorker.register("/sw.js", { scope: "/me" }).catch(() => undefined);
  // What waits to be sent is not cleared away when the device is short of room.
  void navigator.storage?.persist?.().catch(() => undefined);
}

/** Where the worker keeps what not every phone needs: pictures, a language, its face (vite.config.ts). */
const keptIn = (pathname: string) => (pathname.startsWith("/assets/stills-") ? "stills" : "asked-for");

/** What was loaded before there was a worker, and is not among what it keeps for everybody, is kept too. */
export async function keepWhatWasLoaded(): Promise<void> {
  if (!("serviceWorker" in navigator) || import.meta.env.DEV) return;
  await navigator.serviceWorker.ready;
  for (const { name } of performance.getEntriesByType("resource")) {
    const { origin, pathname } = new URL(name);
    if (origin === location.origin && pathname.startsWith("/assets/") && !(await caches.match(name)))
      await (await caches.open(keptIn(pathname))).add(name);
  }
}
