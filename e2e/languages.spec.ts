/**
 * A mixed crew: the leader reads English, the screen speaks Spanish and shows Polish beside it, one phone is in Arabic and is gone through
 * by Arabic words and figures alone. And a hand-out in each language.
 */
import { expect, test, type Page } from "@playwright/test";
import { haveRead, signIn, skipUntil } from "./browser";
import { axeViolationsOn, WCAG } from "./axe-violations";

const LANGUAGES = ["en", "es", "de", "pl", "ar"];
const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, locale: "ar", timezoneId: "Europe/Dublin" };

interface Program {
  id: string;
  program: { sessions: { id: string; slot: string; items: unknown[] }[] };
}

async function oysterLine(page: Page): Promise<{ crewId: string; program: Program }> {
  const crews = (await (await page.request.get("/api/crews")).json()) as { id: string; name: string }[];
  const crewId = crews.find(({ name }) => name.startsWith("Saltmarsh"))!.id;
  const [program] = (await (await page.request.get(`/api/crews/${crewId}/programs`)).json()) as Program[];
  return { crewId, program: program! };
}

/** On a page so tall that nothing lies under the bar at its foot. */
async function noSerious(page: Page, where: string): Promise<void> {
  await page.setViewportSize({ width: 390, height: 1800 });
  expect.soft((await axeViolationsOn(page, WCAG)).map((problem) => `${where}: ${problem}`)).toEqual([]);
  await page.setViewportSize(PHONE.viewport);
}

test("from the card to session, check-in, report and progress, by Arabic words and figures alone", async ({ page, browser }) => {
  await signIn(page);
  const { crewId } = await oysterLine(page);
  await haveRead(page, crewId, ["Idris Kettle"], "ar");
  await page.goto(`/crews/${crewId}/people/cards`);
  await page.getByRole("button", { name: /^Idris Kettle/ }).click();
  const made = page.waitForResponse((answer) => answer.url().endsWith("/access") && answer.request().method() === "POST");
  await page.getByRole("button", { name: "Make 1 card" }).click();
  const { cards } = (await (await made).json()) as { cards: { token: string }[] };
  await expect(page.getByRole("article", { name: "Card of Idris Kettle" })).toContainText("الرقم السري");

  const context = await browser.newContext(PHONE);
  const phone = await context.newPage();
  await phone.goto(`/me/sign-in#card=${cards[0]!.token}`);
  await expect(phone.getByRole("heading", { name: /^مرحبًا/ })).toBeVisible();
  expect(await phone.evaluate(() => [document.documentElement.dir, document.documentElement.lang])).toEqual(["rtl", "ar"]);
  await noSerious(phone, "day");

  await test.step("check in", async () => {
    await phone.goto("/me/check-in");
    await phone.getByRole("button", { name: "٢", exact: true }).click();
    await phone.getByRole("button", { name: "راحة اليد" }).click();
    await noSerious(phone, "check-in");
    await phone.getByRole("button", { name: "احفظ" }).click();
    await expect(phone.getByText("أُرسل كل شيء.")).toBeVisible();
  });

  await test.step("follow a session to its end", async () => {
    await phone.getByRole("region", { name: "في أي وقت" }).getByRole("link", { name: /^ابدأ/ }).first().click();
    await expect(phone.getByText(/شدّ خفيف، لا ألم أبدًا/)).toBeVisible();
    await phone.getByRole("button", { name: "ابدأ", exact: true }).click();
    const again = phone.getByRole("button", { name: "ابدأ الآن" });
    await expect(phone.getByRole("button", { name: "تخطَّ" }).or(again)).toBeVisible();
    if (await again.isVisible()) await again.click();
    await noSerious(phone, "following");
    await skipUntil(phone.getByRole("button", { name: "تخطَّ" }), phone.getByRole("heading", { name: "كم كان الجهد؟" }));
    await phone.getByRole("button", { name: "٣", exact: true }).click();
    await phone.getByRole("button", { name: "احفظ" }).click();
    await expect(phone.getByRole("heading", { name: /^مرحبًا/ })).toBeVisible();
  });

  await test.step("progress", async () => {
    await phone.getByRole("link", { name: "أسابيعي الأربعة" }).click();
    await expect(phone.getByText(/^دقائق تمرين اليدين: [٠-٩]+$/)).toBeVisible();
    await noSerious(phone, "progress");
  });

  await test.step("in every language the three places stand whole in their bar", async () => {
    for (const own of ["English", "Español", "Deutsch", "Polski", "العربية"]) {
      await phone.getByRole("radio", { name: own }).click();
      await expect(phone.getByRole("radio", { name: own })).toBeChecked();
      for (const place of await phone.getByRole("navigation").getByRole("link").all()) {
        const outside = await place.evaluate((link) => {
          const range = document.createRange();
          range.selectNodeContents(link);
          const [text, bar] = [range.getBoundingClientRect(), link.getBoundingClientRect()];
          return [bar.left - text.left, text.right - bar.right, bar.top - text.top, text.bottom - bar.bottom].some((over) => over > 0.5);
        });
        expect.soft([own, await place.textContent(), outside]).toEqual([own, expect.any(String), false]);
      }
    }
  });

  await test.step("stop and tell: what is paused, and whom to turn to, in Arabic", async () => {
    await phone.getByRole("link", { name: "قف وأخبر" }).click();
    await phone.getByRole("button", { name: "ألم حاد" }).click();
    await phone.getByRole("button", { name: "قاعدة الإبهام" }).click();
    await noSerious(phone, "telling");
    await phone.getByRole("button", { name: "أخبر مدرّبي" }).click();
    await expect(phone.getByText("متوقف: قاعدة الإبهام")).toBeVisible();
    await expect(phone.getByText(/^توجّه إلى /)).toBeVisible();
  });

  await test.step("the trainer is told in English", async () => {
    await page.goto("/today");
    await expect(page.getByText(/Idris Kettle/).first()).toBeVisible();
  });
  await context.close();
});

