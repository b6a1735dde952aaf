/** A phone whose push service is the stand-in: Debian's Chromium has none of its maker's. */
import { expect, type BrowserContext, type CDPSession, type Page } from "@playwright/test";

export interface PushTaken {
  payload: { id: string; text: string };
  ttl: number;
}

/** What the service took. */
export async function messagesOf(service: string): Promise<PushTaken[]> {
  return ((await (await fetch(`${service}/messages`)).json()) as { messages: PushTaken[] }).messages;
}

/** A page that is given an address by the stand-in where a browser would ask its maker's service for one. */
export async function pushPage(context: BrowserContext, service: string): Promise<Page> {
  await context.grantPermissions(["notifications"]);
  const page = await context.newPage();
  await page.exposeFunction("addressFromService", async (key: string) =>
    (await fetch(`${service}/subscriptions`, { method: "POST", body: JSON.stringify({ key }) })).json(),
  );
  await page.addInitScript(() => {
    const play = window as unknown as { addressFromService(key: string): Promise<object> };
    PushManager.prototype.subscribe = async (options) => {
      const address = await play.addressFromService(options!.applicationServerKey as string);
      return { toJSON: () => address } as unknown as PushSubscription;
    };
  });
  return page;
}

/** Agrees on their own page to be reminded on this phone. */
export async function agreeToPush(phone: Page): Promise<void> {
  await phone.evaluate(async () => void (await navigator.serviceWorker.ready));
  await phone.goto("/me/progress");
  const part = phone.getByRole("region", { name: "How reminders reach you" });
  await part.getByRole("button", { name: "Yes, on this phone" }).click();
  await expect(part.getByText("Chrome, Linux")).toBeVisible();
}

/**
 * Hands a message to the phone's worker as its push service would, until it is shown: Chromium's door for this does not say when a worker
 * could not be started, and a message that comes twice is shown once.
 */
export async function deliver(phone: Page, { payload }: PushTaken): Promise<void> {
  const { origin } = new URL(phone.url());
  const cdp = await phone.context().newCDPSession(phone);
  const registrationId = await workerOf(cdp, origin);
  const shown = () =>
    phone.evaluate(async () => {
      const registration = await navigator.serviceWorker.getRegistration("/me");
      return (await registration!.getNotifications()).map(({ title, body }) => [title, body]);
    });
  await expect(async () => {
    await cdp.send("ServiceWorker.deliverPushMessage", { origin, registrationId, data: JSON.stringify(payload) });
    await expect.poll(shown, { timeout: 5000 }).toEqual([["Kind Grip", payload.text]]);
  }).toPass({ timeout: 60_000 });
}

async function workerOf(cdp: CDPSession, origin: string): Promise<string> {
  const found = new Promise<string>((resolve) =>
    cdp.on("ServiceWorker.workerRegistrationUpdated", ({ registrations }) => {
      const own = registrations.find(({ scopeURL, isDeleted }) => scopeURL === `${origin}/me` && !isDeleted);
      if (own) resolve(own.registrationId);
    }),
  );
  await cdp.send("ServiceWorker.enable");
  return found;
}
