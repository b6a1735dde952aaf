/**
 * A reminder on a phone, all the way: agreed to on the phone, sent by the trainer, signed and encrypted to the push service stand-in, and
 * shown by the phone's own worker while its page is somewhere else. Only what Debian's Chromium has no service for is played: where a
 * browser would ask its maker for an address, the stand-in gives one; what the stand-in opened is handed to the worker.
 */
import { expect, test } from "@playwright/test";
import { axeViolationsOn, WCAG } from "./axe-violations";
import { BROWSER, signIn } from "./browser";
import { agreeToPush, deliver, messagesOf, pushPage } from "./phone-push";

// The shell that is quicker has no notifications.
test.use({ launchOptions: { ...BROWSER, executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium" } });

const SERVICE = "http://127.0.0.1:4205";

test("a crew member is reminded on the phone in their hand, and takes it back", async ({ page, browser }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, timezoneId: "Europe/Dublin" });
  const phone = await pushPage(context, SERVICE);
  await test.step("they agree on their own page", async () => {
    await phone.goto("/me/sign-in");
    await phone.getByLabel("Crew code").fill("RDGE24");
    await phone.getByLabel("PIN").fill("001-24680");
    await phone.getByRole("button", { name: "Sign in", exact: true }).click();
    await expect(phone.getByRole("heading", { name: /^Hello/ })).toBeVisible();
    await agreeToPush(phone);
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
    const [message, ...more] = await messagesOf(SERVICE);
    expect(more).toEqual([]);
    expect(message!.payload.text).toContain("Ridge break at");
    expect(message!.ttl).toBeGreaterThan(0);
    await phone.goto("about:blank");
    await phone.goto("/me");
    await deliver(phone, message!);
  });

  await test.step("taken back it is over, for the trainer too", async () => {
    await phone.goto("/me/progress");
    await phone.getByRole("button", { name: "Take it back: On your phone" }).click();
    await expect(phone.getByRole("button", { name: "Yes, on this phone" })).toBeVisible();
    const contacts = (await (await page.request.get(`/api/crews/${crewId}/contacts`)).json()) as { way: string; address: string }[];
    expect(contacts.filter(({ way }) => way === "push").map(({ address }) => address)).toEqual([""]);
  });
});