test("the screen speaks Spanish with Polish beside it; paper comes in every language", async ({ page }) => {
  await signIn(page);
  const { crewId, program } = await oysterLine(page);
  const session = program.program.sessions.find(({ slot, items }) => slot === "preShift" && items.length > 0)!;
  await page.goto(`/crews/${crewId}/run/${program.id}/${session.id}`);
  await expect(page.getByText(/^Read here: .*Spanish/)).toBeVisible();
  await page.getByRole("radiogroup", { name: "Language of the screen and the voice" }).getByRole("radio", { name: "Español" }).click();
  await page.getByRole("radiogroup", { name: "Beside it" }).getByRole("radio", { name: "Polski" }).click();
  await expect(page.getByText("Balanceo de brazos")).toBeVisible();
  await expect(page.getByText("Wymachy rąk")).toBeVisible();
  await page.getByRole("button", { name: "Start", exact: true }).click();
  const now = page.getByRole("button", { name: "Start now" });
  await expect(page.getByRole("button", { name: "Pause" }).or(now)).toBeVisible();
  if (await now.isVisible()) await now.click();
  // The crew reads its own; whoever leads keeps theirs.
  await expect(page.getByRole("heading", { name: "Balanceo de brazos" })).toBeVisible();
  await expect(page.getByText("Wymachy rąk")).toBeVisible();
  await expect(page.getByRole("button", { name: "Easier for all" })).toBeVisible();
  await page.keyboard.press("s");
  await page.getByRole("button", { name: "It did not happen" }).click();

  const sizes = await Promise.all(
    LANGUAGES.map(async (language) => {
      const answer = await page.request.get(`/api/programs/${program.id}/hand-out.pdf?language=${language}`);
      const body = await answer.body();
      return [answer.status(), body.subarray(0, 5).toString(), body.length > 20_000];
    }),
  );
  expect(sizes).toEqual(LANGUAGES.map(() => [200, "%PDF-", true]));
});

test("a page in English fetches the first letters of the face and shows them", async ({ page }) => {
  const asked: string[] = [];
  page.on("request", (request) => request.resourceType() === "font" && asked.push(new URL(request.url()).pathname));
  await page.goto("/sign-in");
  await page.getByRole("button", { name: "Sign in", exact: true }).waitFor();
  const shown = await page.evaluate(async () => {
    await document.fonts.ready;
    return [...document.fonts].filter(({ status }) => status === "loaded").map(({ family }) => family.replaceAll('"', ""));
  });
  expect(shown).toEqual(["Atkinson Hyperlegible Next Variable"]);
  expect(asked).toEqual([expect.stringMatching(/^\/assets\/letters-first-/)]);
});
