/** Debian's Chromium, and signing in to the demo. */
import { existsSync } from "node:fs";
import { expect, type LaunchOptions, type Locator, type Page } from "@playwright/test";

const SHELL = "/usr/bin/chromium-headless-shell";
export const BROWSER: LaunchOptions = {
  executablePath: process.env.CHROMIUM ?? (existsSync(SHELL) ? SHELL : "/usr/bin/chromium"),
  args: [
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
    "--autoplay-policy=no-user-gesture-required",
  ],
};

export const DEMO = { email: "maren@fernhollow.example", password: "fernhollow-hands" };

export async function signIn(page: Page, account = DEMO): Promise<void> {
  await page.goto("/sign-in");
  await page.getByLabel("E-mail").fill(account.email);
  await page.getByLabel("Password").fill(account.password);
  await page.getByRole("button", { name: "Sign in", exact: true }).click();
  await page.waitForURL("**/today");
}

/** Goes to a step of the open crew. */
export async function toStep(page: Page, name: string): Promise<void> {
  await page.getByRole("navigation", { name: "Steps of this crew" }).getByRole("link", { name }).click();
}

/** Presses until something comes; the button goes away with the last step, perhaps just while it is being pressed. */
export async function skipUntil(skip: Locator, there: Locator): Promise<void> {
  await expect(async () => {
    if (!(await there.isVisible())) await skip.click({ timeout: 1000 });
    await expect(there).toBeVisible({ timeout: 300 });
  }).toPass({ timeout: 60_000, intervals: [0] });
}

/** Sets what some of a crew read; null for what the crew does. The demo's people are shared by all journeys. */
export async function haveRead(page: Page, crewId: string, names: readonly string[], language: string | null): Promise<void> {
  const { csrfToken } = (await (await page.request.get("/api/me")).json()) as { csrfToken: string };
  const people = (await (await page.request.get(`/api/crews/${crewId}/people`)).json()) as Record<string, string>[];
  for (const { id, version, ...person } of people.filter(({ name }) => names.includes(name!))) {
    const data = { version, person: { ...person, language } };
    const answer = await page.request.put(`/api/crews/${crewId}/people/${id}`, { headers: { "x-csrf-token": csrfToken }, data });
    if (!answer.ok()) throw new Error(`the language of ${person.name} could not be set: ${answer.status()}`);
  }
}

/** Types a day into its field, as a practice writes days that chose nothing else. @param date ISO @param then a key that keeps it at once */
export async function typeDay(page: Page, label: string, date: string, then?: "Enter"): Promise<void> {
  const [year, month, day] = date.split("-");
  await page.getByRole("group", { name: label, exact: true }).getByRole("spinbutton").first().click();
  await page.keyboard.type(`${day}${month}${year}`);
  if (then) await page.keyboard.press(then);
}

/** Answers the morning's question on a phone, up to its number. How hard a session was has the same numbers on the page before. */
export async function sayMorning(phone: Page, level: number): Promise<void> {
  await phone.getByRole("link", { name: /How are your hands/ }).click();
  const asked = phone.getByRole("group", { name: /How are your hands/ });
  await asked.getByRole("button", { name: String(level), exact: true }).click();
}
