/**
 * Stop and tell closes its loop: two phones, one of them without a connection, and a tablet that leads the same session. What is told pauses
 * at once, everywhere; one answer of the trainer reaches the phone.
 */
import { expect, test, type Browser, type Page } from "@playwright/test";
import { sayMorning, signIn } from "./browser";
import { axeViolationsOn, WCAG } from "./axe-violations";

const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, timezoneId: "Europe/Dublin" };
const TABLET = { viewport: { width: 1180, height: 820 }, hasTouch: true, timezoneId: "Europe/Dublin" };

async function phoneWith(browser: Browser, token: string): Promise<Page> {
  const page = await (await browser.newContext(PHONE)).newPage();
  await page.goto(`/me/sign-in#card=${token}`);
  await expect(page.getByRole("heading", { name: /^Hello/ })).toBeVisible();
  return page;
}

async function noSerious(page: Page, where: string): Promise<void> {
  expect((await axeViolationsOn(page, WCAG)).map((problem) => `${where}: ${problem}`)).toEqual([]);
}

test("told on two phones, one without a connection, while a tablet leads; answered once", async ({ page, browser }) => {
  await signIn(page);
  const get = async <Body>(path: string) => (await (await page.request.get(path)).json()) as Body;
  const crewId = (await get<{ id: string; name: string }[]>("/api/crews")).find(({ name }) => name.startsWith("Tansy"))!.id;
  const { people, checkIns } = await get<{
    people: { id: string; name: string }[];
    checkIns: { personId: string; day: string }[];
  }>(`/api/crews/${crewId}/export.json`);
  const heldOut = new Set((await get<{ heldOut: { personId: string }[] }>("/api/today")).heldOut.map(({ personId }) => personId));
  const asked = new Set(checkIns.filter(({ day }) => day === "2026-03-26").map(({ personId }) => personId));
  const [first, second] = people.filter(({ id }) => !asked.has(id) && !heldOut.has(id)) as [
    { id: string; name: string },
    { id: string; name: string },
  ];
  await page.goto(`/crews/${crewId}/people/cards`);
  for (const { name } of [first, second]) await page.getByRole("button", { name: new RegExp(name) }).click();
  const made = page.waitForResponse((answer) => answer.url().endsWith("/access") && answer.request().method() === "POST");
  await page.getByRole("button", { name: "Make 2 cards" }).click();
  const { cards } = (await (await made).json()) as { cards: { name: string; token: string }[] };
  const tokenOf = (name: string) => cards.find((card) => card.name === name)!.token;
  const phone = await phoneWith(browser, tokenOf(first.name));
  const away = await phoneWith(browser, tokenOf(second.name));
  const tablet = await (await browser.newContext(TABLET)).newPage();
  await signIn(tablet, { email: "ivo@fernhollow.example", password: "fernhollow-hands" });
  const [program] = await get<{ id: string; program: { sessions: { id: string; slot: string }[] } }[]>(`/api/crews/${crewId}/programs`);
  const session = program!.program.sessions.find(({ slot }) => slot === "break")!;
  await tablet.goto(`/crews/${crewId}/run/${program!.id}/${session.id}`);
  // Whoever was away the last time is here today.
  await tablet.getByRole("button", { name: /^Here: / }).click();
  const everybody = tablet.getByRole("button", { name: "Everybody is here" });
  if (await everybody.isEnabled()) await everybody.click();
  await tablet.getByRole("button", { name: "Done" }).click();
  await tablet.getByRole("button", { name: "Start", exact: true }).click();
  const strip = tablet.getByRole("group", { name: "People" });
  /** Everybody who takes part: those in the row, and those who are counted. */
  const taking = async () => {
    const names = await strip.getByRole("button").allTextContents();
    const others = strip.getByRole("button", { name: /^and \d+ other/ });
    if ((await others.count()) === 0) return names.join();
    await others.click();
    names.push(...(await tablet.getByRole("menuitem").allTextContents()));
    await tablet.keyboard.press("Escape");
    await expect(tablet.getByRole("menuitem")).toHaveCount(0);
    return names.join();
  };
  await expect.poll(taking).toContain(first.name);

  await test.step("sharp pain on a phone: paused there at once, and out of the run that is being led", async () => {
    await phone.getByRole("link", { name: "Stop and tell" }).click();
    await phone.getByRole("button", { name: "Sharp pain" }).click();
    await noSerious(phone, "stop and tell");
    await phone.getByRole("button", { name: "Tell my trainer" }).click();
    await expect(phone.getByText("Everything is paused for you")).toBeVisible();
    await expect(phone.getByText(/^Turn to .* see a doctor\.$/)).toBeVisible();
    await noSerious(phone, "told");
    await expect.poll(taking, { timeout: 25_000 }).not.toContain(first.name);
    await expect.poll(taking).toContain(second.name);
    // Others read this screen: no reason stands on it.
    expect(await tablet.locator("body").textContent()).not.toMatch(/sharp|paused|held out/i);
    await phone.getByRole("link", { name: "Back" }).click();
    await expect(phone.getByRole("link", { name: /^Start/ })).toHaveCount(0);
  });

  await test.step("the tablet is loaded anew: the run goes on, and whoever is out of it stays out", async () => {
    await tablet.reload();
    await tablet.getByRole("button", { name: "Go on from there" }).click();
    await expect.poll(taking).toContain(second.name);
    expect(await taking()).not.toContain(first.name);
  });

  await test.step("a bad morning on the phone without a connection: it pauses itself before anybody knows", async () => {
    await away.evaluate(async () => void (await navigator.serviceWorker.ready));
    const kept = await away.evaluate(async () => {
      const caches_ = await Promise.all((await caches.keys()).map((key) => caches.open(key)));
      return (await Promise.all(caches_.map((cache) => cache.keys()))).flat().map(({ url }) => url);
    });
    expect(kept.some((url) => /FollowPage/.test(url))).toBe(true);
    // What only a trainer's screens load stays off a phone: tables, charts, solvers, editors.
    expect(kept.filter((url) => /SamePeople|plotly|highs|solver|omposer|ProgramPage|StudioPage/.test(url))).toEqual([]);
    await expect(away.getByRole("link", { name: /^Start/ }).first()).toBeVisible();
    await away.context().setOffline(true);
    await sayMorning(away, 6);
    await away.getByRole("button", { name: "Keep it" }).click();
    await expect(away.getByText("Everything is paused for you")).toBeVisible();
    await expect(away.getByRole("link", { name: /^Start/ })).toHaveCount(0);
    await away.goto("/me");
    await expect(away.getByText("Everything is paused for you")).toBeVisible();
    await expect(away.getByRole("status").filter({ hasText: "1 thing waits to be sent" })).toBeVisible();
    // Nobody else can know yet.
    await expect.poll(taking).toContain(second.name);
    await away.context().setOffline(false);
    await expect.poll(taking, { timeout: 25_000 }).not.toContain(second.name);
  });

  await test.step("the run that is kept has them until they told, and not after", async () => {
    await tablet.keyboard.press("s");
    // It leaves the tablet by itself, a moment after it is kept there.
    const sent = tablet.waitForResponse((answer) => /\/api\/runs\/[^/]+$/.test(answer.url()) && answer.request().method() === "PUT");
    await tablet.getByRole("button", { name: "Keep this run" }).click();
    await tablet.waitForURL("**/today");
    const runId = (await sent).url().split("/").at(-1)!;
    const record = await get<{ session: { items: object[] }; people: { personId: string; present: boolean; leftOut: string[] }[] }>(
      `/api/runs/${runId}`,
    );
    const items = record.session.items.length;
    for (const { id } of [first, second]) {
      const person = record.people.find(({ personId }) => personId === id)!;
      expect([person.present, person.leftOut.length > 0, person.leftOut.length <= items]).toEqual([true, true, true]);
    }
    expect(record.people.some(({ leftOut }) => leftOut.length === 0)).toBe(true);
  });

  await test.step("both stand on Today; each is answered once, and the answer reaches the phone", async () => {
    await page.goto("/today");
    const needs = page.getByRole("region", { name: "Needs you" });
    await expect(needs.getByText(/sharp pain/i).first()).toBeVisible();
    await expect(needs.getByRole("button", { name: `Answer ${second.name}` })).toBeVisible();
    await needs.getByRole("button", { name: `Answer ${first.name}` }).click();
    const dialog = page.getByRole("dialog", { name: `Answer ${first.name}` });
    await dialog.getByRole("radio", { name: /^Give back/ }).click();
    await noSerious(page, "answer");
    await dialog.getByLabel(`Reply to ${first.name}`).fill("It was the pin of the frame. Go on gently.");
    await dialog.getByRole("button", { name: "Answer", exact: true }).click();
    await expect(needs.getByRole("button", { name: `Answer ${first.name}` })).toHaveCount(0);
    await phone.reload();
    await expect(phone.getByText("“It was the pin of the frame. Go on gently.”")).toBeVisible();
    await expect(phone.getByRole("link", { name: /^Start/ }).first()).toBeVisible();

    await needs.getByRole("button", { name: `Answer ${second.name}` }).click();
    const other = page.getByRole("dialog", { name: `Answer ${second.name}` });
    await other.getByRole("radio", { name: /^Refer and hold out/ }).click();
    await other.getByRole("combobox", { name: "Why they are held out" }).click();
    await page.getByRole("option", { name: "Something else" }).click();
    await other.getByLabel("In words").fill("Woke with both forearms burning");
    await other.getByRole("button", { name: "Answer", exact: true }).click();
    await expect(needs.getByRole("button", { name: `Answer ${second.name}` })).toHaveCount(0);
    await away.reload();
    await expect(away.getByText(/looked at by a clinician first/)).toBeVisible();
    await expect(away.getByRole("link", { name: /^Start/ })).toHaveCount(0);
    await page.goto(`/crews/${crewId}/people/held-out`);
    await expect(page.getByText("Woke with both forearms burning").first()).toBeVisible();
    await noSerious(page, "held out");
  });
  await Promise.all([phone, away, tablet].map((each) => each.context().close()));
});
