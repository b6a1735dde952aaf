/**
 * A reminder on a phone, all the way: agreed to on the phone, sent by the trainer, signed and encrypted to the push service stand-in, and
 * shown by the phone's own worker while its page is somewhere else. Only what Debian's Chromium has no service for is played: where a
 * browser would ask its maker for an address, the stand-in gives one; what the stand-in opened is handed to the worker.
 */
import { expect, test, type CDPSession, type Page } from "@playwright/test";
import { axeViolationsOn, WCAG } from "./axe-violations";
import { BROWSER, signIn } from "./browser";

// The shell that is quicker has no notifications.
test.use({ launchOptions: { ...BROWSER, executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium" } });

const SERVICE = "http://127.0.0.1:4205";

async function phonePage(browser: Page["context"] extends () => infer Context ? Context : never): Promise<Page> {
  await browser.grantPermissions(["notifications"]);
  const page = await browser.newPage();
  await page.exposeFunction("addressFromService", async (key: string) =>
    (await fetch(`${SERVICE}/subscriptions`, { method: "POST", body: JSON.stringify({ key }) })).json(),
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

/** Hands a message to the worker of the phone's page, as a push service's would come in. */
async function deliver(cdp: CDPSession, origin: string, data: string): Promise<void> {
  const found = new Promise<string>((resolve) =>
    cdp.on("ServiceWorker.workerRegistrationUpdated", ({ registrations }) => {
      const own = registrations.find(({ scopeURL, isDeleted }) => scopeURL === `${origin}/me` && !isDeleted);
      if (own) resolve(own.registrationId);
    }),
  );
  await cdp.send("ServiceWorker.enable");
  await cdp.send("ServiceWorker.deliverPushMessage", { origin, registrationId: await found, data });
}

test("a crew member is reminded on the phone in their hand, and takes it back", async ({ page, browser, baseURL }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, timezoneId: "Europe/Dublin" });
  const phone = await phonePage(context);
  await test.step("they agree on their own page", async () => {
    await phone.goto("/me/sign-in");
    await phone.getByLabel("Crew code").fill("RDGE24");
    await phone.getByLabel("PIN").fill("001-24680");
    await phone.getByRole("button", { name: "Sign in", exact: true }).click();
    await expect(phone.getByRole("heading", { name: /^Hello/ })).toBeVisible();
    await phone.evaluate(async () => void (await navigator.serviceWorker.ready));
    await phone.goto("/me/progress");
    const part = phone.getByRole("region", { name: "How reminders reach you" });
    await part.getByRole("button", { name: "Yes, on this phone" }).click();
    await expect(part.getByText("Chrome, Linux")).toBeVisible();
    // What lies under the bar at the foot until one scrolls is not smaller for it.
    await phone.evaluate(() => window.scrollTo(0, document.body.scrollHeight));
    expect(await axeViolationsOn(phone, WCAG)).toEqual([]);
  });

  await signIn(page);
  const crews = (await (await page.request.get("/api/crews")).json()) as { id: string; name: string }[];
  const crewId = crews.find(({ name }) => name.startsWith("Ridgeline"))!.id;
  await test.step("the trainer sees how they are reached, and reminds the crew of a session", async () => {
    const contacts = (await (await page.request.get(`/api/crews/${crewId}/contacts`)).json()) as { personId: string; way: string }[];
    await page.goto(`/crews/${crewId}/people/${contacts.find(({ way }) => way === "push")!.personId}`);
    await expect(page.getByRole("region", { name: "Reminders reach them by" })).toContainText(
      "Their phone Chrome, Linux agreed themselves",
    );
    await page.goto(`/crews/${crewId}/day-plan`);
    await page
      .getByRole("button", { name: /^Ridge break at/ })
      .last()
      .click();
    await page.getByRole("button", { name: "Remind everybody" }).click();
    const atOnce = page.getByRole("button", { name: "Send them now all the same" });
    await expect(page.getByText(/reminder/).first()).toBeVisible();
    if (await atOnce.isVisible()) await atOnce.click();
    await page.getByRole("button", { name: "Reminders" }).click();
    await expect(page.getByText("sent to their phone")).toBeVisible();
  });

  await test.step("the phone's worker shows it, also while its page is elsewhere", async () => {
    const { messages } = (await (await fetch(`${SERVICE}/messages`)).json()) as { messages: { payload: { text: string }; ttl: number }[] };
    expect(messages).toHaveLength(1);
    const [{ payload, ttl }] = messages as [(typeof messages)[number]];
    expect(payload.text).toContain("Ridge break at");
    expect(ttl).toBeGreaterThan(0);
    await phone.goto("about:blank");
    await phone.goto("/me");
    await deliver(await context.newCDPSession(phone), baseURL!, JSON.stringify(payload));
    const shown = () =>
      phone.evaluate(async () => {
        const registration = await navigator.serviceWorker.getRegistration("/me");
        return (await registration!.getNotifications()).map(({ title, body }) => [title, body]);
      });
    await expect.poll(shown).toEqual([["Kind Grip", payload.text]]);
  });

  await test.step("taken back it is over, for the trainer too", async () => {
    await phone.goto("/me/progress");
    await phone.getByRole("button", { name: "Take it back: On your phone" }).click();
    await expect(phone.getByRole("button", { name: "Yes, on this phone" })).toBeVisible();
    const contacts = (await (await page.request.get(`/api/crews/${crewId}/contacts`)).json()) as { way: string; address: string }[];
    expect(contacts.filter(({ way }) => way === "push").map(({ address }) => address)).toEqual([""]);
  });
});
