/**
 * From plan to habit: a day of the oyster line's night week is planned for groups, led, followed on two phones of which one is offline,
 * checked in, decided and reported.
 */
import { readFileSync } from "node:fs";
import { expect, test, type Browser, type Page } from "@playwright/test";
import { haveRead, sayMorning, signIn, skipUntil, toStep } from "./browser";
import { axeViolationsOn, WCAG } from "./axe-violations";

interface Phone {
  page: Page;
  offline(off: boolean): Promise<void>;
}

/** Of the mail server stand-in, five after the port of the journeys. */
const INBOX = "http://127.0.0.1:4204/mails";
const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, timezoneId: "Europe/Dublin" };

/** A phone that opens the address of its card. */
async function phoneWith(browser: Browser, token: string): Promise<Phone> {
  const context = await browser.newContext(PHONE);
  const page = await context.newPage();
  await page.goto(`/me/sign-in#card=${token}`);
  await expect(page.getByRole("heading", { name: /^Hello/ })).toBeVisible();
  return { page, offline: (off) => context.setOffline(off) };
}

/** Writes down an e-mail address for everybody of a crew, as a trainer does on each person's page. */
async function haveMail(page: Page, crewId: string): Promise<void> {
  const { csrfToken } = (await (await page.request.get("/api/me")).json()) as { csrfToken: string };
  for (const { id } of (await (await page.request.get(`/api/crews/${crewId}/people`)).json()) as { id: string }[]) {
    const data = { way: "email", address: `${id}@post.example` };
    const answer = await page.request.put(`/api/crews/${crewId}/people/${id}/contacts`, { headers: { "x-csrf-token": csrfToken }, data });
    expect(answer.ok()).toBe(true);
  }
}

/** A session followed to its end by skipping through it. */
async function followAlone(page: Page, name: string, effort: number): Promise<void> {
  await page
    .getByRole("region", { name: "Any time" })
    .getByRole("link", { name: `Start: ${name}` })
    .click();
  await page.getByRole("button", { name: "Start" }).click();
  await skipUntil(page.getByRole("button", { name: "Skip" }), page.getByRole("heading", { name: "How hard was it?" }));
  await page.getByRole("button", { name: String(effort), exact: true }).click();
  await page.getByRole("button", { name: "Keep it" }).click();
}

/** @param atRest on a page that goes on under the bar at its foot */
async function noSerious(page: Page, where: string, atRest = false): Promise<void> {
  expect((await axeViolationsOn(page, WCAG, atRest)).map((problem) => `${where}: ${problem}`)).toEqual([]);
}

