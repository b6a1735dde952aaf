/** What waits goes out with the page closed as well, as soon as there is a connection, where the browser can. */

/** Under which the browser wakes the phone's worker (sync-worker.ts). */
export const SENDING = "outbox";

interface CanSync {
  sync?: { register(tag: string): Promise<void> };
}

export async function sendInBackground(): Promise<void> {
  if (!("serviceWorker" in navigator)) return;
  const registration = (await navigator.serviceWorker.ready) as ServiceWorkerRegistration & CanSync;
  // Whoever switched it off still sends with the page open.
  await registration.sync?.register(SENDING).catch(() => undefined);
}
