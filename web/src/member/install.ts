/** Whether this page can be put on the home screen of the phone, and how. */

/** As Chromium offers it; others have it in a menu alone. */
interface Offer extends Event {
  prompt(): Promise<unknown>;
}

let offer: Offer | null = null;
window.addEventListener("beforeinstallprompt", (event) => {
  // Asked for from the page's own hint, not at a moment of the browser's.
  event.preventDefault();
  offer = event as Offer;
});

/** `offered`: the browser asks itself; `share` and `menu`: where its own words for it are; null where it is there already, or cannot be. */
export function installWay(): "offered" | "share" | "menu" | null {
  const isApplication = matchMedia("(display-mode: standalone)").matches || ("standalone" in navigator && navigator.standalone === true);
  if (isApplication || !window.isSecureContext) return null;
  if (offer) return "offered";
  return /iPhone|iPad/.test(navigator.userAgent) ? "share" : /Android/.test(navigator.userAgent) ? "menu" : null;
}

export async function install(): Promise<void> {
  await offer?.prompt();
  // It is good once.
  offer = null;
}