/** Twice in a row with the same result in the long form: `JOURNEY_ROUNDS=2 npm run test:e2e`. */
const ROUNDS = Number(process.env.JOURNEY_ROUNDS ?? 1);
for (const round of Array.from({ length: ROUNDS }, (_, i) => i + 1))
  test(`a night of the oyster line, planned, led, followed, checked in, decided and reported, ${round} of ${ROUNDS}`, async ({
    page,
    browser,
  }) => {
    await signIn(page);
    const crews = (await (await page.request.get("/api/crews")).json()) as { id: string; name: string }[];
    const crewId = crews.find(({ name }) => name.startsWith("Saltmarsh"))!.id;
    const runsBefore = ((await (await page.request.get(`/api/crews/${crewId}/runs`)).json()) as { total: number }).total;
    let cards: { name: string; token: string }[] = [];
    // One who has not said how their hands are, and one who has: twenty to seven is of the night that is just over.
    const { people, checkIns } = (await (await page.request.get(`/api/crews/${crewId}/export.json`)).json()) as {
      people: { id: string; name: string }[];
      checkIns: { personId: string; day: string }[];
    };
    const asked = new Set(checkIns.filter(({ day }) => day === "2026-03-25").map(({ personId }) => personId));
    const free = people.filter(({ id, name }) => !asked.has(id) && name !== "Gethin Inskip").map(({ name }) => name);
    const other = people.find(({ id }) => asked.has(id))!.name;
    const names = [free[0]!, other] as const;
    // Their phones are gone through in English, whatever the demo has them read.
    await haveRead(page, crewId, names, null);

    await test.step("plan the night for groups; a pin stays; use it", async () => {
      await page.goto(`/crews/${crewId}/day-plan`);
      await page.getByRole("button", { name: "Plan a day" }).click();
      const dialog = page.getByRole("dialog", { name: "Plan a day for groups" });
      await expect(dialog.getByText("3 groups are needed")).toBeVisible();
      await dialog.getByRole("radio", { name: "Sat 28" }).click();
      await expect(dialog.getByRole("region", { name: "Group 3" })).toBeVisible();
      await expect(dialog.getByText(/^(Proven best|Within [\d.]+ %)/)).toBeVisible();
      const third = dialog.getByRole("region", { name: "Group 3" }).getByRole("button", { name: /Quay warm-up/ });
      await third.focus();
      await page.keyboard.press("ArrowRight");
      await expect(third).toHaveAttribute("aria-pressed", "true");
      const pinnedAt = (await third.textContent())!.slice(0, 5);
      await expect(dialog.getByText(/^(Proven best|Within [\d.]+ %)/)).toBeVisible();
      await expect(third).toContainText(pinnedAt);
      await dialog.getByRole("button", { name: "Use it for Sat 28" }).click();
      await expect(page.getByText("Saved", { exact: true })).toBeVisible();
      await page
        .getByRole("button", { name: new RegExp(`^Quay warm-up at ${pinnedAt}`) })
        .first()
        .click();
      await expect(page.getByRole("region", { name: "Chosen session" })).toContainText("Group 3");
      await haveMail(page, crewId);
      await page.getByRole("button", { name: "Remind everybody" }).click();
      // The night line is off, and asleep.
      await expect(page.getByText(/gets? a reminder\. They are off: it goes out Thu 20:00\./)).toBeVisible();
      await page.getByRole("button", { name: "Send them now all the same" }).click();
      // Some may have gone already.
      await expect(page.getByText(/(gets? theirs now|were reminded before)\./)).toBeVisible();
    });

    await test.step("reminders reach people by the ways they agreed to, in their language, each once", async () => {
      await page.getByRole("button", { name: "Reminders" }).click();
      const dialog = page.getByRole("dialog", { name: "Reminders and calendars" });
      await expect(dialog.getByText(/^sent by (e-mail|telephone)$/).first()).toBeVisible();
      await dialog.getByRole("button", { name: "Make a link" }).click();
      const address = await dialog.getByLabel("Address of the calendar").inputValue();
      const calendar = async () => (await page.request.get(new URL(address).pathname)).status();
      expect(await calendar()).toBe(200);
      await dialog.getByRole("button", { name: "Withdraw" }).first().click();
      await page.getByRole("button", { name: "Withdraw it" }).click();
      await expect.poll(calendar).toBe(404);
      await dialog.getByRole("button", { name: "Done" }).click();
      const gateway = ((await (await page.request.get("/api/gateway")).json()) as { address: string }).address;
      const { messages } = (await (await page.request.get(`${gateway}/messages`)).json()) as { messages: { id: string }[] };
      expect(new Set(messages.map(({ id }) => id)).size).toBe(messages.length);
      expect(messages.length).toBeGreaterThan(0);
      const told = (await (await page.request.get(`/api/crews/${crewId}/messages`)).json()) as { way: string; text: string }[];
      const mails = async () =>
        ((await (await page.request.get(INBOX)).json()) as { mails: { to: string; subject: string; text: string }[] }).mails;
      const byMail = told.filter(({ way }) => way === "email").map(({ text }) => text);
      await expect.poll(async () => (await mails()).map(({ subject }) => subject)).toEqual(expect.arrayContaining(byMail));
      // Why they get it, in two languages.
      expect(new Set((await mails()).map(({ text }) => text.split("\n")[2])).size).toBeGreaterThan(1);
      expect((await mails()).every(({ to }) => to.endsWith("@post.example"))).toBe(true);
    });

    await test.step("cards for two crew members", async () => {
      await page.goto(`/crews/${crewId}/people/cards`);
      for (const name of names) await page.getByRole("button", { name: new RegExp(name) }).click();
      const made = page.waitForResponse((answer) => answer.url().endsWith("/access") && answer.request().method() === "POST");
      await page.getByRole("button", { name: "Make 2 cards" }).click();
      ({ cards } = (await (await made).json()) as { cards: typeof cards });
      await expect(page.getByRole("article", { name: `Card of ${names[0]}` })).toContainText("SHUCK7");
    });

    await test.step("lead the line break", async () => {
      const [program] = (await (await page.request.get(`/api/crews/${crewId}/programs`)).json()) as {
        id: string;
        program: { sessions: { id: string; slot: string }[] };
      }[];
      const session = program!.program.sessions.find(({ slot }) => slot === "break")!;
      await page.goto(`/crews/${crewId}/run/${program!.id}/${session.id}`);
      await page.getByRole("button", { name: "Start", exact: true }).click();
      await page.keyboard.press("s");
      await page.getByRole("button", { name: `${names[1]}: 2` }).click();
      await page.getByRole("button", { name: "Keep this run" }).click();
      await page.waitForURL("**/today");
    });

    await test.step("two phones, one of them without a connection: nothing lost, nothing doubled", async () => {
      const [online, away] = await Promise.all(
        [names[1], names[0]].map((name) => phoneWith(browser, cards.find((card) => card.name === name)!.token)),
      );
      // The page itself is kept once its worker is in charge.
      await away!.page.evaluate(async () => void (await navigator.serviceWorker.ready));
      if (round === 1) await noSerious(online!.page, "my day");
      await away!.offline(true);
      await followAlone(online!.page, "Line break", 2);
      await followAlone(away!.page, "Line break", 3);
      await expect(away!.page.getByRole("status").filter({ hasText: "1 thing waits to be sent" })).toBeVisible();
      await sayMorning(away!.page, 1);
      await away!.page.getByRole("button", { name: "Forearm, back" }).click();
      await away!.page.getByRole("button", { name: "Keep it" }).click();
      await away!.page.getByRole("link", { name: "Stop and tell" }).click();
      await away!.page.getByRole("button", { name: "Tingling", exact: true }).click();
      await expect(away!.page.getByRole("button", { name: "Tell my trainer" })).toBeDisabled();
      await away!.page.getByRole("radiogroup", { name: "Is it still there now?" }).getByRole("radio", { name: "Yes" }).click();
      await away!.page.getByRole("button", { name: "Tell my trainer" }).click();
      await expect(away!.page.getByRole("heading", { name: "Not told yet." })).toBeVisible();
      await expect(away!.page.getByText("Everything is paused for you")).toBeVisible();
      await expect(away!.page.getByRole("status").filter({ hasText: /things wait to be sent/ })).toBeVisible();
      // Away and back: the page opens from what the phone keeps, with everything that waits.
      await away!.page.goto("/me");
      await expect(away!.page.getByRole("heading", { name: `Hello ${names[0].split(" ")[0]}` })).toBeVisible();
      await expect(away!.page.getByRole("status").filter({ hasText: /things wait to be sent/ })).toBeVisible();
      await away!.offline(false);
      await expect(away!.page.getByText("Everything is sent.")).toBeVisible();
      await expect
        .poll(async () => ((await (await page.request.get(`/api/crews/${crewId}/runs`)).json()) as { total: number }).total)
        .toBe(runsBefore + 3);
      await away!.page.getByRole("link", { name: "My four weeks" }).click();
      await expect(away!.page.getByText(/min of hand work$/)).toBeVisible();
      if (round === 1) await noSerious(away!.page, "my four weeks", true);
      await Promise.all([online!.page.context().close(), away!.page.context().close()]);
    });

    await test.step("what was told stands on Today, and is answered", async () => {
      await page.goto("/today");
      const told = page.getByText("Stopped and told you");
      await expect(told).toBeVisible();
      await page.getByRole("button", { name: `Answer ${names[0]}` }).click();
      const dialog = page.getByRole("dialog", { name: `Answer ${names[0]}` });
      await dialog.getByRole("radio", { name: /^Give back/ }).click();
      await dialog.getByRole("button", { name: "Answer", exact: true }).click();
      await expect(told).toBeHidden();
    });

    await test.step("decide for the slate crew: one confirmed, one overruled with a reason; the history has both", async () => {
      // On the oyster line nothing waits: the run was stopped, and what was told has its answer.
      await page.goto(`/crews/${crews.find(({ name }) => name.startsWith("Ridgeline"))!.id}/progress`);
      const row = page.getByRole("article").first();
      const name = (await row.getAttribute("aria-label"))!;
      await row.getByRole("button", { name: `Confirm: ${name}` }).click();
      // Another item of the same person may have its turn now.
      await expect(page.getByRole("article", { name, exact: true })).toHaveCount(0);
      const otherwise = (await page.getByRole("article").first().getAttribute("aria-label"))!;
      await page.getByRole("button", { name: `Decide otherwise: ${otherwise}` }).click();
      const dialog = page.getByRole("dialog");
      await dialog.getByRole("radio", { name: "Hold" }).click();
      await dialog.getByLabel("Why").fill("Wait until the night week is over");
      await dialog.getByRole("button", { name: "Decide" }).click();
      await expect(page.getByRole("article", { name: otherwise, exact: true })).toHaveCount(0);
      await page.getByRole("radio", { name: "History" }).click();
      await expect(page.getByRole("article").filter({ hasText: "Wait until the night week is over" }).first()).toBeVisible();
    });

    await test.step("review and report; the employer contact sees no name", async () => {
      await page.goto(`/crews/${crewId}/progress`);
      await page.getByRole("radio", { name: "Review" }).click();
      await expect(page.getByRole("region", { name: "Next block" })).toContainText("8 of 14 people measured better beyond noise");
      await toStep(page, "Report");
      await expect(page.getByText("people these figures are of").first()).toBeVisible();
      const [csv] = await Promise.all([page.waitForEvent("download"), page.getByRole("link", { name: "CSV", exact: true }).click()]);
      expect(readFileSync(await csv.path(), "utf8")).toContain("from,until,people");
      const employer = await (await browser.newContext()).newPage();
      await employer.goto("/sign-in");
      await employer.getByLabel("E-mail").fill("greta@fernhollow.example");
      await employer.getByLabel("Password").fill("fernhollow-hands");
      await employer.getByRole("button", { name: "Sign in", exact: true }).click();
      await expect(employer.getByRole("heading", { name: /Ridgeline slate crew: report/ })).toBeVisible();
      expect(await employer.locator("main").textContent()).not.toMatch(/Thistlewood|Okonjo|Quill/);
      if (round === 1) await noSerious(employer, "report");
      await employer.context().close();
    });
  });

