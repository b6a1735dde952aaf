/** Messages to this phone: whether it takes them, signing it up for them, and ending that. */
import type { PushAddress } from "@kind-grip/core/contact";

/**
 * `insecure`: the page came over plain HTTP from elsewhere. `install`: this browser has no push, or only for pages on the home screen.
 * `blocked`: somebody said no.
 */
export type PushAbility = "ready" | "insecure" | "install" | "blocked";

export function pushAbility(): PushAbility {
  if (!window.isSecureContext) return "insecure";
  if (!("serviceWorker" in navigator) || !("PushManager" in window) || !("Notification" in window)) return "install";
  return Notification.permission === "denied" ? "blocked" : "ready";
}

const worker = () => navigator.serviceWorker.getRegistration("/me");

/** @returns null where the person said no @throws Error when the browser or its push service did not do it */
export async function beginPush(serverKey: string): Promise<PushAddress | null> {
  // Asked for first: browsers take it only while something was just pressed.
  if ((await Notification.requestPermission()) !== "granted") return null;
  const registration = await worker();
  if (!registration?.active) throw new Error("the worker is not there yet");
  // One from before may be for another server's key, which cannot be changed.
  await (await registration.pushManager.getSubscription())?.unsubscribe();
  const made = await registration.pushManager.subscribe({ userVisibleOnly: true, applicationServerKey: serverKey });
  const { endpoint, keys } = made.toJSON();
  return { endpoint: endpoint!, keys: { p256dh: keys!.p256dh!, auth: keys!.auth! } };
}

/** Done as well where there was none, or the browser cannot. */
export async function endPush(): Promise<void> {
  try {
    await (await (await worker())?.pushManager.getSubscription())?.unsubscribe();
  } catch {
    // The server sends nothing there any more either way.
  }
}
