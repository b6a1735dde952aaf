/**
 * Two trainers of a practice: one makes a passkey and asks everybody for more than a password; the other is let in only with a passkey of
 * their own, signs in with nothing else, and shares a crew. Passkeys need a name: the journey goes by localhost.
 */
import { expect, test, type Browser, type Page } from "@playwright/test";
import { DEMO, signIn } from "./browser";
import { axeViolationsOn, WCAG } from "./axe-violations";

const TEO = { email: "teo@fernhollow.example", password: DEMO.password };
test.use({ baseURL: "http://localhost:4199" });

/** A browser of its own, with a device that unlocks at once. */
async function trainer(browser: Browser): Promise<Page> {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  const cdp = await page.context().newCDPSession(page);
  await cdp.send("WebAuthn.enable");
  const options = {
    protocol: "ctap2",
    transport: "internal",
    hasResidentKey: true,
    hasUserVerification: true,
    isUserVerified: true,
  } as const;
  await cdp.send("WebAuthn.addVirtualAuthenticator", { options: { ...options, automaticPresenceSimulation: true } });
  return page;
}

async function addPasskey(page: Page, name: string): Promise<void> {
  await page.getByRole("button", { name: "Add a passkey" }).click();
  await page.getByLabel("What you call this device").fill(name);
  await page.getByLabel("Your password", { exact: true }).fill(DEMO.password);
  await page.getByRole("button", { name: "Make it" }).click();
  await expect(page.getByText("not used yet")).toBeVisible();
}

test.setTimeout(90_000);
test("a passkey, asked of everybody, and a crew that is shared", async ({ browser }) => {
  const [maren, teo] = [await trainer(browser), await trainer(browser)];
  await signIn(maren);
  await maren.goto("/practice");
  const ask = maren.getByRole("button", { name: "Ask every trainer for a second step or a passkey" });
  await ask.click();
  await expect(maren.getByText("Turn on a second step or add a passkey yourself first.")).toBeVisible();
  await addPasskey(maren, "Yard tablet");
  expect(await axeViolationsOn(maren, WCAG)).toEqual([]);

  await signIn(teo, TEO);
  try {
    await ask.click();
    await expect(ask).toHaveAttribute("aria-pressed", "true");
    await teo.goto("/crews");
    await expect(teo.getByRole("heading", { name: "One more thing before you go on" })).toBeVisible();
    expect(await axeViolationsOn(teo, WCAG)).toEqual([]);
    await addPasskey(teo, "Teo's telephone");
    await teo.getByRole("button", { name: "Go on" }).click();
    await expect(teo.getByRole("heading", { name: "Crews", exact: true })).toBeVisible();

    await teo.goto("/practice");
    await teo.getByRole("button", { name: "Sign out" }).click();
    await teo.waitForURL("**/sign-in**");
    await teo.getByLabel("E-mail").fill(TEO.email);
    await teo.getByLabel("Password").fill(TEO.password);
    await teo.getByRole("button", { name: "Sign in", exact: true }).click();
    await expect(teo.getByText("Sign in with your passkey.")).toBeVisible();
    await teo.getByRole("button", { name: "Sign in with a passkey" }).click();
    await expect(teo.getByText("Signed in as Teo Vance")).toBeVisible();
    await expect(teo.getByText("signed in with a passkey")).toBeVisible();
  } finally {
    await ask.click();
    await expect(ask).toHaveAttribute("aria-pressed", "false");
  }
  const [{ id: crewId, name }] = (await (await maren.request.get("/api/crews")).json()) as [{ id: string; name: string }];
  await maren.goto(`/crews/${crewId}/settings`);
  await maren.getByRole("combobox", { name: "A colleague" }).click();
  await maren.getByRole("option", { name: /teo@/ }).click();
  await maren.getByRole("button", { name: "Invite" }).click();
  await expect(maren.getByText("invited, not answered yet")).toBeVisible();
  await teo.goto("/crews");
  await teo.getByRole("button", { name: "Accept" }).click();
  await teo.getByRole("link", { name: new RegExp(name) }).click();
  await expect(teo.getByRole("navigation", { name: "Steps of this crew" })).toBeVisible();
  await teo.goto(`/crews/${crewId}/settings`);
  await expect(teo.getByRole("button", { name: "Remove this crew" })).toHaveCount(0);
  await teo.getByRole("button", { name: "Leave this crew" }).click();
  await teo.getByRole("button", { name: "Leave it" }).click();
  await teo.waitForURL("**/crews");
  await expect(teo.getByRole("link", { name: new RegExp(name) })).toHaveCount(0);
  await teo.context().close();
  await maren.context().close();
});