test("two crews planned together by one leader, and taken back", async ({ page }) => {
  await signIn(page);
  const crews = (await (await page.request.get("/api/crews")).json()) as { id: string; name: string }[];
  const idOf = (name: string) => crews.find((crew) => crew.name.startsWith(name))!.id;
  const friday = async () =>
    (
      (await (await page.request.get(`/api/crews/${idOf("Tansy")}/plan/2026-03-23`)).json()) as {
        placements: { startsAt: string; groupName: string | null }[];
      }
    ).placements.filter(({ startsAt }) => startsAt.startsWith("2026-03-27"));
  const before = await friday();
  await page.goto(`/crews/${idOf("Ridgeline")}/day-plan`);
  await page.getByRole("button", { name: "Plan a day" }).click();
  const dialog = page.getByRole("dialog", { name: "Plan a day for groups" });
  await dialog.getByRole("radio", { name: "Fri 27" }).click();
  await dialog.getByRole("button", { name: "Tansy Lane upholstery" }).click();
  const second = dialog.getByRole("region", { name: "Tansy Lane upholstery, group 2" });
  await expect(second).toBeVisible();
  await expect(dialog.getByRole("status")).toHaveText(/Proven best|Within [\d.]+ %/);
  // No two are led at the same moment.
  const times = await dialog.getByRole("button", { name: /^\d\d:\d\d / }).allTextContents();
  expect(new Set(times.map((text) => text.slice(0, 5))).size).toBe(times.length);
  await dialog.getByRole("button", { name: "Use it for Fri 27" }).click();
  await expect(page.getByText("Planned for Tansy Lane upholstery too.")).toBeVisible();
  expect(new Set((await friday()).map(({ groupName }) => groupName))).toEqual(new Set(["Group 1", "Group 2"]));
  await page.getByRole("button", { name: "Undo" }).last().click();
  await expect.poll(friday).toEqual(before);
});

