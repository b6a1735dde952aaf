/** What the phone's worker does with a message: shows it, and opens the page when it is pressed. */
interface PushMessage extends Event {
  data: { json(): { id: string; text: string } } | null;
  waitUntil(done: Promise<unknown>): void;
}
interface Pressed extends Event {
  notification: { close(): void };
  waitUntil(done: Promise<unknown>): void;
}
interface OpenPage {
  url: string;
  focus(): Promise<unknown>;
}
export interface PushWorker {
  addEventListener(type: "push", listener: (event: PushMessage) => void): void;
  addEventListener(type: "notificationclick", listener: (event: Pressed) => void): void;
  registration: { showNotification(title: string, options: object): Promise<void> };
  clients: { matchAll(options: object): Promise<OpenPage[]>; openWindow(url: string): Promise<unknown> };
}

export function listenForMessages(phone: PushWorker): void {
  phone.addEventListener("push", (event) => {
    if (!event.data) return;
    const { id, text } = event.data.json();
    // Sent twice it is shown once; read from the side its letters are read from.
    event.waitUntil(phone.registration.showNotification("Kind Grip", { body: text, tag: id, dir: "auto", icon: "/icon-192.png" }));
  });
  phone.addEventListener("notificationclick", (event) => {
    event.notification.close();
    const isMine = ({ url }: OpenPage) => new URL(url).pathname.startsWith("/me");
    event.waitUntil(
      phone.clients.matchAll({ type: "window" }).then((pages) => pages.find(isMine)?.focus() ?? phone.clients.openWindow("/me")),
    );
  });
}
