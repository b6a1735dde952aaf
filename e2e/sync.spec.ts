/** What was kept without a connection goes out with the page closed: the browser wakes the phone's worker. */
import { expect, test } from "@playwright/test";
import { sayMorning } from "./browser";

test("a check-in kept on the way is sent when there is a connection again, with the page closed", async ({ browser }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const phone = await context.newPage();
  await phone.goto("/me");
  await phone.getByLabel("Crew code").fill("STONE9");
  await phone.getByLabel("PIN").fill("004-24680");
  await phone.getByRole("button", { name: "Sign in", exact: true }).click();
  await expect(phone.getByRole("heading", { name: /^Hello/ })).toBeVisible();
  await phone.evaluate(async () => void (await navigator.serviceWorker.ready));
  await phone.reload();
  await expect(phone.getByRole("heading", { name: /^Hello/ })).toBeVisible();

  await context.setOffline(true);
  await sayMorning(phone, 1);
  await phone.getByRole("button", { name: "Keep it" }).click();
  await expect(phone.getByRole("status").filter({ hasText: "1 thing waits to be sent" })).toBeVisible();
  await phone.close();

  // A page of the same place that is not the phone's own: it looks, and wakes the worker as the browser would.
  const beside = await context.newPage();
  await context.setOffline(false);
  await beside.goto("/healthz");
  const waits = () =>
    beside.evaluate(
      () =>
        new Promise<number>((done, failed) => {
          const opening = indexedDB.open("kind-grip-member");
          opening.onerror = () => failed(opening.error!);
          opening.onsuccess = () => {
            const count = opening.result.transaction("outbox").objectStore("outbox").count();
            count.onsuccess = () => {
              opening.result.close();
              done(count.result);
            };
          };
        }),
    );
  expect(await waits()).toBe(1);
  const cdp = await context.newCDPSession(beside);
  const registered = new Promise<string>((done) =>
    cdp.on("ServiceWorker.workerRegistrationUpdated", ({ registrations }) =>
      registrations.forEach(({ scopeURL, registrationId }) => new URL(scopeURL).pathname === "/me" && done(registrationId)),
    ),
  );
  await cdp.send("ServiceWorker.enable");
  const origin = new URL(beside.url()).origin;
  await cdp.send("ServiceWorker.dispatchSyncEvent", { origin, registrationId: await registered, tag: "outbox", lastChance: false });
  await expect.poll(waits).toBe(0);
  const day = (await (await context.request.get("/api/member/day")).json()) as { checkedIn: boolean };
  expect(day.checkedIn).toBe(true);
  await context.close();
});