test("a tab that is dragged on a day for groups stays", async ({ page }) => {
  await signIn(page);
  const crews = (await (await page.request.get("/api/crews")).json()) as { id: string; name: string }[];
  const crewId = crews.find(({ name }) => name.startsWith("Ridgeline"))!.id;
  await page.goto(`/crews/${crewId}/day-plan`);
  await page.getByRole("button", { name: "Plan a day" }).click();
  const dialog = page.getByRole("dialog", { name: "Plan a day for groups" });
  await dialog.getByRole("radio", { name: "Fri 27" }).click();
  await expect(dialog.getByRole("status")).toHaveText(/Proven best|Within [\d.]+ %/);
  const group = dialog.getByRole("region", { name: "Group 1" });
  const tab = (await group.locator('[title^="Ridge break"]').boundingBox())!;
  await page.mouse.move(tab.x + 4, tab.y + 10);
  await page.mouse.down();
  await page.mouse.move(tab.x + 90, tab.y + 10, { steps: 5 });
  await page.mouse.up();
  const moved = group.getByRole("button", { name: /Ridge break$/ });
  await expect(moved).toHaveAttribute("aria-pressed", "true");
  await expect(moved).not.toHaveText(/^12:15/);
  await dialog.getByRole("button", { name: "Let go of 1 pin" }).click();
  await expect(moved).toHaveText(/^12:15/);
  await dialog.getByRole("button", { name: "Not now" }).click();
});

test("a crew lead leads, and sees nothing else", async ({ page }) => {
  await signIn(page, { email: "ivo@fernhollow.example", password: "fernhollow-hands" });
  await expect(page.getByRole("navigation", { name: "Places" }).getByRole("link")).toHaveCount(2);
  await expect(page.getByText("Held out")).toHaveCount(0);
  await page.getByRole("link", { name: /^Lead Webbing break/ }).click();
  await page.getByRole("button", { name: "Start", exact: true }).click();
  await page.keyboard.press("s");
  await page.getByRole("button", { name: "Keep this run" }).click();
  await page.waitForURL("**/today");
  await expect(page.getByText("Led").first()).toBeVisible();
});
