/** Asks the browser to keep the page itself, so that it opens without a connection. */
export function keepPage(): void {
  if (!("serviceWorker" in navigator) || import.meta.env.DEV) return;
  void navigator.serviceWorker.register("/sw.js", { scope: "/me" }).catch(() => undefined);
}
